import { LIMITS } from '@lean-clasp/core/basics';
import { type BuildDocument, type FreeJoint, type FreePart, MOST_FREE_PARTS } from '@lean-clasp/core/formats';
import { JOINT_KINDS } from '@lean-clasp/core/assembly';
import { letsIn, measureBuild } from '@lean-clasp/core/kinds';
import type { OwnWood } from '@lean-clasp/core/materials';
import { JOINT_WORDS } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Section } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { NameField } from '../parts/NameField';
import { LengthField } from '../quantities/fields';
import { useOwnWoods } from '../shop/own';
import { WoodChoice } from '../shop/WoodChoice';
import { useOpenBuild } from '../workspace/open-build';
import { CutListDialog } from '../tables/CutListDialog';
import { addJoint, addPart, changePart, partsOfList, removeJoint, removePart } from './edits';
import { deepenJoint, type FreeEdit } from './free-edits';
import { FreePlacing } from './FreePlacing';
import { type Refusal, refusalOf, useAttempt } from './use-attempt';

const GRAINS = [
  { value: 'x', name: 'along x' },
  { value: 'y', name: 'along y' },
  { value: 'z', name: 'upright' },
] as const;
const AXES = ['x', 'y', 'z'] as const;
const JOINT_OPTIONS = JOINT_KINDS.map((value) => ({ value, name: JOINT_WORDS[value] }));
/** Lays the parts out and measures where they touch: what that refuses no plan can be made of. */
const measured = (build: BuildDocument, woods: readonly OwnWood[]) =>
  measureBuild(build, build.mcInUse.lowPct, woods);

/** How deep a tenon or a housing may be told to go. */
const DEPTH = { min: 1, max: 1000, unit: 'mm' };
const PLACE = { min: -6000, max: 6000, unit: 'mm' };

/** A person's own parts, each with its size and place, and the joints between them. */
export function FreeParts() {
  const { build, edit } = useOpenBuild();
  const [listing, setListing] = useState(false);
  const woods = useOwnWoods();
  const { shown, refusal, set } = useAttempt(
    build.free,
    (free) => refusalOf(() => measured({ ...build, free }, woods)),
    (free) => edit('Parts', (before) => ({ ...before, free })),
  );
  const attempt = (change: FreeEdit) => set(change({ ...build, free: shown }).free);
  const place = (label: string, change: FreeEdit): Refusal | null => {
    const refused = refusalOf(() => measured(change(build), woods));
    if (refused === null) edit(label, change);
    return refused;
  };
  return (
    <Section
      title="Your parts"
      aside={
        <>
          <Button disabled={shown.parts.length >= MOST_FREE_PARTS} onClick={() => setListing(true)}>
            From a cut list
          </Button>
          <Button
            disabled={shown.parts.length >= MOST_FREE_PARTS}
            onClick={() => edit('Part added', addPart)}
          >
            Add a part
          </Button>
        </>
      }
    >
      {refusal !== null && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          {refusal.message} Possible: {refusal.allowed}. The last good state stands meanwhile.
        </Alert>
      )}
      {shown.parts.map((part) => (
        <PartFields
          key={part.id}
          part={part}
          parts={shown.parts}
          attempt={attempt}
          onDone={place}
          onRemove={() => edit(`${part.name} out`, removePart(part.id))}
        />
      ))}
      {listing && (
        <CutListDialog
          title="Parts from a cut list"
          of="parts"
          species={shown.parts.at(-1)?.species ?? 'white-ash'}
          most={MOST_FREE_PARTS - shown.parts.length}
          onTake={(rows) => edit('Parts from a list', partsOfList(rows))}
          onClose={() => setListing(false)}
        />
      )}
      <FreeJoints parts={build.free.parts} joints={build.free.joints} attempt={attempt} />
    </Section>
  );
}

