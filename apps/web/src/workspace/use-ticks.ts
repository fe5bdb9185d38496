import { useKept } from '../keeping/use-kept';

const names = (kept: unknown): readonly string[] => (Array.isArray(kept) ? kept.map(String) : []);

/** Things ticked off at this bench for one build; kept in the browser so that a reload forgets none. */
export function useTicks(buildId: string): {
  readonly ticked: readonly string[];
  readonly toggle: (item: string) => void;
  readonly clear: () => void;
} {
  const [ticked, keep] = useKept(`lean-clasp.ticks.${buildId}`, names);
  return {
    ticked,
    toggle: (item) =>
      keep(ticked.includes(item) ? ticked.filter((other) => other !== item) : [...ticked, item]),
    clear: () => keep([]),
  };
}
