import { type Slide, slid, slideOnSheet } from '@lean-clasp/core/drawing';
import type { ClampPlace } from '@lean-clasp/core/plan';
import { type PointerEvent, useState } from 'react';
import { DRAG_STEP_MM } from '../drawing/drag-step';
import type { Point } from '../drawing/svg-path';

/** A clamp in hand: where it would come to, and how far that is on the sheet, px. */
export interface Held {
  readonly number: number;
  readonly place: ClampPlace;
  readonly by: Point;
}

type Handler = (event: PointerEvent<SVGGElement>) => void;
/** What a clamp listens to so that it can be slid. */
export type SlideHandlers = Readonly<
  Record<'onPointerDown' | 'onPointerMove' | 'onPointerUp' | 'onPointerCancel', Handler>
>;

/**
 * Clamps of an assembly slid over the drawing with a finger or the mouse.
 * @param scale pixels for each mm of the sheet.
 * @param onSlide is told once, where a clamp is let go.
 */
export function useSliding(
  slides: readonly Slide[],
  scale: number,
  onSlide: (number: number, place: ClampPlace) => void,
) {
  const [drag, setDrag] = useState<{ readonly from: Point; readonly held: Held } | null>(null);
  const handlersOf = (number: number): SlideHandlers | undefined => {
    const slide = slides.find((each) => each.number === number);
    if (slide === undefined || (slide.along === null && slide.across === null)) return undefined;
    const letGo = () => setDrag(null);
    return {
      onPointerDown: (event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ from: [event.clientX, event.clientY], held: { number, place: slide.place, by: [0, 0] } });
      },
      onPointerMove: (event) => {
        if (drag?.held.number !== number) return;
        const [x, y] = drag.from;
        const place = slid(slide, [(event.clientX - x) / scale, (event.clientY - y) / scale], DRAG_STEP_MM);
        const [right, down] = slideOnSheet(slide, place);
        setDrag({ ...drag, held: { number, place, by: [right * scale, down * scale] } });
      },
      onPointerUp: () => {
        letGo();
        if (drag?.held.number !== number) return;
        const { alongMm, acrossMm } = drag.held.place;
        if (alongMm !== slide.place.alongMm || acrossMm !== slide.place.acrossMm) {
          onSlide(number, drag.held.place);
        }
      },
      onPointerCancel: letGo,
    };
  };
  return { held: drag?.held ?? null, handlersOf };
}
