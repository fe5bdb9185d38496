import { LIMITS, type PlannedJoint } from '@lean-clasp/core';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { FIGURE_FACE } from '../app/theme';
import { isSelected, useSelection } from '../drawing/selection';
import { Section } from '../frame/Page';
import { FieldRow } from '../parts/FieldRow';
import { useAssemblyPlan } from '../planner/plan-context';
import { LengthField } from '../quantities/fields';
import { type Format, useFormat } from '../quantities/use-format';
import { JOINT_WORDS, PAIRING_WORDS } from '../words/kinds';
import { useOpenAssembly } from '../workspace/open-build';
import { noteJoints } from './edits';
import { groupJoints, type JointGroup } from './groups';

/** Joints that are alike in a row, with area and grain from the solids; a row opens to gaps read at the dry fit. */
export function JointsList() {
  const { plan } = useAssemblyPlan();
  const f = useFormat();
  const groups = useMemo(() => {
    if (plan === null) return [];
    const roles = new Map(plan.facts.parts.map(({ part }) => [part.id, part.role]));
    return groupJoints(plan.joints, (id) => roles.get(id) ?? '');
  }, [plan]);
  if (plan === null) return null;
  return (
    <Section title={`Joints, ${plan.joints.length}`}>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        {f.area(plan.facts.gluedMm2 * plan.facts.assembly.sets)} of glue line, {f.mass(plan.totals.massG)} of{' '}
        {plan.adhesive.name.toLowerCase()}. Open a row to enter gaps read with a feeler.
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
    <Box component="li" sx={{ borderBottom: 1, borderColor: 'divider' }}>
      <ButtonBase
        aria-expanded={open}
        onClick={() => select(open ? null : { kind: 'joint', id: facts.joint.id })}
        sx={{
          display: 'grid',
          gridTemplateColumns: '44px minmax(0, 1fr) auto',
          width: '100%',
          minHeight: 44,
          gap: 1,
          textAlign: 'left',
          fontSize: '0.9375rem',
          fontWeight: open ? 700 : 400,
        }}
      >
        <Box component="span" sx={{ fontFamily: FIGURE_FACE }}>
          {group.joints.length} ×
        </Box>
        <span>
          {JOINT_WORDS[facts.joint.kind]}, {parts}
        </span>
        <Box component="span" sx={{ fontFamily: FIGURE_FACE, fontSize: '0.875rem' }}>
          {f.area(facts.gluedMm2)}
        </Box>
      </ButtonBase>
      {open && (
        <Box sx={{ pt: 1, pl: 1, pb: 1 }}>
          <Typography variant="body2" sx={{ mb: 1.5 }}>
            Mostly {PAIRING_WORDS[facts.pairing]}; {f.area(facts.longGrainMm2)} of long grain on long grain
            {facts.joint.gluedShare < 1
              ? `, glued over ${Math.round(facts.joint.gluedShare * 100)} %`
              : ''}. {waysOut(facts.release.length)}
          </Typography>
          <FieldRow>
            {group.joints.map((joint) => (
              <GapField key={joint.facts.joint.id} planned={joint} />
            ))}
          </FieldRow>
          {group.joints
            .filter(({ facts: own }) => own.joint.gapMm !== null)
            .map((joint) => (
              <Typography key={joint.facts.joint.id} variant="body2" sx={{ mb: 0.5 }}>
                {gapWords(joint, glueMm, f)}
              </Typography>
            ))}
        </Box>
      )}
    </Box>
  );
}

function GapField({ planned }: { readonly planned: PlannedJoint }) {
  const { build, edit } = useOpenAssembly();
  const { joint, label } = planned.facts;
  const note = build.jointNotes.find(({ id }) => id === joint.id);
  return (
    <LengthField
      label={`Gap, ${label}`}
      fine
      optional
      value={note?.gapMm ?? null}
      bounds={LIMITS.gapMm}
      onChange={(gapMm) => edit(`Gap, ${label}`, noteJoints([joint.id], { gapMm }))}
      width={190}
    />
  );
}

/** How free the parts are of each other, out of 26 directions. */
function waysOut(count: number): string {
  if (count === 0) return 'Captive: once in, it cannot leave.';
  return count === 1 ? 'One way in.' : `${count} ways in.`;
}

/** Whether what was read may be closed by clamps. */
function gapWords({ facts, closing, closingForceN }: PlannedJoint, glueMm: number, f: Format): string {
  const read = `${facts.label}: ${f.fine(Math.abs(facts.joint.gapMm ?? 0))} open`;
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
