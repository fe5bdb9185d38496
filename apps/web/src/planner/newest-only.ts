/** So long a worker works before it looks whether it has been asked again, ms. */
const LOOKS_UP_AFTER_MS = 8;

/**
 * A search in steps of which only the newest is wanted: the answer, or null where it was asked again before it had one. Between
 * steps messages come in, so that whoever asks anew does not wait for what nobody wants any more.
 */
export function newestOnly<Asked extends readonly unknown[], Answer>(
  search: (...asked: Asked) => Generator<unknown, Answer>,
): (...asked: Asked) => Promise<Answer | null> {
  let newest = 0;
  return async (...asked) => {
    newest += 1;
    const own = newest;
    const steps = search(...asked);
    for (let sinceMs = performance.now(); ;) {
      const step = steps.next();
      if (step.done === true) return step.value;
      if (performance.now() - sinceMs < LOOKS_UP_AFTER_MS) continue;
      await new Promise((goOn) => setTimeout(goOn));
      if (own !== newest) return null;
      sinceMs = performance.now();
    }
  };
}
