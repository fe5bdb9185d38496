import { type ReadIn, readIn } from '../parts/read-in';
import { PART_LOADERS, type PartId } from './part-loaders';

/** Parts of steps that go with some builds only, or come below what is looked at first. */
export const STEP_PARTS: Readonly<Record<PartId, ReadIn>> = {
  boards: readIn(PART_LOADERS.boards),
  answers: readIn(PART_LOADERS.answers),
  row: readIn(PART_LOADERS.row),
  pulls: readIn(PART_LOADERS.pulls),
  lessons: readIn(PART_LOADERS.lessons),
};
