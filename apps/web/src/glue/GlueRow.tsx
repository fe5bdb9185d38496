import type { Reason } from '@lean-clasp/core/choice';
import type { GlueOption } from '@lean-clasp/core/plan';
import { formatWait } from '@lean-clasp/core/units';
import { figureAlone, reasonWords, planSays, traitWords } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { FIGURE_FACE } from '../app/theme';
import { useFormat } from '../quantities/use-format';
import { StateMark } from '../verdicts/state-mark';
import { useBuildHandle } from '../workspace/open-build';

/** Most reasons shown for, and against, one glue. */
const MOST_REASONS = 4;
/** Reasons lighter than this are not worth a line. */
const WORTH_SAYING = 0.25;

/** One family: its times here, its verdict, and reasons for and against in plain words; chosen at a tap. */
export function GlueRow({ option }: { readonly option: GlueOption }) {
  const { edit } = useBuildHandle();
  const f = useFormat();
  const { adhesive, chosen, refusals, inTime, window } = option;
  const refused = refusals.length > 0;
  return (
    <Box component="li" sx={{ borderBottom: 1, borderColor: 'divider' }}>
      <ButtonBase
        aria-pressed={chosen}
        onClick={() =>
          edit(`Glue: ${adhesive.name}`, (before) => ({
            ...before,
            glue: { ...before.glue, adhesive: adhesive.id },
          }))
        }
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
          <StateMark state={refused ? 'fails' : inTime.state} />
          <Box component="span" sx={{ fontWeight: 700, fontSize: '1rem', flex: 1 }}>
            {adhesive.name}
            {adhesive.labelled.length > 0 && ' · by your label'}
          </Box>
          <Box component="span" sx={{ fontFamily: FIGURE_FACE, fontWeight: 700 }}>
            {refused ? 'refused' : inTime.figure === null ? '' : figureAlone(inTime, f)}
          </Box>
        </Box>
        {window.openMin !== null && window.totalMin !== null && (
          <Box>
            open {between(window.openMin)}, in all {between(window.totalMin)} · clamps off after{' '}
            {formatWait(window.clampMin?.high ?? 0)}
          </Box>
        )}
        {refused ? (
          <Box sx={{ color: 'error.main' }}>{refusals.map((refusal) => planSays(refusal, f)).join('; ')}</Box>
        ) : (
          <>
            <ReasonLine sign="+" name="for" reasons={option.reasons.filter(({ weight }) => weight > 0)} />
            <ReasonLine sign="−" name="against" reasons={option.reasons.filter(({ weight }) => weight < 0)} />
          </>
        )}
        {chosen && (
          <Box sx={{ color: 'text.secondary' }}>
            {traitWords(adhesive)}; {f.mass(option.massG)} of it here.
          </Box>
        )}
      </ButtonBase>
    </Box>
  );
}

/** The heaviest reasons of one side, each with what it weighs. */
function ReasonLine({
  sign,
  name,
  reasons,
}: {
  readonly sign: '+' | '−';
  readonly name: string;
  readonly reasons: readonly Reason[];
}) {
  const f = useFormat();
  const said = reasons.filter(({ weight }) => Math.abs(weight) >= WORTH_SAYING).slice(0, MOST_REASONS);
  if (said.length === 0) return null;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '18px minmax(0, 1fr)' }}>
      <Box component="span" aria-label={name} sx={{ fontFamily: FIGURE_FACE, fontWeight: 700 }}>
        {sign}
      </Box>
      <span>
        {said.map((reason, i) => (
          <span key={reason.code}>
            {i > 0 ? ' · ' : ''}
            {reasonWords(reason, f)}{' '}
            <Box component="span" sx={{ fontFamily: FIGURE_FACE, color: 'text.secondary' }}>
              {Math.abs(reason.weight).toFixed(1)}
            </Box>
          </span>
        ))}
      </span>
    </Box>
  );
}

/** From and to of a time; hours once it is longer than one. */
function between({ low, high }: { readonly low: number; readonly high: number }): string {
  if (high >= 60) return low === high ? formatWait(high) : `${formatWait(low)} to ${formatWait(high)}`;
  return `${minutes(low)}–${minutes(high)} min`;
}

/** Minutes as fine as they mean: tenths while short, whole ones after. */
const minutes = (value: number) =>
  value < 10 ? value.toFixed(1).replace('.0', '') : String(Math.round(value));
