import type { RunDocument } from '@lean-clasp/core/formats';
import { couponState, readAfterwards } from '@lean-clasp/core/runs';
import type { VerdictState } from '@lean-clasp/core/verdicts';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useAppDispatch } from '../../app/store';
import { noteEvent } from '../../bench/run-sync';
import { FieldRow } from '../../parts/FieldRow';
import { NumberField } from '../../quantities/fields';
import { StateMark } from '../../verdicts/state-mark';

const MEANS: Readonly<Record<VerdictState, string>> = {
  holds: 'Broke in the wood: glue, air and pressure were right.',
  close: 'Broke partly in the glue: enough for a light joint; look at the bottle’s age and at the air.',
  fails: 'Broke in the glue: do not trust the bottle, and load this piece with care.',
};

/** Two offcuts glued along, broken later, and how much of the break is wood. */
export function CouponFields({ run }: { readonly run: RunDocument }) {
  const dispatch = useAppDispatch();
  const { coupon } = readAfterwards(run);
  const tell = (woodFailurePct: number | null) =>
    dispatch(noteEvent(run.id, { kind: 'note', payload: { coupon: { woodFailurePct } } }));
  if (coupon === null) {
    return (
      <>
        <Typography sx={{ mb: 1 }}>
          Two offcuts of the same wood, spread from the same bottle and pinched with the rest: broken a day
          later, they tell whether the glue held.
        </Typography>
        <Button variant="outlined" onClick={() => tell(null)} sx={{ minHeight: 44 }}>
          A coupon was glued with it
        </Button>
      </>
    );
  }
  const state = coupon.woodFailurePct === null ? null : couponState(coupon.woodFailurePct);
  return (
    <>
      <Typography sx={{ mb: 1.5 }}>
        Break it a day later: in a vice, a chisel into the line, goggles on. How much of the broken face is
        torn wood, not bare glue?
      </Typography>
      <FieldRow>
        <NumberField
          label="Wood failure, %"
          optional
          value={coupon.woodFailurePct}
          bounds={{ min: 0, max: 100, unit: '%' }}
          onChange={tell}
          width={170}
        />
      </FieldRow>
      {state !== null && (
        <Typography role="status">
          <StateMark state={state} /> {MEANS[state]} Three quarters is the usual mark [judgement].
        </Typography>
      )}
    </>
  );
}
