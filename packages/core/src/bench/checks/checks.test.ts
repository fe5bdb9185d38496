import fc from 'fast-check';
import { correctionFigure } from '../../drawing';
import { fieldsOf, isRead, judgeReading, offBy, type Subject, type Values } from '.';

const within = { flatMm: 0.8, squareMm: 0.5 };
const frame: Subject = { template: 'tenon-frame', joints: ['top', 'bottom'], within };
const row: Subject = { template: 'edge-panel', joints: ['A–B', 'B–C'], within };

/** A four-bar figure: sides as cut, leaning by an angle at A; its corners, and what a tape reads on it. */
interface Figure {
  readonly ab: number;
  readonly bc: number;
  readonly cd: number;
  readonly da: number;
  readonly angleA: number;
}

/** What a tape reads: B from A along x, D by the angle at A, C where the circles about B and D meet. */
function readingsOf({ ab, bc, cd, da, angleA }: Figure): Record<string, number> {
  const d = [da * Math.cos(angleA), da * Math.sin(angleA)] as const;
  const bd = Math.hypot(d[0] - ab, d[1]);
  // C beyond the line from B to D as A is before it.
  const along = (bc * bc - cd * cd + bd * bd) / (2 * bd);
  const beside = Math.sqrt(bc * bc - along * along);
  const [ux, uy] = [(d[0] - ab) / bd, d[1] / bd];
  const c = [ab + along * ux + beside * uy, along * uy - beside * ux] as const;
  return { ab, bc, cd, da, ac: Math.hypot(c[0], c[1]), bd };
}

/** The figure drawn in along its long diagonal by so much: the angle at A that makes it so, by halving. */
function drawnIn(figure: Figure, long: string, byMm: number): Figure {
  const id = long === 'A–C' ? 'ac' : 'bd';
  const wanted = (readingsOf(figure)[id] ?? 0) - byMm;
  // The diagonal from A grows as the angle at A shrinks; the other way round for the other.
  let [low, high] = [figure.angleA - 0.1, figure.angleA + 0.1];
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    const grows = id === 'bd';
    const isLong = (readingsOf({ ...figure, angleA: middle })[id] ?? 0) > wanted;
    if (isLong === grows) high = middle;
    else low = middle;
  }
  return { ...figure, angleA: (low + high) / 2 };
}

const someFigure = fc.record({
  width: fc.integer({ min: 180, max: 1400 }),
  height: fc.integer({ min: 150, max: 2100 }),
  leanMm: fc.integer({ min: -90, max: 90 }).map((n) => n / 10),
  /** How much the third and the fourth side are off their opposites. */
  longCd: fc.integer({ min: -30, max: 30 }).map((n) => n / 10),
  longDa: fc.integer({ min: -30, max: 30 }).map((n) => n / 10),
});

describe('diagonals of random figures, racked and cut wrong', () => {
  it('after the correction the next reading will do; a wrong length is told as one, and never asked to be clamped away', () => {
    let [racked, wrong] = [0, 0];
    fc.assert(
      fc.property(someFigure, ({ width, height, leanMm, longCd, longDa }) => {
        const figure: Figure = {
          ab: width,
          bc: height,
          cd: width + longCd,
          da: height + longDa,
          angleA: Math.PI / 2 + leanMm / height,
        };
        const first = readingsOf(figure);
        const judged = judgeReading('diagonals', first, frame);
        const said = judged.says.map(({ code }) => code);
        const isWrong = Math.max(Math.abs(longCd), Math.abs(longDa)) > 0.5;
        expect(said.includes('wrong-length')).toBe(isWrong);
        if (isWrong) wrong += 1;
        const pull = judged.says.find(({ code }) => code === 'draw-diagonal');
        if (Math.abs((first.ac ?? 0) - (first.bd ?? 0)) <= 2 * within.squareMm) {
          expect(judged.accepted).toBe(true);
          return;
        }
        if (pull?.code !== 'draw-diagonal') throw new Error('nothing to pull');
        racked += 1;
        const after = readingsOf(drawnIn(figure, pull.values.long, pull.values.pullMm));
        expect(judgeReading('diagonals', after, frame).accepted).toBe(true);
      }),
      { seed: 21, numRuns: 300 },
    );
    expect(racked).toBeGreaterThan(150);
    expect(wrong).toBeGreaterThan(100);
  });

  it('of a case are read on both faces; where they lean against each other its base is looked at first', () => {
    const box: Subject = { ...frame, template: 'case' };
    expect(fieldsOf('diagonals', box).map(({ id }) => id)).toEqual([
      'front ac',
      'front bd',
      'back ac',
      'back bd',
    ]);
    const twisted: Values = { 'front ac': 903, 'front bd': 900, 'back ac': 899, 'back bd': 902.4 };
    const { accepted, says } = judgeReading('diagonals', twisted, box);
    expect(accepted).toBe(false);
    expect(says.map(({ code }) => code)).toEqual(['twisted-base', 'draw-diagonal', 'draw-diagonal']);
    expect(says[1]?.values).toMatchObject({ where: 'front', long: 'A–C', pullMm: 1.5 });
  });

  it('of a post are read at three stations, and only the one that leans is drawn', () => {
    const post: Subject = { ...frame, template: 'mitred-post' };
    const read: Values = Object.fromEntries(
      fieldsOf('diagonals', post).map(({ id }) => [id, id === 'middle bd' ? 136.4 : 134.2]),
    );
    expect(isRead('diagonals', read, post)).toBe(true);
    expect(judgeReading('diagonals', read, post).says).toMatchObject([
      { code: 'draw-diagonal', values: { where: 'middle', long: 'B–D' } },
    ]);
  });
});

