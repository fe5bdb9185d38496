import { fork } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { copiedAtMs, copyName, outdatedCopies } from './copies';
import {
  backUp,
  copyNames,
  copyWhenDue,
  databasePath,
  documentStore,
  lockFolder,
  openDatabase,
  prepareFolder,
  restore,
  StorageError,
} from '.';

const NOW = Date.UTC(2026, 10, 28, 9, 30);
const DAY_MS = 86_400_000;
let folder: string;

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'lean-clasp-folder-'));
});
afterEach(() => {
  chmodSync(folder, 0o700);
  rmSync(folder, { recursive: true, force: true });
});

/** What opening is refused with, in words that name the file and what helps. */
async function refusal(open: () => unknown): Promise<StorageError> {
  try {
    await open();
  } catch (error) {
    if (!(error instanceof StorageError)) throw error;
    expect(error.message).toContain(error.path);
    expect(error.message).not.toMatch(/SQLITE_|undefined|file is not a database/);
    expect(error.remedy.length).toBeGreaterThan(20);
    return error;
  }
  throw new Error('nothing was refused');
}

/** A folder with one build in it, named as told. */
async function withBuild(name: string): Promise<void> {
  const db = await openDatabase(folder);
  const store = documentStore<{ name: string }>(db, {
    kind: 'build',
    check: (body) => body as { name: string },
    now: () => NOW,
    version: null,
  });
  if (await store.knows('a'))
    await db
      .updateTable('documents')
      .set({ body: JSON.stringify({ name }) })
      .execute();
  else await store.create('a', { name });
  await db.destroy();
}

function nameNow(): string {
  const db = new SQLite(databasePath(folder), { readonly: true });
  const body = db.prepare('select body from documents').pluck().get() as string;
  db.close();
  return (JSON.parse(body) as { name: string }).name;
}

describe('a data folder', () => {
  it('is used by one server at a time, and free again when that ends', async () => {
    const lock = lockFolder(folder);
    expect((await refusal(() => lockFolder(folder))).code).toBe('in-use');
    lock.release();
    lockFolder(folder).release();
  });

  it('is free again at once when its server is killed', async () => {
    const script = join(folder, 'hold.cjs');
    const sqlite = require.resolve('better-sqlite3');
    writeFileSync(
      script,
      `const SQLite = require(${JSON.stringify(sqlite)}); const db = new SQLite(process.argv[2]);
       db.exec('BEGIN EXCLUSIVE'); process.send('held'); setInterval(() => db, 1000);`,
    );
    const child = fork(script, [join(folder, 'lean-clasp.lock')]);
    await new Promise((done) => child.once('message', done));
    expect((await refusal(() => lockFolder(folder))).code).toBe('in-use');
    const ended = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await ended;
    lockFolder(folder).release();
  });

  it('is refused where it is a file', async () => {
    const path = join(folder, 'file');
    writeFileSync(path, 'x');
    expect((await refusal(() => prepareFolder(path))).code).toBe('not-a-folder');
  });

  it('is refused where it may not be written to', async () => {
    if (process.getuid?.() === 0) return;
    chmodSync(folder, 0o500);
    expect((await refusal(() => prepareFolder(folder))).code).toBe('read-only');
    expect((await refusal(() => prepareFolder(join(folder, 'inner')))).code).toBe('read-only');
  });
});

describe('a database that cannot be opened', () => {
  it('is told as damaged, and left as it is', async () => {
    writeFileSync(databasePath(folder), 'this is a shopping list, not a database at all'.repeat(40));
    expect((await refusal(() => openDatabase(folder))).code).toBe('damaged');
    await expect(openDatabase(folder)).rejects.toThrow('lean-clasp restore');
  });

  it('is told as damaged where its middle is gone', async () => {
    const db = await openDatabase(folder);
    for (let i = 0; i < 400; i += 1) {
      await db
        .insertInto('air_samples')
        .values({ address: `a${'x'.repeat(200)}${i}`, temp_c: 20, rh_pct: 50, taken_at_ms: i })
        .execute();
    }
    await db.destroy();
    truncateSync(databasePath(folder), 40_000);
    expect((await refusal(() => openDatabase(folder))).code).toBe('damaged');
  });

  it('is told as another program’s', async () => {
    const other = new SQLite(databasePath(folder));
    other.exec('create table recipes (id)');
    other.close();
    expect((await refusal(() => openDatabase(folder))).code).toBe('foreign');
    expect(new SQLite(databasePath(folder)).prepare('select count(*) from recipes').pluck().get()).toBe(0);
  });

  it('is told as a later version’s, and keeps what is in it', async () => {
    await withBuild('Later');
    const db = new SQLite(databasePath(folder));
    db.prepare("insert into kysely_migration values ('9999-later', '2030')").run();
    db.close();
    expect((await refusal(() => openDatabase(folder))).code).toBe('newer');
    expect(nameNow()).toBe('Later');
  });

  it('comes back as it was where it cannot be brought up to date', async () => {
    await withBuild('Before');
    const db = new SQLite(databasePath(folder));
    // As one of an earlier program, in which something stands in the way of what a migration makes.
    db.prepare("delete from kysely_migration where name >= '0005'").run();
    db.close();
    // The binding makes its errors where it was first loaded, so that they may be of another Error than this file's.
    await expect(openDatabase(folder)).rejects.toMatchObject({
      message: expect.stringMatching(/duplicate column|already exists/) as string,
    });
    expect(nameNow()).toBe('Before');
  });

  it('is copied before it is brought up to date', async () => {
    await withBuild('Old');
    const db = new SQLite(databasePath(folder));
    db.exec(`delete from kysely_migration where name >= '0005'; drop index edits_once; drop index documents_by_change;
      alter table documents drop column deleted_at_ms; alter table document_edits drop column edit_id;
      drop table passphrases; drop table secrets; drop trigger run_written; drop trigger run_changed;
      drop table run_figures; drop table run_works; drop table run_lessons; alter table runs drop column evidence;`);
    db.close();
    await (await openDatabase(folder)).destroy();
    expect(readdirSync(folder)).toContain('lean-clasp.sqlite.before-0005-bin-and-edit-ids');
    expect(nameNow()).toBe('Old');
  });
});

