let known: boolean | undefined;

/** Whether this browser draws solids; asked once. */
export function hasWebGl(): boolean {
  known ??= document.createElement('canvas').getContext('webgl2') !== null;
  return known;
}
