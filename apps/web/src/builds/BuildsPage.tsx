import { kindWords } from '@lean-clasp/words';
import DeleteIcon from '@mui/icons-material/DeleteOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { type StoredBuild, useBuildsQuery, useRemoveBuildMutation } from '../api/api';
import { useDocument } from '../documents/use-document';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { SHOP_ID } from '../shop/shop-id';
import { BuildPicture } from './BuildPicture';

/** Every build as a small drawing. */
export function BuildsPage() {
  const { data: builds, isLoading, isError } = useBuildsQuery();
  // Builds of the shop's own woods cannot be laid out without it.
  useDocument('shops', SHOP_ID);
  const [leaving, setLeaving] = useState<StoredBuild | null>(null);
  return (
    <Page
      title="Builds"
      intro="Each thing to be glued up, from first board to last clamp off."
      actions={
        <Button component={RouterLink} to="/builds/new" variant="contained">
          New build
        </Button>
      }
    >
      {isLoading && <Loading what="Fetching the builds" />}
      {isError && (
        <Typography color="error">
          The server does not answer. Start it again, then load this page.
        </Typography>
      )}
      {builds?.length === 0 && (
        <Typography>
          No build yet. Start one: every kind takes at most eight answers, and shows at once whether it closes
          in time, tight, square and flat.
        </Typography>
      )}
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          p: 0,
          m: 0,
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(270px, 1fr))',
          gap: 3,
        }}
      >
        {builds?.map((build) => (
          <BuildItem key={build.id} build={build} onRemove={() => setLeaving(build)} />
        ))}
      </Box>
      <RemoveDialog build={leaving} onClose={() => setLeaving(null)} />
    </Page>
  );
}

function BuildItem({ build, onRemove }: { readonly build: StoredBuild; readonly onRemove: () => void }) {
  const { name, project } = build.body;
  return (
    <Box component="li" sx={{ borderTop: 2, borderColor: 'text.primary', pt: 1 }}>
      <Link component={RouterLink} to={`/builds/${build.id}/fit`} underline="hover" sx={{ display: 'block' }}>
        <BuildPicture build={build.body} />
        <Box component="span" sx={{ fontWeight: 700, fontSize: '1.125rem' }}>
          {name}
        </Box>
      </Link>
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Box sx={{ flex: 1, color: 'text.secondary', fontSize: '0.9375rem' }}>
          {project === '' ? '' : `${project} · `}
          {kindWords(build.body)}
        </Box>
        <IconButton aria-label={`Remove ${name}`} onClick={onRemove}>
          <DeleteIcon />
        </IconButton>
      </Box>
    </Box>
  );
}

function RemoveDialog({
  build,
  onClose,
}: {
  readonly build: StoredBuild | null;
  readonly onClose: () => void;
}) {
  const [remove] = useRemoveBuildMutation();
  return (
    <Dialog open={build !== null} onClose={onClose} aria-labelledby="remove-title">
      <DialogTitle id="remove-title">Remove “{build?.body.name}”?</DialogTitle>
      <DialogContent>
        Its plan and every step of undo go with it. Glue-ups that were run stay in the logbook.
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose} autoFocus>
          Keep it
        </Button>
        <Button
          color="error"
          onClick={() => {
            if (build !== null) void remove(build.id);
            onClose();
          }}
        >
          Remove
        </Button>
      </DialogActions>
    </Dialog>
  );
}
