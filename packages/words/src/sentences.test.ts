import type { Finding, FindingCode, FindingValues } from '@lean-clasp/core/findings';
import { detailWords } from './bench';
import { formatFor } from './format';
import { figureAlone, figureWords } from './figures';
import { says, sumWords } from './say';

const metric = formatFor('metric');
const inches = formatFor('imperial');

/** A finding of a code with the values that it asks for. */
const of = <Code extends FindingCode>(code: Code, values: FindingValues[Code]): Finding =>
  ({ code, severity: 'informs', values }) as unknown as Finding;

// What is said where a wrong word would cost a glue-up, in both units, word for word.
describe('sentences', () => {
  it.each([
    [
      of('window-missed', { line: 'A–B', usedMin: 7.5, windowMin: 6.12, window: 'closed' }),
      'A–B takes 7:30 of 6:07 closed assembly time',
      'A–B takes 7:30 of 6:07 closed assembly time',
    ],
    [
      of('wood-too-wet', { mcPct: 14.26, maxPct: 10 }),
      'wood at 14.3 % moisture, this glue wants no more than 10 %',
      'wood at 14.3 % moisture, this glue wants no more than 10 %',
    ],
    [
      of('too-cold', { tempC: 6, minTempC: 10 }),
      '6 °C is below 10 °C: this glue forms no sound line',
      '43 °F is below 50 °F: this glue forms no sound line',
    ],
    [
      of('clamp-too-short', { clamp: 3, opensMm: 600, neededMm: 615 }),
      'clamp 3 opens 600 mm, the work needs 615 mm',
      'clamp 3 opens 23 5/8", the work needs 24 7/32"',
    ],
    [
      of('jaw-crushes', { clamp: 1, padMPa: 4.17, crushMPa: 3 }),
      'the jaw of clamp 1 bites at 4.17 MPa, the wood bears 3.00 MPa',
      'the jaw of clamp 1 bites at 605 psi, the wood bears 435 psi',
    ],
    [
      of('line-starves', { line: 'A–B', meanMPa: 0.5, mostMPa: 0.35 }),
      'A–B gets 0.50 MPa: past 0.35 MPa this glue is squeezed out and the line starves',
      'A–B gets 73 psi: past 51 psi this glue is squeezed out and the line starves',
    ],
    [
      of('free-end-splays', { mm: 0.61, legMm: 350, errorDeg: 0.05 }),
      'at the free end of 350 mm if both cuts of its corner are 0.05° off',
      'at the free end of 13 25/32" if both cuts of its corner are 0.05° off',
    ],
    [
      of('one-sided-bends', { lowMm: 0.19, highMm: 1.49 }),
      'veneered on one face only: the sheet comes out bowed by 0.19 mm to 1.49 mm as it dries',
      'veneered on one face only: the sheet comes out bowed by 0.007" to 0.059" as it dries',
    ],
    [
      of('pegs-draw', { line: 'panel – end', offsetMm: 1.1 }),
      'panel – end is drawn home by its pegs, holes offset 1.10 mm: no clamp over the length needed',
      'panel – end is drawn home by its pegs, holes offset 0.043": no clamp over the length needed',
    ],
    [
      of('one-clamp-deep', { line: 'side – shelf', lengthMm: 440 }),
      'side – shelf is 440 mm long under one clamp: two, or a caul across',
      'side – shelf is 17 5/16" long under one clamp: two, or a caul across',
    ],
    [
      of('bead-on-wide-face', { line: 'core – veneer', widthMm: 600 }),
      'core – veneer is 600 mm wide: a bead that nobody spreads leaves it dry between',
      'core – veneer is 23 5/8" wide: a bead that nobody spreads leaves it dry between',
    ],
    [
      of('line-opens', { line: 'A–B', openMm: 0.006, atMm: 12 }),
      'A–B stands open 0.01 mm at 12 mm',
      'A–B is just not closed at 1/2"',
    ],
    [
      of('clamps-far-apart', { line: 'A–B', have: 1, everyMm: 90, count: 4 }),
      'A–B: one clamp presses only 90 mm of it; one every 90 mm makes 4',
      'A–B: one clamp presses only 3 9/16" of it; one every 3 9/16" makes 4',
    ],
    [
      of('tighten-again', { afterMin: 14.6 }),
      'After 15 min, once the glue drags, a second squeeze in the same order.',
      'After 15 min, once the glue drags, a second squeeze in the same order.',
    ],
    [of('add-clamps', { count: 1, kind: 't-bar' }), 'One more T-bar sash clamp', 'One more T-bar sash clamp'],
    [of('add-clamps', { count: 3, kind: 't-bar' }), '3 more T-bar sash clamps', '3 more T-bar sash clamps'],
    [
      of('arrange-sessions', { sessions: 1 }),
      'Work in the order that was worked out, in one session',
      'Work in the order that was worked out, in one session',
    ],
    [of('fewer-cauls', { pairs: 0 }), 'No cauls', 'No cauls'],
    [
      of('placed-clamps', {
        count: 0,
        minMPa: 0,
        lowMPa: 1.2,
        line: '',
        atMm: 0,
        proven: 'no',
        tried: 0,
      }),
      'No clamp on the rack is long enough for this work.',
      'No clamp on the rack is long enough for this work.',
    ],
    [
      of('do-wrap', { place: 2, count: 1, line: 'a – b' }),
      'Wrap place 2, one turn',
      'Wrap place 2, one turn',
    ],
  ])('%#', (finding, inMetric, inInches) => {
    expect(says(finding, metric)).toBe(inMetric);
    expect(says(finding, inches)).toBe(inInches);
  });

  it('ask for no more than one sentence needs: a pull short of force, or short at one place', () => {
    const short = { line: 'A–B', neededN: 8000, minMPa: 0.4 };
    expect(says(of('pull-short', { ...short, reachN: 5000 }), metric)).toBe(
      'A–B wants 8.0 kN in all, the rack gives 5.0 kN',
    );
    expect(says(of('pull-short', { ...short, reachN: 9000 }), metric)).toBe(
      'A–B gets 0.40 MPa at its weakest place; the pull in all would do',
    );
  });
});

