import type { AssemblyFacts } from '@lean-clasp/core/assembly';
import { LIMITS } from '@lean-clasp/core/basics';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { listSpecies, type OwnWood } from '@lean-clasp/core/materials';
import Papa from 'papaparse';

type PartNote = BuildDocument['partNotes'][number];

/** What a pasted table says about parts, and what to tell the person. */
export interface Pasted {
  readonly notes: readonly { readonly id: string; readonly change: Partial<Omit<PartNote, 'id'>> }[];
  readonly said: string;
}

/**
 * Reads rows of part, species, moisture as they come out of a spreadsheet. Names are matched without regard to
 * case, by place ("left stile") or number ("stile 1"); one without its number stands for all alike. Rows that fit nothing are
 * counted, never guessed at.
 * @param woods of the shop's own, beside the catalogue.
 */
export function pastedNotes(
  text: string,
  parts: AssemblyFacts['parts'],
  woods: readonly OwnWood[] = [],
): Pasted {
  const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true }).data;
  const notes: { id: string; change: Partial<Omit<PartNote, 'id'>> }[] = [];
  let unread = 0;
  for (const [name = '', ...cells] of rows) {
    const wanted = plain(name);
    const own = parts.filter(({ part }) => namesOf(part).some((each) => each === wanted));
    const change = Object.assign({}, ...cells.map((cell) => changeFrom(cell, woods))) as Partial<
      Omit<PartNote, 'id'>
    >;
    if (own.length === 0 || Object.keys(change).length === 0) unread += 1;
    else notes.push(...own.map(({ part }) => ({ id: part.id, change })));
  }
  const read = `${notes.length} ${notes.length === 1 ? 'part' : 'parts'} taken from the pasted rows.`;
  const left =
    unread === 0
      ? ''
      : ` ${unread} ${unread === 1 ? 'row names' : 'rows name'} no part here, or no wood or moisture from ${LIMITS.moisturePct.min} to ${LIMITS.moisturePct.max} %; write rows like “stile 1, cherry, 8.5”.`;
  return { notes, said: read + left };
}

/** What a part may be called: by its place, by what it is and its number, or as one of all alike. */
const namesOf = ({ label, id }: AssemblyFacts['parts'][number]['part']): string[] => {
  const byNumber = plain(id.replaceAll('-', ' '));
  return [plain(label), byNumber, byNumber.replace(/ \d+$/, '')];
};

const plain = (text: string) => text.trim().toLowerCase();

function changeFrom(cell: string, woods: readonly OwnWood[]): Partial<Omit<PartNote, 'id'>> {
  const wood = [...listSpecies(), ...woods].find(
    ({ id, name }) => plain(cell) === id || plain(cell) === plain(name),
  );
  if (wood !== undefined) return { species: wood.id };
  const match = /^(\d+(?:[.,]\d+)?)\s*%?$/.exec(cell.trim());
  const value = Number(match?.[1]?.replace(',', '.') ?? Number.NaN);
  const { min, max } = LIMITS.moisturePct;
  return value >= min && value <= max ? { mcPct: value } : {};
}
