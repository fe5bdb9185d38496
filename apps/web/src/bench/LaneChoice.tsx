import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useSearchParams } from 'react-router';
import { handWords } from '../timeline/hands';

const LANE = 'hand';

/** Whose steps this screen shows, kept in its address so that a reload finds them again: null for everybody's. */
export function useLane(): readonly [number | null, (lane: number | null) => void] {
  const [search, setSearch] = useSearchParams();
  const asked = search.get(LANE);
  const lane = asked !== null && /^\d$/.test(asked) ? Number(asked) : null;
  return [lane, (chosen) => setSearch(chosen === null ? {} : { [LANE]: String(chosen) }, { replace: true })];
}

/** Everybody's steps on this screen, or those of one pair of hands. */
export function LaneChoice({
  lane,
  people,
  onChoose,
}: {
  readonly lane: number | null;
  readonly people: number;
  readonly onChoose: (lane: number | null) => void;
}) {
  return (
    <ToggleButtonGroup
      exclusive
      value={lane ?? 'all'}
      aria-label="Whose steps"
      onChange={(_, value: number | 'all' | null) =>
        value !== null && onChoose(value === 'all' ? null : value)
      }
      sx={{
        '& button': {
          minHeight: 72,
          px: { xs: 1.25, sm: 2.5 },
          fontSize: { xs: '1rem', sm: '1.125rem' },
          textTransform: 'none',
        },
      }}
    >
      <ToggleButton value="all">everybody</ToggleButton>
      {Array.from({ length: people }, (_, hand) => (
        <ToggleButton key={hand} value={hand}>
          {handWords([hand])}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
