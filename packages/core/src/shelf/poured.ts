import { findAdhesive } from '../adhesives';
import type { Bottle, RunDocument } from '../formats';
import { readRun } from '../runs';

/** Work by which glue leaves the bottle. */
const POURS: readonly string[] = ['size', 'prime', 'coat', 'spread'];

/**
 * Glue that a run has taken out of its bottle, ml: what was planned for its session, by the share of spreading that was done; mixed
 * glue is mixed whole. Null while it runs, and for runs from before promises told an amount.
 */
export function glueUsedMl(run: Pick<RunDocument, 'events' | 'promise' | 'script'>): number | null {
  const { glueMl } = run.promise;
  const { state, done } = readRun(run);
  if (glueMl === undefined || state === 'running') return null;
  const operations = run.script !== null && 'operations' in run.script ? run.script.operations : [];
  const pours = operations.filter(({ kind }) => POURS.includes(kind));
  const poured = pours.filter(({ id }) => done.has(id)).length;
  if (state === 'clamped' || pours.length === 0) return glueMl;
  if (findAdhesive(run.promise.adhesive).potLifeMin !== null) return poured > 0 ? glueMl : 0;
  return (glueMl * poured) / pours.length;
}

/** Bottles of a glue that hold some, in the order in which they are used up. */
function inTurn(bottles: readonly Bottle[], adhesive: string): Bottle[] {
  const own = bottles.filter((bottle) => bottle.adhesive === adhesive && bottle.remainingMl > 0);
  return own.sort((a, b) => (a.openedOn ?? LAST).localeCompare(b.openedOn ?? LAST));
}

/** The bottle that a glue is taken out of next; null where the shelf holds none of it. */
export function nextBottle(
  bottles: readonly Bottle[],
  adhesive: string,
): Pick<Bottle, 'id' | 'openedOn'> | null {
  const [next] = inTurn(bottles, adhesive);
  return next === undefined ? null : { id: next.id, openedOn: next.openedOn };
}

/**
 * Bottles after some glue was poured, in their order: the one that was opened first is used up first, those without a date last. None goes below empty: more than there was is what nobody had counted.
 */
export function poured(bottles: readonly Bottle[], adhesive: string, ml: number): Bottle[] {
  let left = ml;
  const after = new Map<string, number>();
  for (const { id, remainingMl } of inTurn(bottles, adhesive)) {
    const taken = Math.min(left, remainingMl);
    after.set(id, remainingMl - taken);
    left -= taken;
  }
  return bottles.map((bottle) => ({ ...bottle, remainingMl: after.get(bottle.id) ?? bottle.remainingMl }));
}

/** After every date. */
const LAST = '9999';
