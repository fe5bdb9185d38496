import { type FreePart, MOST_FREE_PARTS } from '@lean-clasp/core/formats';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { LengthField, NumberField } from '../quantities/fields';
import { changePart } from './edits';
import {
  type AxisIndex,
  type Flush,
  type FreeEdit,
  FLUSH_WORDS,
  laidAgainst,
  mirrorPart,
  repeatPart,
  type Side,
  SIDES,
} from './free-edits';
import type { Refusal } from './use-attempt';

const WAYS = [
  { value: '0', name: 'to the right' },
  { value: '1', name: 'to the back' },
  { value: '2', name: 'upward' },
] as const;
const SIDE_OPTIONS = (Object.keys(SIDES) as Side[]).map((value) => ({ value, name: value }));

/** Lays a part against the face of another, or makes more of it: repeated at a pitch, or mirrored to the other side. */
export function FreePlacing({
  part,
  parts,
  onDone,
}: {
  readonly part: FreePart;
  readonly parts: readonly FreePart[];
  /** Makes a change; the refusal of one that cannot be made, which is not kept. */
  readonly onDone: (label: string, change: FreeEdit) => Refusal | null;
}) {
  const others = parts.filter(({ id }) => id !== part.id);
  const [side, setSide] = useState<Side>('on top of');
  const [other, setOther] = useState(others[0]?.id ?? '');
  const [flush, setFlush] = useState<Partial<Record<AxisIndex, Flush>>>({});
  const [way, setWay] = useState<'0' | '1' | '2'>('0');
  const [more, setMore] = useState(1);
  const [pitchMm, setPitchMm] = useState(100);
  const [refused, setRefused] = useState<Refusal | null>(null);
  const run = (label: string, change: FreeEdit) => setRefused(onDone(label, change));
  const against = others.find(({ id }) => id === other) ?? others[0];
  const axis = Number(way) as AxisIndex;
  const along = ([0, 1, 2] as const).filter((each) => each !== SIDES[side].axis);
  return (
    <Box component="details" sx={{ mb: 1, '& summary': { minHeight: 44, py: 1, cursor: 'pointer' } }}>
      <summary>Lay it against another, repeat or mirror it</summary>
      {against !== undefined && (
        <FieldRow>
          <Choice label="Lay it" value={side} options={SIDE_OPTIONS} onChange={setSide} width={150} />
          <Choice
            label="Part"
            value={against.id}
            options={others.map(({ id, name }) => ({ value: id, name }))}
            onChange={setOther}
            width={150}
          />
          {along.map((each) => (
            <Choice<Flush>
              key={each}
              label={`Along ${'xyz'[each] ?? ''}`}
              value={flush[each] ?? 'as it is'}
              options={[
                { value: 'as it is', name: 'as it is' },
                { value: 'low', name: FLUSH_WORDS[each][0] },
                { value: 'centred', name: 'centred' },
                { value: 'high', name: FLUSH_WORDS[each][1] },
              ]}
              onChange={(value) => setFlush({ ...flush, [each]: value })}
              width={180}
            />
          ))}
          <Button
            variant="outlined"
            onClick={() =>
              run(
                `${part.name} ${side} ${against.name}`,
                changePart(part.id, { atMm: laidAgainst(part, against, side, flush).atMm }),
              )
            }
          >
            Lay it there
          </Button>
        </FieldRow>
      )}
      <FieldRow>
        <NumberField
          label="More of it"
          whole
          value={more}
          bounds={{ min: 1, max: 40, unit: '' }}
          onChange={(value) => value !== null && setMore(value)}
          width={110}
        />
        <LengthField
          label="Each further by"
          value={pitchMm}
          bounds={{ min: -6000, max: 6000, unit: 'mm' }}
          onChange={(value) => value !== null && setPitchMm(value)}
          width={130}
        />
        <Choice label="Way" value={way} options={WAYS} onChange={setWay} width={140} />
        <Button
          variant="outlined"
          disabled={parts.length + more > MOST_FREE_PARTS}
          onClick={() => run(`${part.name} repeated`, repeatPart(part.id, more, axis, pitchMm))}
        >
          Repeat
        </Button>
        <Button
          variant="outlined"
          disabled={parts.length >= MOST_FREE_PARTS}
          onClick={() => run(`${part.name} mirrored`, mirrorPart(part.id, axis))}
        >
          Mirror to the other side
        </Button>
      </FieldRow>
      {refused !== null && (
        <Alert severity="error" variant="outlined" sx={{ mb: 1 }}>
          Not done: {refused.message} Possible: {refused.allowed}.
        </Alert>
      )}
    </Box>
  );
}
