import { storedMoisturePct } from '@lean-clasp/core/air';
import { PLAIN_TRAITS } from '@lean-clasp/core/materials';
import { kindWords } from '@lean-clasp/words';
import RedoIcon from '@mui/icons-material/Redo';
import UndoIcon from '@mui/icons-material/Undo';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import InputBase from '@mui/material/InputBase';
import { memo } from 'react';
import { useAppDispatch, useAppSelector } from '../app/store';
import { redo, undo } from '../documents/sync';
import { USUAL_MM } from '../air/wood-words';
import { useOpenBuild, useBuildHandle } from './open-build';
import { ClimateChip } from './ClimateChip';
import { CrewChip } from './CrewChip';

/** Name of the build, the air, the hands, undo and redo. */
export function WorkspaceHeader() {
  const { build, shop, edit } = useOpenBuild();
  return (
    <Box
      className="no-print"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 1.5,
        px: 2,
        py: 0.5,
        flexShrink: 0,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Box component="h1" sx={{ m: 0, flex: '0 1 auto', minWidth: 120, maxWidth: 380, fontSize: 'inherit' }}>
        <InputBase
          value={build.name}
          onChange={(event) => {
            const name = event.target.value.slice(0, 120);
            if (name.trim() !== '') edit('Name', (before) => ({ ...before, name }));
          }}
          sx={{
            fontSize: '1.375rem',
            fontWeight: 700,
            '& input': { fieldSizing: 'content', minWidth: 120, maxWidth: 380 },
          }}
          inputProps={{ 'aria-label': 'Name of the build' }}
        />
      </Box>
      <Box sx={{ flex: '1 1 200px', color: 'text.secondary', fontSize: '0.9375rem' }}>
        {build.project === '' ? '' : `${build.project} · `}
        {kindWords(build)}
      </Box>
      <SavedWord />
      <HistoryButtons />
      <ClimateChip
        own={build.climate}
        shops={shop.climate}
        woodPct={storedMoisturePct(USUAL_MM, PLAIN_TRAITS, shop)}
        sensor={shop.sensor?.follow ?? false}
      />
      <CrewChip crew={build.crew} />
    </Box>
  );
}

const SavedWord = memo(function SavedWord() {
  const { id } = useBuildHandle();
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

const HistoryButtons = memo(function HistoryButtons() {
  const dispatch = useAppDispatch();
  const { id } = useBuildHandle();
  const stacks = useAppSelector((state) => state.documents.open[id]?.stacks);
  const last = stacks?.undo.at(-1)?.label;
  const next = stacks?.redo.at(-1)?.label;
  return (
    <Box sx={{ display: 'flex' }}>
      <IconButton
        aria-label={
          last === undefined
            ? stacks?.barred === true
              ? 'Nothing to take back: undo stops where this build was brought up to date'
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
