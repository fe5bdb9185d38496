import { LIMITS } from '@lean-clasp/core/basics';
import { type RunDocument, type Stretch, STRETCH_LOOKS, STRETCH_PLACES } from '@lean-clasp/core/formats';
import { readAfterwards } from '@lean-clasp/core/runs';
import { LOOK_WORDS, placeWords, stretchWords } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useAppDispatch } from '../../app/store';
import { isRow } from '../../bench/BenchDrawing';
import type { BenchKit } from '../../bench/bench-kit';
import { noteEvent } from '../../bench/run-sync';
import { SelectionProvider, useSelection } from '../../drawing/selection';
import { Choice } from '../../parts/Choice';
import { FieldRow } from '../../parts/FieldRow';
import { LengthField } from '../../quantities/fields';
import { useFormat } from '../../quantities/use-format';
import { RecordDrawing } from './RecordDrawing';

/** Joints as they look now, stretch by stretch, on the drawing and in words. */
export function JointMarks(props: { readonly run: RunDocument; readonly kit: BenchKit }) {
  return (
    <SelectionProvider>
      <Marks {...props} />
    </SelectionProvider>
  );
}

function Marks({ run, kit }: { readonly run: RunDocument; readonly kit: BenchKit }) {
  const dispatch = useAppDispatch();
  const f = useFormat();
  const { selected, select } = useSelection();
  const { stretches } = readAfterwards(run);
  const joints = kit.script.fuses.map(({ joint, label }) => ({ value: joint, name: label }));
  const [draft, setDraft] = useState<Stretch>({ look: 'starved', where: 'all', gapMm: null });
  const row = isRow(kit);
  const picked = joints.find(({ value }) => selected?.kind === 'joint' && selected.id === value);
  const joint = (picked ?? joints[0])?.value ?? '';
  if (joints.length === 0) return null;
  const own = stretches.get(joint) ?? [];
  const tell = (of: string, now: readonly Stretch[]) =>
    dispatch(noteEvent(run.id, { kind: 'note', joint: of, payload: { stretches: [...now] } }));
  const marked = [...stretches].flatMap(([line, all]) => all.map(({ where }) => ({ line, where })));
  return (
    <>
      <RecordDrawing kit={kit} marked={marked} />
      <Typography sx={{ mb: 1.5 }}>
        Mark what is not a fine bead: dry, open, a ridge.{' '}
        {row && 'Touch a line in the drawing, or choose it.'}
      </Typography>
      <FieldRow>
        <Choice
          label="Joint"
          value={joint}
          options={joints}
          onChange={(id) => select({ kind: 'joint', id })}
          width={220}
        />
        <Choice
          label="It is"
          value={draft.look}
          options={STRETCH_LOOKS.map((value) => ({ value, name: LOOK_WORDS[value] }))}
          onChange={(look) => setDraft({ ...draft, look, gapMm: look === 'open' ? draft.gapMm : null })}
          width={150}
        />
        <Choice
          label="Where"
          value={draft.where}
          options={STRETCH_PLACES.map((value) => ({ value, name: placeWords(value, row) }))}
          onChange={(where) => setDraft({ ...draft, where })}
          width={150}
        />
        {draft.look === 'open' && (
          <LengthField
            label="Open by"
            fine
            optional
            value={draft.gapMm}
            bounds={{ min: 0, max: LIMITS.gapMm.max, unit: 'mm' }}
            onChange={(gapMm) => setDraft({ ...draft, gapMm })}
            width={130}
          />
        )}
        <Button
          variant="outlined"
          onClick={() => tell(joint, [...own.filter(({ where }) => where !== draft.where), draft])}
          sx={{ minHeight: 44 }}
        >
          Mark it
        </Button>
        {own.length === 0 && !stretches.has(joint) && (
          <Button onClick={() => tell(joint, [])} sx={{ minHeight: 44 }}>
            Fine all along
          </Button>
        )}
      </FieldRow>
      <Box component="ul" aria-label="Joints as marked" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {[...stretches].map(([of, all]) => (
          <Box
            component="li"
            key={of}
            sx={{ display: 'flex', gap: 2, alignItems: 'center', borderBottom: 1, borderColor: 'divider' }}
          >
            <Box sx={{ flex: 1 }}>
              <strong>{joints.find(({ value }) => value === of)?.name ?? of}</strong>:{' '}
              {all.length === 0
                ? 'a fine bead all along'
                : all.map((each) => stretchWords(each, row, f)).join('; ')}
            </Box>
            {all.length > 0 && (
              <Button onClick={() => tell(of, [])} sx={{ minHeight: 44 }}>
                Take the marks away
              </Button>
            )}
          </Box>
        ))}
      </Box>
    </>
  );
}
