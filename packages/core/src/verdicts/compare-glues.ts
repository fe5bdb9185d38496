import { type Adhesive, type AdhesiveWindow, listAdhesives, standsService } from '../adhesives';
import type { PanelBuild, ShopDocument } from '../formats';
import { type Finding, finding } from '../finding';
import { type Plan, planBuild } from './plan';
import { stateRank, type Verdict } from './verdict';

/** One adhesive family as it would do on this very build, in this air. */
export interface GlueOption {
  readonly adhesive: Adhesive;
  readonly chosen: boolean;
  /** Why it cannot be used at all; null when it can. */
  readonly refusal: Finding | null;
  readonly inTime: Verdict;
  readonly tight: Verdict;
  /** Of the line that limits it. */
  readonly window: AdhesiveWindow;
  readonly massG: number;
  readonly volumeMl: number;
  readonly onShelfMl: number;
}

/**
 * Every family of the catalogue planned on the same build: usable ones first, then by verdict, then by minutes
 * spare. Deterministic; costs one `planBuild` per family.
 */
export function compareGlues(build: PanelBuild, shop: ShopDocument): GlueOption[] {
  return listAdhesives()
    .map((adhesive) =>
      optionOf(planBuild({ ...build, glue: { ...build.glue, adhesive: adhesive.id } }, shop)),
    )
    .map((option) => ({ ...option, chosen: option.adhesive.id === build.glue.adhesive }))
    .sort((a, b) => rankOf(b) - rankOf(a) || (b.inTime.figure ?? 0) - (a.inTime.figure ?? 0));
}

function optionOf(plan: Plan): GlueOption {
  const worst =
    plan.windowUses.length === 0 ? 0 : plan.windowUses.reduce((a, b) => (b.margin < a.margin ? b : a)).line;
  const line = plan.lines[worst];
  if (line === undefined) throw new Error('a panel has at least one line');
  return {
    adhesive: plan.adhesive,
    chosen: false,
    refusal: refusalOf(plan),
    inTime: plan.verdicts.inTime,
    tight: plan.verdicts.tight,
    window: line.window,
    massG: plan.totals.massG,
    volumeMl: plan.totals.volumeMl,
    onShelfMl: plan.totals.onShelfMl,
  };
}

/** Hard refusals only: cold, wet wood, service. Time and pressure are verdicts and can be worked on. */
function refusalOf({ lines, adhesive, build }: Plan): Finding | null {
  const refusing = lines
    .flatMap(({ window }) => window.findings)
    .find(({ severity }) => severity === 'refuses');
  if (refusing !== undefined) return refusing;
  return standsService(adhesive.service, build.service)
    ? null
    : finding('service-too-hard', 'refuses', { rated: adhesive.service, wanted: build.service });
}

function rankOf({ refusal, inTime, tight, onShelfMl, volumeMl }: GlueOption): number {
  if (refusal !== null) return -1;
  return 10 * stateRank(inTime.state) + 2 * stateRank(tight.state) + (onShelfMl >= volumeMl ? 1 : 0);
}
