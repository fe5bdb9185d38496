import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO_SHOP } from '@lean-clasp/core/demo';
import { documentStore, openDatabase, passphraseStore, prepareFolder } from '@lean-clasp/store';
import { main } from './main';

async function run(args: readonly string[], input = '') {
  const out: string[] = [];
  const err: string[] = [];
  const code = await main(args, {
    readInput: () => Promise.resolve(input),
    out: (line) => out.push(line),
    err: (line) => err.push(line),
  });
  return { code, out: out.join('\n'), err: err.join('\n') };
}

describe('lean-clasp calc', () => {
  it('prints one JSON object and exits 0', async () => {
    const { code, out, err } = await run(['calc', 'emc'], '{"tempC":10,"rhPct":80}');
    expect([code, err]).toEqual([0, '']);
    expect((JSON.parse(out) as { emcPct: number }).emcPct).toBeCloseTo(16.38, 2);
  });

  it('reads a file', async () => {
    const file = join(tmpdir(), `lean-clasp-cli-${process.pid}.json`);
    writeFileSync(file, '{"species":"hard-maple","widthMm":600,"cut":"flat","mcFromPct":6,"mcToPct":10}');
    const { out } = await run(['calc', 'movement', '--in', file]);
    expect((JSON.parse(out) as { changeMm: number }).changeMm).toBeCloseTo(8.472, 3);
  });

  it('answers a refused glue with exit 0: infeasible is an answer', async () => {
    const input = '{"adhesive":"pva-interior","tempC":3,"rhPct":60,"faces":1,"species":"cherry"}';
    const { code, out } = await run(['calc', 'adhesive-window'], input);
    expect([code, (JSON.parse(out) as { refused: boolean }).refused]).toEqual([0, true]);
  });

  it.each([
    ['an unknown name', ['calc', 'magic'], '{}', 'name'],
    ['no name', ['calc'], '{}', 'name'],
    ['what is not JSON', ['calc', 'emc'], 'tempC: 20', ''],
    ['a number out of range', ['calc', 'emc'], '{"tempC":20,"rhPct":130}', 'rhPct'],
    ['a file that is not there', ['calc', 'emc', '--in', '/no/such/file'], '', 'in'],
    ['an unknown command', ['juggle'], '', 'command'],
    ['an unknown option', ['calc', 'emc', '--loud'], '', 'options'],
    ['an unknown catalogue', ['list', 'hats'], '', 'catalogue'],
  ])('exits 2 for %s with the error on standard error', async (_name, args, input, field) => {
    const { code, out, err } = await run(args, input);
    expect([code, out]).toEqual([2, '']);
    const { error } = JSON.parse(err) as { error: Record<string, string> };
    expect(Object.keys(error)).toEqual(['code', 'field', 'message', 'allowed']);
    expect(error.field).toBe(field);
  });

  it('lists calculations with schemas, and catalogues with every coefficient', async () => {
    const listed = JSON.parse((await run(['calc', '--list'])).out) as { name: string }[];
    expect(listed.map(({ name }) => name)).toContain('spread');
    const species = JSON.parse((await run(['list', 'species'])).out) as {
      id: string;
      properties: { sg: number };
    }[];
    expect(species.find(({ id }) => id === 'red-oak')?.properties.sg).toBe(0.63);
    for (const catalogue of ['adhesives', 'clamps', 'methods']) {
      expect((JSON.parse((await run(['list', catalogue])).out) as unknown[]).length).toBeGreaterThan(4);
    }
  });

  it('explains itself when asked nothing', async () => {
    expect(await run([])).toMatchObject({
      code: 0,
      out: expect.stringContaining('lean-clasp calc NAME') as string,
    });
  });
});

