/** Answers on their way before whoever needs them has been read in. */
const underway = new Map<string, Promise<Response>>();

/** Longer than an app takes to be read in; what nobody took by then is no news any more, ms. */
const NEWS_MS = 10_000;

/** Asks our own server for something that the address alone calls for. */
export function askEarly(path: string): void {
  const answer = fetch(path);
  const drop = () => {
    if (underway.get(path) === answer) underway.delete(path);
  };
  answer.then(
    // Refused before somebody came in, it is asked for anew after.
    ({ ok }) => {
      if (!ok) drop();
    },
    // Whoever takes it hears of a failure.
    () => undefined,
  );
  setTimeout(drop, NEWS_MS);
  underway.set(path, answer);
}

/** Such an answer, for the first who wants it; everybody after that asks anew. */
export function takeEarly(path: string): Promise<Response> | undefined {
  const answer = underway.get(path);
  underway.delete(path);
  return answer;
}

/** A copy of one; it stays for whoever takes it. */
async function copyOfEarly(path: string): Promise<Response | undefined> {
  return (await underway.get(path))?.clone();
}

/** The body of a document that was asked for early. */
export async function earlyBody<Body>(path: string): Promise<Body> {
  const answer = await copyOfEarly(path);
  if (answer?.ok !== true) throw new Error(`${path} did not come.`);
  const { body } = (await answer.json()) as { readonly body: Body };
  return body;
}
