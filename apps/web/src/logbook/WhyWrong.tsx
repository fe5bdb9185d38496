import {
  type Asked,
  diagnose,
  type Diagnosis,
  lessonFor,
  type Suspect,
  type Symptom,
  SYMPTOMS,
} from '@lean-clasp/core/diagnosis';
import type { Lesson, RunDocument } from '@lean-clasp/core/formats';
import { withLessons } from '@lean-clasp/core/lessons';
import { readAfterwards } from '@lean-clasp/core/runs';
import { CAUSE_WORDS, LOOK_QUESTIONS, SIGN_WORDS, SYMPTOM_WORDS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch } from '../app/store';
import { noteEvent } from '../bench/run-sync';
import { useDocument } from '../documents/use-document';
import { Choice } from '../parts/Choice';
import { SHOP_ID } from '../shop/shop-id';
import { useEditShop } from '../shop/use-edit-shop';
import { makeId } from '../workspace/edits';

const SHOWN = 3;
const NONE = 'none';
const OPTIONS = [
  { value: NONE, name: 'nothing went wrong' },
  ...SYMPTOMS.map((value) => ({ value, name: SYMPTOM_WORDS[value] })),
] as const;

/** What went wrong, what it most likely comes from by what this run holds, and the lesson that it proposes. */
export function WhyWrong({ run }: { readonly run: RunDocument }) {
  const dispatch = useAppDispatch();
  const { cause } = readAfterwards(run);
  const noted = SYMPTOMS.find((each) => each === cause?.symptom) ?? null;
  // What was picked stays on show also when its cause is taken back.
  const [picked, setPicked] = useState(noted);
  const symptom = picked ?? noted;
  const diagnosis = useMemo(() => (symptom === null ? null : diagnose(run, symptom)), [run, symptom]);
  const pick = (value: string) => {
    const next = SYMPTOMS.find((each) => each === value) ?? null;
    setPicked(next);
    if (next === null && cause !== null)
      dispatch(noteEvent(run.id, { kind: 'note', payload: { cause: null } }));
  };
  return (
    <>
      <Choice label="What went wrong" value={symptom ?? NONE} options={OPTIONS} width={320} onChange={pick} />
      {diagnosis !== null && symptom !== null && (
        <Suspects run={run} symptom={symptom} diagnosis={diagnosis} putDownTo={cause?.cause ?? null} />
      )}
    </>
  );
}

function Suspects({
  run,
  symptom,
  diagnosis: { suspects, lookAt },
  putDownTo,
}: {
  readonly run: RunDocument;
  readonly symptom: Symptom;
  readonly diagnosis: Diagnosis;
  readonly putDownTo: string | null;
}) {
  const looks = readAfterwards(run).looks;
  return (
    <Box sx={{ mt: 2 }}>
      {lookAt !== null && <Look run={run} look={lookAt} seen={null} />}
      {[...looks].map(([look, seen]) => (
        <Look key={look} run={run} look={look as Asked} seen={seen} />
      ))}
      <Typography variant="h3" sx={{ mt: 2 }}>
        Most likely, by what this run holds
      </Typography>
      {suspects.slice(0, SHOWN).map((suspect) => (
        <SuspectEntry
          key={suspect.cause}
          run={run}
          symptom={symptom}
          suspect={suspect}
          chosen={putDownTo === suspect.cause}
        />
      ))}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Shares come from a table of how often each cause shows each sign: judgement, not measurement. What
        nobody noted counts neither way.
      </Typography>
    </Box>
  );
}

/** Something to look at that would tell the causes apart. */
function Look({
  run,
  look,
  seen,
}: {
  readonly run: RunDocument;
  readonly look: Asked;
  readonly seen: string | null;
}) {
  const dispatch = useAppDispatch();
  return (
    <Box sx={{ mb: 1.5 }}>
      <Typography id={`look-${look}`} sx={{ mb: 0.5 }}>
        {LOOK_QUESTIONS[look]}
      </Typography>
      <ToggleButtonGroup
        exclusive
        value={seen}
        aria-labelledby={`look-${look}`}
        onChange={(_event, level: string | null) =>
          level !== null &&
          dispatch(noteEvent(run.id, { kind: 'note', payload: { look: { at: look, seen: level } } }))
        }
      >
        {Object.entries(SIGN_WORDS[look]).map(([level, words]) => (
          <ToggleButton key={level} value={level}>
            {words}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}

function SuspectEntry({
  run,
  symptom,
  suspect: { cause, share, because },
  chosen,
}: {
  readonly run: RunDocument;
  readonly symptom: Symptom;
  readonly suspect: Suspect;
  readonly chosen: boolean;
}) {
  const dispatch = useAppDispatch();
  const words = CAUSE_WORDS[cause];
  const told = (speaks: boolean) =>
    because
      .filter(({ factor }) => factor > 1 === speaks)
      .map(({ feature, level }) => SIGN_WORDS[feature][level] ?? level)
      .slice(0, 4)
      .join('; ');
  const [for_, against] = [told(true), told(false)];
  return (
    <Box
      component="article"
      aria-label={words.name}
      sx={{ borderBottom: 1, borderColor: 'divider', py: 1.5 }}
    >
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline' }}>
        <Typography sx={{ fontWeight: 700, flex: 1 }}>{words.name}</Typography>
        <Box sx={{ width: 120 }}>
          <LinearProgress
            variant="determinate"
            value={100 * share}
            aria-label={`How likely: ${words.name}`}
            sx={{ height: 8 }}
          />
        </Box>
        <Box sx={{ width: 48, textAlign: 'right' }}>{Math.round(100 * share)} %</Box>
      </Box>
      <Typography sx={{ maxWidth: 860 }}>{words.why}</Typography>
      {for_ !== '' && <Typography>Speaks for it: {for_}.</Typography>}
      {against !== '' && <Typography color="text.secondary">Speaks against it: {against}.</Typography>}
      <Typography sx={{ maxWidth: 860 }}>
        <strong>The piece now:</strong> {words.now}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
        <Button
          variant={chosen ? 'contained' : 'outlined'}
          aria-pressed={chosen}
          onClick={() =>
            dispatch(
              noteEvent(run.id, { kind: 'note', payload: { cause: chosen ? null : { symptom, cause } } }),
            )
          }
        >
          {chosen ? 'Put down to this' : 'It was this'}
        </Button>
        <AsLesson run={run} symptom={symptom} cause={cause} />
      </Box>
    </Box>
  );
}

/** Writes the lesson that a cause proposes, and opens it to be told in one's own words. */
function AsLesson({
  run,
  symptom,
  cause,
}: {
  readonly run: RunDocument;
  readonly symptom: Symptom;
  readonly cause: Suspect['cause'];
}) {
  const navigate = useNavigate();
  const edit = useEditShop();
  const open = useDocument('shops', SHOP_ID).kind === 'open';
  const write = () => {
    const { name, rule } = CAUSE_WORDS[cause];
    const lesson: Lesson = {
      ...lessonFor(cause, run),
      id: makeId(),
      title: `${run.buildName}: ${name}`.slice(0, 120),
      happened: `${SYMPTOM_WORDS[symptom]}.`,
      cause: `${name}.`,
      cost: '',
      change: rule,
      learnedOn: dayjs().format('YYYY-MM-DD'),
    };
    edit('Lesson added', (shop) => withLessons(shop, ({ own, away }) => ({ own: [lesson, ...own], away })));
    void navigate(`/logbook/lessons?open=${lesson.id}`);
  };
  return (
    <Button disabled={!open} onClick={write}>
      Make it a lesson
    </Button>
  );
}
