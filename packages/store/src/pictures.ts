import { existsSync } from 'node:fs';
import { mkdir, readdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { InputError } from '@lean-clasp/core/basics';

const FOLDER = 'pictures';
/** Most pictures of one run. */
export const MOST_PICTURES = 40;

/** Pictures of runs, as files beside the database; one that is there is never changed. */
export interface PictureStore {
  /** Path of a picture; undefined where there is none. */
  readonly find: (runId: string, id: string) => string | undefined;
  /**
   * Keeps a picture; the same one sent again changes nothing.
   * @throws InputError where it is no JPEG, tells where or by whom it was taken, has another's id, or is one too many.
   */
  readonly add: (runId: string, id: string, bytes: Buffer) => Promise<void>;
}

/** Opens the pictures of a data folder. Ids are to be checked before: they become names of files. */
export function pictureStore(folder: string): PictureStore {
  const pathOf = (runId: string, id: string) => join(folder, FOLDER, runId, `${id}.jpg`);
  return {
    find: (runId, id) => (existsSync(pathOf(runId, id)) ? pathOf(runId, id) : undefined),
    add: async (runId, id, bytes) => {
      checkPlainJpeg(bytes);
      const path = pathOf(runId, id);
      if (existsSync(path)) {
        if ((await readFile(path)).equals(bytes)) return;
        throw new InputError('inconsistent', 'id', 'Another picture has this id.', 'an id of its own');
      }
      const own = join(folder, FOLDER, runId);
      await mkdir(own, { recursive: true });
      if ((await readdir(own)).length >= MOST_PICTURES) {
        throw new InputError(
          'out-of-range',
          'pictures',
          `This glue-up has ${MOST_PICTURES} pictures already.`,
          `at most ${MOST_PICTURES}`,
        );
      }
      const half = `${path}.half`;
      try {
        await writeFile(half, bytes);
        // One that was cut off never looks like one.
        await rename(half, path);
      } catch (error) {
        await rm(half, { force: true });
        throw error;
      }
    },
  };
}

/** Markers of a JPEG: those without a length, and those that tell of camera, place and person. */
const [MARKER, START, SCAN] = [0xff, 0xd8, 0xda];
const METADATA = [0xe1, 0xed];

/** @throws InputError for anything but a JPEG that tells nothing beside its picture. */
function checkPlainJpeg(bytes: Buffer): void {
  const damaged = () =>
    new InputError('inconsistent', 'body', 'This is no JPEG picture.', 'a JPEG picture without metadata');
  if (bytes[0] !== MARKER || bytes[1] !== START) throw damaged();
  for (let at = 2; ;) {
    const kind = bytes[at + 1];
    if (bytes[at] !== MARKER || kind === undefined || at + 4 > bytes.length) throw damaged();
    if (kind === SCAN) return;
    if (METADATA.includes(kind)) {
      throw new InputError(
        'inconsistent',
        'body',
        'The picture tells by which camera, when or where it was taken.',
        'a JPEG picture without metadata',
      );
    }
    at += 2 + bytes.readUInt16BE(at + 2);
  }
}