describe('winding of random figures', () => {
  it('once the corner is brought down by what was read, the bars line up', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('A', 'B', 'C', 'D'),
        fc.integer({ min: 0, max: 120 }).map((n) => n / 10),
        (corner, windMm) => {
          const judged = judgeReading('winding', { high: corner, wind: windMm }, frame);
          expect(judged.accepted).toBe(windMm <= within.flatMm);
          const [said] = judged.says;
          if (said?.code !== 'lower-corner') return;
          expect(said.values.corner).toBe(corner);
          const left = windMm - said.values.byMm;
          expect(judgeReading('winding', { high: corner, wind: left }, frame).accepted).toBe(true);
        },
      ),
      { seed: 22, numRuns: 200 },
    );
  });
});

describe('a try square on random corners, of parts that are bowed', () => {
  it('tells a bow from a corner that is out, from where the arc of the part really stands', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 2000 }),
        fc.integer({ min: 0, max: 50 }).map((n) => n / 10),
        fc.integer({ min: -200, max: 200 }).map((n) => n / 10_000),
        fc.integer({ min: 100, max: 300 }),
        (partMm, bowMm, leanRad, bladeMm) => {
          // A circular arc of that sagitta, and how far it stands off the blade's end, from the exact circle.
          const radius = bowMm === 0 ? Infinity : (partMm * partMm) / (8 * bowMm) + bowMm / 2;
          const slope = bowMm === 0 ? 0 : Math.asin(partMm / (2 * radius));
          const standsOffMm = bladeMm * Math.tan(slope + leanRad);
          const gapMm = Math.abs(standsOffMm);
          const judged = judgeReading(
            'try-square',
            {
              open: standsOffMm >= 0 ? 'at the end' : 'at the corner',
              gap: gapMm,
              blade: bladeMm,
              bows: 'away',
              bow: bowMm,
              part: partMm,
            },
            frame,
          );
          const [said] = judged.says;
          // What is called the part's own bow leaves the corner within what it is held to, but for the short-arc formula.
          if (said?.code === 'part-is-bowed') {
            expect(Math.abs(bladeMm * leanRad)).toBeLessThan(within.squareMm + 0.02 * (1 + gapMm));
          }
          if (leanRad === 0) expect(judged.accepted).toBe(true);
          if (bowMm === 0 && gapMm > within.squareMm) expect(said?.code).toBe('square-off');
        },
      ),
      { seed: 23, numRuns: 300 },
    );
  });
});

describe('what is looked at', () => {
  it('names the dry joints alone, and is content with beads and runs', () => {
    expect(judgeReading('squeeze-out', { 'A–B': 'bead', 'B–C': 'runs' }, row).accepted).toBe(true);
    expect(judgeReading('squeeze-out', { 'A–B': 'bead', 'B–C': 'dry' }, row)).toMatchObject({
      accepted: false,
      says: [{ code: 'draw-over', values: { joints: 'B–C' } }],
    });
    expect(isRead('squeeze-out', { 'A–B': 'bead' }, row)).toBe(false);
  });

  it('eases the bars on the side that bows a panel, and leaves a bowed part of a case', () => {
    const bowed = (middle: string, subject: Subject) =>
      judgeReading('straightedge', { middle, off: 1.4 }, subject);
    expect(bowed('high', row).says[0]?.code).toBe('bars-too-low');
    expect(bowed('hollow', row).says[0]?.code).toBe('bars-too-high');
    expect(bowed('high', { ...frame, template: 'case' })).toMatchObject({
      accepted: true,
      says: [{ code: 'part-is-bowed' }],
    });
    expect(judgeReading('straightedge', { middle: 'high', off: 0.6 }, row).accepted).toBe(true);
  });

  it('taps a stack home that stands a little high, and asks no clamp for more', () => {
    const stack = (by: number) => judgeReading('depth', { stack: 'above', by }, frame).says[0]?.code;
    expect(stack(0.4)).toBe('tap-stack');
    expect(stack(2)).toBe('stack-too-high');
    expect(judgeReading('depth', { stack: 'below', by: 1 }, frame).accepted).toBe(true);
  });

  it('draws feet in that stand apart, and the other way round', () => {
    expect(judgeReading('splay', { head: 800, feet: 803 }, frame).says).toMatchObject([
      { code: 'feet-in', values: { byMm: 3 } },
    ]);
    expect(judgeReading('splay', { head: 800, feet: 798.2 }, frame).says[0]?.code).toBe('feet-out');
    expect(judgeReading('splay', { head: 800, feet: 800.3 }, frame).accepted).toBe(true);
  });

  it.each(['bore', 'light-through', 'fair', 'hollow', 'flush', 'angle'] as const)(
    '%s: what is good is left, what is not says what to do',
    (check) => {
      const [word] = fieldsOf(check, frame).filter(({ ask }) => ask === 'word');
      const [good = '', bad = ''] = word?.choices ?? [];
      const read = (choice: string) => ({ [word?.id ?? '']: choice, proud: 1.2, off: 1.5 });
      expect(judgeReading(check, read(good), frame).accepted).toBe(true);
      expect(judgeReading(check, read(bad), frame).accepted).toBe(false);
    },
  );
});

