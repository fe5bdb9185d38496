import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { InputError } from '@lean-clasp/core/basics';
import { DEMO_SHOP, seasonRuns, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import { BuildDocumentSchema } from '@lean-clasp/core/formats';
import { prepareFolder } from '@lean-clasp/store';
import { createValidator } from '@lean-clasp/validation';
import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import {
  type Archive,
  gatherArchive,
  openWholeShop,
  packArchive,
  takeIn,
  unpackArchive,
  type WholeShop,
} from '.';

const NOW = 1_780_000_000_000;
const validator = createValidator();
const folders: string[] = [];
const open: (() => Promise<void>)[] = [];

afterEach(async () => {
  for (const close of open.splice(0)) await close();
  for (const folder of folders.splice(0)) rmSync(folder, { recursive: true, force: true });
});

/** An empty shop in a folder of its own. */
async function emptyShop(): Promise<WholeShop> {
  const folder = mkdtempSync(join(tmpdir(), 'lean-clasp-archive-'));
  folders.push(folder);
  prepareFolder(folder);
  const { whole, close } = await openWholeShop(folder, validator, () => NOW);
  open.push(close);
  return whole;
}

const floor = stageFloor(DEMO_SHOP);
const demo: Archive = {
  shop: DEMO_SHOP,
  builds: [
    { id: 'stage-floor', body: floor },
    ...wagonBuilds().map(({ id, build }) => ({ id, body: build })),
  ],
  runs: seasonRuns(DEMO_SHOP, NOW),
  pictures: [],
};
let made = 0;
const makeId = () => `made-${(made += 1)}`;
const files = (bytes: Uint8Array) =>
  Object.fromEntries(Object.entries(unzipSync(bytes)).map(([path, content]) => [path, strFromU8(content)]));

describe('an archive', () => {
  it('put into an empty shop and saved again is the same, byte for byte, and a zip to others', async () => {
    const first = await emptyShop();
    await takeIn(demo, first, { mode: 'merge', makeId });
    const bytes = await packArchive(await gatherArchive(first), NOW);
    const { archive, faults } = await unpackArchive(bytes, validator);
    expect(faults).toEqual([]);
    const shop = await emptyShop();
    const outcome = await takeIn(archive, shop, { mode: 'merge', makeId });
    expect(outcome).toMatchObject({
      builds: { fresh: demo.builds.length, same: 0, changed: 0, binned: 0 },
      runs: { fresh: demo.runs.length, known: 0 },
      shop: 'replaced',
      faults: [],
    });
    const again = await packArchive(await gatherArchive(shop), NOW);
    const before = files(bytes);
    for (const [path, text] of Object.entries(files(again))) {
      if (path.endsWith('.json')) expect([path, text]).toEqual([path, before[path]]);
    }
    expect(Object.keys(files(again)).sort()).toEqual(Object.keys(before).sort());
    const path = join(folders[0] ?? '', 'archive.zip');
    writeFileSync(path, bytes);
    expect(execFileSync('python3', ['-m', 'zipfile', '-t', path], { encoding: 'utf8' })).toContain(
      'Done testing',
    );
  });

  it('taken in twice changes nothing the second time', async () => {
    const shop = await emptyShop();
    await takeIn(demo, shop, { mode: 'merge', makeId });
    const first = await gatherArchive(shop);
    for (const mode of ['merge', 'replace'] as const) {
      const outcome = await takeIn(demo, shop, { mode, makeId });
      expect(outcome).toMatchObject({
        builds: { fresh: 0, same: demo.builds.length, changed: 0 },
        shop: 'same',
      });
      expect(await gatherArchive(shop)).toEqual(first);
    }
  });

  it('merged leaves what is there as it is: a build that differs comes as a second one', async () => {
    const shop = await emptyShop();
    await takeIn(demo, shop, { mode: 'merge', makeId });
    const theirs = { ...demo, builds: [{ id: 'stage-floor', body: { ...floor, name: 'Another floor' } }] };
    const looked = await takeIn(theirs, shop, { mode: 'merge', only: true, makeId });
    expect(looked.builds).toEqual({ fresh: 0, same: 0, changed: 1, binned: 0 });
    expect((await gatherArchive(shop)).builds).toHaveLength(demo.builds.length);
    await takeIn(theirs, shop, { mode: 'merge', makeId });
    const names = (await gatherArchive(shop)).builds.map(({ body }) => body.name);
    expect(names).toContain(floor.name);
    expect(names).toContain('Another floor (read in)');
  });

  it('put in place of what is there can be undone, and bins the other builds', async () => {
    const shop = await emptyShop();
    await takeIn(demo, shop, { mode: 'merge', makeId });
    const theirs = { ...demo, builds: [{ id: 'stage-floor', body: { ...floor, name: 'Another floor' } }] };
    const outcome = await takeIn(theirs, shop, { mode: 'replace', makeId });
    expect(outcome.builds).toEqual({ fresh: 0, same: 0, changed: 1, binned: demo.builds.length - 1 });
    const after = await gatherArchive(shop);
    expect(after.builds.map(({ body }) => body.name)).toEqual(['Another floor']);
    expect(after.runs).toHaveLength(demo.runs.length);
    const [edit] = await shop.builds.history('stage-floor');
    expect(edit).toMatchObject({
      label: 'Read in',
      inverse: [{ op: 'replace', path: '/name', value: floor.name }],
    });
    const binned = await shop.builds.page({ limit: 200, binned: true });
    expect(binned.documents).toHaveLength(demo.builds.length - 1);
  });

  it('adds to a shop what it has not, and takes nothing from it', async () => {
    const shop = await emptyShop();
    const [lot, ...others] = DEMO_SHOP.rack;
    const mine = { ...DEMO_SHOP, name: 'Mine', rack: others };
    await shop.shops.create('shop', mine);
    const outcome = await takeIn({ ...demo, builds: [], runs: [] }, shop, { mode: 'merge', makeId });
    expect(outcome.shop).toBe('added-to');
    const after = (await shop.shops.find('shop'))?.body;
    expect(after).toMatchObject({ name: 'Mine', rack: [...others, lot] });
  });

  it('names a file that is damaged and takes the rest', async () => {
    const inside = unzipSync(await packArchive(demo, NOW));
    inside['builds/stage-floor.json'] = strToU8('{"format":"lean-clasp/build","version":2');
    inside['builds/../../evil.json'] = strToU8('{}');
    const { archive, faults } = await unpackArchive(zipSync(inside), validator);
    expect(faults).toEqual([
      { path: 'builds/stage-floor.json', says: expect.stringContaining('no JSON') as string },
    ]);
    expect(archive.builds).toHaveLength(demo.builds.length - 1);
  });

  it.each([
    ['nothing', new Uint8Array()],
    ['words', strToU8('This is no zip file at all, however long it may go on.')],
    ['another zip', zipSync({ 'letter.txt': strToU8('Dear all') })],
    ['a later version', zipSync({ 'archive.json': strToU8('{"format":"lean-clasp/archive","version":9}') })],
    ['a file of ten megabytes of nothing', zipSync({ 'archive.json': new Uint8Array(10_000_000) })],
  ])('refuses %s in a sentence', async (_, bytes) => {
    await expect(unpackArchive(bytes, validator)).rejects.toBeInstanceOf(InputError);
  });

  it('cut short, or with bytes changed anywhere, is refused or read in part, and never crashes', async () => {
    const small: Archive = {
      ...demo,
      builds: demo.builds.slice(0, 2),
      runs: demo.runs.slice(0, 1),
    };
    const whole = await packArchive(small, NOW);
    const harm = fc.record({
      cut: fc.option(fc.nat(whole.length)),
      changed: fc.array(fc.tuple(fc.nat(whole.length - 1), fc.integer({ min: 0, max: 255 })), {
        maxLength: 12,
      }),
    });
    await fc.assert(
      fc.asyncProperty(harm, async ({ cut, changed }) => {
        const bytes = whole.slice(0, cut ?? whole.length);
        for (const [at, value] of changed) if (at < bytes.length) bytes[at] = value;
        try {
          const { archive } = await unpackArchive(bytes, validator);
          for (const { body } of archive.builds) validator.check(BuildDocumentSchema, body);
        } catch (error) {
          expect(error).toBeInstanceOf(InputError);
        }
      }),
      { seed: 43, numRuns: 150 },
    );
  });
});
