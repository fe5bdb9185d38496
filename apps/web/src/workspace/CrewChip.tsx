import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { LIMITS } from '@lean-clasp/core';
import { useState } from 'react';
import { chipStyle } from './ClimateChip';
import { useOpenBuild } from './open-build';

const words = (crew: number) => (crew === 1 ? '1 pair of hands' : `${crew} pairs of hands`);

/** How many pairs of hands work on it. */
export function CrewChip() {
  const { build, edit } = useOpenBuild();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        variant="outlined"
        sx={chipStyle}
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
      >
        {words(build.crew)}
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {Array.from({ length: LIMITS.crew.max }, (_, i) => i + 1).map((crew) => (
          <MenuItem
            key={crew}
            selected={crew === build.crew}
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
}
