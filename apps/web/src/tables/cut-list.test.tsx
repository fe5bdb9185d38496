import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import type { BuildStart } from '@lean-clasp/core/templates';
import { newBuild } from '@lean-clasp/core/templates';
import { screen, waitFor, within } from '@testing-library/react';
import { renderPage } from '../../test/render-page';
import { partsOfList } from '../assembly/edits';
import { CutListBuilds, panelOf } from '../builds/CutListBuilds';
import { boardsOfList } from '../workspace/edits';
import { decodeText } from '../parts/decode-text';

const LIST =
  'Part;Qty;Length (mm);Width (mm);Thickness (mm);Wood\nTür;2;700,5;420;19;White oak\nBoden;1;900;360;lots;Cherry';
const row = (name: string, count: number, widthMm: number) => ({
  id: name,
  name,
  count,
  lengthMm: 800,
  widthMm,
  thicknessMm: 22,
  species: 'cherry',
});

describe('letters of a file', () => {
  it('are read as the program that saved it writes them', () => {
    const text = 'Tür ½ – ok';
    const utf8 = new TextEncoder().encode(text);
    const sixteen = (big: boolean) =>
      Uint8Array.from(
        [0xfeff, ...[...text].map((letter) => letter.charCodeAt(0))].flatMap((code) =>
          big ? [code >> 8, code & 255] : [code & 255, code >> 8],
        ),
      );
    for (const bytes of [utf8, Uint8Array.from([0xef, 0xbb, 0xbf, ...utf8]), sixteen(false), sixteen(true)]) {
      expect(decodeText(bytes)).toBe(text);
    }
    expect(decodeText(Uint8Array.from([0x54, 0xfc, 0x72]))).toBe('Tür');
  });
});

describe('a cut list from a file', () => {
  const open = async (file: File) => {
    const shown = renderPage(<CutListBuilds />, {
      server: { 'POST /api/builds': ({ body }) => ({ id: 'fresh', revision: 0, body, updatedAtMs: 0 }) },
    });
    await shown.user.click(await screen.findByRole('button', { name: 'Panels from a cut list' }));
    await shown.user.upload(await screen.findByLabelText('Open a file (CSV)'), file);
    return shown;
  };

  it('is shown line by line, and makes nothing until it is taken', async () => {
    const { user, asked } = await open(new File([LIST], 'list.csv', { type: 'text/csv' }));
    expect(await screen.findByText(/2 rows read under their heads; 1 cannot be taken/)).toBeInTheDocument();
    const read = within(screen.getByRole('table', { name: 'What was read' }));
    expect(read.getAllByRole('row')[1]?.textContent).toMatch(/lots/);
    const made = () => asked.filter(({ method }) => method === 'POST').map(({ body }) => body as BuildStart);
    expect(made()).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Make panels of 1 row' }));
    await waitFor(() => expect(made()).toHaveLength(1));
    expect(made()[0]).toMatchObject({
      template: 'edge-panel',
      name: 'Tür (2 alike)',
      answers: { lengthMm: 700.5, widthMm: 420, thicknessMm: 19, species: 'white-oak', boards: 4 },
    });
  });

  it('says what a file is that is no table, and keeps what was there', async () => {
    await open(new File([Uint8Array.from([80, 75, 0, 0, 9, 0])], 'list.csv'));
    expect(await screen.findByRole('alert')).toHaveTextContent('list.csv is no text. Save the table as CSV');
    expect(screen.getByLabelText('Rows')).toHaveValue('');
  });
});

describe('lines of a cut list', () => {
  it('make panels that can be planned, from the narrowest to the widest', () => {
    for (const widthMm of [20, 119, 121, 600, 3000]) {
      const build = newBuild(panelOf(row('Leaf', 1, widthMm)), DEMO_SHOP, () => 'x');
      expect(build.boards?.reduce((sum, board) => sum + board.widthMm, 0)).toBeCloseTo(widthMm, 6);
    }
  });

  it('become parts clear of each other, each piece its own', () => {
    const free = newBuild(
      { template: 'free', name: 'Box', project: '', service: 'dry', answers: {} },
      DEMO_SHOP,
      () => 'x',
    );
    const empty = { ...free, free: { parts: [], joints: [] } };
    const { parts } = partsOfList([row('Side', 2, 200), row('Lid', 1, 300)])(empty).free;
    expect(parts.map(({ name, sizeMm }) => [name, sizeMm])).toEqual([
      ['Side 1', [800, 200, 22]],
      ['Side 2', [800, 200, 22]],
      ['Lid', [800, 300, 22]],
    ]);
    parts.slice(1).forEach(({ atMm }, i) => {
      const before = parts[i];
      expect(atMm[1]).toBeGreaterThan((before?.atMm[1] ?? 0) + (before?.sizeMm[1] ?? 0));
    });
    expect(partsOfList([row('Slat', 99, 30)])(empty).free.parts).toHaveLength(40);
  });

  it('take the place of boards, each other one turned over; a single one does not', () => {
    const floor = stageFloor(DEMO_SHOP);
    const laid = boardsOfList([row('A', 2, 90), row('B', 1, 110)])(floor);
    expect(laid.boards?.map(({ widthMm, heart }) => [widthMm, heart])).toEqual([
      [90, 'up'],
      [90, 'down'],
      [110, 'up'],
    ]);
    expect(laid.jointNotes).toEqual([]);
    expect(boardsOfList([row('A', 1, 90)])(floor)).toBe(floor);
  });
});
