/** A word of the trade and what is meant by it here. */
export interface Term {
  readonly term: string;
  /** Other shapes of the word by which it is found in a sentence. */
  readonly also?: readonly string[];
  readonly says: string;
}

/** Words of the trade that the app uses, by the alphabet. */
export const GLOSSARY: readonly Term[] = [
  {
    term: 'arris',
    also: ['arrises'],
    says: 'The sharp edge where two faces meet. Taken off with one stroke of a plane it no longer dents or splinters.',
  },
  {
    term: 'assembly time',
    says: 'From the first glue on a face until full pressure: open time and closed assembly time together.',
  },
  {
    term: 'band clamp',
    also: ['band clamps'],
    says: 'A strap drawn tight round the work. It presses square corners well and sharp or blunt ones much less.',
  },
  {
    term: 'bead',
    also: ['beads'],
    says: 'A line of glue as it comes out of the bottle; also the row of drops that a pressed joint shows along its edge.',
  },
  {
    term: 'breadboard end',
    also: ['breadboard ends'],
    says: 'A board across the end of a panel that keeps it flat. It is glued in the middle only, so that the panel can shrink and swell.',
  },
  {
    term: 'caul',
    also: ['cauls'],
    says: 'A stiff bar clamped across or along the work: it spreads the pull of a clamp, or keeps boards in one plane.',
  },
  {
    term: 'clamp time',
    says: 'How long the clamps must stay on before the joint may be handled.',
  },
  {
    term: 'closed assembly time',
    also: ['closed time'],
    says: 'From faces together until full pressure. Glue skins over more slowly once it is covered, so this runs on where open time ends.',
  },
  {
    term: 'creep',
    also: ['creeps', 'creeping'],
    says: 'Slow slipping of a glue line under load that lasts; also the slide of a joint on wet glue while it is clamped.',
  },
  {
    term: 'crown',
    also: ['crowned'],
    says: 'A slight belly planed on a caul, so that pulling down its ends presses the middle as well.',
  },
  {
    term: 'dry fit',
    says: 'The whole thing put together and clamped without glue, to see that it closes and to learn the order.',
  },
  {
    term: 'fuse',
    also: ['fuses'],
    says: 'Our name for the time that one joint has left: lit by its first glue, put out by full pressure.',
  },
  {
    term: 'housing',
    also: ['housings'],
    says: 'A channel across a board that takes the end of another, as a shelf is let into a side.',
  },
  {
    term: 'mitre',
    also: ['mitres', 'mitred'],
    says: 'A joint cut so that each piece takes half of the angle between them.',
  },
  {
    term: 'mortise',
    also: ['mortises'],
    says: 'The hole that takes a tenon.',
  },
  {
    term: 'open time',
    says: 'From glue on a face until the faces must be together. Warm, dry air shortens it.',
  },
  {
    term: 'platen',
    also: ['platens'],
    says: 'A flat stiff plate that spreads pressure over a whole face.',
  },
  {
    term: 'proud',
    says: 'Standing out above the piece beside it. The opposite is shy, or below.',
  },
  {
    term: 'racked',
    also: ['racking'],
    says: 'Leaning out of square, so that one diagonal is longer than the other.',
  },
  {
    term: 'rail',
    also: ['rails'],
    says: 'A part of a frame that runs across, between the stiles.',
  },
  {
    term: 'scarf',
    also: ['scarfs'],
    says: 'Two ends cut to long slopes and glued over each other, to make one long piece.',
  },
  {
    term: 'sizing',
    also: ['sized', 'size end grain'],
    says: 'A first thin coat that fills thirsty end grain, so that the real coat stays in the joint.',
  },
  {
    term: 'spring joint',
    also: ['sprung'],
    says: 'An edge planed a hair hollow in the middle, so that the ends are pressed by the clamps in the middle.',
  },
  {
    term: 'squeeze-out',
    says: 'Glue that comes out of a joint under pressure: a fine row of beads all along is right, none anywhere is a starved joint.',
  },
  {
    term: 'starved',
    says: 'Said of a joint with too little glue left in it, pressed out, soaked up, or never spread.',
  },
  {
    term: 'stile',
    also: ['stiles'],
    says: 'An upright part of a frame, running its full height.',
  },
  {
    term: 'tenon',
    also: ['tenons', 'tenoned'],
    says: 'The tongue on the end of a part that goes into a mortise.',
  },
  {
    term: 'wind',
    also: ['winding'],
    says: 'Twist: one corner high when the other three lie on the bench. Seen by sighting over two straight bars.',
  },
];

const byName: ReadonlyMap<string, Term> = new Map(
  GLOSSARY.flatMap((term) => [term.term, ...(term.also ?? [])].map((name) => [name, term] as const)),
);
// Longer names first, so that closed assembly time is not taken for assembly time.
const NAMES = [...byName.keys()].sort((a, b) => b.length - a.length);
const ANY_NAME = new RegExp(`\\b(?:${NAMES.map((name) => name.replace('-', '[-‑]')).join('|')})\\b`, 'gi');

/** A stretch of a text, with the term that it names where it names one. */
export interface Glossed {
  readonly text: string;
  readonly term: Term | null;
}

/** Splits a text at the terms that it names, each at its first place only. */
export function glossed(text: string): Glossed[] {
  const seen = new Set<Term>();
  const pieces: Glossed[] = [];
  let from = 0;
  for (const { 0: found, index } of text.matchAll(ANY_NAME)) {
    const term = byName.get(found.toLowerCase().replace('‑', '-'));
    if (term === undefined || seen.has(term)) continue;
    seen.add(term);
    pieces.push({ text: text.slice(from, index), term: null }, { text: found, term });
    from = index + found.length;
  }
  return [...pieces, { text: text.slice(from), term: null }].filter((piece) => piece.text !== '');
}
