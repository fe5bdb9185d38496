import Button from '@mui/material/Button';
import type { ChangeEvent } from 'react';
import { decodeText } from './decode-text';

/** A list of thousands of rows is smaller. */
const MOST_BYTES = 2_000_000;

/** Opens a file that another program saved, as text. */
export function FileButton({
  label,
  accept,
  like,
  onText,
  onFault,
}: {
  readonly label: string;
  /** Endings and types that are offered. */
  readonly accept: string;
  /** How such a file is saved. */
  readonly like: string;
  readonly onText: (text: string) => void;
  readonly onFault: (message: string) => void;
}) {
  const open = (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    // So that the same file can be chosen again.
    event.target.value = '';
    if (file === undefined) return;
    if (file.size > MOST_BYTES) {
      onFault(`${file.name} has ${Math.round(file.size / 1e6)} MB; up to 2 MB can be read.`);
      return;
    }
    const reader = new FileReader();
    reader.onload = () => {
      const text = decodeText(new Uint8Array(reader.result as ArrayBuffer));
      if (text.includes('\0')) onFault(`${file.name} is no text. Save ${like} and open that.`);
      else onText(text);
    };
    reader.onerror = () => onFault(`${file.name} cannot be read.`);
    reader.readAsArrayBuffer(file);
  };
  return (
    <Button component="label" sx={{ mt: 1 }}>
      {label}
      <input type="file" accept={accept} hidden onChange={open} />
    </Button>
  );
}
