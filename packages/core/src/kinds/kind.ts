import type { SqueezeOutAccess } from '../choice';
import type { Assembly, Part } from '../assembly';
import type { PlanFinding } from '../findings';
import type { Board, RowSection } from '../formats';
import type { OwnWood } from '../materials';
import { type Answers, type AnswersTo, checkAnswers, type Questions, startingAnswers } from './question';

/** What a layout needs to know of the place: moisture contents of today and of the year's extremes, %, and woods beside the catalogue. */
export interface Season {
  readonly nowPct: number;
  readonly lowPct: number;
  readonly highPct: number;
  /** Of the person's own; left out: none. */
  readonly woods?: readonly OwnWood[];
}

/** Things to be done before the first bead; interfaces turn them into sentences. */
export const PREPARATIONS = [
  'fresh-faces',
  'scrape-old-glue',
  'rejoint',
  'closes-dry',
  'mark-faces',
  'mask-at-dry-fit',
  'size-end-grain',
  'leave-long',
  'arris-and-pencil',
  'meter-moisture',
  'level-grid',
  'crown-cauls',
  'release-film',
  'blocks-fixed',
  'tape-hinges',
  'bore-clear',
  'inside-corners',
  'sum-the-stack',
  'light-bead',
  'holes-before-closing',
  'slots-elongated',
  'pins-outer-only',
  'balance-faces',
  'tape-edges',
  'even-film',
  'form-covered',
  'spare-plies',
  'mask-faces',
  'pre-clamp-dry',
  'heat-gun-up',
  'test-bead',
  'prime-thin',
  'clamp-feather-ends',
  'cut-blocks',
  'rehearse-two',
  'thin-coats',
  'iron-warm',
  'shoot-as-a-pair',
  'stitch-seam',
] as const;
/** One of `PREPARATIONS`. */
export type Preparation = (typeof PREPARATIONS)[number];

/** Dangers that a kind brings with it. */
export type KindCaution = 'heavy' | 'springs' | 'bags' | 'hot' | 'old-finish' | 'saw-work' | 'epoxy' | 'iron';

/** Everything a kind lays out from its answers. */
export type Layout = Omit<Assembly, 'parts' | 'woods'> & { readonly parts: readonly PartDraft[] };

/** A part as a kind lays it out; moisture and condition are the person's to add. */
export type PartDraft = Omit<Part, 'mcPct' | 'ring' | 'condition' | 'faceTurned' | 'edgeTurned'> &
  Partial<Pick<Part, 'mcPct' | 'ring'>>;

/** What the answers of a kind say about its row, whatever the document says. */
export type RowByAnswers = Partial<Pick<RowSection, 'edge'>> & { readonly caulPairs?: number };

/** What a kind is known to ask of its glue beside what the person wishes. */
export interface AsksOfGlue {
  /** It stays under load for good, as a bend does that wants to spring back. */
  readonly lastingLoad?: boolean;
  /** Clamps are wanted for the next one of a set after so long, min. */
  readonly freeForNextMin?: number;
  readonly veneer?: 'sheet' | 'iron-on';
}

/** Answers to change, and what that is called. */
export interface OtherAnswers {
  readonly change: PlanFinding;
  readonly answers: Readonly<Record<string, string | number>>;
}

/** A kind of glue-up: what it asks, what to do first and what can hurt. How it is laid out stands in `layouts`. */
export interface Kind {
  readonly id: string;
  readonly questions: Questions;
  readonly preparation: readonly Preparation[];
  readonly cautions: readonly KindCaution[];
  /** Glue that it starts with in a dry place; null leaves it to the service. */
  readonly adhesive: string | null;
  /** Faces that get glue and how it is put on, to start with. */
  readonly faces: 1 | 2;
  readonly method: string;
  /** What happens to the faces on which glue squeezes out. */
  readonly squeezeOut: SqueezeOutAccess;
  readonly asksOfGlue: AsksOfGlue;
  /** Null for kinds that are no row of boards. */
  readonly row: ((answers: Answers) => RowByAnswers) | null;
  /** Whether the person keeps a list of boards, each with its own size, in place of the sizes asked for at the start. */
  readonly ownBoards: boolean;
  /** Preparations that these answers make needless. */
  readonly needless: (answers: Answers) => readonly Preparation[];
  /** Other answers that come to the same piece and may mend what fails, each with what it is called. */
  readonly otherwise: (answers: Answers) => readonly OtherAnswers[];
  /** What it is judged by unless the person says otherwise, mm. */
  readonly goals: { readonly flatMm: number; readonly squareMm: number };
}

/**
 * How a kind is laid out from answers to its questions, which have been checked one by one. What a layout leaves out is as in
 * `PLAIN_LAYOUT`.
 * @param boards the person's own, for kinds that have them; empty: as the answers say.
 * @throws InputError for answers that do not go together.
 */
export type LayOut<K extends { readonly questions: Questions }> = (
  answers: AnswersTo<K['questions']>,
  season: Season,
  boards: readonly Board[],
) => Partial<Layout> & Pick<Layout, 'parts' | 'joints' | 'pulls'>;

/** A layout with nothing special about it, but for its parts, joints and pulls. */
export const PLAIN_LAYOUT: Omit<Layout, 'parts' | 'joints' | 'pulls'> = {
  aids: [],
  square: { kind: 'none' },
  flat: { kind: 'none' },
  dimensions: [],
  sets: 1,
  dryJig: false,
  setDry: false,
  pressedBy: 'clamps',
  row: false,
  oneGo: false,
  inTurn: false,
  findings: [],
};

/** A kind, with what is usual filled in; its layout goes by the types of its questions. */
export function defineKind<Q extends Questions>(
  kind: Omit<
    Kind,
    'questions' | 'row' | 'ownBoards' | 'goals' | 'squeezeOut' | 'asksOfGlue' | 'needless' | 'otherwise'
  > & {
    readonly questions: Q;
    readonly row?: (answers: AnswersTo<Q>) => RowByAnswers;
    readonly ownBoards?: boolean;
    readonly needless?: Kind['needless'];
    readonly otherwise?: Kind['otherwise'];
    readonly goals?: Kind['goals'];
    readonly squeezeOut?: SqueezeOutAccess;
    readonly asksOfGlue?: AsksOfGlue;
  },
): Kind & { readonly questions: Q } {
  const { row } = kind;
  return {
    ownBoards: false,
    goals: { flatMm: 1, squareMm: 1 },
    squeezeOut: 'open',
    asksOfGlue: {},
    needless: () => [],
    otherwise: () => [],
    ...kind,
    row: row === undefined ? null : (answers) => row(checkAnswers(kind.questions, answers, null)),
  };
}

/** The answers that a kind starts from. */
export const startOf = (kind: Kind): Answers => startingAnswers(kind.questions);
