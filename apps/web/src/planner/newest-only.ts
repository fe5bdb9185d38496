/** So long a worker works before it looks whether it has been asked again, ms. */
const LOOKS_UP_AFTER_MS = 8;

/** A search of which only the newest is wanted. */
interface NewestOnly<Asked extends readonly unknown[], Answer> {
  /** The answer, or null where it was asked again or let go before there was one. */
  readonly ask: (...asked: Asked) => Promise<Answer | null>;
  /** Nobody waits for it any more. */
  readonly letGo: () => void;
}

/** Lets messages that have come meanwhile in. By a message of its own: a browser makes timers that set timers wait 4 ms each. */
const messagesLookedAt = () =>
  new Promise<void>((goOn) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      goOn();
    };
    port2.postMessage(null);
  });

/** Makes such a search of one in steps, between which messages come in: nobody waits for what nobody wants any more. */
export function newestOnly<Asked extends readonly unknown[], Answer>(
  search: (...asked: Asked) => Generator<unknown, Answer>,
): NewestOnly<Asked, Answer> {
  let newest = 0;
  const ask = async (...asked: Asked) => {
    newest += 1;
    const own = newest;
    const steps = search(...asked);
    for (let sinceMs = performance.now(); ;) {
      const step = steps.next();
      if (step.done === true) return step.value;
      if (performance.now() - sinceMs < LOOKS_UP_AFTER_MS) continue;
      await messagesLookedAt();
      if (own !== newest) return null;
      sinceMs = performance.now();
    }
  };
  const letGo = () => {
    newest += 1;
  };
  return { ask, letGo };
}
