import type { Fixes, Verdicts } from '@lean-clasp/core/fixes';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { Plan } from '@lean-clasp/core/plan';
import { createContext, type ReactNode, use, useEffect, useMemo, useState } from 'react';
import { nextFrame } from '../parts/next-frame';
import { glancing, type Look } from './glancing';
import type { Glance } from './planner-answers';
import { sharing } from './sharing';
import { answeredFirst, askFirst, askFixes, askGlance, askPlan, askSettled, letGoOfFixes } from './workers';

/** The newest plan that the worker has delivered for the build on show. */
export interface PlanState {
  readonly plan: Plan | null;
  readonly failure: string | null;
}

/** The newest fixes that the adviser has delivered. */
export interface FixesState {
  /** Null until the first are worked out. */
  readonly fixes: Fixes | null;
  /** False while they belong to an older state of the build: applying one would take the edits since back. */
  readonly fresh: boolean;
}

/** What is seen of the build while something in it is dragged. */
export interface GlanceState {
  /** Null while nothing is dragged, and once what was let go is planned. */
  readonly glance: Glance | null;
  readonly look: Look;
}

// Contexts apart, so that what shows the plan is drawn again neither for verdicts that come before it nor for fixes after it.
const VerdictsContext = createContext<Verdicts | null>(null);
const PlanContext = createContext<PlanState>({ plan: null, failure: null });
const FixesContext = createContext<FixesState>({ fixes: null, fresh: false });
const GlanceContext = createContext<GlanceState>({ glance: null, look: () => undefined });

/** Pause after the verdicts before elements and fixes are asked, in which the plan is drawn. */
const SETTLE_AFTER_MS = 20;
/** The same before the fixes of a plan of many parts, or of one that took long, each of which takes as long as a key: longer than between two keys. */
const SLOW_PLAN_REST_MS = 400;
/** A plan that took longer than this is a slow one, ms. */
const SLOW_PLAN_MS = 90;

/** An estimate knows nothing of clamps in their places yet: until it does, they stay where they were, and so does the field typed in. */
function withClamps(answer: Plan, before: Plan | null): Plan {
  return answer.squeeze === null && before !== null ? { ...answer, squeeze: before.squeeze } : answer;
}

/** Plans `build` in the worker after every change; an answer that has been overtaken is dropped. */
export function PlanProvider({
  build,
  shop,
  children,
}: {
  readonly build: BuildDocument;
  readonly shop: ShopDocument;
  readonly children: ReactNode;
}) {
  const [plan, setPlan] = useState<Plan | null>(null);
  const [advice, setAdvice] = useState<{ fixes: Fixes; build: BuildDocument; shop: ShopDocument } | null>(
    null,
  );
  const [failure, setFailure] = useState<string | null>(null);
  /** Verdicts of the build on show whose plan is not drawn yet. */
  const [ahead, setAhead] = useState<Verdicts | null>(() => answeredFirst(build, shop)?.verdicts ?? null);
  const [glance, setGlance] = useState<Glance | null>(null);
  const { look, endingSoFar } = useMemo(() => glancing((moved) => askGlance(moved, shop), setGlance), [shop]);
  // In another air nobody waits for what was looked at in this one.
  useEffect(() => () => look(null), [look]);
  useEffect(() => {
    let overtaken = false;
    // What was dragged and let go is part of this build; what is dragged from here on is not.
    const endOfDragged = endingSoFar();
    const fail = (error: unknown) => {
      if (overtaken) return;
      setFailure(error instanceof Error ? error.message : String(error));
      look(null);
    };
    const show = (answer: Plan) => {
      if (overtaken) return;
      // What has not changed keeps its identity, so that only what has is drawn again.
      setPlan((before) => sharing(before, withClamps(answer, before)));
      setAhead(null);
      setFailure(null);
    };
    let timer: ReturnType<typeof setTimeout> | undefined;
    const rest = (ms: number) =>
      new Promise<void>((done) => {
        if (!overtaken) timer = setTimeout(done, ms);
      });
    // Before the rest nothing stands beside what is drawn, on a machine of two cores; after it fixes are looked for beside the elements.
    const work = async () => {
      const askedMs = performance.now();
      const { plan, verdicts } = await askFirst(build, shop);
      const isSlow = plan === null || performance.now() - askedMs > SLOW_PLAN_MS;
      if (overtaken) return;
      // Verdicts first: all of the plan takes longer to draw.
      setAhead(verdicts);
      await nextFrame();
      // Of what has been typed over meanwhile nobody needs the rest.
      if (overtaken) return;
      const rested = rest(SETTLE_AFTER_MS);
      show(await askPlan(build, shop));
      await rested;
      // The estimate stays where the elements have nothing to say.
      const settling = askSettled(build, shop)
        .then(show, () => undefined)
        // What was dragged is now seen where it was let go.
        .then(() => (overtaken ? undefined : endOfDragged()));
      if (isSlow) await rest(SLOW_PLAN_REST_MS);
      const answer = await askFixes(build, shop, () => !overtaken);
      await settling;
      if (!overtaken && answer !== null) setAdvice({ fixes: answer, build, shop });
    };
    work().catch(fail);
    return () => {
      overtaken = true;
      clearTimeout(timer);
      // What is typed next has the machine to itself.
      letGoOfFixes().catch(fail);
    };
  }, [build, shop, look, endingSoFar]);
  const state = useMemo(() => ({ plan, failure }), [plan, failure]);
  const fresh = advice !== null && advice.build === build && advice.shop === shop;
  const fixes = useMemo(() => ({ fixes: advice?.fixes ?? null, fresh }), [advice, fresh]);
  const glanced = useMemo(() => ({ glance, look }), [glance, look]);
  return (
    <VerdictsContext value={ahead ?? glance?.verdicts ?? plan?.verdicts ?? null}>
      <PlanContext value={state}>
        <FixesContext value={fixes}>
          <GlanceContext value={glanced}>{children}</GlanceContext>
        </FixesContext>
      </PlanContext>
    </VerdictsContext>
  );
}

/** The newest plan of the build on show. */
export function usePlan(): PlanState {
  return use(PlanContext);
}

/** The four verdicts on whatever is on show. */
export function useVerdicts(): Verdicts | null {
  return use(VerdictsContext);
}

/** The newest fixes for the build on show. */
export function useFixes(): FixesState {
  return use(FixesContext);
}

/** What is seen while something is dragged, and how to have it looked at. */
export function useGlance(): GlanceState {
  return use(GlanceContext);
}

/** Whether the pressures on show are estimates still, the elements not being there yet. */
export function useEstimated(): boolean {
  const { plan } = use(PlanContext);
  return plan?.row != null && plan.row.pressed === null && plan.row.clampSet.clamps.length > 0;
}
