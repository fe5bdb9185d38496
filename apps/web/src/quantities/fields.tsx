import type { Bounds } from '@lean-clasp/core/basics';
import {
  formatLength,
  parseLength,
  parseNumber,
  parseScaled,
  formatScaled,
  type ScaledQuantity,
} from '@lean-clasp/core/units';
import { useAppSelector } from '../app/store';
import { QuantityField } from './QuantityField';

/** What every quantity field takes. */
interface FieldProps<V extends number | null> {
  readonly label: string;
  readonly value: V;
  readonly bounds: Bounds;
  readonly onChange: (value: V) => void;
  readonly hint?: string;
  readonly width?: number | string;
}

/** A length; fractions of an inch or millimetres, whichever the person prefers. */
export function LengthField({
  fine = false,
  optional = false,
  ...props
}: FieldProps<number | null> & { readonly fine?: boolean; readonly optional?: boolean }) {
  const system = useAppSelector((state) => state.preferences.units);
  return (
    <QuantityField
      {...props}
      optional={optional}
      print={(mm) => formatLength(mm, system, fine)}
      read={(text) => parseLength(text, system)}
    />
  );
}

/** A temperature, pressure, volume, force or mass. */
export function ScaledField({
  quantity,
  optional = false,
  ...props
}: FieldProps<number | null> & { readonly quantity: ScaledQuantity; readonly optional?: boolean }) {
  const system = useAppSelector((state) => state.preferences.units);
  return (
    <QuantityField
      {...props}
      optional={optional}
      print={(value) => formatScaled(value, quantity, system)}
      read={(text) => parseScaled(text, quantity, system)}
    />
  );
}

/** A plain number, such as a percentage or a count. */
export function NumberField({
  whole = false,
  unit = '',
  optional = false,
  ...props
}: FieldProps<number | null> & {
  readonly whole?: boolean;
  readonly unit?: string;
  readonly optional?: boolean;
}) {
  return (
    <QuantityField
      {...props}
      optional={optional}
      print={(value) => `${Number(value.toFixed(2))}${unit === '' ? '' : ` ${unit}`}`}
      read={(text) => parseNumber(text, whole)}
    />
  );
}
