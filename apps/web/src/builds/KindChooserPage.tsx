import { FREE, KINDS } from '@lean-clasp/core/kinds';
import { KIND_WORDS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { Link as RouterLink } from 'react-router';
import { Page } from '../frame/Page';
import { KindPicture } from './KindPicture';

const TEMPLATES = [...KINDS.map(({ id }) => id), FREE];

/** Every kind of glue-up as a small drawing of what it starts from. */
export function KindChooserPage() {
  return (
    <Page
      title="What is to be glued up?"
      intro="Each kind asks at most eight things and brings the rest: parts, joints, preparation and checks."
    >
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          p: 0,
          m: 0,
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(216px, 1fr))',
          gap: 3,
        }}
      >
        {TEMPLATES.map((template) => (
          <Box component="li" key={template} sx={{ borderTop: 2, borderColor: 'text.primary', pt: 1 }}>
            <Link
              component={RouterLink}
              to={`/builds/new/${template}`}
              underline="hover"
              sx={{ display: 'block' }}
            >
              <KindPicture template={template} />
              <Box component="span" sx={{ fontWeight: 700, fontSize: '1.125rem' }}>
                {KIND_WORDS[template]?.name}
              </Box>
            </Link>
            <Box sx={{ color: 'text.secondary', fontSize: '0.9375rem' }}>{KIND_WORDS[template]?.about}</Box>
          </Box>
        ))}
      </Box>
    </Page>
  );
}
