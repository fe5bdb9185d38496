import type { RunEvent } from '@lean-clasp/core/formats';
import type { Response } from 'express';
import { httpError } from './errors';

/** Tells pages that follow a run what others noted. */
export interface RunStream {
  /** Keeps a response open until its page goes. @throws HttpError 503 when too many follow already. */
  readonly follow: (runId: string, response: Response) => void;
  readonly tell: (runId: string, events: readonly RunEvent[]) => void;
  /** Ends what everybody follows; whoever still may comes back by itself. */
  readonly hangUp: () => void;
  readonly close: () => void;
}

/** Pages that may follow at once; a shop has a handful of screens. */
const MOST_FOLLOWERS = 200;
/** Silence after which lines between are said to cut an answer off, ms. */
const BEAT_MS = 20_000;

/** Opens the stream. */
export function runStream(): RunStream {
  const followers = new Map<string, Set<Response>>();
  const all = () => [...followers.values()].flatMap((own) => [...own]);
  const beat = setInterval(() => all().forEach((response) => response.write(':\n\n')), BEAT_MS).unref();
  const hangUp = () => all().forEach((response) => response.end());
  return {
    follow: (runId, response) => {
      if (all().length >= MOST_FOLLOWERS) {
        throw httpError(503, 'busy', 'Too many screens follow runs already.', 'close one, or try again');
      }
      // Not transformed: packing would hold events back.
      response.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-cache, no-transform' });
      response.flushHeaders();
      response.write(':\n\n');
      const own = followers.get(runId) ?? new Set();
      followers.set(runId, own.add(response));
      response.on('close', () => {
        own.delete(response);
        if (own.size === 0) followers.delete(runId);
      });
    },
    tell: (runId, events) => {
      if (events.length === 0) return;
      const text = `data: ${JSON.stringify(events)}\n\n`;
      followers.get(runId)?.forEach((response) => response.write(text));
    },
    hangUp,
    close: () => {
      clearInterval(beat);
      hangUp();
    },
  };
}
