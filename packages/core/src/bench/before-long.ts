import type { BuildDocument, Climate, LessonSaid, ShopDocument } from '../formats';
import { lessonsBearing, saidOf, type When } from '../lessons';
import { type Plan, planBuild } from '../plan';
import { type Aspect, ASPECTS } from '../verdicts';

/** What there is to say of a build that is about to be glued. */
export interface BeforeLong {
  readonly lessons: readonly LessonSaid[];
  /** Verdicts that hold in the air of now and fail in that of its hour. */
  readonly worse: readonly Aspect[];
}

/**
 * Looks at a build for the hour at which it is to be glued.
 * @param air usual at that hour; null where nobody knows it. A build that keeps an air of its own does not ask.
 * @throws InputError as planning does.
 */
export function beforeLong(
  build: BuildDocument,
  shop: ShopDocument,
  when: When,
  air: Climate | null,
): BeforeLong {
  const plan = planBuild(build, shop);
  const then = air === null || build.climate !== null ? plan : planBuild(build, { ...shop, climate: air });
  const fails = ({ verdicts }: Plan, aspect: Aspect) => verdicts[aspect].state === 'fails';
  return {
    lessons: lessonsBearing(plan, when).map(saidOf),
    worse: ASPECTS.filter((aspect) => fails(then, aspect) && !fails(plan, aspect)),
  };
}
