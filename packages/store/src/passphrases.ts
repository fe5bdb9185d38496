import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { InputError } from '@lean-clasp/core/basics';
import type { Database } from './database';

/** What somebody from the network may do: run glue-ups, or everything. */
export const ROLES = ['owner', 'bench'] as const;
export type Role = (typeof ROLES)[number];

/** Phrases that let people in from the network, and the secret that sessions are signed with. */
export interface PassphraseStore {
  /** Which are set, and when. */
  readonly list: () => Promise<{ readonly role: Role; readonly setAtMs: number }[]>;
  /** Sets one; whoever came in by the one of before is out. @throws InputError where the other role has the same. */
  readonly set: (role: Role, phrase: string) => Promise<void>;
  /** Takes one away; whoever came in by it is out. */
  readonly remove: (role: Role) => Promise<void>;
  /** Whom a phrase lets in, with the mark of its setting; null for nobody. */
  readonly whose: (phrase: string) => Promise<{ readonly role: Role; readonly mark: string } | null>;
  /** Whether a mark is that of the phrase that is set now. */
  readonly holds: (role: Role, mark: string) => Promise<boolean>;
  /** Signs sessions; made when first asked for. */
  readonly secret: () => Promise<string>;
}

/** Shortest and longest phrase, characters. */
const LENGTH = { min: 10, max: 200 };

/** Work of one look at a phrase: 32 MB and about a tenth of a second, so that guessing from a stolen file is slow. */
const SCRYPT = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };
const KEY_BYTES = 32;

/**
 * A phrase as it is compared: letters typed in different ways are the same, spaces around it do not count.
 * @throws InputError where it is too short or too long.
 */
export function readPassphrase(text: string): string {
  const phrase = text.normalize('NFKC').trim();
  if (phrase.length >= LENGTH.min && phrase.length <= LENGTH.max) return phrase;
  throw new InputError(
    'out-of-range',
    'passphrase',
    phrase.length < LENGTH.min
      ? `The passphrase has ${phrase.length} characters, which is soon guessed. Take three or four words.`
      : `The passphrase has ${phrase.length} characters.`,
    `${LENGTH.min} to ${LENGTH.max} characters`,
  );
}

/** The phrases in the database. */
export function passphraseStore(db: Database, now: () => number): PassphraseStore {
  const rows = () => db.selectFrom('passphrases').selectAll().orderBy('role').execute();
  const oneAtATime = inTurn();

  /** Every phrase that is set is looked at, so that the time it takes says nothing. */
  const whose: PassphraseStore['whose'] = async (phrase) => {
    const stored = await rows();
    const hashes = await oneAtATime(() => Promise.all(stored.map(({ salt }) => hashed(phrase, salt))));
    const found = stored.filter(({ hash }, i) =>
      timingSafeEqual(Buffer.from(hash, 'base64'), hashes[i] ?? Buffer.alloc(KEY_BYTES)),
    )[0];
    return found === undefined ? null : { role: found.role, mark: found.mark };
  };

  return {
    list: async () => (await rows()).map(({ role, set_at_ms }) => ({ role, setAtMs: set_at_ms })),
    set: async (role, text) => {
      const phrase = readPassphrase(text);
      const already = await whose(phrase);
      if (already !== null && already.role !== role) {
        throw new InputError(
          'inconsistent',
          'passphrase',
          'Owner and bench cannot have the same passphrase.',
          'another one',
        );
      }
      const salt = randomBytes(16).toString('base64');
      const row = {
        role,
        salt,
        hash: (await hashed(phrase, salt)).toString('base64'),
        mark: randomBytes(12).toString('base64url'),
        set_at_ms: now(),
      };
      await db.replaceInto('passphrases').values(row).execute();
    },
    remove: async (role) => {
      await db.deleteFrom('passphrases').where('role', '=', role).execute();
    },
    whose: (text) => whose(text.normalize('NFKC').trim()),
    holds: async (role, mark) => (await rows()).some((row) => row.role === role && row.mark === mark),
    secret: async () => {
      await db
        .insertInto('secrets')
        .values({ name: 'sessions', value: randomBytes(32).toString('base64url') })
        .onConflict((conflict) => conflict.doNothing())
        .execute();
      const row = await db
        .selectFrom('secrets')
        .select('value')
        .where('name', '=', 'sessions')
        .executeTakeFirstOrThrow();
      return row.value;
    },
  };
}

const hashed = (phrase: string, salt: string): Promise<Buffer> =>
  new Promise((done, fail) => {
    scrypt(phrase, Buffer.from(salt, 'base64'), KEY_BYTES, SCRYPT, (error, key) => {
      if (error === null) done(key);
      else fail(error);
    });
  });

/** Lets one after another do what takes much memory. */
function inTurn() {
  let last: Promise<unknown> = Promise.resolve();
  return <T>(work: () => Promise<T>): Promise<T> => {
    const mine = last.then(work, work);
    last = mine.catch(() => undefined);
    return mine;
  };
}
