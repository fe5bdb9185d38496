import { KIND_WORDS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useBinQuery, useRestoreBuildMutation } from '../api/api';
import { instantWords } from '../bench/release';
import { Section } from '../frame/Page';
import { useNow } from '../parts/use-now';

/** Builds that were removed, and the way back; nothing while there are none. */
export function Bin() {
  const { data: binned = [] } = useBinQuery();
  const [restore] = useRestoreBuildMutation();
  const now = useNow(false);
  if (binned.length === 0) return null;
  return (
    <Box sx={{ mt: 4 }}>
      <Section title="In the bin">
        {binned.map(({ id, name, template, deletedAtMs }) => (
          <Box
            key={id}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 2,
              minHeight: 52,
              borderBottom: 1,
              borderColor: 'divider',
            }}
          >
            <Box sx={{ flex: 1 }}>
              <strong>{name}</strong>{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {KIND_WORDS[template]?.name ?? template} · removed {instantWords(deletedAtMs, now)}
              </Box>
            </Box>
            <Button variant="outlined" onClick={() => void restore(id)} aria-label={`Put back ${name}`}>
              Put back
            </Button>
          </Box>
        ))}
      </Section>
    </Box>
  );
}
