import { GlueChoice } from '../../glue/GlueChoice';
import { Section } from '../../frame/Page';
import { Spreading } from './glue/Spreading';

/** Glue: families ranked for this very job in this air, then how to spread the chosen one. */
export function GlueStep() {
  return (
    <>
      <GlueChoice />
      <Section title="Spreading">
        <Spreading />
      </Section>
    </>
  );
}
