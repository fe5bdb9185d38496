import type { InputError } from '../basics/checks';
import { ofCode } from '../findings';
import { practise } from '../test-support/practice';

const SLIM = { midRails: 0, widthMm: 500, heightMm: 700, memberMm: 50, thicknessMm: 24, tenonMm: 30 };
type Given = Record<string, number | string | number[] | string[]>;
const frame = (answers: Given) => practise({ template: 'tenon-frame', answers }).answer;

describe('rails that differ', () => {
  it('stand where they are said to, as wide as they are said to be, called by their place', () => {
    const { pieces } = frame({ railWidthsMm: [120, 0, 90], railHeightsMm: [800], legMm: 150 });
    expect(pieces.map(({ label, widthMm }) => [label, widthMm])).toEqual([
      ['left stile', 70],
      ['right stile', 70],
      ['bottom rail', 120],
      ['middle rail', 70],
      ['top rail', 90],
    ]);
    expect(pieces[0]?.lengthMm).toBe(1500 + 150);
  });

  it('glue as much as their own joints come to', () => {
    const at = (answers: Given) => frame({ ...SLIM, ...answers }).joints[0];
    const third = 8;
    // Two cheeks of tenon, two edges of it, and the shoulders around it: 50 × 24 less what the tenon takes.
    const tongue = 50 * 0.75;
    const shoulders = 50 * 24 - tongue * third;
    expect(at({})?.areaMm2).toBeCloseTo(2 * 30 * tongue + 2 * 30 * third + shoulders, 6);
    // A haunch fills a quarter of the width, a third of the tenon deep; the shoulder it leaves is as much smaller.
    const haunch = 50 / 4;
    expect(at({ joinery: 'haunched' })?.areaMm2).toBeCloseTo(
      2 * 30 * tongue +
        2 * 10 * haunch +
        // Edges: above the tenon, and below it beyond the haunch, whose own groove runs out of the stile; its end.
        third * (30 + 20) +
        third * haunch +
        50 * 24 -
        (tongue + haunch) * third,
      6,
    );
    // A half-lap: one face of 50 × 50, and the shoulder of the stile over half the thickness, either side of the rail.
    const lap = at({ joinery: 'half-lap' });
    expect(lap?.kind).toBe('half-lap');
    expect(lap?.areaMm2).toBeGreaterThan(50 * 50);
  });

  it('are pressed through their cheeks as well where they run through, with one clamp and a pad each', () => {
    const { clamps, joints, sessions, verdicts } = frame({ ...SLIM, joinery: 'bridle' });
    const cheeks = clamps.filter(({ kind }) => kind === 'c-clamp');
    expect(cheeks).toHaveLength(4);
    expect(clamps).toHaveLength(6);
    expect(sessions).toHaveLength(1);
    for (const { need, pressure, target } of joints) {
      expect(need).toBe('press');
      expect(pressure?.meanMPa).toBeGreaterThanOrEqual(target?.lowMPa ?? NaN);
      expect(pressure?.meanMPa).toBeLessThanOrEqual(target?.highMPa ?? NaN);
    }
    // One force goes through both cheeks: half of what both faces together would ask.
    const [first] = cheeks;
    expect((first?.plannedN ?? 0) / (50 * 50)).toBeCloseTo(joints[0]?.pressure?.meanMPa ?? NaN, 6);
    expect(verdicts.tight.state).toBe('holds');
    const minutes = sessions[0]?.operations.filter(({ id }) => id.startsWith('tighten:cheeks')).length;
    expect(minutes).toBe(4);
  });

  it('cost the minutes of every clamp that comes on', () => {
    expect(frame({ ...SLIM, joinery: 'bridle' }).totals.handsOnMin).toBeGreaterThan(
      frame({ ...SLIM }).totals.handsOnMin + 0.4,
    );
  });

  it('mix their joints, one rail half-lapped among tenons', () => {
    const { joints, clamps } = frame({ railJoinery: ['', 'half-lap', ''] });
    expect(joints.map(({ kind }) => kind)).toEqual([
      'mortise-tenon',
      'mortise-tenon',
      'half-lap',
      'half-lap',
      'mortise-tenon',
      'mortise-tenon',
    ]);
    expect(clamps.filter(({ kind }) => kind === 'c-clamp')).toHaveLength(2);
  });

  it.each<[string, Given, RegExp]>([
    ['stand in each other', { railHeightsMm: [30] }, /would stand in the bottom rail/],
    ['outnumber the rails', { railHeightsMm: [300, 600] }, /only 1/],
    ['have no opening between them', { railWidthsMm: [400, 400, 400], heightMm: 900 }, /leave no opening/],
    ['break out of the stile', { railTenonsMm: [90] }, /on the bottom rail would break out/],
    ['are let in as nobody lets rails in', { railJoinery: ['magnet'] }, /not one of the choices/],
  ])('that %s are refused with what can be made', (_, answers, said) => {
    expect(() => frame(answers)).toThrow(said);
    try {
      frame(answers);
    } catch (error) {
      expect((error as InputError).allowed.length).toBeGreaterThan(3);
    }
  });

  it('are read across the diagonals of the frame, not of its legs', () => {
    const { verdicts } = frame({ ...SLIM, legMm: 200 });
    expect(ofCode([verdicts.square.cause], 'diagonals-unread')?.values.diagonalMm).toBeCloseTo(
      Math.hypot(500, 700),
      9,
    );
  });
});
