import { type Remote, wrap } from 'comlink';

/** Wait before a worker that fell is made again, ms: what kept it from being read in may have passed by then. */
const AGAIN_AFTER_MS = 1000;

/** What a worker offers, each answer a promise. */
type Offered = Readonly<Record<string, (...args: never[]) => unknown>>;
type Call = (...args: unknown[]) => Promise<unknown>;

/**
 * A worker for the whole page, made when first needed. One that could not be read in, or stopped, says nothing to those who wait
 * for it: they are asked for once more by a new one, and told if that falls as well.
 */
export function lastingWorker<T extends Offered>(make: () => Worker): () => Remote<T> {
  let now: { readonly remote: Remote<T>; readonly waiting: Set<() => void> } | undefined;
  const start = () => {
    const worker = make();
    const waiting = new Set<() => void>();
    worker.addEventListener('error', () => {
      worker.terminate();
      if (now?.waiting === waiting) now = undefined;
      for (const fallen of waiting) fallen();
    });
    return { remote: wrap<T>(worker), waiting };
  };
  const asked = (name: string, args: unknown[], again: boolean): Promise<unknown> =>
    new Promise((resolve, reject) => {
      const { remote, waiting } = (now ??= start());
      const fallen = () => {
        if (again) setTimeout(() => void asked(name, args, false).then(resolve, reject), AGAIN_AFTER_MS);
        else reject(new Error('What plans could not be started in this browser. Load the page again.'));
      };
      waiting.add(fallen);
      const call = Reflect.get(remote, name) as Call;
      call(...args)
        .then(resolve, reject)
        .finally(() => waiting.delete(fallen));
    });
  const standing = new Proxy({} as Remote<T>, {
    get:
      (_, name) =>
      (...args: unknown[]) =>
        asked(String(name), args, true),
  });
  return () => {
    now ??= start();
    return standing;
  };
}
