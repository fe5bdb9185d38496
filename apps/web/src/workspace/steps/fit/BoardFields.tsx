import { LIMITS } from '@lean-clasp/core/basics';
import type { Board } from '@lean-clasp/core/formats';
import { CUT_OPTIONS } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { RoughSize } from '../../../assembly/RoughSize';
import { Choice } from '../../../parts/Choice';
import { FieldRow } from '../../../parts/FieldRow';
import { LengthField, NumberField } from '../../../quantities/fields';
import { WoodChoice } from '../../../shop/WoodChoice';
import { changeBoard, likeThisBoard, removeBoard } from '../../edits';
import { useOpenBuild } from '../../open-build';

const HEARTS = [
  { value: 'up', name: 'heart up' },
  { value: 'down', name: 'heart down' },
] as const;

/** Everything about one board. */
export function BoardFields({ board, label }: { readonly board: Board; readonly label: string }) {
  const { build, edit } = useOpenBuild();
  const set = (what: string, change: Partial<Board>) =>
    edit(`${what} of ${label}`, changeBoard(board.id, change));
  const length = (what: string, key: 'widthMm' | 'thicknessMm' | 'lengthMm', limit: keyof typeof LIMITS) => (
    <LengthField
      label={what}
      value={board[key]}
      bounds={LIMITS[limit]}
      onChange={(value) => value !== null && set(what, { [key]: value })}
      width={116}
    />
  );
  return (
    <Box sx={{ pt: 1.5, pb: 1, pl: 1 }}>
      <FieldRow>
        {length('Width', 'widthMm', 'boardWidthMm')}
        {length('Thickness', 'thicknessMm', 'boardThicknessMm')}
        {length('Length', 'lengthMm', 'boardLengthMm')}
        <WoodChoice
          label="Species"
          value={board.species}
          onChange={(species) => set('Species', { species })}
          width={180}
        />
        <NumberField
          label="Moisture, metered"
          unit="%"
          optional
          value={board.mcPct}
          bounds={LIMITS.moisturePct}
          hint="empty: by the air of weeks"
          onChange={(mcPct) => set('Moisture', { mcPct })}
          width={160}
        />
        <Choice
          label="Cut"
          value={board.cut}
          options={CUT_OPTIONS}
          onChange={(cut) => set('Cut', { cut })}
          width={150}
        />
        <Choice
          label="Ring side"
          value={board.heart}
          options={HEARTS}
          onChange={(heart) => set('Ring side', { heart })}
          width={140}
        />
        <LengthField
          label="Ring radius"
          value={board.ringRadiusMm}
          bounds={LIMITS.ringRadiusMm}
          hint="pith to mid-thickness"
          onChange={(ringRadiusMm) => ringRadiusMm !== null && set('Ring radius', { ringRadiusMm })}
          width={150}
        />
      </FieldRow>
      <RoughSize
        ids={[board.id]}
        name={`board ${label}`}
        finished={[board.lengthMm, board.widthMm, board.thicknessMm]}
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="outlined" onClick={() => edit(`All like ${label}`, likeThisBoard(board.id))}>
          All of this wood, thickness, length
        </Button>
        <Button
          color="error"
          disabled={(build.boards?.length ?? 0) <= 2}
          onClick={() => edit(`Board ${label} out`, removeBoard(board.id))}
        >
          Take out
        </Button>
      </Box>
    </Box>
  );
}
