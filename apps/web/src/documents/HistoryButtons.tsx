import RedoIcon from '@mui/icons-material/Redo';
import UndoIcon from '@mui/icons-material/Undo';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import { memo } from 'react';
import { useAppDispatch, useAppSelector } from '../app/store';
import { redo, undo } from './sync';

/** Whether the last edit of a document is kept. */
export const SavedWord = memo(function SavedWord({ id }: { readonly id: string }) {
  const kind = useAppSelector((state) => state.documents.open[id]?.sync.kind);
  const words = {
    saved: 'kept',
    saving: 'keeping …',
    offline: 'kept here',
    conflict: 'clash',
    refused: 'refused',
    outdated: 'kept',
  };
  return (
    <Box
      role="status"
      sx={{ color: 'text.secondary', fontSize: '0.875rem', minWidth: 64, textAlign: 'right' }}
    >
      {kind === undefined ? '' : words[kind]}
    </Box>
  );
});

/** Undo and redo of a document, each saying what it would undo or do again. */
export const HistoryButtons = memo(function HistoryButtons({ id }: { readonly id: string }) {
  const dispatch = useAppDispatch();
  const stacks = useAppSelector((state) => state.documents.open[id]?.stacks);
  const last = stacks?.undo.at(-1)?.label;
  const next = stacks?.redo.at(-1)?.label;
  return (
    <Box sx={{ display: 'flex' }}>
      <IconButton
        aria-label={
          last === undefined
            ? stacks?.barred === true
              ? 'Nothing to take back: undo stops where this was brought up to date'
              : 'Nothing to take back'
            : `Take back: ${last}`
        }
        disabled={last === undefined}
        onClick={() => dispatch(undo(id))}
      >
        <UndoIcon />
      </IconButton>
      <IconButton
        aria-label={next === undefined ? 'Nothing to do again' : `Do again: ${next}`}
        disabled={next === undefined}
        onClick={() => dispatch(redo(id))}
      >
        <RedoIcon />
      </IconButton>
    </Box>
  );
});
