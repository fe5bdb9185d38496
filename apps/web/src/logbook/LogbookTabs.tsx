import Button from '@mui/material/Button';
import ButtonGroup from '@mui/material/ButtonGroup';
import { NavLink } from 'react-router';

const PLACES = [
  ['/logbook', 'Glue-ups'],
  ['/logbook/trends', 'Trends'],
  ['/logbook/learned', 'Learned'],
  ['/logbook/lessons', 'Lessons'],
] as const;

/** The parts of the logbook. */
export function LogbookTabs() {
  return (
    <ButtonGroup
      component="nav"
      aria-label="Parts of the logbook"
      variant="outlined"
      sx={{ maxWidth: '100%', '& > a': { px: { xs: 1, sm: 2 }, minWidth: 0, whiteSpace: 'nowrap' } }}
    >
      {PLACES.map(([to, name]) => (
        <Button
          key={to}
          component={NavLink}
          to={to}
          end
          sx={{ '&[aria-current=page]': { bgcolor: 'action.selected', fontWeight: 700 } }}
        >
          {name}
        </Button>
      ))}
    </ButtonGroup>
  );
}
