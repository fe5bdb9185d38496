import { GLOSSARY } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { Page } from '../frame/Page';

/** Every word of the trade that the app uses. */
export function GlossaryPage() {
  return (
    <Page title="Terms" intro="Words of the trade, and what is meant by them here.">
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
        {GLOSSARY.map(({ term, says }) => (
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
