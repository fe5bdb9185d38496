import { listAdhesives } from '@lean-clasp/core/adhesives';
import { benchScript, gatherList, positionOf, answersTo, MISHAPS } from '@lean-clasp/core/bench';
import { findFixes } from '@lean-clasp/core/fixes';
import { type Board, type BuildDocument, type RowSection, USUAL_ROW } from '@lean-clasp/core/formats';
import { listSpecies } from '@lean-clasp/core/materials';
import { type Plan, planBuild } from '@lean-clasp/core/plan';
import { ASPECTS } from '@lean-clasp/core/verdicts';
import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { formatFor } from './format';
import { againstWords, figureWords } from './figures';
import { detailWords } from './bench';
import { says } from './say';
import { MISHAP_WORDS } from './trouble';
import { hazardWords } from './catalogue';
import { traitWords } from './glue';
import { strutWords } from './strut';
import { workingOf } from './workings';

const base = stageFloor(DEMO_SHOP);
const { clamps, holding } = base.row ?? USUAL_ROW;
const f = formatFor('metric');
const inches = formatFor('imperial');

const withRow = (change: Partial<RowSection>): BuildDocument => ({
  ...base,
  row: { ...USUAL_ROW, ...base.row, ...change },
});
const withHolding = (change: Partial<RowSection['holding']>): BuildDocument =>
  withRow({ holding: { ...holding, ...change } });
const withBoards = (change: (board: Board, i: number) => Partial<Board>): BuildDocument => ({
  ...base,
  boards: (base.boards ?? []).map((board, i) => ({ ...board, ...change(board, i) })),
});
const withGap = (line: number, gapMm: number): BuildDocument => ({
  ...base,
  jointNotes: [
    {
      id: `${base.boards?.[line]?.id ?? ''}_${base.boards?.[line + 1]?.id ?? ''}`,
      gapMm,
      reinforcement: 'none',
    },
  ],
});

/** Builds that between them run into every cause the verdicts know. */
const BUILDS: readonly BuildDocument[] = [
  base,
  ...([2, 4] as const).map((crew) => ({ ...base, crew })),
  ...listAdhesives().map(({ id }) => ({ ...base, glue: { ...base.glue, adhesive: id } })),
  ...listSpecies().map(({ id }) => withBoards(() => ({ species: id }))),
  ...([-5, 11, 35] as const).map((tempC) => ({ ...base, climate: { tempC, rhPct: 40 } })),
  ...([2, 20] as const).map((mcPct) => withBoards(() => ({ mcPct }))),
  { ...base, service: 'wet' },
  withRow({ clamps: clamps.map((clamp) => ({ ...clamp, rackId: 'pj-600' })) }),
  withRow({ clamps: [...clamps, ...clamps.map((clamp) => ({ ...clamp, id: `${clamp.id}x` }))] }),
  withRow({ clamps: clamps.slice(0, 2), holding: { ...holding, endStops: false }, trimMm: 0 }),
  withRow({ clamps: clamps.slice(0, 5) }),
  withRow({ clamps: clamps.map((clamp) => ({ ...clamp, xMm: 999 })) }),
  withRow({ pullOffsetMm: 5 }),
  withRow({ school: 'light' }),
  { ...withRow({ school: 'light' }), glue: { ...base.glue, adhesive: 'polyurethane-foaming' } },
  withRow({ clamps: clamps.map((clamp, i) => (i === 1 ? { ...clamp, xMm: 90 } : clamp)) }),
  withRow({ clamps: clamps.map((clamp, i) => (i === 1 ? { ...clamp, xMm: 150 } : clamp)) }),
  withBoards(() => ({ thicknessMm: 130 })),
  withHolding({ caulPairs: 12 }),
  withHolding({ caulLot: 'caul-900' }),
  { ...base, dryFit: { ...base.dryFit, bowMm: 4 } },
  { ...withRow({ pullPct: 4 }), jointNotes: withGap(1, 3).jointNotes },
  withRow({ pullPct: 20, holding: { ...holding, barsTouch: false, caulPairs: 0 } }),
  withHolding({ barsTouch: false, caulPairs: 0 }),
  withGap(0, 5),
  withGap(0, 1.4),
  withGap(0, -4),
  { ...withRow({ trimMm: 0 }), dryFit: { ...base.dryFit, acMm: 1180, bdMm: 1150 } },
  { ...base, dryFit: { ...base.dryFit, bowMm: 6 } },
  { ...base, dryFit: { ...base.dryFit, twistMm: 9 } },
  { ...withBoards((_, i) => ({ lengthMm: 1000 + i })), row: withRow({ trimMm: 0 }).row },
  withBoards((_, i) => ({ thicknessMm: 20 + i })),
  {
    ...withBoards(() => ({ heart: 'up' })),
    row: withHolding({ heldFlatLater: false }).row,
  },
  withRow({ edge: { kind: 'battens', thicknessMm: 60 } }),
];
const PLANS = BUILDS.map((build) => planBuild(build, DEMO_SHOP));
/** One plan for each set of causes: trying every edit on all of them would only say the same words again. */
const DISTINCT_PLANS = PLANS.filter(
  (plan, i) => PLANS.findIndex((other) => causesOf(other) === causesOf(plan)) === i,
);

