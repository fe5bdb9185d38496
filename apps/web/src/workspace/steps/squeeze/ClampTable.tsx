import AddIcon from '@mui/icons-material/Add';
import type { ClampOnPanel } from '@lean-clasp/core/assembly';
import { LIMITS } from '@lean-clasp/core/basics';
import { rowOf, type RowPlan } from '@lean-clasp/core/plan';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { isSelected, useSelection } from '../../../drawing/selection';
import { Section } from '../../../frame/Page';
import { Choice } from '../../../parts/Choice';
import { LengthField } from '../../../quantities/fields';
import { Figure, OpeningRow, RowHeads, RowNumber } from '../../../parts/OpeningRow';
import { OneClamp } from '../../../squeeze/OneClamp';
import { PlaceClamps } from '../../../squeeze/PlaceClamps';
import { useFormat } from '../../../quantities/use-format';
import { addClamp, changeClamp, easeClamp, firstLot, removeClamps } from '../../edits';
import { useOpenBuild } from '../../open-build';

const SIDES = [
  { value: 'above', name: 'above' },
  { value: 'below', name: 'below' },
] as const;

const HANDLES = [
  { value: 'last', name: 'last edge' },
  { value: 'first', name: 'first edge' },
] as const;

const COLUMNS = '22px minmax(0, 1fr) 84px 84px 76px';

/** Clamps in a row along the panel: where, which side, opening needed, pull; the chosen one opens to its fields. */
export function ClampTable({ row }: { readonly row: RowPlan }) {
  const { shop, edit } = useOpenBuild();
  const { clamps, missingLots } = row.clampSet;
  const lot = firstLot(row, shop);
  // In the order of the document: a row must not jump away from under the person who types its position.
  const placeOf = new Map(row.job.clamps.map(({ id }, index) => [id, index]));
  const rows = [...clamps].sort((a, b) => (placeOf.get(a.placed.id) ?? 0) - (placeOf.get(b.placed.id) ?? 0));
  return (
    <Section
      title="Clamps"
      aside={
        <Button
          startIcon={<AddIcon />}
          disabled={lot === undefined}
          onClick={() => lot !== undefined && edit('Clamp added', addClamp(row, lot))}
        >
          Add
        </Button>
      }
    >
      <PlaceClamps row={row} />
      {row.job.workedOut && clamps.length > 0 && (
        <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
          Worked out from the rack; change one, and they are yours.
        </Typography>
      )}
      {clamps.length === 0 ? (
        <Typography color="text.secondary">
          Nothing on the rack is long enough to be worked out; <em>Add</em> puts a clamp in the widest gap.
        </Typography>
      ) : (
        <RowHeads columns={COLUMNS} heads={['#', 'kind', 'at', 'opens to', 'pull']} />
      )}
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {rows.map((clamp) => (
          <ClampRow key={clamp.placed.id} row={row} clamp={clamp} next={clamps[clamp.number]} />
        ))}
      </Box>
      {missingLots.length > 0 && (
        <Typography color="error" sx={{ mt: 1 }}>
          {missingLots.length} placed from a lot that is no longer on the rack.{' '}
          <Button onClick={() => edit('Missing clamps off', removeClamps(row, missingLots))}>
            Take them off
          </Button>
        </Typography>
      )}
    </Section>
  );
}

const ClampRow = memo(function ClampRow({
  row,
  clamp,
  next,
}: {
  readonly row: RowPlan;
  readonly clamp: ClampOnPanel;
  readonly next: ClampOnPanel | undefined;
}) {
  const f = useFormat();
  const { selected, select } = useSelection();
  const { placed, number, kindName, openingNeededMm, fit, forceN, padPressureMPa, crushLimitMPa } = clamp;
  const open = isSelected(selected, 'clamp', placed.id);
  const short = fit === 'too-short';
  return (
    <OpeningRow
      open={open}
      label={`Clamp ${number}: ${kindName} ${placed.side}, at ${f.length(placed.xMm)}`}
      columns={COLUMNS}
      onToggle={() => select(open ? null : { kind: 'clamp', id: placed.id })}
      cells={
        <>
          <RowNumber>{number}</RowNumber>
          <span>
            {kindName.replace(' clamp', '')}, {placed.side}
            {placed.pinned === true && ', pinned'}
          </span>
          <Figure>{f.length(placed.xMm)}</Figure>
          <Figure bad={short}>{f.length(openingNeededMm)}</Figure>
          <Figure bad={short}>{f.force(forceN)}</Figure>
        </>
      }
    >
      {short && (
        <Typography color="error" variant="body2" sx={{ pb: 1 }}>
          Too short: it opens {f.length(clamp.lot.maxOpeningMm)}, the work with packing and room to get it on
          needs {f.length(openingNeededMm)}. Take a longer one, or thinner packing.
        </Typography>
      )}
      {!short && padPressureMPa > crushLimitMPa && (
        <Typography color="error" variant="body2" sx={{ pb: 1 }}>
          Its jaw bites at {f.pressure(padPressureMPa)}; the wood bears {f.pressure(crushLimitMPa)}. Put a
          block under it.
        </Typography>
      )}
      {open && <ClampFields row={row} clamp={clamp} next={next} />}
    </OpeningRow>
  );
});

function ClampFields({
  row,
  clamp,
  next,
}: {
  readonly row: RowPlan;
  readonly clamp: ClampOnPanel;
  readonly next: ClampOnPanel | undefined;
}) {
  const { build, shop, edit } = useOpenBuild();
  const f = useFormat();
  const name = `Clamp ${clamp.number}`;
  // The plan comes a moment after the edit; fields show what was typed, not what has been planned so far.
  const placed = rowOf(build).clamps.find(({ id }) => id === clamp.placed.id) ?? clamp.placed;
  return (
    <Box sx={{ pt: 1.5 }}>
      <OneClamp
        clamp={placed}
        lots={shop.rack}
        onLot={(rackId) => edit(`${name}: kind`, changeClamp(row, placed.id, { rackId }))}
        onMost={(mostN) => edit(`${name}: pull`, easeClamp(row, placed.id, mostN))}
        onPinned={(pinned) =>
          edit(pinned ? `${name} pinned` : `${name} free`, changeClamp(row, placed.id, { pinned }))
        }
        onOff={() => edit('Clamp off', removeClamps(row, [placed.id]))}
      >
        <LengthField
          label="At"
          value={placed.xMm}
          bounds={LIMITS.clampPositionMm}
          onChange={(xMm) => xMm !== null && edit(`${name}: at`, changeClamp(row, placed.id, { xMm }))}
          width={120}
        />
        <Choice
          label="Side"
          value={placed.side}
          options={SIDES}
          onChange={(side) => edit(`${name}: side`, changeClamp(row, placed.id, { side }))}
          width={110}
        />
        <Choice
          label="Handle at"
          value={placed.handle ?? 'last'}
          options={HANDLES}
          onChange={(handle) => edit(`${name}: handle`, changeClamp(row, placed.id, { handle }))}
          width={140}
        />
      </OneClamp>
      <Typography variant="body2" sx={{ mb: 1 }}>
        {next === undefined ? '' : `${f.length(next.placed.xMm - placed.xMm)} to the next. `}
        Pull {clamp.forceSource === 'measured' ? 'measured by you' : 'typical of its kind, ± 30 %'}; jaw on
        the wood {f.pressure(clamp.padPressureMPa)} of {f.pressure(clamp.crushLimitMPa)}.
        {clamp.fit === 'clumsy' ? ' Far longer than needed: clumsy.' : ''}
      </Typography>
    </Box>
  );
}
