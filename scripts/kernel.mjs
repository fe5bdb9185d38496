// Compiles the number kernels (AssemblyScript) into a module that core carries as text: npm run kernel.
// With --check it only says whether that text is what the sources compile to.
import { readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import asc from 'assemblyscript/asc';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const target = join(root, 'packages/core/src/mechanics/kernel/compiled.ts');

const written = new Map();
const { error, stderr } = await asc.main(
  [
    'packages/core/assembly/index.ts',
    ...[
      '--outFile',
      'kernel.wasm',
      '-O3',
      '--converge',
      '--noAssert',
      '--runtime',
      'stub',
      '--enable',
      'simd',
    ],
  ],
  { writeFile: (name, contents) => void written.set(name, contents), baseDir: root },
);
if (error) {
  console.error(stderr.toString());
  process.exit(1);
}
const bytes = written.get('kernel.wasm');
const text = `// Written by \`npm run kernel\` from packages/core/assembly; not to be edited.
export const COMPILED =
  '${Buffer.from(bytes).toString('base64')}';
`;
if (process.argv.includes('--check')) {
  if (readFileSync(target, 'utf8') === text) console.log('The kernels are what their sources compile to.');
  else {
    console.error('The kernels are not what their sources compile to: run `npm run kernel`.');
    process.exitCode = 1;
  }
} else writeFileSync(target, text);
