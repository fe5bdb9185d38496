import { glossed, type Term } from '@lean-clasp/words';
import ButtonBase from '@mui/material/ButtonBase';
import Link from '@mui/material/Link';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { Fragment, useId, useState } from 'react';
import { Link as RouterLink } from 'react-router';

/** A text whose terms of the trade are explained at a tap. */
export function Glossed({ children }: { readonly children: string }) {
  return glossed(children).map(({ text, term }, i) =>
    term === null ? <Fragment key={i}>{text}</Fragment> : <TermButton key={i} text={text} term={term} />,
  );
}

function TermButton({ text, term }: { readonly text: string; readonly term: Term }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const title = useId();
  return (
    <>
      <ButtonBase
        aria-haspopup="dialog"
        onClick={(event) => setAt(event.currentTarget)}
        sx={{
          font: 'inherit',
          color: 'inherit',
          verticalAlign: 'baseline',
          // As large as a finger without moving the words beside it.
          p: '11px 10px',
          m: '-11px -10px',
          textDecoration: 'underline dotted',
          textUnderlineOffset: '3px',
        }}
      >
        {text}
      </ButtonBase>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { role: 'dialog', 'aria-labelledby': title, sx: { p: 2, maxWidth: 340 } } }}
      >
        <Typography variant="h3" id={title} sx={{ mb: 0.5 }}>
          {term.term}
        </Typography>
        <Typography sx={{ mb: 1 }}>{term.says}</Typography>
        <Link component={RouterLink} to="/glossary" onClick={() => setAt(null)}>
          Every term
        </Link>
      </Popover>
    </>
  );
}