describe('copies', () => {
  it('hold one consistent moment while a server writes', async () => {
    await withBuild('While in use');
    const db = await openDatabase(folder);
    let over = false;
    const writing = (async () => {
      for (let i = 0; !over; i += 1) {
        await db.transaction().execute(async (trx) => {
          await trx.updateTable('documents').set({ revision: i, updated_at_ms: i }).execute();
        });
        await new Promise((done) => setImmediate(done));
      }
    })();
    const path = await backUp(folder, NOW);
    over = true;
    await writing;
    await db.destroy();
    const copy = new SQLite(path, { readonly: true });
    expect(copy.pragma('integrity_check', { simple: true })).toBe('ok');
    const row = copy.prepare('select revision, updated_at_ms from documents').get() as Record<string, number>;
    expect(row.revision).toBe(row.updated_at_ms);
    copy.close();
  });

  it('are put back, what was there before among them', async () => {
    await withBuild('First');
    const copy = await backUp(folder, NOW);
    await withBuild('Second');
    const before = await restore(folder, copy, NOW + 1000);
    expect(nameNow()).toBe('First');
    expect(existsSync(before ?? '')).toBe(true);
    await restore(folder, before ?? '', NOW + 2000);
    expect(nameNow()).toBe('Second');
  });

  it('take the place of a database that is damaged', async () => {
    await withBuild('Sound');
    const copy = await backUp(folder, NOW);
    writeFileSync(databasePath(folder), 'torn');
    await restore(folder, copy, NOW + 1000);
    expect(nameNow()).toBe('Sound');
    await (await openDatabase(folder)).destroy();
  });

  it('are not put back under a server that runs, nor when they are none', async () => {
    await withBuild('Here');
    const copy = await backUp(folder, NOW);
    const lock = lockFolder(folder);
    expect((await refusal(() => restore(folder, copy, NOW))).code).toBe('in-use');
    lock.release();
    const list = join(folder, 'list.txt');
    writeFileSync(list, 'eggs'.repeat(500));
    expect((await refusal(() => restore(folder, list, NOW))).code).toBe('damaged');
    expect((await refusal(() => restore(folder, join(folder, 'ghost'), NOW))).code).toBe('gone');
    expect(nameNow()).toBe('Here');
  });

  it('are made once a day, and let go by age: days, then weeks, then months', async () => {
    await withBuild('Daily');
    expect(await copyWhenDue(folder, NOW)).not.toBeNull();
    expect(await copyWhenDue(folder, NOW + DAY_MS / 2)).toBeNull();
    for (let day = 1; day < 30; day += 1) await copyWhenDue(folder, NOW + day * DAY_MS);
    const ages = copyNames(folder).map((name) =>
      Math.round((NOW + 29 * DAY_MS - (copiedAtMs(name) ?? 0)) / DAY_MS),
    );
    expect(ages.filter((age) => age < 7)).toEqual([6, 5, 4, 3, 2, 1, 0]);
    expect(ages.length).toBeLessThan(14);
    expect(Math.max(...ages)).toBeGreaterThan(20);
  });

  it('always leave the newest, and a year back', () => {
    const names = Array.from({ length: 800 }, (_, day) => copyName(NOW - day * DAY_MS));
    const gone = new Set(outdatedCopies(names));
    const left = names.filter((name) => !gone.has(name));
    expect(left[0]).toBe(names[0]);
    expect(left.length).toBeLessThanOrEqual(7 + 5 + 12);
    const oldest = Math.max(...left.map((name) => (NOW - (copiedAtMs(name) ?? NOW)) / DAY_MS));
    expect(oldest).toBeGreaterThan(320);
    expect(outdatedCopies(['notes.txt', copyName(NOW)])).toEqual([]);
  });

  it('that are cut off do not look like one', async () => {
    mkdirSync(join(folder, 'copies'));
    expect((await refusal(() => backUp(folder, NOW))).code).toBe('gone');
    expect(copyNames(folder)).toEqual([]);
  });
});
