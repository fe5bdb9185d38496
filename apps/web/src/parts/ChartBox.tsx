import Box from '@mui/material/Box';
import { type ReactNode, Suspense } from 'react';
import { useInView } from 'react-intersection-observer';
import { useTurn } from './turns';
import { useRested } from './use-rested';

/** Longer than between two keys. */
const REST_MS = 300;

/**
 * Room for a chart that is told in words too. Charts are slow to draw, so this one waits until it is looked at and for its turn, and
 * is drawn again only once typing rests.
 */
export function ChartBox({
  label,
  height,
  maxWidth,
  children,
}: {
  readonly label: string;
  readonly height: number;
  readonly maxWidth?: number;
  readonly children: ReactNode;
}) {
  const { ref, inView } = useInView({ triggerOnce: true, fallbackInView: true });
  const drawn = useTurn(inView);
  const rested = useRested(children, REST_MS);
  return (
    <Box ref={ref} role="img" aria-label={label} sx={{ height, maxWidth, minWidth: 0, overflow: 'hidden' }}>
      <Suspense fallback={null}>{drawn && rested}</Suspense>
    </Box>
  );
}
