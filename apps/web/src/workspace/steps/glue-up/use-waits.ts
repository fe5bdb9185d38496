import { isRecord, useKept } from '../../../keeping/use-kept';

/** What was begun longer ago than this belongs to another day. */
const FORGOTTEN_MS = 12 * 3_600_000;

/** When each wait was begun, epoch ms, by what it waits for. */
type Begun = Readonly<Record<string, number>>;

function recent(kept: unknown): Begun {
  const isRecent = (entry: [string, unknown]): entry is [string, number] =>
    typeof entry[1] === 'number' && Date.now() - entry[1] < FORGOTTEN_MS;
  return isRecord(kept) ? Object.fromEntries(Object.entries(kept).filter(isRecent)) : {};
}

/** Waits that run before the clock does; kept in the browser so that neither a reload nor another page stops one. */
export function useWaits(name: string): {
  readonly begun: Begun;
  readonly begin: (what: string) => void;
  readonly forget: (what: string) => void;
} {
  const [begun, keep] = useKept(`lean-clasp.waits.${name}`, recent);
  return {
    begun,
    begin: (what) => keep({ ...begun, [what]: Date.now() }),
    forget: (what) => keep(Object.fromEntries(Object.entries(begun).filter(([each]) => each !== what))),
  };
}
