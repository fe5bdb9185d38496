import {
  asked,
  benchScript,
  comesLater,
  fieldsOf,
  gatherList,
  planOfSession,
  preflight,
  type ScriptOperation,
  stepsOfSession,
} from '@lean-clasp/core/bench';
import { type Figure, drawingOf } from '@lean-clasp/core/drawing';
import type { When } from '@lean-clasp/core/lessons';
import { fuseBars, type Plan } from '@lean-clasp/core/plan';
import { formatClock, type UnitSystem } from '@lean-clasp/core/units';
import { ASPECTS } from '@lean-clasp/core/verdicts';
import {
  ASPECT_NAMES,
  cautionWords,
  checkName,
  detailWords,
  fieldWords,
  type Format,
  formatFor,
  says,
} from '@lean-clasp/words';
import { drawFigure } from '../pdf/draw-figure';
import { blankRow, element, type Flow, flowOn, tickRow, TYPE, writeText } from '../pdf/flow';
import { openPdf } from '../pdf/open-pdf';
import type { PaperName } from '../pdf/paper-sizes';
import { fuseChart, fuseChartMm } from './fuse-chart';
import { writeHead, writeVerdicts } from './head';
import { joined, stepRow, writeSteps } from './steps';

/** How a sheet is wanted. */
export interface SheetWishes {
  readonly paper: PaperName;
  readonly system: UnitSystem;
  /** One session, or all of them one after the other. */
  readonly session: number | null;
  /** Address that opens the glue-up on a tablet; null where there is none. */
  readonly link: string | null;
  readonly when: When;
}

/**
 * The sheets of a settled plan for the wall above the bench: for each session its drawing with numbered clamps, what to gather, the
 * order with minutes and fuses, checks with room for what is read, and cautions. Text can be selected and is tagged.
 * @returns a PDF document.
 */
export async function glueUpSheet(plan: Plan, wishes: SheetWishes): Promise<Uint8Array> {
  const pdf = openPdf(wishes.paper, `Glue-up sheet: ${plan.build.name}`);
  const flow = flowOn(
    pdf,
    `${plan.build.name} · Lean Clasp. The glue’s label and its safety data sheet have the last word.`,
  );
  const count = plan.order?.sessions.length ?? 0;
  const sessions = Array.from({ length: count }, (_, i) => i).filter(
    (i) => wishes.session === null || wishes.session === i,
  );
  if (sessions.length === 0) nothingToGlue(flow, plan, formatFor(wishes.system));
  sessions.forEach((session, i) => {
    if (i > 0) flow.newPage();
    writeSession(flow, plan, session, wishes);
  });
  return pdf.finish();
}

/** A plan whose glue is refused has no order: the sheet says why in place of one. */
function nothingToGlue(flow: Flow, plan: Plan, f: Format) {
  element(flow.pdf, 'H1', () =>
    writeText(flow.pdf, plan.build.name, {
      xMm: flow.leftMm,
      yMm: flow.atMm(),
      widthMm: flow.widthMm,
      size: TYPE.title,
      bold: true,
    }),
  );
  flow.down(TYPE.title * 1.6);
  flow.paragraph('This plan cannot be glued as it stands:');
  flow.columns(
    1,
    ASPECTS.filter((aspect) => plan.verdicts[aspect].state === 'fails').map((aspect) =>
      tickRow(flow.pdf, `${ASPECT_NAMES[aspect]}: ${says(plan.verdicts[aspect].cause, f)}`),
    ),
  );
}

function writeSession(flow: Flow, plan: Plan, session: number, { system, link, when }: SheetWishes) {
  const f = formatFor(system);
  const script = benchScript(plan, session);
  const own = planOfSession(plan, session);
  const ordered = plan.order?.sessions[session];
  if (ordered === undefined) return;
  writeHead(flow, plan, session, link, f);
  writeVerdicts(flow, plan, f);
  writeDrawing(flow, plan, drawingOf(own), f);
  flow.heading('Gather, in order of use');
  flow.columns(
    2,
    gatherList(plan, session).map((item) => tickRow(flow.pdf, says(item, f))),
  );
  flow.heading('Before the first bead');
  flow.columns(
    2,
    preflight(plan, session, when).map((item) =>
      tickRow(flow.pdf, joined(says(item, f), detailWords(item, f)), { size: TYPE.small }),
    ),
  );
  const steps = stepsOfSession(script);
  const later = script.operations.filter(comesLater);
  const fuses = fuseBars(plan, ordered);
  flow.heading(
    `Order: ${steps.length} steps, ${formatClock(script.plannedMin)} from the first bead`,
    fuseChartMm(fuses) + FIRST_STEPS_MM,
  );
  fuseChart(flow, fuses);
  flow.down(1.5);
  writeSteps(flow, plan, steps, f);
  if (later.length > 0) {
    flow.heading('Later');
    flow.columns(
      1,
      later.map((step) => stepRow(flow.pdf, step, plan, f, { small: false, told: null })),
    );
  }
  writeChecks(flow, plan, script.operations, f);
  flow.heading('Caution');
  for (const caution of cautionWords(plan)) flow.paragraph(caution);
}

/** A chart without a step below it is no order. */
const FIRST_STEPS_MM = 12;

const DRAWING_MM = 88;

function writeDrawing(flow: Flow, { build, facts }: Plan, figure: Figure, f: Format) {
  const { pdf, leftMm, widthMm } = flow;
  const sizes = facts.toMm.map((to, axis) => to - (facts.fromMm[axis] ?? 0));
  flow.need(DRAWING_MM);
  element(
    pdf,
    'Figure',
    () => {
      const box = { xMm: leftMm, yMm: flow.atMm(), widthMm, heightMm: DRAWING_MM };
      const { scale, heightMm } = drawFigure(pdf, figure, box);
      flow.down(heightMm);
      writeText(pdf, `1 : ${scale} · ${f.sizes(sizes)} over all · clamps by number`, {
        xMm: leftMm,
        yMm: flow.atMm(),
        widthMm,
        size: TYPE.small,
        soft: true,
      });
    },
    `${build.name}, drawn to scale with its clamps`,
  );
  flow.down(TYPE.small * 1.4);
}

/** Every reading with room to write it down, and what the record asks for afterwards. */
function writeChecks(flow: Flow, plan: Plan, operations: readonly ScriptOperation[], f: Format) {
  const labels = new Map(plan.facts.joints.map(({ joint, label }) => [joint.id, label]));
  const unit = f.system === 'metric' ? 'mm' : 'in';
  flow.heading('Readings');
  flow.columns(
    2,
    operations.flatMap((operation) => {
      const check = asked(operation);
      if (check === null) return [];
      const subject = {
        template: plan.build.template,
        joints: operation.joints.map((joint) => labels.get(joint) ?? joint),
        within: plan.build.goals,
      };
      return fieldsOf(check, subject).map((field) =>
        blankRow(
          flow.pdf,
          `${checkName(check)}, ${fieldWords(field.id)}${field.choices === undefined ? '' : ` (${field.choices.map(fieldWords).join(', ')})`}`,
          field.ask === 'length' ? unit : field.ask === 'angle' ? '°' : '',
        ),
      );
    }),
  );
  flow.heading('Afterwards');
  flow.columns(
    2,
    [
      'Date',
      'First bead at',
      'Last clamp at',
      'Clamps off at',
      'Air',
      'Hands',
      'Tightest gap left',
      'Remarks',
    ].map((name) => blankRow(flow.pdf, name)),
  );
}
