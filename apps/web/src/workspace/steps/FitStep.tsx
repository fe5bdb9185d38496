import { AssemblyFit } from '../../assembly/AssemblyFit';
import { Section } from '../../frame/Page';
import { LessonsOfPlan } from '../../lessons/LessonsOfPlan';
import { BoardList } from './fit/BoardList';
import { LineReadings } from './fit/LineReadings';
import { RowDemands } from './fit/Demands';
import { useOpenBuild } from '../open-build';
import { RingDirection } from './fit/RingDirection';

/** Fit: the boards one by one where the person keeps a list of them, else the few answers of the kind and what they come to. */
export function FitStep() {
  const { build } = useOpenBuild();
  return (
    <>
      {build.boards === undefined ? <AssemblyFit /> : <BoardsFit />}
      <LessonsOfPlan />
    </>
  );
}

function BoardsFit() {
  return (
    <>
      <BoardList />
      <RingDirection />
      <Section title="Dry fit">
        <LineReadings />
      </Section>
      <Section title="What it must be">
        <RowDemands />
      </Section>
    </>
  );
}
