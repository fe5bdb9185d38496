/** A label that wants to stand in the middle of a spot; px, mm, or whatever the sheet is measured in. */
export interface WantedLabel {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Where it stands, and whether that is so far off that a line should lead back to its spot. */
export interface PlacedLabel {
  readonly x: number;
  readonly y: number;
  readonly away: boolean;
}

/** Room kept between labels, px; a drawing in another unit says how much it keeps. */
const GAP_PX = 3;
/** Steps outward, in label heights, that are tried before a label stays where it wanted to be. */
const RINGS = 6;

/**
 * Moves labels apart, up and down first, then sideways, each by as little as it takes; earlier ones stay.
 * Labels stay inside the sheet and clear of what stands there already, where there is room.
 */
export function placeLabels(
  wanted: readonly WantedLabel[],
  sheet: { readonly width: number; readonly height: number },
  there: readonly WantedLabel[] = [],
  gap = GAP_PX,
): PlacedLabel[] {
  const taken = [...there];
  return wanted.map((label) => {
    const spot = candidates(label, gap)
      .map((at) => inside({ ...label, ...at }, sheet))
      .find((at) => taken.every((other) => !overlap(at, other, gap)));
    const at = spot ?? inside(label, sheet);
    taken.push(at);
    return {
      x: at.x,
      y: at.y,
      away: Math.hypot(at.x - label.x, at.y - label.y) > label.height,
    };
  });
}

function candidates({ x, y, width, height }: WantedLabel, gap: number): { x: number; y: number }[] {
  const step = height + gap;
  return [
    { x, y },
    ...Array.from({ length: RINGS }, (_, i) => i + 1).flatMap((ring) => [
      { x, y: y - ring * step },
      { x, y: y + ring * step },
      { x: x - (ring * width) / 2, y },
      { x: x + (ring * width) / 2, y },
      { x: x - (ring * width) / 2, y: y - ring * step },
      { x: x + (ring * width) / 2, y: y + ring * step },
    ]),
  ];
}

function inside(label: WantedLabel, sheet: { readonly width: number; readonly height: number }): WantedLabel {
  const within = (value: number, half: number, size: number) => Math.max(half, Math.min(size - half, value));
  return {
    ...label,
    x: within(label.x, label.width / 2, sheet.width),
    y: within(label.y, label.height / 2, sheet.height),
  };
}

function overlap(a: WantedLabel, b: WantedLabel, gap: number): boolean {
  return (
    Math.abs(a.x - b.x) < (a.width + b.width) / 2 + gap &&
    Math.abs(a.y - b.y) < (a.height + b.height) / 2 + gap
  );
}
