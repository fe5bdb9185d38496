import { InputError } from '@lean-clasp/core/basics';
import {
  type BuildDocument,
  BuildDocumentSchema,
  type RunDocument,
  RunDocumentSchema,
  type ShopDocument,
  ShopDocumentSchema,
  upgradedBuild,
  upgradedRun,
} from '@lean-clasp/core/formats';
import type { Validator } from '@lean-clasp/validation';
import { strFromU8, type Unzipped, unzip } from 'fflate';
import { type Archive, type ArchiveFault, MANIFEST, PATHS } from './archive';

/** More than this is not unpacked: files, bytes of one, and bytes in all. */
const MOST = { files: 60_000, fileBytes: 8_000_000, bytes: 400_000_000 };

/** What could be read of an archive, and what could not. */
export interface ReadArchive {
  readonly archive: Archive;
  readonly faults: readonly ArchiveFault[];
}

/**
 * Reads an archive, documents of any version brought up to date; a file that cannot be read is left out and named.
 * @throws InputError for what is no archive of ours, is of a later version, has no shop, or is too large.
 */
export async function unpackArchive(bytes: Uint8Array, validator: Validator): Promise<ReadArchive> {
  const files = await unzipped(bytes);
  checkManifest(files[MANIFEST.path]);
  const faults: ArchiveFault[] = [];
  const attempt = <T>(path: string, read: () => T): T | undefined => {
    try {
      return read();
    } catch (error) {
      faults.push({ path, says: error instanceof Error ? error.message : 'It cannot be read.' });
      return undefined;
    }
  };
  const shopFile = files[PATHS.shop];
  if (shopFile === undefined) throw noArchive('It holds no shop.');
  const shop: ShopDocument = validator.check(ShopDocumentSchema, parsed(shopFile));
  const builds: Archive['builds'][number][] = [];
  const runs: RunDocument[] = [];
  const pictures: Archive['pictures'][number][] = [];
  for (const [path, content] of Object.entries(files)) {
    const [, build] = PATHS.build.pattern.exec(path) ?? [];
    const [, run] = PATHS.run.pattern.exec(path) ?? [];
    const [, ofRun, picture] = PATHS.picture.pattern.exec(path) ?? [];
    if (build !== undefined) {
      const body = attempt(path, (): BuildDocument =>
        validator.check(BuildDocumentSchema, upgradedBuild(parsed(content))),
      );
      if (body !== undefined) builds.push({ id: build, body });
    } else if (run !== undefined) {
      const document = attempt(path, () =>
        sameRun(run, validator.check(RunDocumentSchema, upgradedRun(parsed(content)))),
      );
      if (document !== undefined) runs.push(document);
    } else if (ofRun !== undefined && picture !== undefined) {
      pictures.push({ run: ofRun, id: picture, bytes: content });
    }
  }
  return { archive: { shop, builds, runs, pictures }, faults };
}

function sameRun(id: string, run: RunDocument): RunDocument {
  if (run.id === id) return run;
  throw new InputError('inconsistent', 'id', `It holds the run ${run.id}.`, 'a file named after its run');
}

function parsed(content: Uint8Array): unknown {
  try {
    return JSON.parse(strFromU8(content)) as unknown;
  } catch {
    throw new InputError('inconsistent', '', 'It is no JSON.', 'a document as this program writes it');
  }
}

function checkManifest(content: Uint8Array | undefined): void {
  const manifest = content === undefined ? null : parsed(content);
  if (
    typeof manifest !== 'object' ||
    manifest === null ||
    !('format' in manifest) ||
    manifest.format !== MANIFEST.format
  ) {
    throw noArchive('It does not say that it is one of ours.');
  }
  if (!('version' in manifest) || manifest.version !== MANIFEST.version) {
    throw noArchive('It is of a version that this program does not know.');
  }
}

function unzipped(bytes: Uint8Array): Promise<Unzipped> {
  const total = { files: 0, bytes: 0 };
  return new Promise((done, failed) => {
    try {
      unzip(
        bytes,
        {
          filter: ({ originalSize }) => {
            total.files += 1;
            total.bytes += originalSize;
            if (originalSize > MOST.fileBytes || total.files > MOST.files || total.bytes > MOST.bytes) {
              throw new InputError(
                'out-of-range',
                'archive',
                'There is more in it than is unpacked here.',
                `${MOST.files} files, ${MOST.fileBytes / 1e6} MB each, ${MOST.bytes / 1e6} MB in all`,
              );
            }
            return true;
          },
        },
        (error, files) =>
          error === null ? done(files) : failed(noArchive('It is damaged, or no zip file.')),
      );
    } catch (error) {
      failed(error instanceof InputError ? error : noArchive('It is damaged, or no zip file.'));
    }
  });
}

const noArchive = (why: string): InputError =>
  new InputError(
    'inconsistent',
    'archive',
    `This is no archive of Lean Clasp. ${why}`,
    'a file that Lean Clasp saved',
  );
