import { Suspense } from 'react';
import { readIn } from '../parts/read-in';
import type { CutListAsked } from './CutListTable';

const CutListTable = readIn(() => import('./CutListTable').then((m) => m.CutListTable));

/** A cut list, with what reads it fetched when somebody has one. */
export function CutListDialog(asked: CutListAsked) {
  return (
    <Suspense fallback={null}>
      <CutListTable {...asked} />
    </Suspense>
  );
}
