import type { BuildDocument, RunDocument, ShopDocument } from '@lean-clasp/core/formats';

/** Everything of a shop: what it has, its builds, its log and the pictures in it. */
export interface Archive {
  readonly shop: ShopDocument;
  readonly builds: readonly ArchivedBuild[];
  readonly runs: readonly RunDocument[];
  readonly pictures: readonly ArchivedPicture[];
}

export interface ArchivedBuild {
  readonly id: string;
  readonly body: BuildDocument;
}

/** A picture of a run, as JPEG. */
export interface ArchivedPicture {
  readonly run: string;
  readonly id: string;
  readonly bytes: Uint8Array;
}

/** A file of an archive that cannot be read, and why. */
export interface ArchiveFault {
  readonly path: string;
  readonly says: string;
}

/** What an archive says of itself. */
export const MANIFEST = { path: 'archive.json', format: 'lean-clasp/archive', version: 1 } as const;

/** Ids become names of files: nothing that leads elsewhere. */
const ID = '([A-Za-z0-9_-]{1,64})';

/** Where each kind of thing lies in an archive. */
export const PATHS = {
  shop: 'shop.json',
  build: { of: (id: string) => `builds/${id}.json`, pattern: new RegExp(`^builds/${ID}\\.json$`) },
  run: { of: (id: string) => `runs/${id}.json`, pattern: new RegExp(`^runs/${ID}\\.json$`) },
  picture: {
    of: (run: string, id: string) => `pictures/${run}/${id}.jpg`,
    pattern: new RegExp(`^pictures/${ID}/${ID}\\.jpg$`),
  },
} as const;

/** A document as archives write it. */
export const documentText = (body: unknown): string => `${JSON.stringify(body, null, 1)}\n`;