describe('lean-clasp plan', () => {
  it('plans a kind by its answers, all of it in words', async () => {
    const { code, out } = await run(['plan'], '{"template":"reglue","answers":{}}');
    const plan = JSON.parse(out) as {
      bench: { says: string }[];
      gather: { says: string }[];
      verdicts: Record<string, { state: string; says: string }>;
    };
    expect(code).toBe(0);
    expect(plan.bench.length).toBeGreaterThan(5);
    for (const { says } of [...plan.bench, ...plan.gather, ...Object.values(plan.verdicts)]) {
      expect(says).not.toMatch(/^[a-z]+(-[a-z]+)+$|undefined|NaN/);
    }
  });

  it('gives the same three boards the same figures as panel, reglue and slab', async () => {
    const boards = [0, 1, 2].map((i) => ({
      id: `board-${i + 1}`,
      species: 'red-oak',
      widthMm: 360,
      thicknessMm: 32,
      lengthMm: 1300,
      cut: 'flat',
      heart: i % 2 === 0 ? 'up' : 'down',
      ringRadiusMm: 80,
      mcPct: null,
    }));
    const alike = {
      service: 'dry',
      glue: { adhesive: 'pva-interior', method: 'brush', faces: 1 },
      goals: { flatMm: 1, squareMm: 1 },
      climate: { tempC: 20, rhPct: 50 },
    };
    const row = (caulPairs: number) => ({
      holding: { barsTouch: true, barClearanceMm: 0.3, caulPairs, endStops: true, heldFlatLater: false },
    });
    const sizes = { species: 'red-oak', lengthMm: 1300, thicknessMm: 32 };
    const asked = (caulPairs: number) => [
      { template: 'edge-panel', boards, ...alike, row: row(caulPairs) },
      {
        template: 'reglue',
        answers: { ...sizes, pieces: 3, widthMm: 1080 },
        ...alike,
        row: row(caulPairs),
      },
      {
        template: 'heavy-slab',
        answers: { ...sizes, planks: 3, widthMm: 1080, caulPairs },
        ...alike,
        row: row(caulPairs),
      },
    ];
    interface Answer {
      totals: { handsOnMin: number };
      joints: { pressure: { minMPa: number } }[];
      verdicts: Record<string, { state: string; figure: number | null }>;
    }
    for (const [caulPairs, within] of [
      [0, 0.02],
      [2, 0.05],
    ] as const) {
      const answers: Answer[] = [];
      for (const input of asked(caulPairs)) {
        const { code, out, err } = await run(['plan'], JSON.stringify({ ...input, shop: DEMO_SHOP }));
        expect([code, err]).toEqual([0, '']);
        answers.push(JSON.parse(out) as Answer);
      }
      const [panel, ...others] = answers;
      if (panel === undefined) throw new Error('nothing was planned');
      for (const other of others) {
        const share = other.totals.handsOnMin / panel.totals.handsOnMin;
        expect(Math.abs(share - 1)).toBeLessThanOrEqual(within);
        other.joints.forEach(({ pressure }, i) => {
          const ratio = pressure.minMPa / (panel.joints[i]?.pressure.minMPa ?? NaN);
          expect(Math.abs(ratio - 1)).toBeLessThanOrEqual(within);
        });
        expect(Object.values(other.verdicts).map(({ state }) => state)).toEqual(
          Object.values(panel.verdicts).map(({ state }) => state),
        );
      }
    }
  });

  it('exits 2 for what cannot be made', async () => {
    const { code, out, err } = await run(['plan'], '{"template":"edge-panel","answers":{"boards":1}}');
    expect([code, out]).toEqual([2, '']);
    expect(JSON.parse(err)).toMatchObject({ error: { field: 'answers.boards' } });
  });
});

describe('lean-clasp check', () => {
  const frame = JSON.stringify({ template: 'tenon-frame', answers: {}, shop: DEMO_SHOP });

  it('says whether a plan holds in four lines, and exits 1 where it does not', async () => {
    const good = await run(['check'], frame);
    expect(good.out.split('\n')).toHaveLength(4);
    expect(good.code).toBe(good.out.includes(': fails') ? 1 : 0);
    const cold = { ...DEMO_SHOP, climate: { tempC: 1, rhPct: 60 } };
    const bad = await run(
      ['check', '--json'],
      JSON.stringify({ template: 'tenon-frame', answers: {}, shop: cold }),
    );
    expect(bad.code).toBe(1);
    expect((JSON.parse(bad.out) as { state: string }[])[0]?.state).toBe('fails');
  });

  it('refuses units that there are not', async () => {
    const { code, err } = await run(['check', '--units', 'cubits'], frame);
    expect([code, err]).toEqual([2, expect.stringContaining('metric or imperial')]);
  });
});

