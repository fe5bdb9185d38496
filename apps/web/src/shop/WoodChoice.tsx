import { Choice } from '../parts/Choice';
import { useWoodOptions } from './own';

/** A wood of the catalogue, or one of the shop's own. */
export function WoodChoice({
  label = 'Wood',
  value,
  width = 190,
  onChange,
}: {
  readonly label?: string;
  readonly value: string;
  readonly width?: number;
  readonly onChange: (species: string) => void;
}) {
  return (
    <Choice label={label} value={value} options={useWoodOptions(value)} onChange={onChange} width={width} />
  );
}
