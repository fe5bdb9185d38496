import { panelMarks } from '@lean-clasp/core/drawing';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { planBuild, withRow } from '@lean-clasp/core/plan';
import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { fireEvent, screen } from '@testing-library/react';
import { renderBuild } from '../../test/render-build';
import type { DrawingExtras } from './extras';
import { EndView } from './EndView';
import { PanelDrawing } from './PanelDrawing';

function marksOf(build: BuildDocument) {
  const { row } = planBuild(build, DEMO_SHOP);
  if (row === null) throw new Error('these boards do not lie in a row');
  return panelMarks(row);
}

const marks = marksOf(stageFloor(DEMO_SHOP));

function draw(extras: DrawingExtras) {
  return renderBuild(
    <PanelDrawing marks={marks} title="Stage floor" size={{ width: 900, height: 600 }} extras={extras} />,
  );
}

describe('PanelDrawing', () => {
  it('names every board, line and clamp to whoever cannot see it', () => {
    draw({ dressing: 'pressure' });
    expect(screen.getByRole('group', { name: 'Stage floor, drawn to scale' })).toBeInTheDocument();
    expect(screen.getAllByRole('button', { name: /^Board / })).toHaveLength(5);
    expect(screen.getAllByRole('button', { name: /^Line .*, lowest 1\.\d\d MPa/ })).toHaveLength(4);
    expect(screen.getByRole('button', { name: 'Clamp 3, above, at 414 mm' })).toBeInTheDocument();
  });

  it('draws boards to one scale', () => {
    draw({ dressing: 'plain' });
    const heights = screen
      .getAllByRole('button', { name: /^Board / })
      .map((board) => Number(board.querySelector('rect')?.getAttribute('height')));
    const perMm = (heights[0] ?? 0) / 128;
    [128, 96, 140, 118, 118].forEach((width, i) => expect((heights[i] ?? 0) / width).toBeCloseTo(perMm, 9));
  });

  it('selects by keyboard and lets go again', () => {
    draw({ dressing: 'gaps' });
    const board = screen.getByRole('button', { name: /^Board B/ });
    fireEvent.keyDown(board, { key: 'Enter' });
    expect(board).toHaveAttribute('aria-pressed', 'true');
    fireEvent.keyDown(board, { key: ' ' });
    expect(board).toHaveAttribute('aria-pressed', 'false');
  });

  it('moves a clamp by arrows, finely with Shift, never past the end, and takes it off', () => {
    const onMoveClamp = jest.fn();
    const onRemoveClamp = jest.fn();
    draw({ dressing: 'pressure', onMoveClamp, onRemoveClamp });
    const clamp = screen.getByRole('button', { name: /^Clamp 6/ });
    fireEvent.keyDown(clamp, { key: 'ArrowLeft' });
    fireEvent.keyDown(clamp, { key: 'ArrowRight', shiftKey: true });
    fireEvent.keyDown(clamp, { key: 'Delete' });
    expect(onMoveClamp.mock.calls.map(([, at]) => at as number)).toEqual([926, 932]);
    expect(onRemoveClamp).toHaveBeenCalledTimes(1);
  });

  it('tells where a clamp is while it is dragged, past others too, and moves it when it is let go', () => {
    const [onDragClamp, onMoveClamp] = [jest.fn(), jest.fn()];
    // What jsdom lacks: a finger that is followed, and a drawing with a place on the screen.
    Object.assign(Element.prototype, { setPointerCapture: () => undefined });
    Object.assign(SVGElement.prototype, { getScreenCTM: () => ({ a: 1, e: 0 }) });
    draw({ dressing: 'pressure', onDragClamp, onMoveClamp });
    const shapes = () => [...document.querySelectorAll('[data-part^="clamp-"]')];
    const second = screen.getByRole('button', { name: /^Clamp 2/ });
    fireEvent(second, new MouseEvent('pointerdown', { bubbles: true, clientX: 300 }));
    for (const clientX of [400, 401, 560]) {
      fireEvent(second, new MouseEvent('pointermove', { bubbles: true, clientX }));
    }
    expect(shapes().indexOf(second)).toBe(1);
    const told = onDragClamp.mock.calls.map(([, at]) => at as number);
    // A pixel is less than a step of 5 mm.
    expect(told).toHaveLength(2);
    expect(told.every((at) => at % 5 === 0)).toBe(true);
    expect(onMoveClamp).not.toHaveBeenCalled();
    fireEvent(second, new MouseEvent('pointerup', { bubbles: true }));
    expect(onMoveClamp.mock.calls).toEqual([[expect.any(String), told.at(-1)]]);
  });

  it('lets a clamp be where it was when it was only touched, or the drag was broken off', () => {
    const [onDragClamp, onMoveClamp] = [jest.fn(), jest.fn()];
    draw({ dressing: 'pressure', onDragClamp, onMoveClamp });
    const clamp = screen.getByRole('button', { name: /^Clamp 2/ });
    fireEvent(clamp, new MouseEvent('pointerdown', { bubbles: true, clientX: 300 }));
    fireEvent(clamp, new MouseEvent('pointerup', { bubbles: true }));
    fireEvent(clamp, new MouseEvent('pointerdown', { bubbles: true, clientX: 300 }));
    fireEvent(clamp, new MouseEvent('pointermove', { bubbles: true, clientX: 420 }));
    fireEvent(clamp, new MouseEvent('pointercancel', { bubbles: true }));
    expect(onDragClamp.mock.calls.map(([, at]) => at as number | null)).toEqual([
      null,
      expect.any(Number),
      null,
    ]);
    expect(onMoveClamp).not.toHaveBeenCalled();
  });

  it('hatches what is under target besides colouring it', () => {
    const low = marksOf(withRow(stageFloor(DEMO_SHOP), { pullPct: 30 }));
    renderBuild(
      <PanelDrawing
        marks={low}
        title="Weak"
        size={{ width: 900, height: 600 }}
        extras={{ dressing: 'pressure' }}
      />,
    );
    expect(document.querySelectorAll('rect[fill="url(#under-target)"]').length).toBeGreaterThanOrEqual(4);
  });

  it('inks only what is touched at the bench', () => {
    draw({ dressing: 'plain', focus: { lines: [1], clamp: null } });
    expect(screen.queryByRole('button', { name: /^Clamp/ })).toBeNull();
    expect(screen.getByRole('button', { name: /^Board B/ })).toHaveAttribute('opacity', '1');
    expect(screen.getByRole('button', { name: /^Board E/ })).toHaveAttribute('opacity', '0.32');
  });
});

describe('EndView', () => {
  it('says which way the heart of each board lies', () => {
    renderBuild(<EndView marks={marks} width={500} showBars />);
    expect(
      screen.getByRole('img', { name: /End view: A heart up, B heart down, C heart up/ }),
    ).toBeInTheDocument();
  });
});
