import BackspaceIcon from '@mui/icons-material/BackspaceOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.'];
/** In inches: a space before a fraction, and its stroke. */
const FRACTION = [' ', '/'];

/** A pad for wet fingers: what is typed is put together key by key. */
export function NumberPad({
  text,
  fractions,
  onType,
}: {
  readonly text: string;
  readonly fractions: boolean;
  readonly onType: (text: string) => void;
}) {
  const keys = fractions ? [...DIGITS, ...FRACTION] : DIGITS;
  return (
    <Box
      role="group"
      aria-label="Number pad"
      sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 84px)', gap: 1, alignContent: 'start' }}
    >
      {keys.map((key) => (
        <Button
          key={key}
          variant="outlined"
          color="inherit"
          aria-label={key === ' ' ? 'space' : key === '.' ? 'point' : key === '/' ? 'over' : key}
          onClick={() => onType(text + key)}
          sx={{ minHeight: 72, minWidth: 0, fontSize: '1.75rem' }}
        >
          {key === ' ' ? '␣' : key}
        </Button>
      ))}
      <Button
        variant="outlined"
        color="inherit"
        aria-label="Take the last back"
        onClick={() => onType(text.slice(0, -1))}
        sx={{ minHeight: 72, minWidth: 0 }}
      >
        <BackspaceIcon />
      </Button>
    </Box>
  );
}
