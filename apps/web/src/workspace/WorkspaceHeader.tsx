import { storedMoisturePct } from '@lean-clasp/core/air';
import { PLAIN_TRAITS } from '@lean-clasp/core/materials';
import { kindWords } from '@lean-clasp/words';
import FilesIcon from '@mui/icons-material/DescriptionOutlined';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import InputBase from '@mui/material/InputBase';
import { Link as RouterLink } from 'react-router';
import { HistoryButtons, SavedWord } from '../documents/HistoryButtons';
import { USUAL_MM } from '../air/wood-words';
import { useOpenBuild } from './open-build';
import { ClimateChip } from './ClimateChip';
import { CrewChip } from './CrewChip';

/** Name of the build, the air, the hands, undo and redo. */
export function WorkspaceHeader() {
  const { id, build, shop, edit } = useOpenBuild();
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
      <Box
        component="h1"
        sx={{
          m: 0,
          flex: { xs: '1 1 100px', sm: '0 1 auto' },
          minWidth: 100,
          maxWidth: 380,
          fontSize: 'inherit',
        }}
      >
        <InputBase
          value={build.name}
          onChange={(event) => {
            const name = event.target.value.slice(0, 120);
            if (name.trim() !== '') edit('Name', (before) => ({ ...before, name }));
          }}
          sx={{
            fontSize: '1.375rem',
            fontWeight: 700,
            '& input': {
              fieldSizing: { sm: 'content' },
              minWidth: 100,
              maxWidth: 380,
              textOverflow: 'ellipsis',
            },
          }}
          inputProps={{ 'aria-label': 'Name of the build' }}
        />
      </Box>
      <Box
        sx={{
          display: { xs: 'none', sm: 'block' },
          flex: '1 1 200px',
          color: 'text.secondary',
          fontSize: '0.9375rem',
        }}
      >
        {build.project === '' ? '' : `${build.project} · `}
        {kindWords(build)}
      </Box>
      <SavedWord id={id} />
      <HistoryButtons id={id} />
      <IconButton
        component={RouterLink}
        to={`/builds/${id}/paper`}
        aria-label="Paper and files"
        title="Paper and files"
      >
        <FilesIcon />
      </IconButton>
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
