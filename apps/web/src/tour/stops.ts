/** One place of the way round. */
interface Stop {
  readonly title: string;
  readonly says: string;
  /** Its address, for the build that the way is shown by. */
  readonly path: (build: string) => string;
}

const step = (id: string) => (build: string) => `/builds/${build}/${id}`;

/** The way round, from planning to what was learned. */
export const STOPS: readonly Stop[] = [
  {
    title: 'Today',
    says: 'What is in clamps and when they may come off, what can start in the hours that are left, and the air that glue sets in.',
    path: () => '/',
  },
  {
    title: 'Fit',
    says: 'A build, to scale. Tap a part or a joint in the drawing or in the list. The strip below always says whether it closes in time, tight, square and flat; tap a word of it for what would help and how its figure is got.',
    path: step('fit'),
  },
  {
    title: 'Glue',
    says: 'Every glue of the catalogue judged for this very glue-up: its open time in this air, its strength here, what it does to a finish.',
    path: step('glue'),
  },
  {
    title: 'Order',
    says: 'Each move with its minute, each joint with its fuse: how long from its first glue until it must be under pressure. Too long? Work it out in sessions, or drag it as you would do it.',
    path: step('order'),
  },
  {
    title: 'Squeeze',
    says: 'Which clamps, where and how hard, and the pressure that comes of it along each line. Drag a clamp: everything follows.',
    path: step('squeeze'),
  },
  {
    title: 'Rehearse',
    says: 'What to lay out and to look at before the first bead, a dry run by the stopwatch, and practice with things going wrong.',
    path: step('rehearse'),
  },
  {
    title: 'Glue up',
    says: 'At the bench it says one thing at a time, counts the fuses down, and answers when something goes wrong. Have a look; nothing starts before you start the clock.',
    path: step('glue-up'),
  },
  {
    title: 'Logbook',
    says: 'What was planned and what was taken, what went wrong and why, and what the shop has learned from it.',
    path: () => '/logbook',
  },
  {
    title: 'Shop',
    says: 'Your clamps, cauls, bottles, hands and air. Tell it what hangs on your wall, and every plan is made with that.',
    path: () => '/shop',
  },
];
