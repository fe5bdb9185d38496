import Box from '@mui/material/Box';

/** Room behind the limit for what came too late, over the whole window. */
const OVER = 0.25;

/** A fuse by itself, as wide as its room: how much of it is filled, with its limit marked where more than all of it can be. */
export function FuseLine({
  share,
  late = false,
  mayPass = false,
  height,
}: {
  /** Of the whole fuse. */
  readonly share: number;
  readonly late?: boolean;
  /** Whether it can run past its limit. */
  readonly mayPass?: boolean;
  /** px. */
  readonly height: number;
}) {
  const most = mayPass ? 1 + OVER : 1;
  const percent = (of: number) => `${(Math.min(Math.max(of, 0), most) / most) * 100}%`;
  return (
    <Box aria-hidden sx={{ height, position: 'relative' }}>
      <Box
        sx={(theme) => ({
          position: 'absolute',
          inset: 0,
          width: percent(1),
          bgcolor: theme.palette.tokens.barGround,
        })}
      />
      <Box
        sx={(theme) => ({
          position: 'absolute',
          inset: 0,
          width: percent(share),
          bgcolor: late ? theme.palette.tokens.fails : theme.palette.tokens.glue,
        })}
      />
      {mayPass && (
        <Box
          sx={(theme) => ({
            position: 'absolute',
            top: -4,
            bottom: -4,
            left: percent(1),
            width: '2px',
            bgcolor: theme.palette.tokens.ink,
          })}
        />
      )}
    </Box>
  );
}
