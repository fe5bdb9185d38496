import { type GapReading, GLUED_REGIONS, type GluedRegion } from '@lean-clasp/core/assembly';
import { LIMITS } from '@lean-clasp/core/basics';
import { MOST_READINGS } from '@lean-clasp/core/formats';
import type { PlannedJoint } from '@lean-clasp/core/plan';
import { GLUED_WORDS, JOINT_WORDS, METHOD_OPTIONS, PAIRING_WORDS, inSentence } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { isSelected, useSelection } from '../drawing/selection';
import { Section } from '../frame/Page';
import { FieldRow } from '../parts/FieldRow';
import { usePlan } from '../planner/plan-context';
import { COUNTED_COLUMNS, Figure, OpeningRow, RowNumber } from '../parts/OpeningRow';
import { Choice } from '../parts/Choice';
import { ListField } from '../quantities/ListField';
import { type Format, useFormat } from '../quantities/use-format';
import { useMethodOptions } from '../shop/own';
import { useOpenBuild } from '../workspace/open-build';
import { noteJoints } from './edits';
import { type JointGroup } from './groups';
import { useJointGroups } from './use-joint-groups';

/** Joints that are alike in a row, with area and grain from the solids; a row opens to gaps read at the dry fit. */
export function JointsList() {
  const { plan } = usePlan();
  const f = useFormat();
  const groups = useJointGroups(plan);
  if (plan === null) return null;
  return (
    <Section title={`Joints, ${plan.joints.length}`}>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        {f.area(plan.facts.gluedMm2 * plan.facts.assembly.sets)} of glue line, {f.mass(plan.totals.massG)} of{' '}
        {inSentence(plan.adhesive.name)}. Open a row to enter gaps read with a feeler, or to leave glue out.
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {groups.map((group) => (
          <GroupRow key={group.key} group={group} glueMm={plan.adhesive.gapMm} />
        ))}
      </Box>
    </Section>
  );
}

function GroupRow({ group, glueMm }: { readonly group: JointGroup; readonly glueMm: number }) {
  const f = useFormat();
  const { selected, select } = useSelection();
  const first = group.joints[0];
  if (first === undefined) return null;
  const open = group.joints.some(({ facts }) => isSelected(selected, 'joint', facts.joint.id));
  const { facts } = first;
  const many = group.joints.length > 1;
  const parts = many ? facts.label.replace(/ \d+/g, '') : facts.label;
  return (
    <OpeningRow
      open={open}
      columns={COUNTED_COLUMNS}
      onToggle={() => select(open ? null : { kind: 'joint', id: facts.joint.id })}
      cells={
        <>
          <RowNumber>{group.joints.length} ×</RowNumber>
          <span>
            {JOINT_WORDS[facts.joint.kind]}, {parts}
          </span>
          <Figure>{f.area(facts.gluedMm2)}</Figure>
        </>
      }
    >
      {open && (
        <Box sx={{ pt: 1, pl: 1, pb: 1 }}>
          <Typography variant="body2" sx={{ mb: 1.5 }}>
            Mostly {PAIRING_WORDS[facts.pairing]}; {f.area(facts.longGrainMm2)} of long grain on long grain
            {facts.joint.gluedShare < 1
              ? `, glued over ${Math.round(facts.joint.gluedShare * 100)} %`
              : ''}. {waysOut(facts.release.length)}
          </Typography>
          <GluedField group={group} />
          <FieldRow>
            {group.joints.map((joint) => (
              <GapField key={joint.facts.joint.id} planned={joint} />
            ))}
          </FieldRow>
          {group.joints
            .filter(({ gap }) => gap !== null)
            .map((joint) => (
              <Typography key={joint.facts.joint.id} variant="body2" sx={{ mb: 0.5 }}>
                {gapWords(joint, glueMm, f)}
              </Typography>
            ))}
        </Box>
      )}
    </OpeningRow>
  );
}

