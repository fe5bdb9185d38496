import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { useMethodOptions } from '../shop/own';

/** Ways of wetting faces, in the words of the work. */
export type FacesChoice = readonly { readonly value: '1' | '2'; readonly name: string }[];

/** How glue is spread on a whole build. */
interface Spreading {
  readonly method: string;
  readonly faces: 1 | 2;
}

/** Asks with what it is spread and on which faces. */
export function SpreadFields({
  value: { method, faces },
  methods,
  faces: choices,
  onChange,
}: {
  readonly value: Spreading;
  readonly methods: readonly { readonly value: string; readonly name: string }[];
  readonly faces: FacesChoice;
  /** `label` names the step of undo. */
  readonly onChange: (label: string, change: Partial<Spreading>) => void;
}) {
  return (
    <FieldRow>
      <Choice
        label="Spread with"
        value={method}
        options={useMethodOptions(method, methods)}
        onChange={(next) => onChange('Spread with', { method: next })}
        width={170}
      />
      <Choice
        label="Wetted faces"
        value={faces === 2 ? '2' : '1'}
        options={choices}
        onChange={(next) => onChange('Wetted faces', { faces: next === '2' ? 2 : 1 })}
        width={220}
      />
    </FieldRow>
  );
}
