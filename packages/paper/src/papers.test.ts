import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gatherList } from '@lean-clasp/core/bench';
import { DEMO_SHOP, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import { fullSizeItems, type Shape } from '@lean-clasp/core/full-size';
import { planBuild, type Plan, settlePlan } from '@lean-clasp/core/plan';
import { newBuild } from '@lean-clasp/core/templates';
import { formatFor, fullSizeName, says } from '@lean-clasp/words';
import DxfParser from 'dxf-parser';
import { shopList } from '@lean-clasp/core/shop-list';
import { PAPERS, type PaperAsk, paperOf, shopListPdf } from '.';

const folder = mkdtempSync(join(tmpdir(), 'lean-clasp-paper-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const plans = [stageFloor(DEMO_SHOP), ...wagonBuilds().map(({ build }) => build)].map((build) =>
  settlePlan(planBuild(build, DEMO_SHOP)),
);
const planOf = (template: string): Plan => {
  const plan = plans.find(({ build }) => build.template === template);
  if (plan === undefined) throw new Error(`The demo has no ${template}.`);
  return plan;
};

const ASK: PaperAsk = {
  what: 'sheet',
  format: 'pdf',
  paper: 'a4',
  units: 'metric',
  session: null,
  link: null,
  today: '2026-04-06',
  closesInMin: 300,
};

/** Two members that meet at an odd angle, between blocks small enough for one sheet. */
function oddCorner(): Plan {
  let made = 0;
  const start = { template: 'odd-angle', name: 'Strut', project: '', service: 'dry', answers: {} } as const;
  const build = newBuild(start, DEMO_SHOP, () => `id-${(made += 1)}`);
  return settlePlan(planBuild(build, DEMO_SHOP));
}

/** What Debian's Poppler, which shares nothing with the writer, makes of a file. */
async function read(plan: Plan, ask: Partial<PaperAsk>, command: string, ...args: string[]): Promise<string> {
  const { bytes } = await paperOf(plan, { ...ASK, ...ask });
  const path = join(folder, 'file.pdf');
  writeFileSync(path, bytes);
  return execFileSync(command, [...args, path, ...(command === 'pdfinfo' ? [] : ['-'])], {
    encoding: 'utf8',
  });
}

const flat = (text: string) => text.replaceAll(/\s+/g, ' ');
const PT_PER_MM = 72 / 25.4;

describe('the glue-up sheet', () => {
  it.each(plans.map((plan) => [plan.build.name, plan] as const))(
    'of %s says everything in the page’s own letters, on a few tagged pages',
    async (_, plan) => {
      const units = plan.build.boards === undefined ? 'metric' : 'imperial';
      const text = flat(await read(plan, { units }, 'pdftotext', '-raw'));
      expect(text).not.toMatch(/undefined|NaN|null|\uFFFD/);
      const f = formatFor(units);
      const sessions = plan.order?.sessions.length ?? 0;
      for (let session = 0; session < sessions; session += 1) {
        // Letters that the face lacks would be gone.
        for (const item of gatherList(plan, session)) expect(text).toContain(flat(says(item, f)));
      }
      expect(text).toContain('Caution');
      const info = await read(plan, {}, 'pdfinfo');
      expect(info).toMatch(/Tagged:\s+yes/);
      const pages = Number(/Pages:\s+(\d+)/.exec(info)?.[1]);
      // The balustrade alone, with 114 joints, takes a fourth.
      expect(pages / sessions).toBeLessThanOrEqual(plan.joints.length > 60 ? 4 : 3);
    },
    60_000,
  );

  it('lies on the paper that is asked for, carries its letters, and opens with a code', async () => {
    const plan = planOf('case');
    for (const paper of ['a4', 'letter'] as const) {
      const info = await read(plan, { paper }, 'pdfinfo');
      const [, wide, high] = /Page size:\s+([\d.]+) x ([\d.]+) pts/.exec(info) ?? [];
      expect(Number(wide) / PT_PER_MM).toBeCloseTo(PAPERS[paper].widthMm, 1);
      expect(Number(high) / PT_PER_MM).toBeCloseTo(PAPERS[paper].heightMm, 1);
    }
    const path = join(folder, 'linked.pdf');
    const link = 'http://192.168.7.4:4620/builds/b1/glue-up';
    writeFileSync(path, (await paperOf(plan, { ...ASK, link })).bytes);
    const fonts = execFileSync('pdffonts', [path], { encoding: 'utf8' }).trim().split('\n').slice(2);
    expect(fonts.length).toBeGreaterThanOrEqual(2);
    for (const font of fonts) expect(font).toMatch(/Atkinson.* yes yes yes/);
    expect(execFileSync('pdfinfo', ['-url', path], { encoding: 'utf8' })).toContain(link);
  });

  it('prints one session alone', async () => {
    const plan = plans.find(({ order }) => (order?.sessions.length ?? 0) > 1);
    if (plan === undefined) throw new Error('The demo has no build of several sessions.');
    const text = flat(await read(plan, { session: 1 }, 'pdftotext', '-raw'));
    expect(text).toContain('session 2 of');
    expect(text).not.toContain('session 1 of');
  });

  it('says at its head what fails', async () => {
    const cold = { ...DEMO_SHOP, climate: { tempC: 1, rhPct: 60 } };
    const plan = settlePlan(planBuild(stageFloor(DEMO_SHOP), cold));
    const text = flat(await read(plan, {}, 'pdftotext', '-f', '1', '-l', '1'));
    expect(text).toContain(`In time fails: ${says(plan.verdicts.inTime.cause, formatFor('metric'))}`);
  });
});

/** Every corner of what is drawn on the pages, in mm from the top left. */
function drawnPaths(svg: string): { readonly widthMm: number; readonly heightMm: number }[] {
  return [...svg.matchAll(/<path[^>]* d="([^"]+)"[^>]*?(?: transform="matrix\(([^)]+)\)")?\/>/g)].flatMap(
    ([, d = '', matrix]) => {
      const numbers = [...d.matchAll(/-?\d+(?:\.\d+)?/g)].map(Number);
      const [a = 1, , , e = 1] = matrix?.split(',').map(Number) ?? [];
      const [xs, ys] = [0, 1].map((odd) => numbers.filter((_, i) => i % 2 === odd));
      if (xs === undefined || ys === undefined || xs.length < 2) return [];
      const span = (values: readonly number[], scale: number) =>
        ((Math.max(...values) - Math.min(...values)) * Math.abs(scale)) / PT_PER_MM;
      return [{ widthMm: span(xs, a), heightMm: span(ys, e) }];
    },
  );
}

