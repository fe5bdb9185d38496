import type { RunDocument } from '@lean-clasp/core/formats';
import { readAfterwards } from '@lean-clasp/core/runs';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { useAppDispatch } from '../../app/store';
import { noteEvent } from '../../bench/run-sync';
import { addPicture, pictureAddress } from './picture-sync';
import { shrink } from './shrink';

/** Photographs of how it came out. */
export function Pictures({ run }: { readonly run: RunDocument }) {
  const dispatch = useAppDispatch();
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { pictures } = readAfterwards(run);
  const take = async (files: FileList | null) => {
    setProblem(null);
    for (const file of files ?? []) {
      try {
        await dispatch(addPicture(run.id, await shrink(file)));
      } catch {
        setProblem(`${file.name} is no picture that this browser can read. Take a JPEG, PNG or WebP.`);
      }
    }
    if (input.current !== null) input.current.value = '';
  };
  const tell = (id: string, caption: string, gone: boolean) =>
    dispatch(noteEvent(run.id, { kind: 'note', payload: { picture: { id, caption, gone } } }));
  return (
    <>
      <Typography sx={{ mb: 1 }}>
        Made small on this device, without place, time or camera, and kept in the shop’s own data folder.
      </Typography>
      <Button variant="outlined" onClick={() => input.current?.click()} sx={{ minHeight: 44, mb: 1.5 }}>
        Add photographs
      </Button>
      <input
        ref={input}
        hidden
        aria-label="Photographs to add"
        type="file"
        accept="image/*"
        multiple
        onChange={(event) => void take(event.target.files)}
      />
      {problem !== null && (
        <Typography role="alert" color="error">
          {problem}
        </Typography>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(200px, 1fr))', gap: 2 }}>
        {pictures.map(({ id, caption }, i) => (
          <Box key={id} component="figure" sx={{ m: 0 }}>
            <Box
              component="img"
              src={pictureAddress(run.id, id)}
              alt={caption === '' ? `Photograph ${i + 1}` : caption}
              loading="lazy"
              sx={{ width: '100%', height: 150, objectFit: 'cover', border: 1, borderColor: 'divider' }}
            />
            <Caption caption={caption} onTell={(text) => tell(id, text, false)} />
            <Button onClick={() => tell(id, caption, true)} sx={{ minHeight: 44 }}>
              Take it out
            </Button>
          </Box>
        ))}
      </Box>
    </>
  );
}

/** What a picture shows, told once one leaves the field. */
function Caption({ caption, onTell }: { readonly caption: string; readonly onTell: (text: string) => void }) {
  const [text, setText] = useState(caption);
  return (
    <TextField
      label="What it shows"
      size="small"
      fullWidth
      value={text}
      onChange={(event) => setText(event.target.value.slice(0, 200))}
      onBlur={() => text !== caption && onTell(text)}
      sx={{ mt: 1 }}
    />
  );
}
