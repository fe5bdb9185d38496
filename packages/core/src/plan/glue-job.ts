import { SENSITISERS } from '../adhesives';
import type { GlueJob } from '../choice';
import { type BuildDocument, wishesOf } from '../formats';
import { kindOf } from '../kinds';
import { sharedTraits } from '../materials';
import { endGrainOf } from './end-grain';
import type { PlanParts } from './plan';
import { bottlesOf } from './shelf';

/** Woods in which a brown line shows [judgement]. */
const PALE_WOODS: ReadonlySet<string> = new Set([
  'hard-maple',
  'soft-maple',
  'white-ash',
  'beech',
  'american-beech',
  'yellow-birch',
  'basswood',
  'aspen',
  'yellow-poplar',
  'eastern-white-pine',
  'ponderosa-pine',
  'sitka-spruce',
  'birch-plywood',
]);
/** A bowed line that clamps pull together keeps about this, mm. */
const CLOSED_TO_MM = 0.05;

function fromWishes(build: BuildDocument) {
  const wishes = wishesOf(build);
  return {
    service: build.service,
    faces: build.glue.faces,
    lastingLoad: wishes.lastingLoad,
    warmC: wishes.warmC,
    finish: wishes.finish,
    repairable: wishes.repairable,
    clampsOffWithinMin: wishes.clampsOffWithinMin,
    woodTempC: wishes.woodTempC,
    avoid: wishes.noSensitisers ? SENSITISERS : [],
  };
}

const most = (values: readonly number[]): number => Math.max(0, ...values);

/**
 * What a plan asks of its glue; its kind adds what it is known for: bends that stay under load, veneer, old glue, sets.
 * @param today ISO date, for the age of bottles; null where nobody knows.
 */
export function glueJobOf(plan: PlanParts, today: string | null): GlueJob {
  const { build, facts, joints, times, climate, shop } = plan;
  const glued = joints.filter((joint) => joint.facts.gluedMm2 > 0);
  const wishes = fromWishes(build);
  const kind = kindOf(build.template)?.asksOfGlue ?? {};
  const contacts = glued.flatMap((joint) => joint.facts.contacts);
  const area = contacts.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const ends = glued.reduce((sum, { facts: own }) => sum + endGrainOf(own).contactMm2, 0);
  const anyPart = (is: (part: (typeof facts.parts)[number]) => boolean) => facts.parts.some(is);
  return {
    ...wishes,
    ...climate,
    lastingLoad: wishes.lastingLoad || kind.lastingLoad === true,
    freeForNextMin: kind.freeForNextMin ?? null,
    mcPct: most(glued.map(({ mcPct }) => mcPct)),
    openNeedMin: most(times.map((time) => time.closedAtMin - time.spreadStartMin)),
    closedNeedMin: most(times.map((time) => time.pressedAtMin - time.closedAtMin)),
    gapMm: most(
      joints.map(({ gap, closingForceN, closing }) => {
        const read = Math.abs(gap?.gapMm ?? 0);
        return closingForceN > 0 && closing !== 'back-to-plane' ? Math.min(read, CLOSED_TO_MM) : read;
      }),
    ),
    sg: Math.min(...facts.parts.map(({ wood }) => wood.sg)),
    traits: sharedTraits(facts.parts),
    paleWood: anyPart(({ woodLike }) => PALE_WOODS.has(woodLike ?? '')),
    endGrainShare: area === 0 ? 0 : ends / area,
    veneer:
      build.glue.method === 'thinned-coats' || facts.assembly.pressedBy === 'iron'
        ? 'iron-on'
        : (kind.veneer ?? 'none'),
    oldGlue: anyPart(({ part }) => part.condition === 'old-glue') ? 'other' : 'none',
    areaMm2: facts.gluedMm2 * facts.assembly.sets,
    shelf: bottlesOf(shop, today),
  };
}
