import { LIMITS } from '@lean-clasp/core/basics';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { lotWords } from '@lean-clasp/words';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { Tick } from '../parts/Tick';
import { ScaledField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';

/** What a person settles about one clamp besides where it stands. */
interface Settled {
  readonly rackId: string;
  readonly mostN?: number | undefined;
  readonly pinned?: boolean | undefined;
}

/** The fields of one clamp: which, where (`children`), how hard at most, pinned or not; or off with it. */
export function OneClamp({
  clamp,
  lots,
  only = false,
  onLot,
  onMost,
  onPinned,
  onOff,
  children,
}: {
  readonly clamp: Settled;
  /** The lots that it may be taken from. */
  readonly lots: ShopDocument['rack'];
  /** It cannot be taken off while there is no other. */
  readonly only?: boolean;
  readonly onLot: (rackId: string) => void;
  readonly onMost: (mostN: number | null) => void;
  readonly onPinned: (pinned: boolean) => void;
  readonly onOff: () => void;
  readonly children: ReactNode;
}) {
  const f = useFormat();
  return (
    <FieldRow>
      <Choice
        label="From the rack"
        value={clamp.rackId}
        options={lots.map((lot) => ({ value: lot.id, name: lotWords(lot, f) }))}
        onChange={onLot}
        width="100%"
      />
      {children}
      <ScaledField
        label="Pull no more than"
        quantity="force"
        optional
        value={clamp.mostN ?? null}
        bounds={LIMITS.clampForceN}
        onChange={onMost}
        width={150}
      />
      <Tick
        label="Pinned: stays when clamps are placed"
        checked={clamp.pinned === true}
        onChange={onPinned}
      />
      <Button color="error" disabled={only} onClick={onOff}>
        Take off
      </Button>
    </FieldRow>
  );
}
