import { InputError } from '@lean-clasp/core/basics';
import { drawingOf } from '@lean-clasp/core/drawing';
import { type FullSizeItem, fullSizeItems, isPrintable } from '@lean-clasp/core/full-size';
import type { Plan } from '@lean-clasp/core/plan';
import type { UnitSystem } from '@lean-clasp/core/units';
import { formatFor, fullSizeHow, fullSizeName, MACHINE_CAUTION } from '@lean-clasp/words';
import { type Static, Type } from '@sinclair/typebox';
import { type Drawing, drawingOfFigure, drawingOfItem } from './drawings/drawing';
import { dxfOf } from './drawings/dxf';
import { svgOf } from './drawings/svg';
import { tiledPdf } from './full-size/tiled-pdf';
import { PAPER_NAMES, type PaperName } from './pdf/paper-sizes';
import { glueUpSheet } from './sheet/glue-up-sheet';

const oneOf = <Name extends string>(names: readonly Name[]) =>
  Type.Unsafe<Name>({ type: 'string', enum: [...names] });

/** Formats that files come in: on paper, for drawing and machining, for printing in three dimensions. */
const PAPER_FORMATS = ['pdf', 'svg', 'dxf', 'stl', '3mf'] as const;
type PaperFormat = (typeof PAPER_FORMATS)[number];

/** What is wanted of a plan on paper, or for another program. */
export const PaperAskSchema = Type.Object(
  {
    what: oneOf<'sheet' | 'drawing' | 'full-size'>(['sheet', 'drawing', 'full-size']),
    /** Which template at full size. */
    item: Type.Optional(Type.String({ maxLength: 40 })),
    format: oneOf<PaperFormat>(PAPER_FORMATS),
    paper: oneOf<PaperName>(PAPER_NAMES),
    units: oneOf<UnitSystem>(['metric', 'imperial']),
    /** One session of it, or all. */
    session: Type.Union([Type.Integer({ minimum: 0, maximum: 200 }), Type.Null()]),
    /** Address that opens the glue-up on a tablet. */
    link: Type.Union([Type.String({ maxLength: 400 }), Type.Null()]),
    /** By which bottles age. */
    today: Type.Union([Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$' }), Type.Null()]),
    closesInMin: Type.Union([Type.Number({ minimum: 0, maximum: 1440 }), Type.Null()]),
  },
  { additionalProperties: false },
);
export type PaperAsk = Static<typeof PaperAskSchema>;

/** A file that was asked for. */
export interface PaperFile {
  readonly bytes: Uint8Array;
  readonly type: string;
  /** Ending of its name. */
  readonly ending: string;
}

const TYPES: Readonly<Record<PaperFormat, string>> = {
  pdf: 'application/pdf',
  svg: 'image/svg+xml',
  dxf: 'image/vnd.dxf',
  stl: 'model/stl',
  '3mf': 'model/3mf',
};

/**
 * What is wanted of a settled plan, as a file.
 * @throws InputError for a template that the plan does not have, or a sheet in a format that it has not.
 */
export async function paperOf(plan: Plan, ask: PaperAsk): Promise<PaperFile> {
  return { bytes: await bytesOf(plan, ask), type: TYPES[ask.format], ending: ask.format };
}

async function bytesOf(plan: Plan, ask: PaperAsk): Promise<Uint8Array> {
  const { format, paper, units: system, session, link, today, closesInMin } = ask;
  if (ask.what === 'sheet') {
    if (format !== 'pdf') throw notSo(`The glue-up sheet is no ${format}.`, 'pdf');
    return glueUpSheet(plan, { paper, system, session, link, when: { today, closesInMin } });
  }
  if (ask.what === 'drawing') {
    if (format !== 'svg' && format !== 'dxf')
      throw notSo(`A whole build is drawn as no ${format}.`, 'svg, dxf');
    return written(drawingOfFigure(drawingOf(plan), plan.build.name), { format, paper }, '');
  }
  const items = fullSizeItems(plan);
  const item = items.find(({ id }) => id === ask.item);
  if (item === undefined) throw noSuchItem(ask.item, items);
  const title = `${plan.build.name}: ${fullSizeName(item)}`;
  if (format === 'stl' || format === '3mf') {
    if (!isPrintable(item)) throw notSo('Only a block of one thickness can be printed.', 'pdf, svg, dxf');
    // Read in only where somebody prints: the modeller is large.
    const { printedSolid } = await import('./solids/printed-solid');
    return printedSolid(item, format, title);
  }
  return written(drawingOfItem(item, title, formatFor(system)), { format, paper }, fullSizeHow(item));
}

async function written(
  drawing: Drawing,
  { format, paper }: { readonly format: 'pdf' | 'svg' | 'dxf'; readonly paper: PaperName },
  how: string,
): Promise<Uint8Array> {
  switch (format) {
    case 'svg':
      return new TextEncoder().encode(svgOf(drawing));
    case 'dxf':
      return new TextEncoder().encode(dxfOf(drawing));
    case 'pdf':
      return tiledPdf(drawing, { paper, how, caution: MACHINE_CAUTION });
  }
}

const notSo = (message: string, allowed: string): InputError =>
  new InputError('inconsistent', 'format', message, allowed);

function noSuchItem(asked: string | undefined, items: readonly FullSizeItem[]): InputError {
  return new InputError(
    'inconsistent',
    'item',
    `This plan has no template "${asked ?? ''}".`,
    items.length === 0
      ? 'nothing: no block, caul, form or stick is planned'
      : items.map(({ id }) => id).join(', '),
  );
}