describe('lean-clasp sheet, templates, export and import', () => {
  const folder = mkdtempSync(join(tmpdir(), 'lean-clasp-cli-files-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const bend = JSON.stringify({ template: 'bent-lamination', answers: {}, shop: DEMO_SHOP });

  it('write what they say they wrote', async () => {
    const to = join(folder, 'sheet.pdf');
    expect(await run(['sheet', '--to', to, '--paper', 'letter'], bend)).toMatchObject({ code: 0, out: to });
    expect(readFileSync(to).subarray(0, 5).toString()).toBe('%PDF-');
    expect((await run(['templates'], bend)).out).toContain('bend-form: Form');
    const made = await run(['templates', '--to', join(folder, 'made'), '--format', 'dxf'], bend);
    for (const path of made.out.split('\n')) expect(readFileSync(path, 'utf8')).toContain('AcDbEntity');
    expect((await run(['sheet'], bend)).code).toBe(2);
  });

  it('carry a shop from one folder to another', async () => {
    const [from, to] = [join(folder, 'from'), join(folder, 'to')];
    const zip = join(folder, 'all.zip');
    prepareFolder(from);
    const db = await openDatabase(from);
    const shops = documentStore<object>(db, {
      kind: 'shop',
      check: (body) => body as object,
      now: Date.now,
      version: null,
    });
    await shops.create('shop', DEMO_SHOP);
    await db.destroy();
    expect(await run(['export', '--data', from, '--to', zip])).toMatchObject({ code: 0, out: zip });
    const looked = await run(['import', zip, '--data', to, '--look']);
    expect(JSON.parse(looked.out)).toMatchObject({ shop: 'replaced', builds: { fresh: 0 } });
    await run(['import', zip, '--data', to]);
    expect(JSON.parse((await run(['import', zip, '--data', to])).out)).toMatchObject({ shop: 'same' });
    expect((await run(['import', join(folder, 'none.zip')])).code).toBe(2);
  });
});

describe('lean-clasp backup and restore', () => {
  it('copies a folder’s database and puts it back, saying where each lies', async () => {
    const data = mkdtempSync(join(tmpdir(), 'lean-clasp-cli-'));
    const db = await openDatabase(data);
    await db.destroy();
    const made = await run(['backup', '--data', data]);
    expect([made.code, made.err]).toEqual([0, '']);
    expect(existsSync(made.out)).toBe(true);
    const named = join(data, 'mine.sqlite');
    expect((await run(['backup', '--data', data, '--to', named])).out).toBe(named);
    const back = await run(['restore', named, '--data', data]);
    expect([back.code, back.err]).toEqual([0, '']);
    expect(back.out).toContain('what was there before lies at');
    rmSync(data, { recursive: true });
  });

  it('says in words what cannot be', async () => {
    const data = mkdtempSync(join(tmpdir(), 'lean-clasp-cli-'));
    const none = await run(['backup', '--data', data]);
    expect(none.code).toBe(3);
    expect(none.err).toContain('There is no database at');
    expect((await run(['restore', '--data', data])).code).toBe(2);
    expect((await run(['restore', join(data, 'ghost'), '--data', data])).err).toContain('There is no file');
    rmSync(data, { recursive: true });
  });
});

describe('lean-clasp passphrase', () => {
  it('sets who comes in from the network, and takes it away', async () => {
    const data = mkdtempSync(join(tmpdir(), 'lean-clasp-cli-'));
    const whose = async (phrase: string) => {
      const db = await openDatabase(data);
      const found = await passphraseStore(db, Date.now).whose(phrase);
      await db.destroy();
      return found?.role ?? null;
    };
    expect(await run(['passphrase', 'bench', '--data', data], 'mallet water and rag\n')).toMatchObject({
      code: 0,
    });
    expect(await whose('mallet water and rag')).toBe('bench');
    expect((await run(['passphrase', 'owner', '--data', data], 'short\n')).code).toBe(2);
    expect((await run(['passphrase', 'guest', '--data', data], 'mallet water and rag\n')).err).toContain(
      'owner or bench',
    );
    expect(await run(['passphrase', 'bench', '--remove', '--data', data])).toMatchObject({ code: 0 });
    expect(await whose('mallet water and rag')).toBeNull();
    rmSync(data, { recursive: true });
  });
});
