import { strToU8, zip, type AsyncZippable } from 'fflate';
import { type Archive, documentText, MANIFEST, PATHS } from './archive';
import { indexPage } from './index-page';
import { tablesOf } from './tables';

/** Packs everything into one zip file: documents as JSON, tables as CSV, pictures, and a page that lists them. */
export function packArchive(archive: Archive, madeAtMs: number): Promise<Uint8Array> {
  const { shop, builds, runs, pictures } = archive;
  const files: AsyncZippable = {
    [MANIFEST.path]: strToU8(
      documentText({
        format: MANIFEST.format,
        version: MANIFEST.version,
        madeAtMs,
        builds: builds.length,
        runs: runs.length,
      }),
    ),
    'index.html': strToU8(indexPage(archive, madeAtMs)),
    [PATHS.shop]: strToU8(documentText(shop)),
  };
  for (const { id, body } of builds) files[PATHS.build.of(id)] = strToU8(documentText(body));
  for (const run of runs) files[PATHS.run.of(run.id)] = strToU8(documentText(run));
  for (const { run, id, bytes } of pictures) files[PATHS.picture.of(run, id)] = [bytes, { level: 0 }];
  for (const [path, text] of Object.entries(tablesOf(shop, runs))) files[path] = strToU8(text);
  return new Promise((done, failed) => {
    zip(files, { level: 6, mtime: madeAtMs }, (error, bytes) =>
      error === null ? done(bytes) : failed(error),
    );
  });
}