describe('the detail of a step', () => {
  it.each([
    [
      of('do-tighten', {
        clamp: 2,
        kind: 't-bar',
        line: 'A–B',
        forceN: 500,
        openingMm: 615,
        turns: 0,
        once: '',
        atMm: 241,
        side: 'below',
      }),
      'below, at 241 mm, just snug: 500 N',
    ],
    [
      of('do-tighten', {
        clamp: 2,
        kind: 't-bar',
        line: 'A–B',
        forceN: 2000,
        openingMm: 615,
        turns: 0,
        once: '',
        atMm: 241,
        side: 'below',
      }),
      'below, at 241 mm, firm: 2.0 kN',
    ],
    [
      of('do-tighten-on', {
        clamp: 4,
        kind: 'f-heavy',
        line: 'stile – rail',
        forceN: 3000,
        openingMm: 500,
        turns: 0,
        once: 'flush',
      }),
      'once what slid is tapped flush, on stile – rail, hard: 3.0 kN',
    ],
    [
      of('do-tighten-on', {
        clamp: 4,
        kind: 'f-heavy',
        line: 'stile – rail',
        forceN: 900,
        openingMm: 500,
        turns: 1.5,
        once: '',
      }),
      'on stile – rail, firm: 900 N, about 1.5 turns past snug',
    ],
    [
      of('do-set-clamp-on', {
        clamp: 1,
        kind: 'band',
        line: 'stave 1 – stave 2',
        forceN: 1200,
        openingMm: 96,
        turns: 0,
        once: '',
      }),
      'band clamp all round, light',
    ],
    [
      of('do-again', { waitMin: 12, clamps: 1 }),
      'after 12 min, once the glue drags: one clamp brought on again',
    ],
    [of('do-again', { waitMin: 0, clamps: 6 }), '6 clamps brought on again'],
    [
      of('do-clean-peel-masking', { fromMin: 17, toMin: 43, lengthMm: 900 }),
      'while it is rubbery: about 17 min to 43 min after clamping',
    ],
    [
      of('do-spread', {
        line: 'A–B',
        board: 'A',
        joint: 'edge',
        faces: 1,
        method: 'card',
        massG: 4,
        middleMm: 0,
      }),
      'on the edge of board A, card, about 4 g, full film to both ends',
    ],
    [
      of('do-spread', {
        line: 'stile – rail',
        board: 'stile',
        joint: 'mortise-tenon',
        faces: 2,
        method: 'small joint brush',
        massG: 2,
        middleMm: 0,
      }),
      'both faces, small joint brush, about 2 g, walls of the mortise first, then the cheeks; little on the shoulders',
    ],
    [
      of('do-spread', {
        line: 'panel – left end',
        board: 'panel',
        joint: 'breadboard',
        faces: 1,
        method: 'small joint brush',
        massG: 0.6,
        middleMm: 84.2,
      }),
      'on panel, small joint brush, a few drops, only over the middle 84 mm; the rest stays dry',
    ],
  ])('%#', (finding, words) => {
    expect(detailWords(finding, metric)).toBe(words);
  });

  it('is none for what is no step', () => {
    expect(detailWords(of('no-clamps', {}), metric)).toBe('');
  });
});