describe('a feeler along every line', () => {
  it('tells the widest gap, line by line', () => {
    expect(fieldsOf('feeler', row).map(({ id }) => id)).toEqual(['lines', 'A–B', 'B–C']);
    expect(judgeReading('feeler', { lines: 'all tight' }, row).accepted).toBe(true);
    const open = { lines: 'some open', 'A–B': 0.15, 'B–C': 0.4 };
    expect(judgeReading('feeler', open, row)).toMatchObject({
      accepted: false,
      says: [{ code: 'gap-open', values: { joint: 'B–C', byMm: 0.4 } }],
    });
    expect(judgeReading('feeler', { lines: 'some open' }, row).accepted).toBe(false);
    expect(judgeReading('feeler', { lines: 'some open', 'A–B': 0.05 }, row).accepted).toBe(false);
    expect(offBy('feeler', open, row)).toBe(0.4);
  });
});

describe('how far off a reading is', () => {
  it.each([
    ['diagonals', { ac: 1000, bd: 1003.5 }, 3.5],
    ['straightedge', { middle: 'high', off: 0.7 }, 0.7],
    ['straightedge', { middle: 'true', off: 0.7 }, 0],
    ['winding', { high: 'B', wind: 2 }, 2],
    ['splay', { head: 800, feet: 798.5 }, 1.5],
    ['try-square', { open: 'none' }, 0],
    ['bore', { seen: 'clear' }, undefined],
  ] as const)('%s %o is off by %s', (check, values, off) => {
    expect(offBy(check, values, frame)).toBe(off);
  });
});

describe('a correction drawn', () => {
  it.each([
    ['diagonals', { ac: 1004, bd: 1000 }],
    ['diagonals', { ac: 1000, bd: 1004 }],
    ['winding', { high: 'C', wind: 3 }],
    ['try-square', { open: 'at the end', gap: 2 }],
    ['flush', { at: 'top', proud: 1 }],
    ['splay', { head: 800, feet: 804 }],
  ] as const)('has arrows for %s %o', (check, values) => {
    const [told] = judgeReading(check, values, frame).says;
    const figure = told === undefined ? null : correctionFigure(told);
    expect(figure?.paths.some(({ arrow }) => arrow)).toBe(true);
  });

  it('pulls a lean in along the diagonal that is long, from both ends inward', () => {
    const arrowsOf = (values: Values) => {
      const [told] = judgeReading('diagonals', values, frame).says;
      return (told === undefined ? null : correctionFigure(told))?.paths.filter(({ arrow }) => arrow) ?? [];
    };
    const rising = arrowsOf({ ac: 1004, bd: 1000 });
    const falling = arrowsOf({ ac: 1000, bd: 1004 });
    const slope = ({ points: [from, to] }: (typeof rising)[number]) =>
      ((to?.[1] ?? 0) - (from?.[1] ?? 0)) / ((to?.[0] ?? 0) - (from?.[0] ?? 0));
    for (const each of rising) expect(slope(each)).toBeGreaterThan(0);
    for (const each of falling) expect(slope(each)).toBeLessThan(0);
    // The two point at each other.
    const [one, other] = rising.map(({ points: [from, to] }) => (to?.[0] ?? 0) - (from?.[0] ?? 0));
    expect((one ?? 0) * (other ?? 0)).toBeLessThan(0);
  });

  it('leaves to words what they say better', () => {
    expect(correctionFigure({ code: 'reads-true', severity: 'informs', values: {} })).toBeNull();
  });
});
