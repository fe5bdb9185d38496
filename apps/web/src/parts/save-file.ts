/** A name that every file system takes. */
export const slug = (name: string): string => name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');

/** Hands a file to the browser: words of some type, or bytes that know theirs. */
export function saveFile(name: string, content: string | Blob, type = ''): void {
  const url = URL.createObjectURL(typeof content === 'string' ? new Blob([content], { type }) : content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
