import type { Rolldown } from 'vite';

/** Loaded by one screen or one part of it only: a chunk of their own. */
const SELDOM =
  /node_modules\/(recharts|d3-|victory-|es-toolkit|@dnd-kit|decimal|immer-|papaparse|three|@tanstack|react-intersection|eventemitter3|use-sync-external-store|@mui\/material\/(Dialog|ToggleButton|ButtonGroup|Divider))/;

/** What every plan and its figures are told with. */
const PLAN =
  /packages\/core\/|words\/src\/|web\/src\/(parts\/[a-z]|quantities\/(list|use)|verdicts\/state-mark)/;

/** What plans are drawn with and typed into: not for the start page. */
const SHOWN =
  /web\/src\/(verdicts\/(?!state-mark|VerdictDetail|FixList)|workspace\/(edits|open-build|step-parts)|shop\/(own|WoodChoice)|drawing\/(?!FigureView)|quantities\/(?!list|use|ListField)|parts\/(?!Windowed|FileButton|MoreButton|InTurn|ChartBox|NameField)[A-Z])|@mui\/material\/(Select|Menu|List|Popover|Modal|Backdrop|Unstable_TrapFocus|FilledInput|OutlinedInput|NativeSelect|Input|Form|TextField|Textarea|Checkbox|internal\/SwitchBase|Table)|useRovingTabIndex/;

/** What lays kinds out and measures them, and the forms that ask for it: for Fit and new builds. */
const LAID =
  /core\/src\/(kinds\/(layouts|lay-assembly|measure-build)|assembly\/(derive|reinforcement|reference-marks)|templates)|web\/src\/assembly\/(?!Assembly(Area|Sheet)|SolidView|part-geometry|RoughSize|ReadingField|edits|groups|use-joint-groups)/;

/** What assemblies are drawn with: for neither the start page nor a panel. */
const DRAWN =
  /polygon-clipping|robust-predicates|splaytree|core\/src\/(solids\/(polygon|surfaces|hull)|assembly\/joint-facts|plan\/squeeze\/holding-clamps|drawing\/(assembly-marks|clamp-marks|apart|glued-middle|lowered|eye|painters-order|place-labels|faceted-parts))/;

/** What is done at the bench: for neither the start page nor a plan. */
const DOING = /core\/src\/(bench|geometry\/quad|formats\/run-document)/;

/** What is read from the log. */
const LEARNT = /core\/src\/(diagnosis|learning|drawing\/corrections)|words\/src\/(diagnosis|learning)/;

/** What reads tables of the shop. */
const TABLES = /(core|words)\/src\/tables/;

/** What the bench says, lessons, and single sums: for whoever plans nothing but does, or looks back. */
const TOLD =
  /core\/src\/(lessons|kinds\/ritual|plan\/order\/(operations|planned-operation))|words\/src\/(bench|spreading|lesson|trouble|ready|gather|sums|say)/;

/** What goes with some steps only, a file for each few of them. */
const APART =
  /core\/src\/(plan\/(dates|first-coats|plan-build|order\/(fuses|dried-film))|calendar|formats\/(shop-document|lesson|learned)|spread\/spread|materials\/milling|clamps\/hand-calibration|adhesives\/strength)|words\/src\/reasons/;

/** What draws in space: for whoever turns an assembly round or takes it along as a file. */
const SPACE = /node_modules\/three\/|web\/src\/assembly\/part-geometry/;

/** What draws, and what leads from address to screen. */
const BASE = /node_modules\/(react|react-dom|scheduler|react-router)\//;

/** What documents and questions are described with: for whoever asks by such a description. */
const DESCRIBED = /node_modules\/@sinclair\/typebox\/|core\/src\/(basics\/type|formats\/schema)\.ts/;

/** What looks up at the address what else to read in, before all of it. */
const START =
  /web\/src\/(start\/(?!base)|shop\/shop-id|workspace\/(steps-list|step-loaders|part-loaders))|vite\/preload-helper|rolldown\/runtime/;

const isPackage = (id: string) =>
  id.includes('node_modules') && !SELDOM.test(id) && !DRAWN.test(id) && !SHOWN.test(id);
const isPlan = (id: string) =>
  PLAN.test(id) && ![SHOWN, LAID, DRAWN, DOING, LEARNT, TABLES, TOLD, APART].some((other) => other.test(id));

/**
 * What is read in together, for few and large beats many and small: the frame with all it stands on, then the
 * packages most screens need, what every plan is told with, what plans are drawn with and typed into, and what
 * only the kinds of assemblies need. What comes first takes along what it stands on.
 */
export const CHUNKS: readonly Rolldown.CodeSplittingGroup[] = [
  { name: 'start', priority: 7, test: START },
  { name: 'described', priority: 6, test: DESCRIBED },
  { name: 'space', priority: 6, test: SPACE, minShareCount: 2 },
  // Read in before the frame, in a task of its own.
  { name: 'base', priority: 6, test: BASE },
  // With all that it imports: what the first paint waits for, and nothing of a plan.
  { name: 'frame', priority: 5, test: /web\/src\/main\.tsx$/ },
  { name: 'packages', priority: 4, test: isPackage, minShareCount: 2 },
  { name: 'plan', priority: 3, test: isPlan, minShareCount: 2 },
  { name: 'shown', priority: 2, test: SHOWN, minShareCount: 2 },
  { name: 'drawn', priority: 1, test: DRAWN, minShareCount: 2 },
  { name: 'laid', priority: 1, test: LAID, minShareCount: 2 },
  { name: 'told', priority: 1, test: TOLD, minShareCount: 2 },
  { name: 'doing', priority: 1, test: DOING, minShareCount: 2 },
  { name: 'learnt', priority: 1, test: LEARNT, minShareCount: 2 },
  { name: 'tables', priority: 1, test: TABLES, minShareCount: 2 },
];

/**
 * What may be left out where nobody uses it, though it is made by calling something: descriptions of documents, and packages that say
 * nothing of themselves. Fields that one description spreads into another would keep both: they are written out there.
 */
export const UNUSED = {
  manualPureFunctions: [
    'Type',
    'bounded',
    'wholeBounded',
    'orNull',
    'between',
    'oneOf',
    'strictObject',
    'withEvidence',
  ],
  moduleSideEffects: [{ test: /node_modules\/(polygon-clipping|@sinclair\/typebox)\//, sideEffects: false }],
};
