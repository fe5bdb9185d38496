import type { CutRow } from '@lean-clasp/core/tables';
import type { BuildStart } from '@lean-clasp/core/templates';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useMayChange } from '../access/session';
import { useCreateBuildMutation } from '../api/api';
import { CutListDialog } from '../tables/CutListDialog';
import { createFailure } from './create-failure';

/** So many builds at most come of one list. */
const MOST = 40;
/** Boards are about this wide where nobody has said, mm [judgement]: as bought, and narrow enough to lie flat. */
const BOARD_WIDE_MM = 120;
const USUAL_WOOD = 'white-oak';

/** A panel of a cut list as a build: its size as told, of boards as wide as is usual. */
export function panelOf({ name, count, lengthMm, widthMm, thicknessMm, species }: CutRow): BuildStart {
  return {
    template: 'edge-panel',
    name: count === 1 ? name : `${name} (${count} alike)`,
    project: '',
    service: 'dry',
    answers: {
      species,
      lengthMm,
      widthMm,
      thicknessMm,
      boards: Math.max(2, Math.round(widthMm / BOARD_WIDE_MM)),
    },
  };
}

/** Panels of a cut list, each a build of its own. */
export function CutListBuilds() {
  const [open, setOpen] = useState(false);
  const [create, { error }] = useCreateBuildMutation();
  if (!useMayChange()) return null;
  const make = async (rows: readonly CutRow[]) => {
    for (const row of rows) await create(panelOf(row)).unwrap();
  };
  return (
    <>
      <Button onClick={() => setOpen(true)}>Panels from a cut list</Button>
      {error !== undefined && (
        <Alert severity="error" variant="outlined" sx={{ my: 1 }}>
          {createFailure(error)}
        </Alert>
      )}
      {open && (
        <CutListDialog
          title="Panels from a cut list"
          of="panels"
          species={USUAL_WOOD}
          most={MOST}
          take="Make panels of"
          onTake={(rows) => void make(rows).catch(() => undefined)}
          onClose={() => setOpen(false)}
        />
      )}
    </>
  );
}
