const CHANNEL = 'lean-clasp.windows';
/** Time that windows have to say that they are there, ms. */
const ANSWER_WITHIN_MS = 250;

type Message = { readonly kind: 'who' } | { readonly kind: 'here'; readonly window: string };

/** Answers other windows that ask who is there, for as long as this one lives. */
export function answerWindows(own: string): void {
  if (typeof BroadcastChannel === 'undefined') return;
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    if (data.kind === 'who') channel.postMessage({ kind: 'here', window: own } satisfies Message);
  };
}

/**
 * Windows of this app that are open in this browser, this one among them. One that sleeps does not answer; should both send the
 * same edit in the end, it counts once.
 */
export function openWindows(own: string): Promise<ReadonlySet<string>> {
  const here = new Set([own]);
  if (typeof BroadcastChannel === 'undefined') return Promise.resolve(here);
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    if (data.kind === 'here') here.add(data.window);
  };
  channel.postMessage({ kind: 'who' } satisfies Message);
  return new Promise((done) =>
    setTimeout(() => {
      channel.close();
      done(here);
    }, ANSWER_WITHIN_MS),
  );
}
