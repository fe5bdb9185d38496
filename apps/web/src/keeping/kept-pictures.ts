import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** A picture that the server does not have yet. */
export interface KeptPicture {
  readonly run: string;
  readonly id: string;
  readonly blob: Blob;
}

interface Schema extends DBSchema {
  readonly pictures: { readonly key: string; readonly value: KeptPicture };
}

/** Pictures have a database of their own: they are large, and older pages need not make way for it. */
const DATABASE = 'lean-clasp-pictures';

let opened: Promise<IDBPDatabase<Schema>> | undefined;

async function db(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>(DATABASE, 1, {
    upgrade: (made) => void made.createObjectStore('pictures', { keyPath: 'id' }),
  }).catch((error: unknown) => {
    opened = undefined;
    throw error;
  });
  return opened;
}

/** Pictures that wait to be sent. @throws where the browser keeps nothing. */
export const keptPictures = {
  all: async (): Promise<readonly KeptPicture[]> => (await db()).getAll('pictures'),
  keep: async (picture: KeptPicture): Promise<void> => {
    await (await db()).put('pictures', picture);
  },
  forget: async (id: string): Promise<void> => (await db()).delete('pictures', id),
};
