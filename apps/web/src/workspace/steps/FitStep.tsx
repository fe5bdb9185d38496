import { Suspense } from 'react';
import { useOpenBuild } from '../open-build';
import { STEP_PARTS } from '../step-parts';

/** Fit: the boards one by one where the person keeps a list of them, else the few answers of the kind and what they come to. */
export function FitStep() {
  const { build } = useOpenBuild();
  const Asked = build.boards === undefined ? STEP_PARTS.answers : STEP_PARTS.boards;
  return (
    <>
      <Asked />
      <Suspense fallback={null}>
        <STEP_PARTS.lessons />
      </Suspense>
    </>
  );
}
