import { type Finding, finding } from '../../findings';
import { quad, type QuadReadings } from '../../geometry';
import { lookOf } from '../../kinds';
import { type Check, type Field, type Judged, numberAt, type Subject, type Values } from './reading';

const SIDES = ['ab', 'bc', 'cd', 'da'] as const;
/** Tapes are read to half a millimetre: sides apart by no more are alike. */
const READING_MM = 0.5;

/** Where they are read: once on a frame, on both faces of a case, along a post. */
const stationsOf = ({ template }: Subject): readonly string[] => lookOf(template, 'diagonals')?.at ?? [''];

const idAt = (station: string, name: string): string => (station === '' ? name : `${station} ${name}`);

/** Four sides of a frame tell one that leans from one that was cut wrong; a case or a post is not taken apart for that. */
const asksSides = (subject: Subject): boolean => stationsOf(subject).length === 1;

/**
 * Diagonals, read wherever the kind is read. A difference of up to twice what the piece is held to will do: half of it is how far a corner
 * is out. With the four sides it is told apart whether it leans, which a pull mends, or a side is longer than its opposite, which none does:
 * then equal diagonals are the most that can be had, and they share the error out.
 */
export const DIAGONALS: Check = {
  fields: (subject) => [
    ...stationsOf(subject).flatMap((station): Field[] => [
      { id: idAt(station, 'ac'), ask: 'length' },
      { id: idAt(station, 'bd'), ask: 'length' },
    ]),
    ...(asksSides(subject) ? SIDES.map((id): Field => ({ id, ask: 'length', optional: true })) : []),
  ],
  judge: (values, subject) => {
    const stations = stationsOf(subject).flatMap((station) => {
      const [ac, bd] = [numberAt(values, idAt(station, 'ac')), numberAt(values, idAt(station, 'bd'))];
      return ac === undefined || bd === undefined ? [] : [{ station, ac, bd }];
    });
    const outMm = 2 * subject.within.squareMm;
    const racked = stations.filter(({ ac, bd }) => Math.abs(ac - bd) > outMm);
    const pulls = racked.map(({ station, ac, bd }) =>
      finding('draw-diagonal', 'informs', {
        where: station,
        long: ac > bd ? 'A–C' : 'B–D',
        pullMm: Math.abs(ac - bd) / 2,
        outMm: Math.abs(ac - bd),
      }),
    );
    const wrong = asksSides(subject) ? wrongLengths(values) : [];
    const twisted = racked.length > 1 && new Set(racked.map(({ ac, bd }) => ac > bd)).size > 1;
    const spreadMm = Math.max(0, ...racked.map(({ ac, bd }) => Math.abs(ac - bd)));
    const base: Finding[] = twisted ? [finding('twisted-base', 'informs', { outMm: spreadMm })] : [];
    return judged([...base, ...pulls], wrong);
  },
  off: (values, subject) => {
    const read = stationsOf(subject).flatMap((station) => {
      const [ac, bd] = [numberAt(values, idAt(station, 'ac')), numberAt(values, idAt(station, 'bd'))];
      return ac === undefined || bd === undefined ? [] : [Math.abs(ac - bd)];
    });
    return read.length === 0 ? undefined : Math.max(...read);
  },
};

/** Nothing to pull is the end of it, even where a part is too long: that is told, and no clamp is asked to mend it. */
const judged = (toDo: readonly Finding[], known: readonly Finding[]): Judged => ({
  accepted: toDo.length === 0,
  says: toDo.length + known.length === 0 ? [finding('reads-true', 'informs')] : [...toDo, ...known],
});

function wrongLengths(values: Values): Finding[] {
  const read = [...SIDES, 'ac', 'bd'].map((id) => [id, numberAt(values, id)] as const);
  if (read.some(([, value]) => value === undefined)) return [];
  const readings = Object.fromEntries(read) as unknown as QuadReadings;
  const { lengthErrorMm } = quad(readings);
  if (lengthErrorMm <= READING_MM) return [];
  const upright = Math.abs(readings.bc - readings.da) > Math.abs(readings.ab - readings.cd);
  return [
    finding('wrong-length', 'warns', { sides: upright ? 'B–C, D–A' : 'A–B, C–D', byMm: lengthErrorMm }),
  ];
}
