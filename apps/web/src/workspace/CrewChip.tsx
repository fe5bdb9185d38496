import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { LIMITS } from '@lean-clasp/core/basics';
import { memo, useState } from 'react';
import { chipStyle } from './ClimateChip';
import { useBuildHandle } from './open-build';

const words = (crew: number) => (crew === 1 ? '1 pair of hands' : `${crew} pairs of hands`);

/** How many pairs of hands work on it. */
export const CrewChip = memo(function CrewChip({ crew: now }: { readonly crew: number }) {
  const { edit } = useBuildHandle();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        variant="outlined"
        sx={chipStyle}
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
      >
        {words(now)}
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {Array.from({ length: LIMITS.crew.max }, (_, i) => i + 1).map((crew) => (
          <MenuItem
            key={crew}
            selected={crew === now}
            onClick={() => {
              edit('Pairs of hands', (before) => ({ ...before, crew }));
              setAnchor(null);
            }}
          >
            {words(crew)}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
});
