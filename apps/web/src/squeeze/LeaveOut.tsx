import { Tick } from '../parts/Tick';
import type { FreeRack } from './use-free-rack';

/** Asks whether clamps that sit on other work are left out; silent while none do. */
export function LeaveOut({ rack: { tied, leftOut, leaveOut } }: { readonly rack: FreeRack }) {
  return tied === 0 ? null : (
    <Tick
      label={`Leave out what sits on other work now: ${tied} ${tied === 1 ? 'clamp' : 'clamps'}`}
      checked={leftOut}
      onChange={leaveOut}
    />
  );
}