describe('templates at full size', () => {
  const within = (one: number, other: number) => Math.abs(one - other) <= 0.1;

  it('are on paper as large as they are, square to measure and all', async () => {
    const plan = oddCorner();
    const [block] = fullSizeItems(plan);
    const [outline] = block?.shapes ?? [];
    if (block === undefined || outline?.kind !== 'line') throw new Error('no block');
    const svg = await read(
      plan,
      { what: 'full-size', item: block.id },
      'pdftocairo',
      '-svg',
      '-noshrink',
      '-paper',
      'match',
    );
    const paths = drawnPaths(svg);
    const spans = [0, 1].map((axis) => {
      const along = outline.points.map((point) => point[axis] ?? 0);
      return Math.max(...along) - Math.min(...along);
    });
    for (const [wide = 0, high = 0] of [[50, 50], spans]) {
      expect(paths.some(({ widthMm, heightMm }) => within(widthMm, wide) && within(heightMm, high))).toBe(
        true,
      );
    }
  });

  it('take as many sheets as show all of them, each with its place', async () => {
    const plan = planOf('bent-lamination');
    const pages = Number(
      /Pages:\s+(\d+)/.exec(await read(plan, { what: 'full-size', item: 'bend-form' }, 'pdfinfo'))?.[1],
    );
    const text = flat(await read(plan, { what: 'full-size', item: 'bend-form' }, 'pdftotext'));
    expect(pages).toBeGreaterThan(1);
    expect(text).toContain(`sheet ${pages} of ${pages}`);
  });

  it.each(
    plans.flatMap((plan) =>
      fullSizeItems(plan).map((item) => [`${plan.build.name}: ${item.id}`, plan, item] as const),
    ),
  )('%s is read back from DXF by another program, line for line', async (_, plan, item) => {
    const { bytes } = await paperOf(plan, { ...ASK, what: 'full-size', item: item.id, format: 'dxf' });
    const dxf = new DxfParser().parseSync(new TextDecoder().decode(bytes));
    if (dxf === null) throw new Error('not read');
    expect(dxf.header.$INSUNITS).toBe(4);
    const drawn = dxf.entities.filter(({ layer }) => layer !== 'words');
    expect(drawn.map(({ layer }) => layer)).toEqual(item.shapes.map(({ layer }) => layer));
    drawn.forEach((entity, i) => expectSame(entity, item.shapes[i]));
  });
});

