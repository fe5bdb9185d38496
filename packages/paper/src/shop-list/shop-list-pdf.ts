import { findAdhesive } from '@lean-clasp/core/adhesives';
import type { ShopList } from '@lean-clasp/core/shop-list';
import type { UnitSystem } from '@lean-clasp/core/units';
import { type Format, formatFor, fullSizeHow, fullSizeName, says } from '@lean-clasp/words';
import { element, type Flow, flowOn, tickRow, TYPE, writeText } from '../pdf/flow';
import { openPdf } from '../pdf/open-pdf';
import type { PaperName } from '../pdf/paper-sizes';

const TITLE = 'Shop list';

/** What to buy, to borrow and to make before several builds are glued up, to tick off. @returns a tagged PDF document. */
export async function shopListPdf(list: ShopList, paper: PaperName, system: UnitSystem): Promise<Uint8Array> {
  const f = formatFor(system);
  const pdf = openPdf(paper, TITLE);
  const flow = flowOn(
    pdf,
    'Lean Clasp. Amounts are planned, with what stays on the spreader; a bottle more does no harm.',
  );
  element(pdf, 'H1', () =>
    writeText(pdf, TITLE, {
      xMm: flow.leftMm,
      yMm: flow.atMm(),
      widthMm: flow.widthMm,
      size: TYPE.title,
      bold: true,
    }),
  );
  flow.down(TYPE.title * 1.5);
  flow.paragraph(
    list.builds.length === 0 ? 'No build waits to be glued up.' : `For ${list.builds.join(', ')}.`,
  );
  section(
    flow,
    'Glue',
    list.glue.map((each) => glueWords(each, f)),
  );
  section(
    flow,
    'To borrow, or do without as the plan says',
    list.borrow.map(({ build, what }) => `${says(what, f)} (${build})`),
  );
  section(
    flow,
    'To make',
    list.make.map(({ build, item }) => `${fullSizeName(item)} (${build}). ${fullSizeHow(item)}`),
  );
  if (list.left.length > 0) {
    section(
      flow,
      'Not on this list',
      list.left.map(({ build, why }) => `${build}: ${why}`),
    );
  }
  return pdf.finish();
}

function section(flow: Flow, title: string, lines: readonly string[]): void {
  flow.heading(title);
  if (lines.length === 0) flow.paragraph('Nothing.');
  else
    flow.columns(
      1,
      lines.map((line) => tickRow(flow.pdf, line)),
    );
}

function glueWords({ adhesive, wantedMl, thereMl, builds }: ShopList['glue'][number], f: Format): string {
  const { name } = findAdhesive(adhesive);
  const there = `${f.volume(wantedMl)} for ${builds.join(', ')}; ${thereMl > 0 ? `${f.volume(thereMl)} on the shelf` : 'none on the shelf'}`;
  return wantedMl > thereMl
    ? `${name}: buy ${f.volume(wantedMl - thereMl)} at least. ${there}.`
    : `${name}: enough. ${there}.`;
}
