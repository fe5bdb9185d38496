/** What a file of JSON holds; undefined where it is none. */
export function readJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}
