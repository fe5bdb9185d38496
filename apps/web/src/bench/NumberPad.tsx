import BackspaceIcon from '@mui/icons-material/BackspaceOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

const DIGITS = ['7', '8', '9', '0', '4', '5', '6', '.', '1', '2', '3'];
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
  const more = fractions ? FRACTION : [];
  return (
    <Box
      role="group"
      aria-label="Number pad"
      sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 72px)', gap: 1, alignContent: 'start' }}
    >
      {DIGITS.map((key) => (
        <Key key={key} sign={key} onPress={() => onType(text + key)} />
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
      {more.map((key) => (
        <Key key={key} sign={key} onPress={() => onType(text + key)} />
      ))}
    </Box>
  );
}

const NAMES: Readonly<Record<string, string>> = { ' ': 'space', '.': 'point', '/': 'over' };

function Key({ sign, onPress }: { readonly sign: string; readonly onPress: () => void }) {
  return (
    <Button
      variant="outlined"
      color="inherit"
      aria-label={NAMES[sign] ?? sign}
      onClick={onPress}
      sx={{ minHeight: 72, minWidth: 0, fontSize: '1.75rem' }}
    >
      {sign === ' ' ? '␣' : sign}
    </Button>
  );
}
