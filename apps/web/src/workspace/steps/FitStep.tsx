import { Section } from '../../frame/Page';
import { BoardList } from './fit/BoardList';
import { DryFit } from './fit/DryFit';
import { Demands } from './fit/Demands';
import { RingDirection } from './fit/RingDirection';

/** Fit: the boards, what the dry fit showed, and what the piece has to stand. */
export function FitStep() {
  return (
    <>
      <BoardList />
      <RingDirection />
      <Section title="Dry fit">
        <DryFit />
      </Section>
      <Section title="What it must be">
        <Demands />
      </Section>
    </>
  );
}
