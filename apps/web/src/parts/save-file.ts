/** A name that every file system takes. */
export const slug = (name: string): string => name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');

/** Hands a file to the browser. */
export function saveFile(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}
