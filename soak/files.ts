import { packArchive, unpackArchive } from '@lean-clasp/archive';
import { InputError } from '@lean-clasp/core/basics';
import { DEMO_SHOP, seasonRuns, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import {
  BuildDocumentSchema,
  RunDocumentSchema,
  ShopDocumentSchema,
  upgradedBuild,
  upgradedRun,
} from '@lean-clasp/core/formats';
import {
  BOTTLES_TABLE,
  cutListTable,
  PART_SIZES,
  printTable,
  RACK_TABLE,
  type Table,
} from '@lean-clasp/core/tables';
import { liveEdges, mitreCorners } from '@lean-clasp/core/outline';
import { createValidator } from '@lean-clasp/validation';
import { cellFaultWords } from '@lean-clasp/words';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { JSDOM } from 'jsdom';
import { dxfStrokes } from '../apps/web/src/outline/dxf-strokes';
import { outlineAmong } from '../apps/web/src/outline/contour';
import { svgStrokes } from '../apps/web/src/outline/svg-strokes';
import { decodeText } from '../apps/web/src/parts/decode-text';
import { readCells } from '../apps/web/src/tables/table-files';
import { type Random, seeded } from './random';

/** What came of reading so many bad files with each importer. */
export interface FilesOutcome {
  readonly read: Readonly<Record<string, number>>;
  /** Taken all the same: what was spoilt in them does not matter, or only part of them was left out. */
  readonly taken: Readonly<Record<string, number>>;
  readonly slowestMs: number;
  readonly faults: readonly { readonly importer: string; readonly file: number; readonly said: string }[];
}

/** Longer than this is as good as hanging, ms. */
const MOST_MS = 5000;
const NOW_MS = 1_780_000_000_000;

/** A good file, and what reads it: taken, or not for reasons that are told. */
interface Importer {
  readonly good: (random: Random) => Uint8Array;
  /** Spoils what lies within; left out for files that are only text. */
  readonly within?: (file: Uint8Array, random: Random) => Uint8Array;
  /** @returns sentences about what was left out. */
  readonly read: (file: Uint8Array) => Promise<readonly string[]> | readonly string[];
}

const validator = createValidator();
const json = (value: unknown) => strToU8(JSON.stringify(value));
const parsed = (file: Uint8Array): unknown => {
  try {
    return JSON.parse(decodeText(file)) as unknown;
  } catch {
    throw new InputError('inconsistent', '', 'The file is no JSON.', 'one document as it was saved');
  }
};
const builds = [{ id: 'stage-floor', build: stageFloor(DEMO_SHOP) }, ...wagonBuilds()];
const runs = seasonRuns(DEMO_SHOP, NOW_MS);

function tableImporter<Row>(table: Table<Row>, rows: readonly Row[]): Importer {
  const lines = printTable(rows, table);
  return {
    good: (random) => {
      const between = random.one([',', ';', '\t']);
      return strToU8(lines.map((line) => line.map((cell) => `"${cell}"`).join(between)).join('\n'));
    },
    read: (file) => {
      const { rows: read } = readCells(decodeText(file), table, 'metric');
      for (const { row, faults } of read) {
        if (row === null && faults.length === 0) throw new Error('a row is left out without a word');
      }
      return read.flatMap(({ faults }) => faults.map(cellFaultWords));
    },
  };
}

/** A slab with one bowed edge as DXF, in inches. */
const OUTLINE = [
  ...[0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, 1, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES'],
  ...[
    0,
    'LWPOLYLINE',
    8,
    'cut',
    90,
    4,
    70,
    1,
    10,
    0,
    20,
    0,
    42,
    -0.1,
    10,
    40,
    20,
    0,
    10,
    40,
    20,
    12,
    10,
    0,
    20,
    12,
  ],
  ...[0, 'ARC', 8, 'cut', 10, 5, 20, 5, 40, 2, 50, 0, 51, 270, 0, 'ENDSEC', 0, 'EOF'],
].join('\n');

/** The gable of a house with a bowed door in it as SVG, moved and scaled. */
const GABLE = `<svg xmlns="http://www.w3.org/2000/svg" width="1200mm" height="900mm" viewBox="0 0 1200 900">
<defs><circle cx="9" cy="9" r="9"/></defs><g transform="translate(40 30) scale(1.1)"><polygon points="0,300 400,0 800,300 800,700 0,700"/>
<path transform="rotate(2)" d="M300 700 V420 C 300 300 500 300 500 420 V700 Z"/><rect x="20" y="320" width="80" height="60"/></g></svg>`;

/** What reads SVG in a browser stands in a window here. */
function svgImporter(): Importer {
  globalThis.DOMParser = new JSDOM().window.DOMParser;
  return {
    good: () => strToU8(GABLE),
    read: (file) => {
      mitreCorners(outlineAmong(svgStrokes(decodeText(file))));
      return [];
    },
  };
}

const IMPORTERS: Readonly<Record<string, Importer>> = {
  build: {
    good: (random) => json(random.one(builds).build),
    read: (file) => {
      validator.check(BuildDocumentSchema, upgradedBuild(parsed(file)));
      return [];
    },
  },
  shop: {
    good: () => json(DEMO_SHOP),
    read: (file) => {
      validator.check(ShopDocumentSchema, parsed(file));
      return [];
    },
  },
  run: {
    good: (random) => json(random.one(runs)),
    read: (file) => {
      validator.check(RunDocumentSchema, upgradedRun(parsed(file)));
      return [];
    },
  },
  'cut-list': tableImporter(
    cutListTable('cherry', [], PART_SIZES),
    Array.from({ length: 12 }, (_, i) => ({
      id: `r${i}`,
      name: `Rail ${i}`,
      count: 1 + (i % 3),
      lengthMm: 300 + 40 * i,
      widthMm: 40 + i,
      thicknessMm: 20,
      species: 'white-oak',
    })),
  ),
  outline: {
    good: () => strToU8(OUTLINE),
    read: (file) => {
      liveEdges(outlineAmong(dxfStrokes(decodeText(file))));
      return [];
    },
  },
  rack: tableImporter(RACK_TABLE, DEMO_SHOP.rack),
  shelf: tableImporter(BOTTLES_TABLE, DEMO_SHOP.bottles),
};

/** An archive packed once; each file spoils another place of it. */
async function archiveImporter(): Promise<Importer> {
  const good = await packArchive(
    {
      shop: DEMO_SHOP,
      builds: builds.slice(0, 3).map(({ id, build }) => ({ id, body: build })),
      runs: runs.slice(0, 2),
      pictures: [],
    },
    NOW_MS,
  );
  return {
    good: () => good,
    within: (file, random) => {
      const files = unzipSync(file);
      const path = random.one(Object.keys(files));
      const { [path]: spoilt = new Uint8Array(), ...others } = files;
      const renamed = random.chance(0.2)
        ? random.one(['../../shop.json', 'builds/a/b.json', '', '/etc/x'])
        : path;
      return zipSync({ ...others, [renamed]: spoil(spoilt, random) });
    },
    read: async (file) => (await unpackArchive(file, validator)).faults.map(({ says }) => says),
  };
}

const NASTY = [
  'null',
  '-1',
  '1e308',
  '"\\u0000"',
  '[[[[',
  '{"__proto__":{"x":1}}',
  '""',
  'NaN',
  '=1+1',
  '9'.repeat(400),
];

/** One or a few things wrong with a file: cut short, bytes changed, pieces twice or gone, nonsense put in, or grown large. */
function spoil(file: Uint8Array, random: Random): Uint8Array {
  switch (random.whole(7)) {
    case 0:
      return file.slice(0, random.whole(file.length + 1));
    case 1: {
      const changed = file.slice();
      for (let i = 0; i <= random.whole(8); i += 1)
        changed[random.whole(Math.max(1, file.length))] = random.whole(256);
      return changed;
    }
    case 2: {
      const from = random.whole(file.length + 1);
      const to = Math.min(file.length, from + random.whole(400));
      return joined(file.slice(0, to), file.slice(from));
    }
    case 3: {
      const from = random.whole(file.length + 1);
      return joined(file.slice(0, from), file.slice(from + random.whole(400)));
    }
    case 4: {
      const text = strFromU8(file, true);
      const values = [...text.matchAll(/"[^"]*"|-?\d+(?:\.\d+)?/g)];
      if (values.length === 0) return new Uint8Array();
      const at = random.one(values);
      return strToU8(text.slice(0, at.index) + random.one(NASTY) + text.slice(at.index + at[0].length), true);
    }
    case 5:
      return Uint8Array.from({ length: random.whole(2000) }, () => random.whole(256));
    default: {
      const copies = 1 + random.whole(12);
      return joined(...Array.from({ length: copies }, () => file));
    }
  }
}

function joined(...pieces: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(pieces.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const piece of pieces) {
    all.set(piece, at);
    at += piece.length;
  }
  return all;
}

/** What is quoted of a file is its own. */
const isSentence = (text: string) =>
  /^\S.{6,}/s.test(text) && !/undefined|NaN|\[object|must NOT/.test(text.replaceAll(/“[^”]*”|"[^"]*"/gs, ''));

/** Reads so many spoilt files with each importer: none may crash it, hang it or go by without a sentence. */
export async function files({
  each,
  seed,
}: {
  readonly each: number;
  readonly seed: number;
}): Promise<FilesOutcome> {
  const importers = { ...IMPORTERS, 'svg-outline': svgImporter(), archive: await archiveImporter() };
  const faults: FilesOutcome['faults'][number][] = [];
  const read: Record<string, number> = {};
  const taken: Record<string, number> = {};
  let slowestMs = 0;
  for (const [importer, { good, within, read: reads }] of Object.entries(importers)) {
    // Each begins anew, so that what one did can be done again alone.
    const random = seeded(seed);
    read[importer] = each;
    taken[importer] = 0;
    for (let file = 0; file < each; file += 1) {
      const whole = good(random);
      const bad = within !== undefined && random.chance(0.6) ? within(whole, random) : spoil(whole, random);
      const startedAt = performance.now();
      const said: string[] = [];
      try {
        said.push(...(await reads(bad)));
        taken[importer] += 1;
      } catch (error) {
        if (error instanceof InputError) said.push(error.message);
        else
          faults.push({
            importer,
            file,
            said: error instanceof Error ? (error.stack ?? error.message) : String(error),
          });
      }
      const ms = performance.now() - startedAt;
      slowestMs = Math.max(slowestMs, ms);
      if (ms > MOST_MS) faults.push({ importer, file, said: `${Math.round(ms)} ms` });
      const dumb = said.find((sentence) => !isSentence(sentence));
      if (dumb !== undefined) faults.push({ importer, file, said: `no sentence: ${dumb}` });
    }
  }
  if (({} as { x?: unknown }).x !== undefined)
    faults.push({ importer: 'all', file: 0, said: 'Object was changed' });
  return { read, taken, slowestMs, faults };
}
