import {
  ASPECTS,
  benchScript,
  type BuildDocument,
  findFixes,
  gatherList,
  listAdhesives,
  listSpecies,
  type Plan,
  planBuild,
  positionOf,
  readFuse,
  troubleOptions,
} from '@lean-clasp/core';
import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { formatFor } from './format';
import { againstWords, figureWords } from './figures';
import { causeWords, changeWords, detailWords, instructionWords } from './causes';
import { gatherWords, troubleWords } from './gather';
import { hazardWords } from './catalogue';
import { traitWords } from './glue';
import { strutWords } from './strut';
import { workingOf } from './workings';

const base = stageFloor(DEMO_SHOP);
const f = formatFor('metric');
const inches = formatFor('imperial');

/** Builds that between them run into every cause the verdicts know. */
const BUILDS: readonly BuildDocument[] = [
  base,
  ...([2, 4] as const).map((crew) => ({ ...base, crew })),
  ...listAdhesives().map(({ id }) => ({ ...base, glue: { ...base.glue, adhesive: id } })),
  ...listSpecies().map(({ id }) => ({
    ...base,
    boards: base.boards.map((board) => ({ ...board, species: id })),
  })),
  ...([-5, 11, 35] as const).map((tempC) => ({ ...base, climate: { tempC, rhPct: 40 } })),
  ...([2, 20] as const).map((mcPct) => ({
    ...base,
    boards: base.boards.map((board) => ({ ...board, mcPct })),
  })),
  { ...base, service: 'wet' },
  { ...base, clamps: [] },
  { ...base, clamps: base.clamps.map((clamp) => ({ ...clamp, rackId: 'pj-600' })) },
  { ...base, clamps: [...base.clamps, ...base.clamps.map((clamp) => ({ ...clamp, id: `${clamp.id}x` }))] },
  { ...base, clamps: base.clamps.slice(0, 2), holding: { ...base.holding, endStops: false }, trimMm: 0 },
  { ...base, clamps: base.clamps.slice(0, 5) },
  { ...base, clamps: base.clamps.map((clamp) => ({ ...clamp, xMm: 999 })) },
  { ...base, pullOffsetMm: 5 },
  { ...base, school: 'light' },
  { ...base, school: 'light', glue: { ...base.glue, adhesive: 'polyurethane-foaming' } },
  { ...base, clamps: base.clamps.map((clamp, i) => (i === 1 ? { ...clamp, xMm: 90 } : clamp)) },
  { ...base, clamps: base.clamps.map((clamp, i) => (i === 1 ? { ...clamp, xMm: 150 } : clamp)) },
  { ...base, boards: base.boards.map((board) => ({ ...board, thicknessMm: 130 })) },
  { ...base, holding: { ...base.holding, caulPairs: 12 } },
  { ...base, holding: { ...base.holding, caulLot: 'caul-900' } },
  { ...base, dryFit: { ...base.dryFit, bowMm: 4 } },
  { ...base, pullPct: 4, dryFit: { ...base.dryFit, gaps: [{ line: 1, gapMm: 3 }] } },
  { ...base, pullPct: 20, holding: { ...base.holding, barsTouch: false, caulPairs: 0 } },
  { ...base, holding: { ...base.holding, barsTouch: false, caulPairs: 0 } },
  { ...base, dryFit: { ...base.dryFit, gaps: [{ line: 0, gapMm: 5 }] } },
  { ...base, dryFit: { ...base.dryFit, gaps: [{ line: 0, gapMm: 1.4 }] } },
  { ...base, dryFit: { ...base.dryFit, gaps: [{ line: 0, gapMm: -4 }] } },
  { ...base, dryFit: { ...base.dryFit, acMm: 1180, bdMm: 1150 }, trimMm: 0 },
  { ...base, dryFit: { ...base.dryFit, bowMm: 6 } },
  { ...base, dryFit: { ...base.dryFit, twistMm: 9 } },
  { ...base, trimMm: 0, boards: base.boards.map((board, i) => ({ ...board, lengthMm: 1000 + i })) },
  { ...base, boards: base.boards.map((board, i) => ({ ...board, thicknessMm: 20 + i })) },
  {
    ...base,
    boards: base.boards.map((board) => ({ ...board, heart: 'up' as const })),
    holding: { ...base.holding, heldFlatLater: false },
  },
  { ...base, edge: { kind: 'battens', thicknessMm: 60 } },
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
          expectWords(causeWords(verdict.cause, format));
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
      plan.lines
        .flatMap(({ window }) => window.findings)
        .forEach((finding) => expectWords(causeWords(finding, f)));
      expectWords(strutWords(plan));
    }
    // The builds above are of use only if they do run into many different causes.
    expect(codes.size).toBeGreaterThan(20);
  });

  it('exist for every fix', () => {
    for (const plan of DISTINCT_PLANS) {
      const fixes = findFixes(plan, DEMO_SHOP);
      ASPECTS.flatMap((aspect) => fixes[aspect]).forEach((fix) => expectWords(changeWords(fix.change, f)));
    }
  });

  it('exist for every bench step, everything to gather and every way out', () => {
    for (const plan of PLANS) {
      const script = benchScript(plan);
      for (const step of script.steps) {
        expectWords(instructionWords(step.instruction, inches));
        expectWords(detailWords(step.instruction, inches));
      }
      gatherList(plan).forEach((finding) => expectWords(gatherWords(finding, f)));
      for (const minutes of [0.5, 90]) {
        const readings = script.fuses.map((fuse) =>
          readFuse(fuse, positionOf(script, 0, []), minutes * 60_000),
        );
        troubleOptions(readings, 1).forEach((finding) => expectWords(troubleWords(finding, f)));
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
