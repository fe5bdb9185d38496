import { Section } from '../../../frame/Page';
import { BoardList } from './BoardList';
import { RowDemands } from './Demands';
import { LineReadings } from './LineReadings';
import { RingDirection } from './RingDirection';

/** Fit of boards that are kept one by one. */
export function BoardsFit() {
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
