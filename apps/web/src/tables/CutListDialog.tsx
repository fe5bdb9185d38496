import { lazy, Suspense } from 'react';
import type { CutListAsked } from './CutListTable';

const CutListTable = lazy(() => import('./CutListTable').then((m) => ({ default: m.CutListTable })));

/** A cut list, with what reads it fetched when somebody has one. */
export function CutListDialog(asked: CutListAsked) {
  return (
    <Suspense fallback={null}>
      <CutListTable {...asked} />
    </Suspense>
  );
}
