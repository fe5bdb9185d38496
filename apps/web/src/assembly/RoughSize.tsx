import type { BuildDocument } from '@lean-clasp/core/formats';
import { toMill, usualRough } from '@lean-clasp/core/materials';
import Typography from '@mui/material/Typography';
import { FieldRow } from '../parts/FieldRow';
import { LengthField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';
import { useOpenBuild } from '../workspace/open-build';
import { noteParts } from './edits';

type Size = readonly [number, number, number];
const SIDES = ['Rough length', 'Rough width', 'Rough thickness'] as const;
const BOUNDS = { min: 1, max: 7000, unit: 'mm' };

/** The rough board that a part is milled from, and what comes off it on the way. */
export function RoughSize({
  ids,
  name,
  finished,
}: {
  /** Parts that it holds for. */
  readonly ids: readonly string[];
  readonly name: string;
  readonly finished: Size;
}) {
  const { build, edit } = useOpenBuild();
  const f = useFormat();
  const noted = build.partNotes.find(({ id }) => ids.includes(id))?.roughMm;
  const usual = usualRough(finished);
  const rough = noted ?? usual;
  const { faceMm, edgeMm, short } = toMill(finished, rough);
  const set = (side: number, mm: number | null) => {
    const next = rough.map((each, i) => (i === side ? (mm ?? usual[i] ?? each) : each));
    const asUsual = mm === null && next.every((each, i) => each === usual[i]);
    edit(`Rough size of ${name}`, (before) =>
      asUsual ? withoutRough(before, ids) : noteParts(ids, { roughMm: next })(before),
    );
  };
  return (
    <>
      <FieldRow>
        {SIDES.map((label, side) => (
          <LengthField
            key={label}
            label={label}
            optional
            value={noted?.[side] ?? null}
            bounds={BOUNDS}
            hint={`empty: ${f.length(usual[side] ?? 0)}`}
            onChange={(mm) => set(side, mm)}
            width={150}
          />
        ))}
      </FieldRow>
      <Typography variant="body2" sx={{ mb: 1 }}>
        {short.length > 0
          ? `Too small in ${short.join(' and ')}: a straight board wants ${f.sizes(usual)} to come out clean [judgement].`
          : `Joint one face and one edge, ${f.fine(faceMm)} and ${f.fine(edgeMm)} off: they are the reference. Plane the other face and saw the other edge as much; cut to length last.`}
      </Typography>
    </>
  );
}

/** The build with nothing noted about rough boards of some parts. */
const withoutRough = (build: BuildDocument, ids: readonly string[]): BuildDocument => ({
  ...build,
  partNotes: build.partNotes.map(({ roughMm, ...note }) =>
    roughMm === undefined || ids.includes(note.id) ? note : { ...note, roughMm },
  ),
});
