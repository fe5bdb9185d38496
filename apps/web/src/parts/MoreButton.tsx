import Button from '@mui/material/Button';

/** Goes on reading a long list; nothing where all of it is there. */
export function MoreButton({
  more,
  busy,
  onMore,
  what,
}: {
  readonly more: boolean;
  readonly busy: boolean;
  readonly onMore: () => void;
  readonly what: string;
}) {
  return more ? (
    <Button variant="outlined" disabled={busy} onClick={onMore} sx={{ mt: 2 }}>
      {busy ? 'Reading …' : what}
    </Button>
  ) : null;
}
