import type { KeyboardEvent } from 'react';

const STEPS: Readonly<Record<string, number>> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

/** Moves the focus among the pickable things of one group with the arrow keys, round and round. */
export function moveByArrows(event: KeyboardEvent<SVGGElement>): void {
  const step = STEPS[event.key];
  const all = [...event.currentTarget.querySelectorAll<SVGGElement>('.pickable')];
  const at = all.findIndex((one) => one === event.target);
  if (step === undefined || at < 0) return;
  event.preventDefault();
  all[(at + step + all.length) % all.length]?.focus();
}
