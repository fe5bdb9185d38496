import VolumeOffIcon from '@mui/icons-material/VolumeOff';
import VolumeUpIcon from '@mui/icons-material/VolumeUp';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

const big = {
  minHeight: { xs: 72, sm: 96 },
  fontSize: { xs: '1.25rem', sm: '1.625rem' },
} as const;

/** Buttons for a knuckle: back, one huge next, trouble; and the sound. */
export function BenchButtons({
  onBack,
  onNext,
  onTrouble,
  canGoBack,
  label,
  sounding,
  onToggleSound,
}: {
  readonly onBack: () => void;
  readonly onNext: () => void;
  readonly onTrouble: () => void;
  readonly canGoBack: boolean;
  readonly label: string;
  readonly sounding: boolean;
  readonly onToggleSound: () => void;
}) {
  return (
    <Box
      sx={{
        display: { xs: 'grid', sm: 'flex' },
        gridTemplateColumns: '1fr 1fr auto',
        gap: { xs: 1, sm: 1.5 },
        p: { xs: 1.5, sm: 2 },
        flexShrink: 0,
      }}
    >
      <Button
        variant="outlined"
        color="inherit"
        disabled={!canGoBack}
        onClick={onBack}
        sx={{ ...big, flex: 1 }}
      >
        Back
      </Button>
      <Button
        variant="contained"
        color="secondary"
        onClick={onNext}
        // Across the foot of a telephone, where the thumb is.
        sx={{
          ...big,
          minHeight: 96,
          flex: 4,
          gridColumn: '1 / -1',
          order: { xs: 1, sm: 0 },
          fontSize: { xs: '1.75rem', sm: '2.25rem' },
        }}
      >
        {label}
      </Button>
      <Button variant="outlined" color="error" onClick={onTrouble} sx={{ ...big, flex: 1.2, borderWidth: 2 }}>
        Trouble
      </Button>
      <Button
        color="inherit"
        aria-label={sounding ? 'Sound and voice are on. Turn off.' : 'Sound and voice are off. Turn on.'}
        onClick={onToggleSound}
        sx={{ ...big, minWidth: 72 }}
      >
        {sounding ? <VolumeUpIcon fontSize="large" /> : <VolumeOffIcon fontSize="large" />}
      </Button>
    </Box>
  );
}
