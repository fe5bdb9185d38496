import fc from 'fast-check';
import { createPatch } from 'rfc6902';
import { overlap, touched, withTests } from './addresses';
import type { Edit, LoggedEdit } from './history';
import { patchedBy, rebased } from './rebase';

interface Board {
  readonly id: string;
  readonly widthMm: number;
}
interface Body {
  readonly name: string;
  readonly crew: number;
  readonly boards: readonly Board[];
  readonly gaps: readonly number[];
}

const BASE: Body = {
  name: 'Top',
  crew: 1,
  boards: [
    { id: 'a', widthMm: 100 },
    { id: 'b', widthMm: 110 },
    { id: 'c', widthMm: 120 },
  ],
  gaps: [0, 0.1],
};

let made = 0;
function edit(before: Body, after: Body, label = 'edit'): Edit {
  made += 1;
  return {
    id: `e${made}`,
    kind: 'edit',
    label,
    group: 'g',
    patch: withTests(before, createPatch(before, after)),
    inverse: withTests(after, createPatch(after, before)),
  };
}
const logged = (step: Edit, revision = 1): LoggedEdit => ({ ...step, revision });
const widened = (body: Body, id: string, widthMm: number): Body => ({
  ...body,
  boards: body.boards.map((board) => (board.id === id ? { ...board, widthMm } : board)),
});
const without = (body: Body, id: string): Body => ({
  ...body,
  boards: body.boards.filter((board) => board.id !== id),
});
const withFirst = (body: Body, id: string): Body => ({
  ...body,
  boards: [{ id, widthMm: 90 }, ...body.boards],
});
const onTop = (mine: readonly Edit[], theirs: Body, ...later: Edit[]) => {
  const moved = rebased(
    mine,
    BASE,
    theirs,
    later.map((step) => logged(step)),
  );
  return { ...moved, body: moved.edits.reduce((body, { patch }) => patchedBy(body, patch), theirs) };
};

