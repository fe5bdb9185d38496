import { answersTo, type Answer, type Mishap, MISHAPS, type Moment } from '@lean-clasp/core/bench';
import { MISHAP_WORDS, says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo, useState } from 'react';
import { useFormat } from '../quantities/use-format';
import { StateMark } from '../verdicts/state-mark';
import type { Noted } from './run-sync';
import { outlookWords } from './WhatNow';

const big = { minHeight: 72, fontSize: '1.25rem', justifyContent: 'flex-start', textAlign: 'left' } as const;

/** What went wrong, then what still helps with the minutes that are left. */
export function Trouble({
  open,
  moment,
  conducting,
  onClose,
  onNote,
}: {
  readonly open: boolean;
  readonly moment: Moment;
  /** Only the screen that conducts gives a glue-up up. */
  readonly conducting: boolean;
  readonly onClose: () => void;
  readonly onNote: (what: Noted) => void;
}) {
  const [mishap, setMishap] = useState<Mishap | null>(null);
  const close = () => {
    setMishap(null);
    onClose();
  };
  const answer = (what: Mishap, chosen: Answer) => {
    onNote({ kind: 'mishap', payload: { mishap: { what, answer: chosen.answer } } });
    for (const event of chosen.events) onNote(event);
    close();
  };
  return (
    <Dialog open={open} onClose={close} aria-labelledby="trouble-title" maxWidth="md" fullWidth>
      <DialogTitle id="trouble-title" sx={{ fontSize: '1.75rem' }}>
        {mishap === null ? 'Something went wrong' : MISHAP_WORDS[mishap]}
      </DialogTitle>
      <DialogContent>
        {mishap === null ? (
          <Box sx={{ display: 'grid', gridTemplateColumns: { sm: '1fr 1fr' }, gap: 1.5 }}>
            {MISHAPS.map((each) => (
              <Button key={each} variant="outlined" onClick={() => setMishap(each)} sx={big}>
                {MISHAP_WORDS[each]}
              </Button>
            ))}
          </Box>
        ) : (
          <Answers mishap={mishap} moment={moment} onAnswer={(chosen) => answer(mishap, chosen)} />
        )}
      </DialogContent>
      <DialogActions sx={{ flexWrap: 'wrap', gap: 1, p: 2 }}>
        <Button
          size="large"
          variant="outlined"
          color="error"
          disabled={!conducting}
          sx={{ minHeight: 72, fontSize: '1.125rem' }}
          onClick={() => {
            onNote({ kind: 'abandon' });
            close();
          }}
        >
          Give this glue-up up
        </Button>
        <Button size="large" sx={{ minHeight: 72, fontSize: '1.125rem' }} onClick={close}>
          Go on
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Ways out, each with what it does to the fuses. */
function Answers({
  mishap,
  moment,
  onAnswer,
}: {
  readonly mishap: Mishap;
  readonly moment: Moment;
  readonly onAnswer: (answer: Answer) => void;
}) {
  const f = useFormat();
  const answers = useMemo(() => answersTo(mishap, moment), [mishap, moment]);
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {answers.map((each) => (
        <Button key={each.answer} variant="outlined" onClick={() => onAnswer(each)} sx={big}>
          <Box>
            <Box>{says(each.what, f)}</Box>
            <Box sx={{ fontSize: '1.0625rem', color: each.keeps ? 'text.secondary' : 'error.main' }}>
              {!each.keeps && (
                <>
                  <StateMark state="fails" />{' '}
                </>
              )}
              {outlookWords(each.outlook)}
            </Box>
          </Box>
        </Button>
      ))}
    </Box>
  );
}
