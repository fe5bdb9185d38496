import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useEffect, useState } from 'react';
import { keepProgram } from './program';

/** Says when a newer program is ready, and loads it when asked: never by itself, in the middle of something. */
export function NewerProgram() {
  const [load, setLoad] = useState<(() => void) | null>(null);
  useEffect(() => {
    // Without it the program opens from the server alone.
    keepProgram((ready) => setLoad(() => ready)).catch(() => undefined);
  }, []);
  return (
    <Snackbar
      open={load !== null}
      message="A newer version is ready. What is open stays as it is until you load it."
      action={
        <Button color="secondary" onClick={() => load?.()}>
          Load it
        </Button>
      }
    />
  );
}