describe('edits on top of what another window did', () => {
  it('widen the board they were meant for, where one was put in before it', () => {
    const theirs = withFirst(BASE, 'new');
    const { body, clashes, unfit } = onTop([edit(BASE, widened(BASE, 'b', 140))], theirs, edit(BASE, theirs));
    expect(body.boards.map(({ id, widthMm }) => [id, widthMm])).toEqual([
      ['new', 90],
      ['a', 100],
      ['b', 140],
      ['c', 120],
    ]);
    expect([clashes, unfit]).toEqual([[], 0]);
  });

  it('and where one before it was taken out', () => {
    const theirs = without(BASE, 'a');
    const { body } = onTop([edit(BASE, widened(BASE, 'c', 99))], theirs, edit(BASE, theirs));
    expect(body.boards).toEqual([
      { id: 'b', widthMm: 110 },
      { id: 'c', widthMm: 99 },
    ]);
  });

  it('do not fit a board that is gone, and say so', () => {
    const theirs = without(BASE, 'b');
    const { body, unfit } = onTop([edit(BASE, widened(BASE, 'b', 140))], theirs, edit(BASE, theirs));
    expect(unfit).toBe(1);
    expect(body).toEqual(theirs);
  });

  it('merge where they change other fields, and name what both changed', () => {
    const theirs = { ...widened(BASE, 'b', 115), name: 'Theirs' };
    const step = edit(BASE, theirs);
    const apart = onTop(
      [edit(BASE, { ...BASE, crew: 2 }), edit({ ...BASE, crew: 2 }, widened({ ...BASE, crew: 2 }, 'a', 95))],
      theirs,
      step,
    );
    expect([apart.clashes, apart.body]).toEqual([[], widened({ ...theirs, crew: 2 }, 'a', 95)]);
    const both = onTop([edit(BASE, widened(BASE, 'b', 140), 'Width of B')], theirs, step);
    expect(both.clashes).toEqual(['Width of B']);
  });

  it('take a list without ids as one thing', () => {
    const theirs = { ...BASE, gaps: [0.2, 0.1] };
    const { clashes } = onTop([edit(BASE, { ...BASE, gaps: [0, 0.3] }, 'Gap')], theirs, edit(BASE, theirs));
    expect(clashes).toEqual(['Gap']);
  });

  it('are taken back on their own, not with what the other did', () => {
    const theirs = withFirst(BASE, 'new');
    const { edits, body } = onTop([edit(BASE, widened(BASE, 'b', 140))], theirs, edit(BASE, theirs));
    expect(patchedBy(body, edits[0]?.inverse ?? [])).toEqual(theirs);
  });

  it('stay in the log where the other did the very same, and change nothing', () => {
    const mine = edit(BASE, widened(BASE, 'b', 140), 'Width of B');
    const theirs = widened(BASE, 'b', 140);
    const { edits, clashes, body } = onTop([mine], theirs, edit(BASE, theirs));
    expect([edits.map(({ id }) => id), clashes, body]).toEqual([[mine.id], ['Width of B'], theirs]);
    expect(patchedBy(body, edits[0]?.inverse ?? [])).toEqual(theirs);
  });

  it('leave out those that went in already though nobody heard of it', () => {
    const sent = edit(BASE, { ...BASE, crew: 3 });
    const theirs = { ...BASE, crew: 3, name: 'Theirs' };
    const next = edit({ ...BASE, crew: 3 }, widened({ ...BASE, crew: 3 }, 'a', 95));
    const moved = rebased([sent, next], BASE, theirs, [
      logged(sent, 1),
      logged(edit({ ...BASE, crew: 3 }, theirs), 2),
    ]);
    expect(moved).toMatchObject({ clashes: [], unfit: 0 });
    expect(moved.edits.map(({ id }) => id)).toEqual([next.id]);
  });

  it('never land on a neighbour, whatever was put in, taken out or widened', () => {
    const change = fc.record({
      what: fc.constantFrom('widen', 'remove', 'insert', 'rename'),
      at: fc.integer({ min: 0, max: 5 }),
      widthMm: fc.integer({ min: 10, max: 400 }),
    });
    const changed = (
      body: Body,
      { what, at, widthMm }: { what: string; at: number; widthMm: number },
      who: string,
    ): Body => {
      const id = body.boards[at % Math.max(1, body.boards.length)]?.id ?? '';
      switch (what) {
        case 'widen':
          return widened(body, id, widthMm);
        case 'remove':
          return without(body, id);
        case 'insert':
          return withFirst(body, `${who}${widthMm}`);
        default:
          return { ...body, name: `${who}${widthMm}` };
      }
    };
    const run = (changes: readonly { what: string; at: number; widthMm: number }[], who: string) => {
      let body = BASE;
      const edits: Edit[] = [];
      for (const each of changes) {
        const next = changed(body, each, who);
        if (JSON.stringify(next) === JSON.stringify(body)) continue;
        edits.push(edit(body, next));
        body = next;
      }
      return { edits, body };
    };
    fc.assert(
      fc.property(fc.array(change, { maxLength: 6 }), fc.array(change, { maxLength: 6 }), (ours, others) => {
        const mine = run(ours, 'm');
        const theirs = run(others, 't');
        const { edits, clashes, unfit } = rebased(
          mine.edits,
          BASE,
          theirs.body,
          theirs.edits.map((step) => logged(step)),
        );
        const both = edits.reduce((body, { patch }) => patchedBy(body, patch), theirs.body);
        const ids = both.boards.map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        if (clashes.length > 0 || unfit > 0) return;
        // Nothing clashed: every board that only one of us touched is as that one left it.
        for (const { id, widthMm } of both.boards) {
          const [was, here, there] = [BASE, mine.body, theirs.body].map(
            (body) => body.boards.find((board) => board.id === id)?.widthMm,
          );
          expect(widthMm).toBe(here === was || here === undefined ? (there ?? here) : here);
        }
      }),
      { seed: 4, numRuns: 400 },
    );
  });
});

describe('places in a document', () => {
  it('are told by id, and lie in each other or do not', () => {
    const [place = []] = touched(BASE, createPatch(BASE, widened(BASE, 'c', 1)));
    expect(place).toEqual(['boards', '#c', 'widthMm']);
    expect(overlap(place, ['boards', '#c'])).toBe(true);
    expect(overlap(['boards', '#b'], place)).toBe(false);
  });

  it('carry a test of what they name, so that a patch fits nothing else', () => {
    const { patch } = edit(BASE, widened(BASE, 'c', 1));
    expect(patch[0]).toEqual({ op: 'test', path: '/boards/2/id', value: 'c' });
  });
});