/** Where alike joints get glue. */
function GluedField({ group }: { readonly group: JointGroup }) {
  const { build, edit } = useOpenBuild();
  const ids = group.joints.map(({ facts }) => facts.joint.id);
  const note = build.jointNotes.find(({ id }) => ids.includes(id));
  const methods = useMethodOptions(note?.spread?.method ?? AS_LAID, AS_THE_BUILD);
  return (
    <FieldRow>
      <Choice
        label="Glued"
        value={note?.glued ?? AS_LAID}
        options={GLUED_OPTIONS}
        onChange={(glued) =>
          edit('Where it is glued', noteJoints(ids, { glued: glued === AS_LAID ? undefined : glued }))
        }
        width={240}
      />
      <Choice
        label="Spread here with"
        value={note?.spread?.method ?? AS_LAID}
        options={methods}
        onChange={(method) =>
          edit(
            'Spreading of a joint',
            noteJoints(ids, {
              spread:
                method === AS_LAID ? undefined : { method, faces: note?.spread?.faces ?? build.glue.faces },
            }),
          )
        }
        width={190}
      />
    </FieldRow>
  );
}

const AS_LAID = 'as-laid';
const AS_THE_BUILD = [{ value: AS_LAID, name: 'the build’s method' }, ...METHOD_OPTIONS];
const GLUED_OPTIONS: readonly { readonly value: GluedRegion | typeof AS_LAID; readonly name: string }[] = [
  { value: AS_LAID, name: 'as this kind is glued' },
  ...GLUED_REGIONS.map((value) => ({ value, name: GLUED_WORDS[value] })),
];

/** Feeler readings along one joint: one for all of it, or several from end to end. */
function GapField({ planned }: { readonly planned: PlannedJoint }) {
  const { build, edit } = useOpenBuild();
  const { joint, label } = planned.facts;
  const note = build.jointNotes.find(({ id }) => id === joint.id);
  const readings = note?.gapsMm ?? (typeof note?.gapMm === 'number' ? [note.gapMm] : []);
  return (
    <ListField
      label={`Gaps, ${label}`}
      value={readings}
      shape={{ kind: 'numbers' }}
      quantity="length"
      bounds={LIMITS.gapMm}
      most={MOST_READINGS}
      hint="one, or several from end to end"
      width={250}
      onChange={(list) =>
        edit(`Gaps, ${label}`, noteJoints([joint.id], { gapMm: null, gapsMm: list.map(Number) }))
      }
    />
  );
}

/** How free the parts are of each other, out of 26 directions. */
function waysOut(count: number): string {
  if (count === 0) return 'Captive: once in, it cannot leave.';
  return count === 1 ? 'One way in.' : `${count} ways in.`;
}

/** Whether what was read may be closed by clamps. */
function gapWords(planned: PlannedJoint, glueMm: number, f: Format): string {
  const { facts, gap, closing, closingForceN } = planned;
  const read = `${facts.label}: ${f.fine(Math.abs(gap?.gapMm ?? 0))} open${shapeWords(gap, f)}`;
  const force =
    closingForceN > 0 && Number.isFinite(closingForceN) ? ` (about ${f.force(closingForceN)})` : '';
  switch (closing) {
    case 'none':
      return `${read} – this glue fills up to ${f.fine(glueMm)}.`;
    case 'easy':
      return `${read} – the clamps close this easily${force}.`;
    case 'costly':
      return `${read} – the clamps can, but much of their pull goes into it${force}.`;
    case 'back-to-plane':
      return `${read} – do not ask clamps to close this${force}: back to the plane, or cut it again.`;
  }
}

/** The shape of the line, where enough was read to tell it. */
function shapeWords(gap: GapReading | null, f: Format): string {
  if (gap?.line === null || gap === null) return '';
  const { kind, sagMm, wedgeMm } = gap.line;
  switch (kind) {
    case 'true':
      return ', even from end to end';
    case 'hollow':
      return `, hollow by ${f.fine(sagMm)}`;
    case 'sprung':
      return `, touching in the middle, its ends ${f.fine(-sagMm)} off`;
    case 'wedge':
      return `, a wedge of ${f.fine(Math.abs(wedgeMm))} from end to end`;
  }
}
