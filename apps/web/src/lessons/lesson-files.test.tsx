import { DEMO_SHOP } from '@lean-clasp/core/demo';
import type { Lesson } from '@lean-clasp/core/formats';
import { screen, waitFor } from '@testing-library/react';
import { renderPage, type Server } from '../../test/render-page';
import { LessonsPage } from './LessonsPage';

const lesson = (title: string): Lesson => ({
  id: 'theirs',
  title,
  happened: 'A stain under every jaw.',
  cause: '',
  cost: '',
  change: 'Tape on the jaws.',
  when: [{ trait: 'kind', any: ['edge-panel'] }],
  at: 'before',
  learnedOn: null,
  runId: 'their-run',
});
const file = (...lessons: readonly Lesson[]) =>
  new File([JSON.stringify({ format: 'lean-clasp/lessons', version: 1, lessons })], 'lessons.json', {
    type: 'application/json',
  });
const SERVER: Server = { 'POST /api/lessons/check': ({ body }) => body };

describe('lessons of another shop', () => {
  it('are taken once, without the glue-up that taught them, and can be taken back', async () => {
    const { user, shop } = renderPage(<LessonsPage />, { server: SERVER, shop: DEMO_SHOP });
    const before = shop().lessons?.own.length ?? 0;
    const input = await screen.findByLabelText('Read in a file');
    await user.upload(input, file(lesson('Tape the jaws'), lesson('Film between')));
    expect(await screen.findByText('2 taken.')).toBeInTheDocument();
    await waitFor(() => expect(shop().lessons?.own).toHaveLength(before + 2));
    const [first] = shop().lessons?.own ?? [];
    expect(first).toMatchObject({ title: 'Tape the jaws', runId: null });
    expect(first?.id).not.toBe('theirs');
    await user.upload(input, file(lesson('Tape the jaws')));
    expect(await screen.findByText(/^0 taken; 1 left out/)).toBeInTheDocument();
    expect(shop().lessons?.own).toHaveLength(before + 2);
  });

  it('say what is wrong with a file, and change nothing', async () => {
    const { user, shop } = renderPage(<LessonsPage />, { server: {}, shop: DEMO_SHOP });
    const before = shop().lessons;
    const input = await screen.findByLabelText('Read in a file');
    await user.upload(input, new File(['{"lessons": ['], 'lessons.json', { type: 'application/json' }));
    expect(await screen.findByText(/^The file is no JSON/)).toBeInTheDocument();
    await user.upload(input, file(lesson('Tape the jaws')));
    expect(await screen.findByText(/^Nothing here\./)).toBeInTheDocument();
    expect(shop().lessons).toEqual(before);
  });
});
