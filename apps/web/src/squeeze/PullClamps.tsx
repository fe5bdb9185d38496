import AddIcon from '@mui/icons-material/Add';
import { LIMITS } from '@lean-clasp/core/basics';
import { findClampKind } from '@lean-clasp/core/clamps';
import type { PulledClamp } from '@lean-clasp/core/formats';
import type { PullPlacingStep } from '@lean-clasp/core/placing';
import { placeableLots, pullFrame, type SqueezedPull, suits } from '@lean-clasp/core/plan';
import { planSays } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useCallback } from 'react';
import { isSelected, useSelection } from '../drawing/selection';
import { usePlan } from '../planner/plan-context';
import { useSearch } from '../planner/use-search';
import { arranger } from '../planner/workers';
import { LengthField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';
import { makeId } from '../workspace/edits';
import { useOpenBuild } from '../workspace/open-build';
import { Figure, OpeningRow, RowHeads, RowNumber } from '../parts/OpeningRow';
import { LeaveOut } from './LeaveOut';
import { OneClamp } from './OneClamp';
import { PlacingBar } from './PlacingBar';
import {
  addPulled,
  asTheyStand,
  changePulled,
  easePulled,
  leaveWorkedOut,
  lotForOneMore,
  placeOn,
  removePulled,
} from './pull-edits';
import { useFreeRack } from './use-free-rack';

const COLUMNS = '22px minmax(0, 1fr) 84px 76px';
const COLUMNS_TWO_WAYS = '22px minmax(0, 1fr) 84px 84px 76px';

/** The clamps of one pull one by one: moved, pinned and taken off, or placed by search around those that are pinned. */
export function PullClamps({ pull }: { readonly pull: SqueezedPull }) {
  const { build, shop, edit } = useOpenBuild();
  const { id } = pull.planned.pull;
  const own = build.squeeze?.clamps?.filter((clamp) => clamp.pull === id) ?? [];
  const rack = useFreeRack(shop);
  const run = useCallback(
    (goOn: (step: PullPlacingStep) => Promise<boolean>) =>
      arranger().placePull(build, rack.shop, id, makeId(), goOn),
    [build, rack.shop, id],
  );
  const take = useCallback(
    ({ placing }: PullPlacingStep) => {
      if (placing === null) return;
      const clamps = placing.build.squeeze?.clamps?.filter((clamp) => clamp.pull === id) ?? [];
      edit('Clamps placed', placeOn(id, clamps));
    },
    [edit, id],
  );
  const search = useSearch(run, take);
  const pinned = own.filter((clamp) => clamp.pinned === true).length;
  const searched = pull.along !== null;
  return (
    <Box sx={{ mt: 1 }}>
      <PlacingBar
        search={search}
        label={searched ? 'Place clamps' : own.length > 0 ? 'Place anew' : 'Place one by one'}
        hint={hintFor(searched, own.length, pinned)}
      >
        {own.length > 0 && (
          <Button onClick={() => edit('Clamps worked out', leaveWorkedOut(id))}>
            Leave it to be worked out
          </Button>
        )}
        {own.length === 0 && searched && (
          <Button onClick={() => edit('Clamps kept', placeOn(id, asTheyStand(pull)))}>
            Keep these places
          </Button>
        )}
      </PlacingBar>
      <LeaveOut rack={rack} />
      <Outcome step={search.working ? null : search.step} clamps={own} />
      {own.length > 0 && <Rows pull={pull} own={own} />}
    </Box>
  );
}

function hintFor(searched: boolean, placed: number, pinned: number): string {
  if (pinned > 0) return `Around ${pinned} pinned.`;
  if (searched) return 'Fewest from the rack that press everywhere.';
  return placed > 0
    ? 'In line with the joints.'
    : 'Then each can be moved, pinned or taken off; or slide one by its number on the drawing.';
}

/** What the last placing came to, as long as its clamps are still there. */
function Outcome({
  step,
  clamps,
}: {
  readonly step: PullPlacingStep | null;
  readonly clamps: readonly PulledClamp[];
}) {
  const f = useFormat();
  if (step?.placing == null) return null;
  const { placing } = step;
  const keyOf = ({ id, alongMm, acrossMm, rackId }: PulledClamp) => `${id} ${alongMm} ${acrossMm} ${rackId}`;
  const found = placing.build.squeeze?.clamps?.filter(({ pull }) => pull === placing.pull) ?? [];
  if (found.map(keyOf).join() !== clamps.map(keyOf).join()) return null;
  return (
    <Box role="status" sx={{ mt: 1 }}>
      {placing.findings.map((finding) => (
        <Typography key={finding.code} color={placing.meets ? undefined : 'error'}>
          {planSays(finding, f)}
        </Typography>
      ))}
    </Box>
  );
}

function Rows({ pull, own }: { readonly pull: SqueezedPull; readonly own: readonly PulledClamp[] }) {
  const { shop, edit } = useOpenBuild();
  const { plan } = usePlan();
  const { planned } = pull;
  const twoWays = planned.pull.need === 'seat';
  const lot = lotForOneMore(planned, shop.rack, suits);
  const lengthMm = plan === null ? 0 : pullFrame(planned.pull, plan.facts).lengthMm;
  return (
    <Box sx={{ mt: 1 }}>
      <RowHeads
        columns={twoWays ? COLUMNS_TWO_WAYS : COLUMNS}
        heads={['#', 'kind', 'along', ...(twoWays ? ['across'] : []), 'pull']}
      />
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {own.map((clamp) => (
          <Row key={clamp.id} clamp={clamp} pull={pull} last={own.length === 1} />
        ))}
      </Box>
      <Button
        startIcon={<AddIcon />}
        disabled={lot === undefined}
        onClick={() => lot !== undefined && edit('Clamp added', addPulled(planned.pull.id, lot, lengthMm))}
      >
        Add a clamp
      </Button>
    </Box>
  );
}

function Row({
  clamp,
  pull,
  last,
}: {
  readonly clamp: PulledClamp;
  readonly pull: SqueezedPull;
  readonly last: boolean;
}) {
  const { shop } = useOpenBuild();
  const f = useFormat();
  const { selected, select } = useSelection();
  const open = isSelected(selected, 'clamp', clamp.id);
  const stands = pull.clamps.find(({ id }) => id === clamp.id);
  const lot = placeableLots(pull.planned.pull, shop.rack).find(({ id }) => id === clamp.rackId);
  const kind = lot === undefined ? 'no longer on the rack' : findClampKind(lot.kind).name;
  const twoWays = pull.planned.pull.need === 'seat';
  const idle = pull.planned.idle.some((each) => each.clamp.id === clamp.id);
  const name = nameOf(stands?.number, idle);
  return (
    <OpeningRow
      open={open}
      label={`${name}: ${kind}, at ${f.length(clamp.alongMm)}`}
      columns={twoWays ? COLUMNS_TWO_WAYS : COLUMNS}
      onToggle={() => select(open ? null : { kind: 'clamp', id: clamp.id })}
      cells={
        <>
          <RowNumber>{stands?.number ?? '–'}</RowNumber>
          <span>
            {kind.replace(' clamp', '')}
            {clamp.pinned === true && ', pinned'}
          </span>
          <Figure>{f.length(clamp.alongMm)}</Figure>
          {twoWays && <Figure>{f.length(clamp.acrossMm)}</Figure>}
          <Figure bad={idle}>{stands === undefined && !idle ? '…' : f.force(stands?.forceN ?? 0)}</Figure>
        </>
      }
    >
      {open && <Fields clamp={clamp} pull={pull} name={name} last={last} />}
    </OpeningRow>
  );
}

/** A clamp just put on has no number until the plan has caught up with it, which is no word against it. */
function nameOf(number: number | undefined, idle: boolean): string {
  if (number !== undefined) return `Clamp ${number}`;
  return idle ? 'Clamp that presses nothing' : 'Clamp just placed';
}

function Fields({
  clamp,
  pull: { planned },
  name,
  last,
}: {
  readonly clamp: PulledClamp;
  readonly pull: SqueezedPull;
  readonly name: string;
  readonly last: boolean;
}) {
  const { shop, edit } = useOpenBuild();
  return (
    <Box sx={{ pt: 1.5 }}>
      <OneClamp
        clamp={clamp}
        lots={placeableLots(planned.pull, shop.rack).filter(
          (lot) => suits(planned.pull, lot) || lot.id === clamp.rackId,
        )}
        only={last}
        onLot={(rackId) => edit(`${name}: kind`, changePulled(clamp.id, { rackId }))}
        onMost={(mostN) => edit(`${name}: pull`, easePulled(clamp.id, mostN))}
        onPinned={(pinned) =>
          edit(pinned ? `${name} pinned` : `${name} free`, changePulled(clamp.id, { pinned }))
        }
        onOff={() => edit('Clamp off', removePulled(clamp.id))}
      >
        <LengthField
          label="Along"
          value={clamp.alongMm}
          bounds={LIMITS.clampPositionMm}
          onChange={(alongMm) =>
            alongMm !== null && edit(`${name}: along`, changePulled(clamp.id, { alongMm }))
          }
          width={120}
        />
        {planned.pull.need === 'seat' && (
          <LengthField
            label="Across"
            value={clamp.acrossMm}
            bounds={LIMITS.clampPositionMm}
            onChange={(acrossMm) =>
              acrossMm !== null && edit(`${name}: across`, changePulled(clamp.id, { acrossMm }))
            }
            width={120}
          />
        )}
      </OneClamp>
      {last && (
        <Typography variant="body2" sx={{ mb: 1 }}>
          The only clamp of this pull: add another before it comes off, or leave the pull to be worked out.
        </Typography>
      )}
    </Box>
  );
}
