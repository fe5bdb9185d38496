import type { RunDocument } from '@lean-clasp/core/formats';
import { inOrder } from '@lean-clasp/core/runs';
import { begunHere } from './run-sync';
import { nanoid } from '@reduxjs/toolkit';

const KEY = 'lean-clasp.seat';
let seat: string | null = null;

/** This tab by a name that it keeps when it is loaded again; without storage, until then. */
function ownSeat(): string {
  if (seat !== null) return seat;
  try {
    seat = sessionStorage.getItem(KEY) ?? nanoid();
    sessionStorage.setItem(KEY, seat);
  } catch {
    seat = nanoid();
  }
  return seat;
}

/** What a screen notes when it begins to conduct. */
export const takenOver = () => ({ kind: 'taken-over', payload: { text: ownSeat() } }) as const;

/** Whether this screen decides for all: the last that took over does, and where none has, the browser that began it. */
export function conducts({ id, events }: Pick<RunDocument, 'id' | 'events'>): boolean {
  const last = inOrder(events).findLast(({ kind }) => kind === 'taken-over');
  return last === undefined ? begunHere(id) : last.payload?.text === ownSeat();
}
