import { layAssembly } from '@lean-clasp/core/kinds';
import { kindOf } from '@lean-clasp/core/kinds';
import { KIND_CAUTIONS, planSays } from '@lean-clasp/words';
import Typography from '@mui/material/Typography';
import { Section } from '../frame/Page';
import { Glossed } from '../glossary/Glossed';
import { Caution } from '../parts/Caution';
import { usePlan } from '../planner/plan-context';
import { useFormat } from '../quantities/use-format';
import { useOwnWoods } from '../shop/own';
import { OutlineFromFile } from '../outline/OutlineFromFile';
import { SharedDemands } from '../workspace/steps/fit/Demands';
import { useOpenBuild } from '../workspace/open-build';
import { AnswersForm } from './AnswersForm';
import { answer } from './edits';
import { DryFitReadings } from './DryFitReadings';
import { FreeParts } from './FreeParts';
import { JointsList } from './JointsList';
import { PartsList } from './PartsList';
import { PreparationList } from './PreparationList';
import { Reinforcements } from './Reinforcements';
import { refusalOf, useAttempt } from './use-attempt';

/** Fit of an assembly: its few answers, what they come to, what the dry fit showed, what to do first. */
export function AssemblyFit() {
  const { build } = useOpenBuild();
  const kind = kindOf(build.template);
  return (
    <>
      {kind === null ? <FreeParts /> : <Shape />}
      <Said />
      <PartsList />
      <JointsList />
      <Section title="Dry fit">
        <DryFitReadings />
      </Section>
      <Reinforcements />
      {kind !== null && <PreparationList kind={kind} />}
      <Section title="What it must be">
        <SharedDemands />
      </Section>
      {kind?.cautions.map((caution) => (
        <Caution key={caution}>{KIND_CAUTIONS[caution]}</Caution>
      ))}
    </>
  );
}

function Shape() {
  const { build, edit } = useOpenBuild();
  const kind = kindOf(build.template);
  const woods = useOwnWoods();
  const { shown, refusal, set } = useAttempt(
    build.answers,
    (answers) => refusalOf(() => layAssembly({ ...build, answers }, build.mcInUse.lowPct, woods)),
    (answers) => edit('Answers', answer(answers)),
  );
  if (kind === null) return null;
  return (
    <Section title="Shape">
      <AnswersForm
        kind={kind}
        answers={shown}
        later
        refusal={refusal}
        onChange={(answers) => set({ ...build.answers, ...answers } as typeof build.answers)}
      />
      <OutlineFromFile />
    </Section>
  );
}

/** What the kind says about these answers. */
function Said() {
  const { plan } = usePlan();
  const f = useFormat();
  if (plan === null) return null;
  const { facts, findings } = plan;
  return (
    <>
      <Typography data-testid="weight" sx={{ mb: 1 }}>
        {facts.assembly.sets > 1 ? `${facts.assembly.sets} alike, ` : ''}
        {f.weight(facts.massKg)}
        {facts.assembly.sets > 1 ? ' each' : ''} at 12 % moisture.
      </Typography>
      {findings.map((finding, i) => (
        <Typography
          key={i}
          variant="body2"
          sx={{
            mb: 0.75,
            color: finding.severity === 'warns' ? 'warning.main' : 'text.primary',
            fontWeight: finding.severity === 'warns' ? 600 : 400,
          }}
        >
          {finding.severity === 'warns' ? 'Mind: ' : ''}
          <Glossed>{planSays(finding, f)}</Glossed>
        </Typography>
      ))}
    </>
  );
}
