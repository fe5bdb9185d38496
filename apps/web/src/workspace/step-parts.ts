import { type ReadIn, readIn } from '../parts/read-in';
import { quiet } from '../start/at-rest';
import { PART_LOADERS, type PartId } from './part-loaders';

/** Parts of steps that go with some builds only, or come below what is looked at first. */
export const STEP_PARTS: Readonly<Record<PartId, ReadIn>> = {
  boards: readIn(PART_LOADERS.boards),
  answers: readIn(PART_LOADERS.answers),
  row: readIn(PART_LOADERS.row),
  pulls: readIn(PART_LOADERS.pulls),
  // Below what is looked at first, and with words of their own; a server that has gone takes nothing else along.
  lessons: readIn(() =>
    quiet()
      .then(PART_LOADERS.lessons)
      .catch(() => Nothing),
  ),
};

const Nothing = () => null;
