import Box from '@mui/material/Box';
import { observeElementRect, useVirtualizer } from '@tanstack/react-virtual';
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';

/** What a screen shows before anything has been measured, px. */
const SCREEN = { width: 1280, height: 800 };
/** Rows beyond the edge that are ready. */
const READY = 3;

/** The part of the page that scrolls. */
const scroller = () => document.getElementById('content');

/** A long list of which only what is near the screen is there; rows as high as they come out. */
export function Windowed({
  count,
  rowPx,
  render,
  label,
}: {
  readonly count: number;
  /** About how high a row is. */
  readonly rowPx: number;
  readonly render: (row: number) => ReactNode;
  readonly label: string;
}) {
  const list = useRef<HTMLDivElement>(null);
  const [fromTopPx, setFromTopPx] = useState(0);
  useLayoutEffect(() => setFromTopPx(list.current?.offsetTop ?? 0), []);
  // eslint-disable-next-line react-hooks/incompatible-library -- its answers change under one name, so nothing here is remembered
  const rows = useVirtualizer<HTMLElement, HTMLElement>({
    count,
    estimateSize: () => rowPx,
    getScrollElement: scroller,
    overscan: READY,
    measureElement: (row) => row.getBoundingClientRect().height || rowPx,
    initialRect: SCREEN,
    // What has not been laid out yet counts as a screen.
    observeElementRect: (instance, tell) =>
      observeElementRect(instance, (rect) => tell(rect.height === 0 ? SCREEN : rect)),
    scrollMargin: fromTopPx,
  });
  return (
    <Box
      ref={list}
      role="list"
      aria-label={label}
      sx={{ position: 'relative' }}
      style={{ height: rows.getTotalSize() }}
    >
      {rows.getVirtualItems().map(({ key, index, start }) => (
        <Box
          key={key}
          ref={rows.measureElement}
          data-index={index}
          role="presentation"
          sx={{ position: 'absolute', top: 0, left: 0, right: 0 }}
          style={{ transform: `translateY(${start - rows.options.scrollMargin}px)` }}
        >
          {render(index)}
        </Box>
      ))}
    </Box>
  );
}
