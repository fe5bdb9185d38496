import type { Bounds } from '@lean-clasp/core/basics';
import {
  ADHESIVE_OPTIONS,
  CLAMP_OPTIONS,
  CUT_OPTIONS,
  METHOD_OPTIONS,
  SPECIES_OPTIONS,
} from '@lean-clasp/words';
import { Choice } from '../parts/Choice';
import { Tick } from '../parts/Tick';
import { LengthField, NumberField, ScaledField } from '../quantities/fields';
import { labelOf } from './labels';
import type { ListShape } from '../quantities/list';
import { ListField } from '../quantities/ListField';
import { JsonField } from '../quantities/JsonField';
import TextField from '@mui/material/TextField';

const CHOICES: Readonly<Record<string, readonly { readonly value: string; readonly name: string }[]>> = {
  species: SPECIES_OPTIONS,
  stripSpecies: SPECIES_OPTIONS,
  layerSpecies: SPECIES_OPTIONS,
  adhesive: ADHESIVE_OPTIONS,
  clampKind: CLAMP_OPTIONS,
  method: METHOD_OPTIONS,
  cut: CUT_OPTIONS,
  faces: [
    { value: '1', name: 'one' },
    { value: '2', name: 'both' },
  ],
};

/** Where a schema says nothing, a field takes any number that fits on a page. */
const ANY: Bounds = { min: -1e6, max: 1e6, unit: '' };

/** One input of a sum, by its name and schema: a choice from a catalogue, or a quantity in the person's unit. */
export function SumField({
  field,
  schema,
  optional,
  value,
  onChange,
}: {
  readonly field: string;
  readonly schema: unknown;
  readonly optional: boolean;
  readonly value: unknown;
  readonly onChange: (value: unknown) => void;
}) {
  const label = labelOf(field);
  const choices = CHOICES[field];
  if (choices !== undefined) {
    const many = Array.isArray(value);
    return (
      <Choice
        label={label}
        value={String(many ? value[0] : (value ?? ''))}
        options={optional ? [{ value: '', name: 'not said' }, ...choices] : choices}
        onChange={(text) =>
          onChange(many ? [text] : field === 'faces' ? Number(text) : text === '' ? undefined : text)
        }
        width={230}
      />
    );
  }
  const words = wordsOf(schema);
  if (words !== null) {
    return (
      <Choice
        label={label}
        value={typeof value === 'string' ? value : ''}
        options={[
          ...(optional ? [{ value: '', name: 'not said' }] : []),
          ...words.map((each) => ({ value: each, name: each.replaceAll('-', ' ') })),
        ]}
        onChange={(text) => onChange(text === '' ? undefined : text)}
        width={180}
      />
    );
  }
  if (isFlag(schema)) return <Tick label={label} checked={value === true} onChange={onChange} />;
  if (isStructured(schema)) {
    return <JsonField label={label} value={value} optional={optional} onChange={onChange} />;
  }
  if (isText(schema)) return <TextLine label={label} value={value} onChange={onChange} />;
  const shape = shapeOf(schema);
  if (shape !== null) {
    const names = shape.kind === 'rows' ? shape.keys : [field];
    const units = [...new Set(names.map(unitOf))];
    const lengths = units.every((unit) => unit === 'mm');
    return (
      <ListField
        label={label}
        value={value}
        shape={shape}
        quantity={lengths ? 'length' : 'plain'}
        unit={units.filter((unit) => unit !== '').join(', ')}
        onChange={onChange}
      />
    );
  }
  const common = {
    label,
    value: typeof value === 'number' ? value : null,
    bounds: boundsOf(schema),
    onChange,
    optional,
    width: 180,
  };
  if (unitOf(field) === 'mm') return <LengthField {...common} />;
  if (/[tT]empC$|^warmC$/.test(field)) return <ScaledField {...common} quantity="temperature" />;
  if (/N$/.test(field)) return <ScaledField {...common} quantity="force" />;
  if (/MPa$/.test(field)) return <ScaledField {...common} quantity="pressure" />;
  if (/Mm2$/.test(field)) return <ScaledField {...common} quantity="area" />;
  return <NumberField {...common} unit={unitOf(field)} whole={isWhole(schema)} />;
}

/** Units by the suffix that a field's name carries, longer suffixes first. */
const UNITS: readonly (readonly [suffix: RegExp, unit: string])[] = [
  [/NPerMm$/, 'N/mm'],
  [/(Mm|^[abcd]{2})$/, 'mm'],
  [/Pct$/, '%'],
  [/Deg$/, '°'],
  [/Min$/, 'min'],
  [/N$/, 'N'],
];

function unitOf(field: string): string {
  return UNITS.find(([suffix]) => suffix.test(field))?.[1] ?? '';
}

function boundsOf(schema: unknown): Bounds {
  const { minimum, maximum } = (schema ?? {}) as { minimum?: number; maximum?: number };
  return { min: minimum ?? ANY.min, max: maximum ?? ANY.max, unit: '' };
}

function isWhole(schema: unknown): boolean {
  return (schema as { type?: string } | undefined)?.type === 'integer';
}

/** The words of a schema that takes one of a few; null for any other. */
function wordsOf(schema: unknown): readonly string[] | null {
  const { type, enum: words } = (schema ?? {}) as { type?: string; enum?: readonly string[] };
  return type === 'string' && words !== undefined ? words : null;
}

const isFlag = (schema: unknown): boolean => (schema as { type?: string } | undefined)?.type === 'boolean';

/** What kind of list a schema asks for; null when it asks for none. */
function shapeOf(schema: unknown): ListShape | null {
  const { type, items } = (schema ?? {}) as { type?: string; items?: { type?: string; properties?: object } };
  if (type !== 'array' || items === undefined) return null;
  if (items.type === 'string') return null;
  return items.type === 'object'
    ? { kind: 'rows', keys: Object.keys(items.properties ?? {}) }
    : { kind: 'numbers' };
}

interface Structured {
  readonly type?: string;
  readonly properties?: Readonly<Record<string, { readonly type?: string }>>;
  readonly items?: Structured;
}

/** Objects, and lists of anything but numbers and plain rows of numbers: shown as scripts write them. */
function isStructured(schema: unknown): boolean {
  const { type, items } = (schema ?? {}) as Structured;
  if (type === 'object') return true;
  if (type !== 'array') return false;
  if (items?.type === 'string') return true;
  const fields = Object.values(items?.properties ?? {});
  return fields.some((field) => field.type !== 'number' && field.type !== 'integer');
}

function isText(schema: unknown): boolean {
  return ((schema ?? {}) as Structured).type === 'string';
}

function TextLine({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: unknown;
  readonly onChange: (value: string) => void;
}) {
  return (
    <TextField
      size="small"
      label={label}
      value={typeof value === 'string' ? value : ''}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ inputLabel: { shrink: true } }}
      sx={{ width: 230 }}
    />
  );
}
