/** Answers on their way before whoever needs them has been read in. */
const underway = new Map<string, Promise<Response>>();

/** Asks our own server for something that the address alone calls for. */
export function askEarly(path: string): void {
  const answer = fetch(path);
  // Whoever takes it hears of a failure.
  answer.catch(() => undefined);
  underway.set(path, answer);
}

/** Such an answer, for the first who wants it; everybody after that asks anew. */
export function takeEarly(path: string): Promise<Response> | undefined {
  const answer = underway.get(path);
  underway.delete(path);
  return answer;
}
