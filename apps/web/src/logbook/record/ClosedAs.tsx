import { scriptOfRun } from '@lean-clasp/core/bench';
import { CLOSED_AS, type ClosedAs as How, type RunDocument } from '@lean-clasp/core/formats';
import { closestJoint } from '@lean-clasp/core/learning';
import { readAfterwards } from '@lean-clasp/core/runs';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useAppDispatch } from '../../app/store';
import { noteEvent } from '../../bench/run-sync';

const WORDS: Readonly<Record<How, string>> = {
  wet: 'wet, it slid',
  tacky: 'tacky, it still wetted',
  skinned: 'skinned over, or had grabbed',
};

/** How the glue was at the joint that used most of its time: the one answer that teaches how long it gives at this bench. */
export function ClosedAs({ run }: { readonly run: RunDocument }) {
  const dispatch = useAppDispatch();
  const joint = closestJoint(run);
  if (joint === null || run.script === null) return null;
  const label = scriptOfRun(run.script).fuses.find((fuse) => fuse.joint === joint)?.label ?? joint;
  return (
    <>
      <Typography id="closed-as-label" sx={{ mb: 0.5 }}>
        How the glue was at the closest joint, {label}
      </Typography>
      <ToggleButtonGroup
        exclusive
        value={readAfterwards(run).closed.get(joint) ?? null}
        aria-labelledby="closed-as-label"
        sx={{ mb: 2 }}
        onChange={(_event, closed: How | null) =>
          closed !== null && dispatch(noteEvent(run.id, { kind: 'note', joint, payload: { closed } }))
        }
      >
        {CLOSED_AS.map((how) => (
          <ToggleButton key={how} value={how}>
            {WORDS[how]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </>
  );
}