function causesOf({ verdicts }: Plan): string {
  return ASPECTS.map((aspect) => verdicts[aspect].cause.code).join();
}

/** A sentence, not a code, without holes in it. */
function expectWords(words: string): void {
  expect(words).not.toMatch(/^[a-z]+(-[a-z]+)+$/);
  expect(words).not.toMatch(/undefined|NaN|Infinity|\[object/);
  expect(words.trim().length).toBeGreaterThan(3);
}

describe('words', () => {
  it('exist for every cause of every verdict, in both unit systems', () => {
    const codes = new Set<string>();
    for (const plan of PLANS) {
      for (const aspect of ASPECTS) {
        const verdict = plan.verdicts[aspect];
        codes.add(verdict.cause.code);
        for (const format of [f, inches]) {
          expectWords(says(verdict.cause, format));
          expectWords(againstWords(verdict, format));
          figureWords(verdict, verdict.figure, format);
          for (const working of verdict.workings) {
            const opened = workingOf(working, format);
            expect({ code: working.code, opened: opened !== undefined }).toEqual({
              code: working.code,
              opened: true,
            });
            expectWords(opened?.title ?? '');
            opened?.inputs.forEach(([name, value]) => {
              expect(name.length).toBeGreaterThan(1);
              expect(value).not.toMatch(/undefined|NaN/);
            });
          }
        }
      }
      (plan.row?.lines ?? [])
        .flatMap(({ window }) => window.findings)
        .forEach((finding) => expectWords(says(finding, f)));
      if (plan.row !== null) expectWords(strutWords(plan.row));
    }
    // The builds above are of use only if they do run into many different causes.
    expect(codes.size).toBeGreaterThan(20);
  });

  it('exist for every fix', () => {
    for (const plan of DISTINCT_PLANS) {
      const fixes = findFixes(plan, DEMO_SHOP);
      ASPECTS.flatMap((aspect) => fixes[aspect]).forEach((fix) => expectWords(says(fix.change, f)));
    }
  });

  it('exist for every bench step, everything to gather and every way out', () => {
    for (const plan of PLANS) {
      const script = benchScript(plan);
      for (const { instruction } of script.operations) {
        expectWords(says(instruction, inches));
        expectWords(detailWords(instruction, inches));
      }
      gatherList(plan).forEach((finding) => expectWords(says(finding, f)));
      const moment = { script, position: positionOf(script, 0, []), nowMs: 0, people: plan.build.crew };
      for (const mishap of MISHAPS) {
        expectWords(MISHAP_WORDS[mishap]);
        answersTo(mishap, moment).forEach(({ what }) => expectWords(says(what, f)));
      }
    }
  });

  it('defer to label and data sheet for every glue', () => {
    for (const adhesive of listAdhesives()) {
      expect(hazardWords(adhesive.hazards)).toContain('safety data sheet');
      expectWords(traitWords(adhesive));
    }
  });
});
