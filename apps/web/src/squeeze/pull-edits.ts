import type { BuildDocument, PulledClamp, RackLot } from '@lean-clasp/core/formats';
import { type ClampPlace, placeableLots, type PlannedPull, type SqueezedPull } from '@lean-clasp/core/plan';
import { eased, makeId } from '../workspace/edits';

type Edit = (build: BuildDocument) => BuildDocument;

/** Clamps of a pull as they stand, to be kept in the document from now on. */
export function asTheyStand({ clamps }: SqueezedPull): PulledClamp[] {
  return clamps.flatMap(({ pull, lot, place }): PulledClamp[] =>
    place === null
      ? []
      : [
          {
            id: makeId(),
            pull,
            rackId: lot.id,
            alongMm: Math.round(place.alongMm),
            acrossMm: Math.round(place.acrossMm),
          },
        ],
  );
}

const withClamps =
  (change: (clamps: readonly PulledClamp[]) => readonly PulledClamp[]): Edit =>
  (build) => ({
    ...build,
    squeeze: { ...build.squeeze, clamps: [...change(build.squeeze?.clamps ?? [])] },
  });

/** Keeps these clamps on a pull, in place of whatever was on it. */
export const placeOn = (pull: string, clamps: readonly PulledClamp[]): Edit =>
  withClamps((before) => [...before.filter((clamp) => clamp.pull !== pull), ...clamps]);

/** Leaves a pull to be worked out. */
export const leaveWorkedOut = (pull: string): Edit => placeOn(pull, []);

/** Changes one placed clamp. */
export const changePulled = (id: string, change: Partial<PulledClamp>): Edit =>
  withClamps((before) => before.map((clamp) => (clamp.id === id ? { ...clamp, ...change } : clamp)));

/** Slides one clamp of a pull; where they were worked out the others stay as they stand. */
export function slideOnPull(pull: SqueezedPull, number: number, { alongMm, acrossMm }: ClampPlace): Edit {
  const placed = pull.clamps.filter(({ place }) => place !== null);
  const moved = placed.findIndex((clamp) => clamp.number === number);
  const id = placed[moved]?.id ?? null;
  if (id !== null) return changePulled(id, { alongMm, acrossMm });
  return placeOn(
    pull.planned.pull.id,
    asTheyStand(pull).map((clamp, i) => (i === moved ? { ...clamp, alongMm, acrossMm } : clamp)),
  );
}

/** Pulls a placed clamp no harder than so much; null lets it go as hard as it can. */
export const easePulled = (id: string, mostN: number | null): Edit =>
  withClamps((before) => before.map((clamp) => (clamp.id === id ? eased(clamp, mostN) : clamp)));

/** Takes one placed clamp off. */
export const removePulled = (id: string): Edit =>
  withClamps((before) => before.filter((clamp) => clamp.id !== id));

/** One more on a pull, in the widest gap along it. */
export function addPulled(pull: string, lot: RackLot, lengthMm: number): Edit {
  return withClamps((before) => {
    const own = before.filter((clamp) => clamp.pull === pull);
    const places = [0, ...own.map(({ alongMm }) => alongMm).sort((a, b) => a - b), lengthMm];
    const widest = places
      .slice(1)
      .map((to, i) => ({ from: places[i] ?? 0, to }))
      .reduce((a, b) => (b.to - b.from > a.to - a.from ? b : a));
    const alongMm = Math.round((widest.from + widest.to) / 2);
    return [
      ...before,
      {
        id: makeId(),
        pull,
        rackId: lot.id,
        alongMm,
        acrossMm: own.at(-2)?.acrossMm ?? own[0]?.acrossMm ?? 0,
      },
    ];
  });
}

/** A lot of which some are left for one more clamp on a pull: of those in use first. */
export function lotForOneMore(
  { placed, pull }: PlannedPull,
  rack: readonly RackLot[],
  suits: (pull: PlannedPull['pull'], lot: RackLot) => boolean,
): RackLot | undefined {
  const usedOf = (lot: RackLot) => placed.filter((each) => each.lot.id === lot.id).length;
  return placeableLots(pull, rack)
    .filter((lot) => suits(pull, lot) && usedOf(lot) < lot.count)
    .sort((a, b) => usedOf(b) - usedOf(a))[0];
}
