import type { Condition, Lesson, LessonMoment, RunDocument } from '../formats';
import type { Cause } from './model';

/** When a cause should come back to mind, and what of a plan foreshadows it; the kind alone where nothing does. */
const WARNS_OF: Readonly<Record<Cause, readonly [LessonMoment, ...Condition[]]>> = {
  'closed-late': ['spread', { trait: 'spare-min', below: 2 }],
  'pressed-late': ['close', { trait: 'spare-min', below: 2 }],
  'too-little-pressure': ['press'],
  'too-much-pressure': ['press'],
  'gap-forced': ['before'],
  'too-cold': ['before', { trait: 'above-coldest-c', below: 5 }],
  'wood-wet': ['before'],
  'moisture-differs': ['before'],
  'bottle-old': ['spread', { trait: 'bottle-age-pct', above: 75 }],
  'thin-film': ['spread'],
  'end-grain-drank': ['spread', { trait: 'end-grain-pct', above: 10 }],
  'off-early': ['after'],
  'planed-early': ['after', { trait: 'chemistry', any: ['water-borne'] }],
  'out-of-turn': ['press'],
  'off-centre': ['press'],
  'not-read': ['check'],
  'crept-back': ['check', { trait: 'off-square-mm', above: 0.3 }],
  'bowed-part': ['check'],
  'base-in-wind': ['before'],
  'no-release': ['press'],
  'glue-on-face': ['check'],
  'iron-stain': ['before'],
  'glue-creeps': ['before'],
  'stale-face': ['before'],
};

/** The lesson that a cause proposes after a run, without its words: it comes back for that kind of glue-up where the fault shows ahead. */
export function lessonFor(cause: Cause, run: RunDocument): Pick<Lesson, 'when' | 'at' | 'runId'> {
  const [at, ...when] = WARNS_OF[cause];
  const { job } = run.promise;
  const kind: Condition[] = job === undefined ? [] : [{ trait: 'kind', any: [job.template] }];
  const own = [...kind, ...when];
  return { at, runId: run.id, when: own.length > 0 ? own : [{ trait: 'joints', above: 0 }] };
}
