/** What the first bytes of a file say of how its letters are written. */
const MARKS: readonly (readonly [bytes: readonly number[], encoding: string])[] = [
  [[0xef, 0xbb, 0xbf], 'utf-8'],
  [[0xff, 0xfe], 'utf-16le'],
  [[0xfe, 0xff], 'utf-16be'],
];

/** Letters of a file, however the program that saved it writes them: UTF-8 and UTF-16, else as spreadsheets of the west do. */
export function decodeText(bytes: Uint8Array): string {
  const marked = MARKS.find(([mark]) => mark.every((byte, i) => bytes[i] === byte));
  if (marked !== undefined) return new TextDecoder(marked[1]).decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