/** Compares what was read with what the core drew, to a thousandth of a millimetre. */
function expectSame(read: unknown, shape: Shape | undefined): void {
  const entity = read as {
    type: string;
    vertices?: { x: number; y: number }[];
    shape?: boolean;
    center?: { x: number; y: number };
    radius?: number;
    startAngle?: number;
    endAngle?: number;
  };
  if (shape === undefined) throw new Error('more than was drawn');
  if (shape.kind === 'line') {
    expect(entity.type).toBe('LWPOLYLINE');
    expect(entity.shape ?? false).toBe(shape.closed);
    shape.points.forEach(([x, y], i) => {
      expect(entity.vertices?.[i]?.x).toBeCloseTo(x, 3);
      expect(entity.vertices?.[i]?.y).toBeCloseTo(y, 3);
    });
    return;
  }
  expect(entity.type).toBe(shape.kind === 'arc' ? 'ARC' : 'CIRCLE');
  expect(entity.center?.x).toBeCloseTo(shape.centre[0], 3);
  expect(entity.center?.y).toBeCloseTo(shape.centre[1], 3);
  expect(entity.radius).toBeCloseTo(shape.radiusMm, 3);
  if (shape.kind !== 'arc') return;
  const degrees = (angle = NaN) => ((angle * 180) / Math.PI + 720) % 360;
  expect(degrees(entity.startAngle)).toBeCloseTo((shape.fromDeg + 720) % 360, 3);
  expect(degrees(entity.endAngle)).toBeCloseTo((shape.toDeg + 720) % 360, 3);
}

describe('other files', () => {
  it('draws the whole build as SVG in millimetres and as DXF', async () => {
    const plan = planOf('case');
    const svg = new TextDecoder().decode(
      (await paperOf(plan, { ...ASK, what: 'drawing', format: 'svg' })).bytes,
    );
    expect(svg).toMatch(/^<svg [^>]*width="[\d.]+mm"/);
    for (const { part } of plan.facts.parts) expect(svg).toContain(`>${part.label}<`);
    const dxf = new TextDecoder().decode(
      (await paperOf(plan, { ...ASK, what: 'drawing', format: 'dxf' })).bytes,
    );
    expect(new DxfParser().parseSync(dxf)?.entities.length).toBeGreaterThan(20);
  });

  it.each([
    [{ what: 'sheet', format: 'dxf' }, 'format'],
    [{ what: 'drawing', format: 'pdf' }, 'format'],
    [{ what: 'full-size', item: 'wheel' }, 'item'],
  ] as const)('refuses %j and says what there is', async (ask, field) => {
    await expect(paperOf(planOf('case'), { ...ASK, ...ask })).rejects.toMatchObject({ field });
  });
});

