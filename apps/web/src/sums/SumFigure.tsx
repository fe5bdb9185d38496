import { type Figure, figureOf } from '@lean-clasp/core/drawing';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { FigureView } from '../drawing/FigureView';
import { useSize } from '../drawing/use-size';
import { type Format, useFormat } from '../quantities/use-format';
import { valueWords } from './answer-words';

/** At most so large; where the column is narrower the drawing shrinks, its text does not. */
const SIZE = { width: 600, height: 310 };
/** Room for labels around the drawing. */
const ROOM = { x: 130, y: 34 };

/** A sum drawn from what was put in and what came out. Its numbers are all in the answer, too. */
export function SumFigure({
  name,
  given,
  answer,
}: {
  readonly name: string;
  readonly given: unknown;
  readonly answer: unknown;
}) {
  const f = useFormat();
  const figure = figureOf(name, given, answer);
  const [ref, room] = useSize(SIZE);
  if (figure === null) return null;
  return (
    <Box component="figure" ref={ref} sx={{ m: 0, mb: 2 }}>
      <FigureView
        figure={figure}
        size={{ width: Math.min(SIZE.width, room.width), height: SIZE.height }}
        room={ROOM}
        words={(label) => labelWords(label, f)}
        testId="sum-figure"
      />
      {figure.enlarged > 1 && (
        <Typography component="figcaption" variant="body2" color="text.secondary">
          Deviations drawn {figure.enlarged} times as large.
        </Typography>
      )}
    </Box>
  );
}

function labelWords({ field, value, text }: Figure['labels'][number], f: Format): string {
  if (field === null || value === null) return text;
  const number = valueWords(field, value, f);
  return text === '' ? number : `${text} ${number}`;
}
