import { LIMITS } from '@lean-clasp/core/basics';
import type { BuildDocument } from '@lean-clasp/core/formats';
import { pullTightening, packingOf } from '@lean-clasp/core/plan';
import { CAREFUL_SAW_DEG } from '@lean-clasp/core/verdicts';
import { CLAMP_CAUTION, KIND_CAUTIONS, planSays } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { Loading } from '../frame/Loading';
import { Glossed } from '../glossary/Glossed';
import { Caution } from '../parts/Caution';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { Tick } from '../parts/Tick';
import { usePlan, useFixes } from '../planner/plan-context';
import { LengthField, NumberField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';
import { FixList } from '../verdicts/FixList';
import { SCHOOLS } from './schools';
import { useOpenBuild } from '../workspace/open-build';
import { PullSection } from './PullSection';

const PACKING = [
  { value: 'blocks', name: 'blocks' },
  { value: 'cauls', name: 'cauls, full length' },
  { value: 'bare', name: 'nothing' },
] as const;
const PRESSES = [
  { value: 'bag', name: 'in the bag' },
  { value: 'cauls', name: 'platens and cauls' },
] as const;

type Squeeze = NonNullable<BuildDocument['squeeze']>;

/** Squeeze of what does not lie in a row: every pull with its clamps in place, what each joint gets, and how it is brought together. */
export function PullsStep() {
  const { plan } = usePlan();
  const { fixes } = useFixes();
  const f = useFormat();
  if (plan === null) return <Loading />;
  const { squeeze } = plan;
  if (squeeze === null) return <Loading what="Placing the clamps" />;
  const ironed = plan.facts.assembly.pressedBy === 'iron';
  const helping = [...(fixes?.tight ?? []), ...(fixes?.square ?? []), ...(fixes?.flat ?? [])];
  return (
    <>
      {squeeze.pulls.map((pull) => (
        <PullSection key={pull.planned.pull.id} pull={pull} />
      ))}
      {helping.length > 0 && (
        <Section title="What would help">
          <FixList fixes={helping} />
        </Section>
      )}
      <Section title="Bringing it together">
        {ironed && (
          <Typography sx={{ mb: 1 }}>
            No clamps and no tape: a warm iron melts the film, a block follows it until it is cold.
          </Typography>
        )}
        <Box component="ol" sx={{ m: 0, pl: 3, '& li': { mb: 0.75 } }}>
          {pullTightening(plan, squeeze).map((step, i) => (
            <li key={`${i} ${step.code}`}>
              <Glossed>{planSays(step, f)}</Glossed>
            </li>
          ))}
        </Box>
      </Section>
      {ironed ? (
        <Caution>{KIND_CAUTIONS.iron}</Caution>
      ) : (
        <>
          <HowSqueezed />
          <Caution>{CLAMP_CAUTION}</Caution>
        </>
      )}
    </>
  );
}

/** What lies under the jaws, and what else is done to keep it true. */
function HowSqueezed() {
  const { build, edit } = useOpenBuild();
  const { plan } = usePlan();
  const set = (label: string, change: Squeeze) =>
    edit(label, (before) => ({ ...before, squeeze: { ...before.squeeze, ...change } }));
  const packing = packingOf(build);
  const needs = new Set(plan?.facts.assembly.pulls.map(({ need }) => need));
  const longGrain =
    needs.has('line') && plan?.joints.some(({ facts: { joint } }) => ['face', 'edge'].includes(joint.kind));
  const mitred = plan?.facts.assembly.square.kind === 'mitres';
  return (
    <Section title="How it is squeezed">
      <FieldRow>
        {longGrain && (
          <Choice
            label="Pressure"
            value={build.squeeze?.school ?? 'matched'}
            options={SCHOOLS}
            onChange={(school) => set('Pressure', { school })}
            width={190}
          />
        )}
        {needs.has('vacuum') && (
          <Choice
            label="Pressed"
            value={build.squeeze?.press ?? 'bag'}
            options={PRESSES}
            onChange={(press) => set('Pressed', { press })}
            width={190}
          />
        )}
        <Choice
          label="Under the jaws"
          value={packing.kind}
          options={PACKING}
          onChange={(kind) => set('Under the jaws', { packing: { ...packing, kind } })}
          width={190}
        />
        {packing.kind !== 'bare' && (
          <LengthField
            label="Its thickness"
            value={packing.thicknessMm}
            bounds={LIMITS.padThicknessMm}
            onChange={(thicknessMm) =>
              thicknessMm !== null && set('Packing', { packing: { ...packing, thicknessMm } })
            }
            width={130}
          />
        )}
        {mitred && (
          <NumberField
            label="Cuts true to"
            unit="°"
            value={build.squeeze?.cutErrorDeg ?? CAREFUL_SAW_DEG}
            bounds={{ min: 0, max: 2, unit: '°' }}
            hint={`a careful saw: ${CAREFUL_SAW_DEG}°`}
            onChange={(cutErrorDeg) => cutErrorDeg !== null && set('Cuts true to', { cutErrorDeg })}
            width={170}
          />
        )}
      </FieldRow>
      {needs.has('band') && (
        <Tick
          label="Waxed paper or rollers under bands"
          checked={build.squeeze?.slip === true}
          onChange={(slip) => set('Under the bands', { slip })}
        />
      )}
      <Tick
        label="Clamped down to a flat base"
        checked={build.squeeze?.clampedDown === true}
        onChange={(clampedDown) => set('Flat base', { clampedDown })}
      />
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Blocks are cut as wide as the work; pads or leather where a jaw would print, release film wherever
        glue can reach what presses.
      </Typography>
    </Section>
  );
}
