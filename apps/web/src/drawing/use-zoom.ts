import type { PanzoomObject } from '@panzoom/panzoom';
import { useState } from 'react';
import { afterFirstScreen } from '../start/at-rest';
import { CLAMP_HANDLE_CLASS } from './ClampShapes';

/** Nothing is looked at more closely than this. */
const MAX_SCALE = 8;

/** Zooming and panning of one element inside the one around it. */
export interface Zoom {
  /** Given to the element as its ref. */
  readonly attach: (content: HTMLElement | null) => (() => void) | undefined;
  readonly zoomIn: () => void;
  readonly zoomOut: () => void;
  /** Back to all of it. */
  readonly fit: () => void;
}

/** Lets a drawing be zoomed and panned. What does it is read in when hands rest, or when it is first asked for: the drawing is there without it. */
export function useZoom(): Zoom {
  const [zoom] = useState(zoomOfOne);
  return zoom;
}

function zoomOfOne(): Zoom {
  let asked: () => Promise<PanzoomObject | null> = () => Promise.resolve(null);
  const on = (act: (zoom: PanzoomObject) => unknown) => () =>
    void asked().then((zoom) => zoom !== null && act(zoom));
  return {
    attach: (content) => {
      if (content === null) return undefined;
      let made: Promise<PanzoomObject | null> | undefined;
      let gone = false;
      const make = () => (made ??= makeZoom(content, () => gone));
      const onWheel = (event: WheelEvent) => {
        // Without the key the page is scrolled, over the drawing too.
        if (!event.ctrlKey) return;
        event.preventDefault();
        void make().then((zoom) => zoom?.zoomWithWheel(event));
      };
      content.addEventListener('wheel', onWheel, { passive: false });
      asked = make;
      void afterFirstScreen().then(() => (gone ? null : make()));
      return () => {
        gone = true;
        content.removeEventListener('wheel', onWheel);
        void made?.then((zoom) => zoom?.destroy());
      };
    },
    zoomIn: on((zoom) => zoom.zoomIn()),
    zoomOut: on((zoom) => zoom.zoomOut()),
    fit: on((zoom) => zoom.reset()),
  };
}

/** Null where the drawing has gone before it came. */
async function makeZoom(content: HTMLElement, isGone: () => boolean): Promise<PanzoomObject | null> {
  const { default: panzoom } = await import('@panzoom/panzoom');
  if (isGone()) return null;
  const whole = { cursor: 'auto', touchAction: pageScrolls() ? 'pan-y' : 'none' };
  const closer = { cursor: 'grab', touchAction: 'none' };
  const zoom = panzoom(content, {
    ...whole,
    minScale: 1,
    maxScale: MAX_SCALE,
    contain: 'outside',
    panOnlyWhenZoomed: true,
    step: 0.5,
    // Clamps are dragged by themselves, and what is tapped stays to be tapped.
    excludeClass: CLAMP_HANDLE_CLASS,
    handleStartEvent: () => undefined,
  });
  content.addEventListener('panzoomchange', () => zoom.setOptions(zoom.getScale() > 1 ? closer : whole));
  return zoom;
}

/** On a telephone a finger on the drawing scrolls the page as it does beside it, until the drawing is zoomed. */
const pageScrolls = () => document.documentElement.scrollHeight > document.documentElement.clientHeight;
