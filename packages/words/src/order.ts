import type { Finding } from '@lean-clasp/core/findings';
import type { Arranged } from '@lean-clasp/core/plan';
import { clampName } from './catalogue';

/** Why joints stand in the way of any arrangement. */
const OBSTACLES: Readonly<Record<string, (joints: string) => string>> = {
  captive: (joints) =>
    `${joints} hold each other: whichever part comes last has no direction left to come in. Let one joint be made another way.`,
  'window-too-short': (joints) =>
    `${joints} take longer than the glue gives, even alone. A slower glue, more hands or a quicker way of spreading would help.`,
  'too-few-clamps': (joints) => `${joints} want more clamps than the rack has.`,
  'too-few-hands': (joints) => `${joints} want more hands than there are.`,
  'pins-contradict': (joints) =>
    `${joints} are pinned to sessions that cannot follow one another. Unpin one.`,
};

/** Names in a row, the first few spelled out. */
function someOf(names: readonly string[], most = 3): string {
  if (names.length <= most) return names.join(', ');
  return `${names.slice(0, most).join(', ')} and ${names.length - most} more`;
}

/** What stands in the way, a sentence each. */
export function obstacleWords({ impossible }: Arranged): string[] {
  return impossible.map(({ code, joints }) => OBSTACLES[code]?.(someOf(joints)) ?? code);
}

/** How good an arrangement is known to be. */
export function statusWords(
  { status, sessions, leastSessions, why }: Arranged,
  kindOf: (lot: string) => string,
): string {
  const count = sessions.length === 1 ? 'One session' : `${sessions.length} sessions`;
  if (status === 'proven') {
    return `${count}: proven, no arrangement needs fewer or leaves more room in its tightest window.`;
  }
  if (sessions.length === 1) {
    return 'One session. There may be an order with more room; this is the best found.';
  }
  const least = leastWords(leastSessions, why, kindOf);
  return sessions.length === leastSessions
    ? `${count}, and fewer are not possible${least}. There may be an order with more room; this is the best found.`
    : `${count}, the best found. Fewer than ${leastSessions} are not possible${least}.`;
}

function leastWords(least: number, { code, values }: Finding, kindOf: (lot: string) => string): string {
  if (code === 'clamps-packed') return ': however joints are shared out, clamps run out';
  if (code !== 'clamps-go-round' || least < 2) return '';
  const count = Number(values['count'] ?? 0);
  return `: ${count} ${clampName(kindOf(String(values['kind'])), count)} are wanted, the rack has ${String(values['there'])}`;
}
