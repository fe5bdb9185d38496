import Button from '@mui/material/Button';
import type { ChangeEvent } from 'react';
import { decodeText } from './decode-text';

/** A list of thousands of rows is smaller. */
const MOST_BYTES = 2_000_000;

/** Opens a table that was saved by another program, as text. */
export function FileButton({
  onText,
  onFault,
}: {
  readonly onText: (text: string) => void;
  readonly onFault: (message: string) => void;
}) {
  const open = (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    // So that the same file can be chosen again.
    event.target.value = '';
    if (file === undefined) return;
    if (file.size > MOST_BYTES) {
      onFault(
        `${file.name} has ${Math.round(file.size / 1e6)} MB; a table of up to 2 MB can be read. Save only its rows.`,
      );
      return;
    }
    file.arrayBuffer().then(
      (buffer) => {
        const text = decodeText(new Uint8Array(buffer));
        if (text.includes('\0')) onFault(`${file.name} is no table of text. Save it as CSV and open that.`);
        else onText(text);
      },
      () => onFault(`${file.name} cannot be read.`),
    );
  };
  return (
    <Button component="label" sx={{ mt: 1 }}>
      Open a file (CSV)
      <input type="file" accept=".csv,.tsv,.txt,text/csv,text/plain" hidden onChange={open} />
    </Button>
  );
}