function PartFields({
  part,
  parts,
  attempt,
  onDone,
  onRemove,
}: {
  readonly part: FreePart;
  readonly parts: readonly FreePart[];
  readonly attempt: (change: FreeEdit) => void;
  readonly onDone: (label: string, change: FreeEdit) => Refusal | null;
  readonly onRemove: () => void;
}) {
  const onChange = (change: Partial<FreePart>) => attempt(changePart(part.id, change));
  const axisField = (what: 'atMm' | 'sizeMm', axis: number) => (
    <LengthField
      key={`${what}${axis}`}
      label={`${what === 'atMm' ? 'From' : 'Size'} ${AXES[axis] ?? ''}`}
      value={part[what][axis] ?? 0}
      bounds={what === 'atMm' ? PLACE : { min: 0.5, max: LIMITS.boardLengthMm.max, unit: 'mm' }}
      onChange={(value) =>
        value !== null && onChange({ [what]: part[what].map((each, i) => (i === axis ? value : each)) })
      }
      width={112}
    />
  );
  return (
    <Box role="group" aria-label={part.name} sx={{ borderBottom: 1, borderColor: 'divider', pt: 1.5 }}>
      <FieldRow>
        <NameField value={part.name} width={150} onChange={(name) => onChange({ name })} />
        <WoodChoice value={part.species} onChange={(species) => onChange({ species })} width={180} />
        {[0, 1, 2].map((axis) => axisField('sizeMm', axis))}
        {[0, 1, 2].map((axis) => axisField('atMm', axis))}
        <Choice
          label="Grain"
          value={part.grain}
          options={GRAINS}
          onChange={(grain) => onChange({ grain })}
          width={120}
        />
        <Button color="error" onClick={onRemove}>
          Take out
        </Button>
      </FieldRow>
      <FreePlacing part={part} parts={parts} onDone={onDone} />
    </Box>
  );
}

function FreeJoints({
  parts,
  joints,
  attempt,
}: {
  readonly parts: readonly FreePart[];
  readonly joints: readonly FreeJoint[];
  readonly attempt: (change: FreeEdit) => void;
}) {
  const { build, edit } = useOpenBuild();
  const woods = useOwnWoods();
  const [next, setNext] = useState<Omit<FreeJoint, 'id'>>({
    kind: 'butt',
    a: parts[0]?.id ?? '',
    b: parts[1]?.id ?? '',
  });
  const options = parts.map(({ id, name }) => ({ value: id, name }));
  const nameOf = (id: string) => parts.find((part) => part.id === id)?.name ?? '';
  const known =
    options.some(({ value }) => value === next.a) && options.some(({ value }) => value === next.b);
  const refusal = known && next.a !== next.b ? refusalOf(() => measured(addJoint(next)(build), woods)) : null;
  return (
    <Box sx={{ pt: 2 }}>
      {joints.map((joint) => (
        <Box key={joint.id} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Box sx={{ flex: 1 }}>
            {JOINT_WORDS[joint.kind]}: {nameOf(joint.a)} – {nameOf(joint.b)}
          </Box>
          {letsIn(joint) && joint.kind !== 'bridle' && (
            <LengthField
              label="Depth"
              optional
              hint="empty: as usual"
              value={joint.deepMm ?? null}
              bounds={DEPTH}
              onChange={(deepMm) => attempt(deepenJoint(joint.id, deepMm))}
              width={130}
            />
          )}
          <Button color="error" onClick={() => edit('Joint out', removeJoint(joint.id))}>
            Take apart
          </Button>
        </Box>
      ))}
      {parts.length > 1 && (
        <FieldRow>
          <Choice
            label="Joint"
            value={next.kind}
            options={JOINT_OPTIONS}
            onChange={(kind) => setNext({ ...next, kind })}
            width={170}
          />
          <Choice
            label="of"
            value={next.a}
            options={options}
            onChange={(a) => setNext({ ...next, a })}
            width={150}
          />
          <Choice
            label="with"
            value={next.b}
            options={options}
            onChange={(b) => setNext({ ...next, b })}
            width={150}
          />
          <Button
            disabled={!known || next.a === next.b || refusal !== null}
            onClick={() => edit('Joint added', addJoint(next))}
          >
            Join them
          </Button>
        </FieldRow>
      )}
      {refusal !== null && (
        <Alert severity="info" variant="outlined">
          {refusal.message}
        </Alert>
      )}
    </Box>
  );
}