describe('what to have at hand', () => {
  const spread = (method: string) => says(of('gather-spreader', { method }), metric);
  const bottle = (adhesive: string, months: number) =>
    says(of('ready-bottle', { adhesive, months, shelfMonths: 12 }), metric);

  it('has a spare of what there can be a spare of', () => {
    expect(spread('card')).toBe('To spread with: card, and a spare');
    expect(spread('finger')).toBe('To spread with: a finger, and a damp rag for it');
    expect(spread('bead only')).not.toMatch(/spare/);
  });

  it('shakes glue from a bottle, and leaves cartridges sealed', () => {
    expect(bottle('pva-interior', 1)).toBe('Glue shaken, runs freely, no strings: opened a month ago');
    expect(bottle('polyurethane-hot-melt', 2)).toMatch(/^Cartridges sealed .* opened 2 months ago$/);
  });
});

describe('figures', () => {
  it('say of time whether it is left over or lacking, and of all else what it is', () => {
    expect(figureAlone({ kind: 'minutes', figure: 3.11 }, metric)).toBe('3:07 spare');
    expect(figureAlone({ kind: 'minutes', figure: -10.5 }, metric)).toBe('10:30 short');
    expect(figureAlone({ kind: 'minutes', figure: null }, metric)).toBe('—');
    expect(figureAlone({ kind: 'force', figure: 1500 }, metric)).toBe('1.5 kN');
    expect(figureWords({ kind: 'fine-length' }, 0.197, metric)).toBe('0.20 mm');
    expect(figureWords({ kind: 'pressure' }, 1.2, inches)).toBe('174 psi');
  });

  it('say where a clamp stands no finer than it can be set', () => {
    expect(metric.about(261.4)).toBe('261 mm');
    expect(inches.about(261.4)).toBe('10 5/16"');
    expect(inches.length(261.4)).toBe('10 19/64"');
  });
});

describe('what a sum found', () => {
  it('names what it concerns before the sentence, and keeps a code that it does not know', () => {
    expect(sumWords({ code: 'captive', values: { parts: 3 }, joints: ['a-b', 'b-c'] }, metric)).toBe(
      'a-b, b-c: 3 parts hold each other: whichever comes last has no way left to come in.',
    );
    expect(sumWords({ code: 'too-few-benches', sessions: ['s2'] }, metric)).toBe(
      's2: Wants a bench where there is none.',
    );
    expect(sumWords({ code: 'never-heard-of' }, metric)).toBe('never-heard-of');
  });
});
