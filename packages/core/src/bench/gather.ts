import { type Finding, finding } from '../findings';
import { ritualOf } from '../kinds';
import {
  blockClampsOf,
  cornersOf,
  gluedTotals,
  ofSession,
  ON_A_ROLL,
  packingOf,
  packingPieces,
  type Plan,
  type PlannedPull,
  pullOpenings,
  rowOpenings,
} from '../plan';

/**
 * Everything to have within reach before the first bead of a session, in order of use; of all sessions where none is named. Where there
 * are clamps two more stand open unassigned, because one always turns out wrong.
 * @param whole settled: before that clamps have no places, and only those of a row are listed.
 */
export function gatherList(whole: Plan, session: number | null = null): Finding[] {
  const plan = session === null ? whole : planOfSession(whole, session);
  const { build, totals, facts, joints, row } = plan;
  const [lengthMm, widthMm] = [facts.toMm[0] - facts.fromMm[0], facts.toMm[1] - facts.fromMm[1]];
  const methods = [
    ...new Set(joints.filter((each) => each.facts.gluedMm2 > 0).map(({ method }) => method.name)),
  ];
  return [
    finding('gather-bench', 'informs', { lengthMm, widthMm }),
    finding(partsToGather(plan), 'informs', { count: partsOf(plan) }),
    ...(row?.job.holding.endStops === true ? [finding('gather-stop', 'informs')] : []),
    finding('gather-glue', 'informs', {
      adhesive: build.glue.adhesive,
      massG: totals.massG,
      volumeMl: totals.volumeMl,
      onShelfMl: totals.onShelfMl,
    }),
    ...(totals.coatG > 0 ? [finding('gather-first-coat', 'informs', { massG: totals.coatG })] : []),
    ...methods.map((method) => finding('gather-spreader', 'informs', { method })),
    ...(row === null ? packingThings(plan) : rowThings(row)),
    ...clampThings(plan, session),
    ...blockClamps(plan),
    ...cornerClamps(plan),
    ...(facts.assembly.pressedBy === 'iron' ? [finding('gather-iron', 'informs')] : []),
    ...pegs(plan),
    ...(clamped(plan) ? [finding('gather-spares', 'informs', { count: 2 })] : []),
    finding('gather-checks', 'informs'),
    finding('gather-cleaning', 'informs'),
  ];
}

/** A plan with the joints of one of its sessions alone, and what presses them. */
export function planOfSession(plan: Plan, session: number): Plan {
  const ordered = plan.order?.sessions[session];
  if (ordered === undefined || plan.order?.sessions.length === 1) return plan;
  const presses = ({ pull }: PlannedPull) => pull.joints.some((joint) => ordered.joints.includes(joint));
  const squeeze =
    plan.squeeze === null
      ? null
      : { ...plan.squeeze, pulls: plan.squeeze.pulls.filter(({ planned }) => presses(planned)) };
  const narrowed = { ...ofSession(plan, session), pulls: plan.pulls.filter(presses), squeeze };
  return { ...narrowed, totals: gluedTotals(narrowed) };
}

/** Boards of a row have been planed; what was broken is only scraped. */
function partsToGather({ row, build }: Plan): 'gather-parts' | 'gather-boards' | 'gather-broken' {
  if (row === null) return 'gather-parts';
  const scraped = ritualOf(build.template).before.some(({ what }) => what === 'scraped');
  return scraped ? 'gather-broken' : 'gather-boards';
}

/** Parts that the joints join: all of them, or those of a session. */
const partsOf = ({ facts, joints }: Plan): number =>
  joints.length === facts.joints.length
    ? facts.parts.length
    : new Set(joints.flatMap((joint) => [joint.facts.joint.a, joint.facts.joint.b])).size;

function blockClamps(plan: Plan): Finding[] {
  const held = blockClampsOf(plan);
  if (held === null || held.lot === null) return [];
  const { count, lot, openingMm } = held;
  return [finding('gather-block-clamps', 'informs', { count, kind: lot.kind, openingMm })];
}

function cornerClamps(plan: Plan): Finding[] {
  const down = cornersOf(plan);
  if (down === null) return [];
  const { count, lot, openingMm } = down;
  return [finding('gather-corner-clamps', 'informs', { count, kind: lot.kind, openingMm })];
}

function pegs({ pulls, joints }: Plan): Finding[] {
  return pulls.flatMap(({ pull }) => {
    if (pull.pegs === undefined) return [];
    const { each, thickMm } = pull.pegs;
    const pegged = joints.filter(({ facts }) => pull.joints.includes(facts.joint.id));
    return [finding('gather-pegs', 'informs', { count: pegged.length * each, thickMm })];
  });
}

/** What is never clamped wants no clamp standing by: tape, wraps and a bag have no spare that opens. */
const NOT_CLAMPS: readonly string[] = [...ON_A_ROLL, 'vacuum', 'weight'];

const clamped = ({ pulls, row }: Plan): boolean =>
  row !== null || pulls.some(({ taken }) => taken.some(({ lot }) => !NOT_CLAMPS.includes(lot.kind)));

function rowThings({ job, clampSet }: NonNullable<Plan['row']>): Finding[] {
  const { edge, holding } = job;
  return [
    ...(holding.caulPairs > 0 ? [finding('gather-cauls', 'informs', { pairs: holding.caulPairs })] : []),
    ...(edge.kind === 'bare'
      ? []
      : [
          finding('gather-packing', 'informs', {
            kind: edge.kind,
            thicknessMm: edge.thicknessMm,
            count: edge.kind === 'battens' ? 2 : 2 * clampSet.clamps.length,
          }),
        ]),
  ];
}

/** Blocks or cauls under the jaws of everything but a row. */
function packingThings({ build, pulls, facts }: Plan): Finding[] {
  const packing = packingOf(build);
  const count = pulls.reduce((sum, pull) => sum + packingPieces(pull, facts, packing), 0);
  return count === 0 ? [] : [finding('gather-packing', 'informs', { ...packing, count })];
}

/** Clamps by lot, with their opening and numbers; strips and bags, which are not opened, by number only. */
function clampThings(plan: Plan, session: number | null): Finding[] {
  const below = new Set(
    plan.row?.clampSet.clamps.flatMap(({ number, placed }) => (placed.side === 'below' ? [number] : [])),
  );
  const opened =
    plan.row === null
      ? pullOpenings(plan.squeeze ?? { pulls: [] }).map((each) => ({
          ...each,
          session: null,
        }))
      : rowOpenings(plan.row).filter(
          (each) =>
            each.use === 'across' && (session === null || each.session === null || each.session === session),
        );
  const loose = opened.filter(({ openingMm }) => openingMm === null);
  const kinds = [...new Set(loose.map(({ kind }) => kind))];
  return [
    ...opened.flatMap(({ count, kind, openingMm, numbers, session }) =>
      openingMm === null
        ? []
        : [
            finding('gather-clamps', 'informs', {
              count,
              kind: kind ?? '',
              openingMm,
              session: session === null ? 0 : session + 1,
              numbers: inList(numbers.filter((number) => !below.has(number))),
              below: inList(numbers.filter((number) => below.has(number))),
            }),
          ],
    ),
    // What is not opened lies in one heap, whichever pull it is for.
    ...kinds.map((kind) =>
      finding('gather-loose', 'informs', {
        count: loose.reduce((sum, each) => sum + (each.kind === kind ? each.count : 0), 0),
        kind: kind ?? '',
      }),
    ),
  ];
}

const inList = (numbers: readonly number[]): string => [...numbers].sort((a, b) => a - b).join(', ');
