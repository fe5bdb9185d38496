import { type GlueOption, formatWait } from '@lean-clasp/core';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { FIGURE_FACE } from '../../app/theme';
import { Section } from '../../frame/Page';
import { Loading } from '../../frame/Loading';
import { Caution } from '../../parts/Caution';
import { usePlan } from '../../planner/plan-context';
import { useGlueOptions } from '../../planner/use-glue-options';
import { useFormat } from '../../quantities/use-format';
import { figureWords } from '../../verdicts/figures';
import { StateMark, stateWord } from '../../verdicts/state-mark';
import { hazardWords } from '../../words/catalogue';
import { causeWords } from '../../words/causes';
import { traitWords } from '../../words/glue';
import { useOpenBuild } from '../open-build';
import { Spreading } from './glue/Spreading';

/** Glue: families compared on this very job in this air, then how to spread the chosen one. */
export function GlueStep() {
  const options = useGlueOptions();
  const { plan } = usePlan();
  return (
    <>
      <Section title="Which glue">
        {plan !== null && (
          <Typography sx={{ mb: 1 }}>
            Now: <strong>{plan.adhesive.name}</strong>, <StateMark state={plan.verdicts.inTime.state} />{' '}
            {stateWord(plan.verdicts.inTime.state)} in time. Best for this job first:
          </Typography>
        )}
        {options === null ? (
          <Loading what="Planning with each glue" />
        ) : (
          <Box
            component="ul"
            aria-label="Glues, best for this job first"
            sx={{ listStyle: 'none', p: 0, m: 0 }}
          >
            {options.map((option) => (
              <GlueRow key={option.adhesive.id} option={option} />
            ))}
          </Box>
        )}
        {plan !== null && <Caution>{hazardWords(plan.adhesive.hazards)}</Caution>}
        <Typography variant="body2" color="text.secondary">
          Times are ranges typical of labels of each family, moved to today’s air; planning uses the short
          end. The label on your bottle wins.
        </Typography>
      </Section>
      <Section title="Spreading">
        <Spreading />
      </Section>
    </>
  );
}

function GlueRow({ option }: { readonly option: GlueOption }) {
  const { edit } = useOpenBuild();
  const f = useFormat();
  const { adhesive, chosen, refusal, inTime, tight, window, volumeMl, onShelfMl } = option;
  const choose = () =>
    edit(`Glue: ${adhesive.name}`, (before) => ({
      ...before,
      glue: { ...before.glue, adhesive: adhesive.id },
    }));
  return (
    <Box component="li" sx={{ borderBottom: 1, borderColor: 'divider' }}>
      <ButtonBase
        aria-pressed={chosen}
        onClick={choose}
        sx={(theme) => ({
          display: 'block',
          width: '100%',
          textAlign: 'left',
          p: 1.25,
          fontSize: '0.9375rem',
          borderLeft: `6px solid ${chosen ? theme.palette.tokens.glue : 'transparent'}`,
          bgcolor: chosen ? theme.palette.tokens.actionTint : undefined,
        })}
      >
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <StateMark state={refusal === null ? inTime.state : 'fails'} />
          <Box component="span" sx={{ fontWeight: 700, fontSize: '1rem', flex: 1 }}>
            {adhesive.name}
          </Box>
          <Box component="span" sx={{ fontFamily: FIGURE_FACE, fontWeight: 700 }}>
            {refusal === null ? `${figureWords(inTime, inTime.figure, f)} spare` : 'refused'}
          </Box>
        </Box>
        {refusal === null ? (
          <>
            <Box>
              {window.openMin !== null && window.totalMin !== null && (
                <>
                  open {minutes(window.openMin.low)}–{minutes(window.openMin.high)}, in all{' '}
                  {minutes(window.totalMin.low)}–{minutes(window.totalMin.high)} min · clamps off after{' '}
                  {formatWait(window.clampMin?.high ?? 0)}
                </>
              )}
            </Box>
            <Box sx={{ color: 'text.secondary' }}>
              {inTime.state === 'holds' ? '' : sentence(causeWords(inTime.cause, f))}
              {tight.state === 'holds' ? '' : sentence(causeWords(tight.cause, f))}
              {sentence(traitWords(adhesive))}
              {shelfWords(volumeMl, onShelfMl, f.volume)}
            </Box>
          </>
        ) : (
          <Box sx={{ color: 'error.main' }}>{causeWords(refusal, f)}</Box>
        )}
      </ButtonBase>
    </Box>
  );
}

/** Minutes as fine as they mean: tenths while short, whole ones after. */
const minutes = (value: number) =>
  value < 10 ? value.toFixed(1).replace('.0', '') : String(Math.round(value));
/** A sentence begins with a capital. */
const sentence = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}. `;

function shelfWords(neededMl: number, onShelfMl: number, volume: (ml: number) => string): string {
  if (onShelfMl <= 0) return 'None on the shelf.';
  return onShelfMl < neededMl
    ? `Needs ${volume(neededMl)}, the shelf has ${volume(onShelfMl)}.`
    : `Needs ${volume(neededMl)} of ${volume(onShelfMl)} on the shelf.`;
}
