import type { Bounds } from '../basics/checks';
import { parseLength, parseNumber, type ParsedQuantity, parseScaled, type UnitSystem } from '../units';
import type { CellFault, CellRead, Column } from './column';

type KeyOf<Row, Value> = { [K in keyof Row]-?: Row[K] extends Value ? K : never }[keyof Row] & string;

/** What the factories below have in common. */
interface Told {
  readonly head: string;
  readonly also?: readonly string[];
  readonly needed?: boolean;
}

const fault = <Row>(what: CellFault): CellRead<Row> => ({ ok: false, fault: what });
const change = <Row>(key: keyof Row, value: unknown): CellRead<Row> => ({
  ok: true,
  change: () => ({ [key]: value }) as Partial<Row>,
});
const told = ({ head, also = [], needed = false }: Told) => ({ head, also, needed });
/** A number without what is only noise of its arithmetic. */
const plain = (value: number): string => String(Number(value.toPrecision(9)));

/** How a number is kept, and how it stands in a file. */
interface Measure {
  readonly bounds: Bounds;
  /** What its bare figure in a file is multiplied with. */
  readonly factor: number;
  readonly unit: string;
  readonly read: (text: string, system: UnitSystem) => ParsedQuantity;
  readonly like: string;
}

function measured<Row>(
  key: KeyOf<Row, number | null | undefined>,
  name: Told,
  { bounds, factor, unit, read, like }: Measure,
): Column<Row> {
  return {
    ...told(name),
    unit,
    print: (row) => {
      const value = row[key] as number | null | undefined;
      return value === null || value === undefined ? '' : plain(value / factor);
    },
    read: (text, system) => {
      const parsed = read(text, system);
      if (!parsed.ok) return fault({ code: 'not-readable', head: name.head, text, like });
      const { value } = parsed;
      return value < bounds.min || value > bounds.max
        ? fault({ code: 'out-of-range', head: name.head, text, bounds })
        : change(key, value);
    },
  };
}

/** A length, mm. */
export const lengthColumn = <Row>(
  key: KeyOf<Row, number | null | undefined>,
  bounds: Bounds,
  name: Told,
): Column<Row> =>
  measured(key, name, { bounds, factor: 1, unit: 'mm', read: parseLength, like: '600 mm or 23 5/8 in' });

/** How quantities stand in a file. */
const WRITTEN = {
  force: { factor: 1000, unit: 'kN', like: '2.5 kN or 550 lbf' },
  volume: { factor: 1, unit: 'mL', like: '250 mL or 8 fl oz' },
  temperature: { factor: 1, unit: '°C', like: '8 °C or 46 °F' },
  pressure: { factor: 1, unit: 'MPa', like: '0.7 MPa or 100 psi' },
} as const;

/** A force, N, an amount, mL, a temperature, °C, or a pressure, MPa. */
export const scaledColumn = <Row>(
  key: KeyOf<Row, number | null | undefined>,
  quantity: keyof typeof WRITTEN,
  bounds: Bounds,
  name: Told,
): Column<Row> =>
  measured(key, name, {
    ...WRITTEN[quantity],
    bounds,
    read: (text, system) => parseScaled(text, quantity, system),
  });

/** A column of something that a row has inside, such as the bag of a pump. @param blank what it begins as. */
export const innerColumn = <Row, Field extends keyof Row & string>(
  field: Field,
  blank: NonNullable<Row[Field]>,
  { print, read, ...column }: Column<NonNullable<Row[Field]>>,
): Column<Row> => ({
  ...column,
  print: (row) => {
    const inner = row[field];
    return inner === undefined || inner === null ? '' : print(inner);
  },
  read: (text, system) => {
    const inner = read(text, system);
    if (!inner.ok) return inner;
    return {
      ok: true,
      change: (said) => {
        const before = { ...blank, ...said[field] };
        return { [field]: { ...before, ...inner.change(before) } } as Partial<Row>;
      },
    };
  },
});

/** A number as it is, or times some factor, such as per cent that are kept as a share. */
export const numberColumn = <Row>(
  key: KeyOf<Row, number | null | undefined>,
  bounds: Bounds,
  name: Told & { readonly unit?: string; readonly factor?: number; readonly whole?: boolean },
): Column<Row> => {
  const { factor = 1, unit = '', whole = false } = name;
  return measured(key, name, {
    bounds,
    factor,
    unit,
    read: (text) => {
      const parsed = parseNumber(text, whole);
      return parsed.ok ? { ok: true, value: parsed.value * factor } : parsed;
    },
    like: whole ? '4' : '8.5',
  });
};

/** A name of one's own. */
export const nameColumn = <Row>(
  key: KeyOf<Row, string>,
  name: Told & { readonly most: number },
): Column<Row> => ({
  ...told(name),
  unit: '',
  print: (row) => String(row[key]),
  read: (text) => change(key, text.trim().slice(0, name.most)),
});

const DAY = /^(\d{4})-(\d{1,2})-(\d{1,2})$/;

/** A day by its year, month and day; other orders say different days to different people and are not guessed at. */
export const dayColumn = <Row>(key: KeyOf<Row, string | null>, name: Told): Column<Row> => ({
  ...told(name),
  unit: '',
  print: (row) => (row[key] as string | null) ?? '',
  read: (text) => {
    const [, year, month = '', day = ''] = DAY.exec(text.trim()) ?? [];
    const iso = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
    return year === undefined || !isDay(iso)
      ? fault({ code: 'not-readable', head: name.head, text, like: '2026-03-14' })
      : change(key, iso);
  },
});

/** Whether a calendar has such a day. */
const isDay = (iso: string): boolean => {
  const day = new Date(iso);
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(iso);
};

/** Something to choose from. */
export interface Word<Value extends string = string> {
  readonly id: Value;
  readonly name: string;
}

/** Words that differ in capitals, hyphens and the plural alone are one. */
const bare = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
    .replace(/(?<=\p{L}{2})s\b/gu, '');

/** One of some words, by its name or the start of it that no other shares. */
export const wordColumn = <Row>(
  key: KeyOf<Row, string>,
  words: readonly Word[],
  name: Told,
): Column<Row> => ({
  ...told(name),
  unit: '',
  print: (row) => words.find(({ id }) => id === row[key])?.name ?? String(row[key]),
  read: (text) => {
    const asked = bare(text);
    const same = words.find(({ id, name: called }) => bare(called) === asked || bare(id) === asked);
    const begun = words.filter(({ name: called }) => asked !== '' && bare(called).startsWith(asked));
    const found = same ?? (begun.length === 1 ? begun[0] : undefined);
    if (found !== undefined) return change(key, found.id);
    const near = (begun.length > 0 ? begun : words).slice(0, MOST_NAMED).map((word) => word.name);
    return fault({ code: 'no-such-word', head: name.head, text, near: near.join(', ') });
  },
});

/** Words that a fault names. */
const MOST_NAMED = 6;

const YES: readonly string[] = ['yes', 'y', 'x', 'true', '1', '✓'];
const NO: readonly string[] = ['no', 'n', 'false', '0', '-', '–'];

/** Yes or no. */
export const tickColumn = <Row>(key: KeyOf<Row, boolean>, name: Told): Column<Row> => ({
  ...told(name),
  unit: '',
  print: (row) => (row[key] === true ? 'yes' : 'no'),
  read: (text) => {
    const said = text.trim().toLowerCase();
    if (YES.includes(said)) return change(key, true);
    return NO.includes(said)
      ? change(key, false)
      : fault({ code: 'not-readable', head: name.head, text, like: 'yes or no' });
  },
});
