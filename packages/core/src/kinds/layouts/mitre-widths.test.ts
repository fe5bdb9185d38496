import { ofCode } from '../../findings';
import { practise } from '../../test-support/practice';

type Given = Record<string, number | string | number[]>;
const frame = (answers: Given) => practise({ template: 'mitred-frame', answers }).answer;

describe('members of unequal width', () => {
  it('meet at one inside corner, their faces alike, whatever the corner', () => {
    const { joints } = frame({ memberWidthsMm: [60, 48, 60, 48] });
    // From the outer corner to the inner one: 60 in from one side, 48 from the other.
    for (const { areaMm2 } of joints) expect(areaMm2).toBeCloseTo(Math.hypot(60, 48) * 22, 6);
  });

  it('are sawn at the angles whose sum is the corner', () => {
    const { findings } = frame({ memberWidthsMm: [60, 0, 0, 0] });
    const unequal = ofCode(findings, 'unequal-mitre');
    expect(unequal?.values.corner).toBe('bottom rail – right stile');
    expect((unequal?.values.sawWideDeg ?? 0) + (unequal?.values.sawNarrowDeg ?? 0)).toBeCloseTo(90, 9);
    expect(unequal?.values.sawWideDeg).toBeCloseTo((Math.atan2(48, 60) * 180) / Math.PI, 9);
  });

  it('that differ by a little are lined up inside and planed off outside', () => {
    const { findings } = frame({ memberWidthsMm: [49.2] });
    expect(ofCode(findings, 'inside-first')?.values.offMm).toBeCloseTo(1.2, 9);
    expect(ofCode(findings, 'unequal-mitre')).toBeUndefined();
  });

  it('say nothing where they are alike', () => {
    const codes = frame({ memberWidthsMm: [48, 48, 0, 0] }).findings.map(({ code }) => code);
    expect(codes).not.toContain('unequal-mitre');
    expect(codes).not.toContain('inside-first');
  });

  it('are refused wider than the frame has room for', () => {
    expect(() => frame({ memberWidthsMm: [0, 240, 0, 240] })).toThrow(/too short for members/);
  });
});

describe('what lies in the rebate', () => {
  it('is as large as sight size and rebate allow, member by member', () => {
    const { findings } = frame({ memberWidthsMm: [60, 48, 48, 50], rebateMm: 8, clearanceMm: 1.5 });
    expect(ofCode(findings, 'glass-and-back')?.values).toEqual({
      openWideMm: 420 - 48 - 50,
      openHighMm: 560 - 60 - 48,
      glassWideMm: 420 - 48 - 50 + 13,
      glassHighMm: 560 - 60 - 48 + 13,
      rebateMm: 8,
      clearanceMm: 1.5,
    });
  });

  it('is not told of a frame without one, nor of one that is no rectangle', () => {
    expect(ofCode(frame({}).findings, 'glass-and-back')).toBeUndefined();
    const triangle = frame({ sidesMm: [300, 300, 300], anglesDeg: [60, 60, 60], rebateMm: 6 });
    expect(ofCode(triangle.findings, 'glass-and-back')).toBeUndefined();
  });

  it('needs a member wider than the rebate', () => {
    expect(() => frame({ widthMm: 20, rebateMm: 18 })).toThrow(/leaves nothing of a member/);
  });
});
