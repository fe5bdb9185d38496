import type { BuildDocument } from '@lean-clasp/core/formats';
import { type RowPlan, rowOf, withRow } from '@lean-clasp/core/plan';
import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { ThemeProvider } from '@mui/material/styles';
import { render, screen, within } from '@testing-library/react';
import type { ComponentType } from 'react';
import { renderBuild } from '../../test/render-build';
import { themeFor } from '../app/theme';
import { usePlan } from '../planner/plan-context';
import { PrintNotes } from '../workspace/PrintNotes';
import { CaulTemplate } from './CaulTemplate';
import { ClampStrip } from './ClampStrip';
import { FullSize } from './FullSize';

const floor = stageFloor(DEMO_SHOP);
const lines = (floor.boards ?? []).slice(1).map(({ id }, i) => `${floor.boards?.[i]?.id}_${id}`);

/** Around the row of the stage floor as it is planned. */
function OfRow({ sheet: Sheet }: { readonly sheet: ComponentType<{ readonly row: RowPlan }> }) {
  const { plan } = usePlan();
  return plan?.row == null ? null : <Sheet row={plan.row} />;
}
const show = (sheet: ComponentType<{ readonly row: RowPlan }>, change: Partial<BuildDocument> = {}) =>
  renderBuild(<OfRow sheet={sheet} />, change);
const numbers = (svg: Element, name: string) => Number(svg.getAttribute(name));

describe('a drawing at full size', () => {
  const sheets = (lengthMm: number) => {
    render(
      <ThemeProvider theme={themeFor('day')}>
        <FullSize lengthMm={lengthMm} heightMm={40} label="Stick">
          <line x1={0} x2={lengthMm} y1={2} y2={2} />
        </FullSize>
      </ThemeProvider>,
    );
    return screen.getAllByRole('group', { name: /^Stick, sheet \d+ of \d+$/ });
  };

  it.each([
    [100, 1],
    [240, 1],
    [241, 2],
    [470, 2],
    [471, 3],
    [1000, 5],
  ])('of %i mm takes %i sheets, each a millimetre to a millimetre', (lengthMm, count) => {
    const all = sheets(lengthMm);
    expect(all).toHaveLength(count);
    all.forEach((sheet, i) => {
      const svg = sheet.querySelector('svg') as SVGSVGElement;
      const [from, , width, height] = (svg.getAttribute('viewBox') ?? '').split(' ').map(Number);
      expect(svg.getAttribute('width')).toBe(`${width}mm`);
      expect(svg.getAttribute('height')).toBe(`${height}mm`);
      // Ten millimetres of each sheet come again on the next.
      expect(from).toBe(230 * i);
    });
    const last = all.at(-1)?.querySelector('svg')?.getAttribute('viewBox')?.split(' ').map(Number) ?? [];
    expect((last[0] ?? 0) + (last[2] ?? 0)).toBeGreaterThanOrEqual(lengthMm);
  });

  it('carries a line of a hundred millimetres on every sheet, and marks to lay the sheets together', () => {
    const all = sheets(600);
    for (const sheet of all) {
      const check = [...sheet.querySelectorAll('line')].filter(
        (line) => Math.abs(numbers(line, 'x2') - numbers(line, 'x1')) === 100,
      );
      expect(check).toHaveLength(1);
      expect(within(sheet).getByText(/100 mm exactly/)).toBeInTheDocument();
    }
    const dashes = (sheet: HTMLElement) =>
      [...sheet.querySelectorAll('line[stroke-dasharray]')].map((line) => numbers(line, 'x1'));
    expect(all.map(dashes)).toEqual([[235], [235, 465], [465]]);
  });
});

describe('the clamp strip', () => {
  it('has every clamp at its place, as wide as its jaw, with its number, side and opening', async () => {
    show(ClampStrip);
    const [first] = await screen.findAllByRole('group', { name: /^Clamp strip, sheet 1 of \d$/ });
    if (first === undefined) throw new Error('no strip');
    const { clamps } = rowOf(floor);
    const jaws = [...first.querySelectorAll('rect')].map((rect) => ({
      at: numbers(rect, 'x') + numbers(rect, 'width') / 2,
      width: numbers(rect, 'width'),
    }));
    for (const { xMm, rackId } of clamps) {
      const lot = DEMO_SHOP.rack.find(({ id }) => id === rackId);
      expect(jaws).toContainEqual({ at: xMm, width: lot?.padWidthMm });
    }
    expect(first.textContent).toMatch(/above|below/);
    expect(first.textContent).toContain('open 615 mm');
  });

  it('tells every opening of a row that is glued board by board', async () => {
    show(ClampStrip, { order: { sessions: lines.map((id) => [id]), pinned: [] } });
    const [first] = await screen.findAllByRole('group', { name: /^Clamp strip, sheet 1 / });
    expect(first?.textContent).toMatch(/open 239 mm · 379 mm · 497 mm · 615 mm/);
  });
});

describe('the crown of a caul', () => {
  const withCauls = (): Partial<BuildDocument> =>
    withRow(floor, { holding: { ...rowOf(floor).holding, caulPairs: 3 } });

  it('is drawn as high as it is, level at both ends, with what to plane away', async () => {
    show(CaulTemplate, withCauls());
    const table = await screen.findByRole('table', { name: 'What to plane away' });
    const rows = within(table).getAllByRole('row').slice(1);
    const figures = rows.map((row) =>
      [...row.querySelectorAll('td')].map((cell) => Number.parseFloat(cell.textContent)),
    );
    const crownMm = Math.max(...figures.map(([, high]) => high ?? 0));
    for (const [, high = 0, away = 0] of figures) expect(high + away).toBeCloseTo(crownMm, 1);
    expect(figures[0]?.[1]).toBe(0);
    // From the end to the middle it only rises.
    const heights = figures.map(([, high = 0]) => high);
    expect(heights).toEqual([...heights].sort((a, b) => a - b));
    expect(screen.getByText(/Guards on, push sticks/)).toBeInTheDocument();
  });

  it('says so where no cauls are planned', async () => {
    show(CaulTemplate, withRow(floor, { holding: { ...rowOf(floor).holding, caulPairs: 0 } }));
    expect(await screen.findByText('No pair of cauls is planned for this panel.')).toBeInTheDocument();
  });
});

describe('what is printed beside the drawing', () => {
  it('lists clamps as they stand, with the opening of each session', async () => {
    show(({ row }) => <PrintNotes name="Stage floor" row={row} />, {
      order: { sessions: [lines.slice(0, 2), lines.slice(2)], pinned: [] },
    });
    const table = await screen.findByRole('table', { hidden: true });
    const rows = within(table).getAllByRole('row', { hidden: true });
    expect(rows).toHaveLength(rowOf(floor).clamps.length + 1);
    expect(rows[1]?.textContent).toContain('379 mm · 615 mm');
  });
});
