/** A point of a drawing, in mm on the sheet or in pixels. */
export type Point = readonly [number, number];

/** The line through points as an SVG path, each first placed on the sheet. */
export function svgPath(points: readonly Point[], at: (point: Point) => Point, closed: boolean): string {
  const drawn = points.map((point) =>
    at(point)
      .map((value) => value.toFixed(1))
      .join(' '),
  );
  return `M${drawn.join('L')}${closed ? 'Z' : ''}`;
}
