import { GLOSSARY } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Page } from '../frame/Page';

/** Every word of the trade that the app uses, to be looked through or found. */
export function GlossaryPage() {
  const [text, setText] = useState('');
  const found = GLOSSARY.filter(({ term, also = [], says }) =>
    [term, ...also, says].some((words) => words.toLowerCase().includes(text.trim().toLowerCase())),
  );
  return (
    <Page title="Terms" intro="Words of the trade, and what is meant by them here.">
      <TextField
        label="Find a term"
        value={text}
        onChange={(event) => setText(event.target.value)}
        sx={{ mb: 2, width: 320, maxWidth: '100%' }}
      />
      {found.length === 0 && <Typography>No term is called so.</Typography>}
      <Box
        component="dl"
        sx={{
          m: 0,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: '220px minmax(0, 1fr)' },
          columnGap: 3,
          maxWidth: 900,
        }}
      >
        {found.map(({ term, says }) => (
          <Box key={term} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ fontWeight: 700, py: 1, borderTop: 1, borderColor: 'divider' }}>
              {term}
            </Box>
            <Box
              component="dd"
              sx={{ m: 0, pb: 1, pt: { xs: 0, md: 1 }, borderTop: { md: 1 }, borderColor: { md: 'divider' } }}
            >
              {says}
            </Box>
          </Box>
        ))}
      </Box>
    </Page>
  );
}
