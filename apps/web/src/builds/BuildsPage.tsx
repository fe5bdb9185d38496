import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useState } from 'react';
import { useMayChange } from '../access/session';
import { type BuildLine, useBuildsInfiniteQuery, useRemoveBuildMutation } from '../api/api';
import { useDocument } from '../documents/use-document';
import { useSize } from '../drawing/use-size';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { MoreButton } from '../parts/MoreButton';
import { Windowed } from '../parts/Windowed';
import { SHOP_ID } from '../shop/shop-id';
import { Bin } from './Bin';
import { CutListBuilds } from './CutListBuilds';
import { ReadBuild } from './ReadBuild';
import { NewBuildButton } from './NewBuildButton';
import { BuildItem } from './BuildItem';

/** Least width of a build in the list, the room beside it, and about its height, px. */
const ITEM_PX = 270;
const GAP_PX = 24;
const ROW_PX = 270;
const BEFORE_MEASURED = { width: 1160, height: 600 };
/** With fewer builds than this nobody looks for one by name. */
const FIND_FROM = 8;

/** Every build as a small drawing, the last changed first. */
export function BuildsPage() {
  const [text, setText] = useState('');
  const found = useDeferredValue(text.trim());
  const { data, isError, hasNextPage, isFetchingNextPage, fetchNextPage } = useBuildsInfiniteQuery(found, {
    refetchOnMountOrArgChange: true,
  });
  // Drawings are made while the page stays ready for whatever is done on it.
  const pages = useDeferredValue(data?.pages);
  const builds = pages?.flatMap((page) => page.builds);
  // Builds of the shop's own woods cannot be laid out without it.
  useDocument('shops', SHOP_ID);
  const mayChange = useMayChange();
  const [leaving, setLeaving] = useState<BuildLine | null>(null);
  return (
    <Page
      title="Builds"
      intro="Each thing to be glued up, from first board to last clamp off."
      actions={
        <>
          <ReadBuild />
          <CutListBuilds />
          <NewBuildButton />
        </>
      }
    >
      {builds === undefined && !isError && <Loading what="Fetching the builds" />}
      {isError && (
        <Typography color="error">
          The server does not answer. Start it again, then load this page.
        </Typography>
      )}
      {builds?.length === 0 && found === '' && (
        <Typography>
          No build yet. Start one: every kind takes at most eight answers, and shows at once whether it closes
          in time, tight, square and flat.
        </Typography>
      )}
      {(text !== '' || (builds?.length ?? 0) >= FIND_FROM) && (
        <TextField
          label="Find by name or project"
          value={text}
          onChange={(event) => setText(event.target.value.slice(0, 100))}
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ mb: 3, width: 320, maxWidth: '100%' }}
        />
      )}
      {builds?.length === 0 && found !== '' && <Typography>No build is called so.</Typography>}
      {builds !== undefined && <BuildGrid builds={builds} onRemove={mayChange ? setLeaving : null} />}
      <MoreButton
        more={hasNextPage}
        busy={isFetchingNextPage}
        onMore={() => void fetchNextPage()}
        what="Older builds"
      />
      {mayChange && <Bin />}
      <RemoveDialog build={leaving} onClose={() => setLeaving(null)} />
    </Page>
  );
}

function BuildGrid({
  builds,
  onRemove,
}: {
  readonly builds: readonly BuildLine[];
  readonly onRemove: ((build: BuildLine) => void) | null;
}) {
  const [ref, { width }] = useSize(BEFORE_MEASURED);
  const columns = Math.max(1, Math.floor((width + GAP_PX) / (ITEM_PX + GAP_PX)));
  return (
    <div ref={ref}>
      <Windowed
        label="Builds"
        count={Math.ceil(builds.length / columns)}
        rowPx={ROW_PX}
        render={(row) => (
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
              gap: `${GAP_PX}px`,
              pb: `${GAP_PX}px`,
            }}
          >
            {builds.slice(row * columns, (row + 1) * columns).map((build) => (
              <BuildItem
                key={build.id}
                build={build}
                onRemove={onRemove === null ? null : () => onRemove(build)}
              />
            ))}
          </Box>
        )}
      />
    </div>
  );
}

function RemoveDialog({
  build,
  onClose,
}: {
  readonly build: BuildLine | null;
  readonly onClose: () => void;
}) {
  const [remove] = useRemoveBuildMutation();
  return (
    <Dialog open={build !== null} onClose={onClose} aria-labelledby="remove-title">
      <DialogTitle id="remove-title">Remove “{build?.name}”?</DialogTitle>
      <DialogContent>
        It goes into the bin below the list, with every step of undo, and can be put back from there. Glue-ups
        that were run stay in the logbook.
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