describe('the shop list', () => {
  it('says what to buy, borrow and make, in letters that can be read out', async () => {
    const list = shopList(plans.slice(0, 4), DEMO_SHOP);
    const path = join(folder, 'list.pdf');
    writeFileSync(path, await shopListPdf(list, 'letter', 'imperial'));
    const text = flat(execFileSync('pdftotext', ['-raw', path, '-'], { encoding: 'utf8' }));
    expect(text).not.toMatch(/undefined|NaN|null|\uFFFD/);
    for (const { build } of plans.slice(0, 4)) expect(text).toContain(build.name);
    for (const { item } of list.make) expect(text).toContain(flat(fullSizeName(item)));
    for (const heading of ['Glue', 'To borrow', 'To make']) expect(text).toContain(heading);
    const info = execFileSync('pdfinfo', [path], { encoding: 'utf8' });
    expect(info).toMatch(/Tagged:\s+yes/);
    const left = [{ build: 'Odd shelf', why: 'There is no wood "own-9".' }];
    const empty = await shopListPdf({ builds: [], glue: [], borrow: [], make: [], left }, 'a4', 'metric');
    writeFileSync(path, empty);
    const none = execFileSync('pdftotext', [path, '-'], { encoding: 'utf8' });
    expect(none).toContain('No build waits');
    expect(none).toContain('Odd shelf: There is no wood');
  });
});

/** Area of an outline by its corners, mm². */
const areaOf = (outline: readonly (readonly [number, number])[]): number =>
  Math.abs(
    outline.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = outline[(i + 1) % outline.length] ?? [x, y];
      return sum + (x * nextY - nextX * y) / 2;
    }, 0),
  );

/** What triangles that close around a solid hold, mm³; turned the wrong way it is negative. */
const volumeOf = (triangles: readonly (readonly (readonly number[])[])[]): number =>
  triangles.reduce((sum, [a = [], b = [], c = []]) => {
    const [[ax = 0, ay = 0, az = 0], [bx = 0, by = 0, bz = 0], [cx = 0, cy = 0, cz = 0]] = [a, b, c];
    return sum + (ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx)) / 6;
  }, 0);

describe('blocks for a printer', () => {
  const plan = oddCorner();
  const blocks = fullSizeItems(plan).filter(({ kind }) => kind === 'block');
  const printed = async (item: string, format: 'stl' | '3mf') =>
    Buffer.from((await paperOf(plan, { ...ASK, what: 'full-size', item, format })).bytes);

  it('close around as much wood as the template has, in both formats', async () => {
    expect(blocks.length).toBeGreaterThan(0);
    for (const { id, outline = [], thicknessMm } of blocks) {
      const wanted = areaOf(outline) * (thicknessMm ?? 0);
      const stl = await printed(id, 'stl');
      const count = stl.readUInt32LE(80);
      expect(stl).toHaveLength(84 + 50 * count);
      const triangles = Array.from({ length: count }, (_, i) =>
        [1, 2, 3].map((corner) =>
          [0, 1, 2].map((axis) => stl.readFloatLE(84 + 50 * i + 12 * corner + 4 * axis)),
        ),
      );
      expect(volumeOf(triangles) / wanted).toBeCloseTo(1, 4);
      const highest = Math.max(...triangles.flat().map((corner) => corner[2] ?? 0));
      expect(highest).toBeCloseTo(thicknessMm ?? 0, 3);

      const path = join(folder, 'block.3mf');
      writeFileSync(path, await printed(id, '3mf'));
      execFileSync('unzip', ['-tq', path]);
      const model = execFileSync('unzip', ['-p', path, '3D/3dmodel.model'], { encoding: 'utf8' });
      expect(model).toContain('unit="millimeter"');
      const numbers = (tag: string, names: readonly string[]) =>
        [...model.matchAll(new RegExp(`<${tag} [^>]*>`, 'g'))].map(([found]) =>
          names.map((name) => Number(new RegExp(` ${name}="([^"]+)"`).exec(found)?.[1])),
        );
      const vertices = numbers('vertex', ['x', 'y', 'z']);
      const faces = numbers('triangle', ['v1', 'v2', 'v3']).map((face) => face.map((i) => vertices[i] ?? []));
      expect(volumeOf(faces) / wanted).toBeCloseTo(1, 4);
    }
  });

  it('are blocks alone', async () => {
    const panel = planOf('edge-panel');
    const ask = { ...ASK, what: 'full-size', item: 'clamp-strip', format: 'stl' } as const;
    await expect(paperOf(panel, ask)).rejects.toThrow('Only a block of one thickness can be printed.');
    await expect(paperOf(panel, { ...ASK, what: 'drawing', format: '3mf' })).rejects.toThrow('no 3mf');
  });
});
