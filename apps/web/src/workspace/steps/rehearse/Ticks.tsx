import type { Finding } from '@lean-clasp/core/findings';
import { detailWords, type Format, says } from '@lean-clasp/words';
import Box from '@mui/material/Box';
import { Tick } from '../../../parts/Tick';
import { StateMark } from '../../../verdicts/state-mark';

/** Something to tick off. What it is is kept by id, so that neither units nor wording lose a tick. */
interface Item {
  readonly id: string;
  readonly words: string;
  /** Why; empty where it goes without saying. */
  readonly reason: string;
  readonly warns: boolean;
}

/** Findings as things to tick off. */
export const itemsOf = (findings: readonly Finding[], f: Format): Item[] =>
  findings.map((finding, i) => ({
    id: itemId(finding, findings.slice(0, i)),
    words: says(finding, f),
    reason: detailWords(finding, f),
    warns: finding.severity === 'warns',
  }));

/** What an item is, whatever its amounts come to: its code, which kind or spreader it is, and which of several like it. */
function itemId(finding: Finding, before: readonly Finding[]): string {
  const named = nameOf(finding);
  const like = before.filter((each) => nameOf(each) === named).length;
  return like === 0 ? named : `${named}#${like + 1}`;
}

const nameOf = ({ code, values }: Finding): string =>
  code === 'lesson'
    ? `${code}:${values.lesson}`
    : 'kind' in values
      ? `${code}:${values.kind}`
      : 'method' in values
        ? `${code}:${values.method}`
        : code;

/** A list to tick off, each with its reason. */
export function Ticks({
  items,
  ticked,
  toggle,
}: {
  readonly items: readonly Item[];
  readonly ticked: readonly string[];
  readonly toggle: (item: string) => void;
}) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {items.map(({ id, words, reason, warns }) => (
        <Box component="li" key={id} sx={{ borderBottom: 1, borderColor: 'divider' }}>
          <Tick label={words} checked={ticked.includes(id)} onChange={() => toggle(id)} />
          {reason !== '' && (
            <Box sx={{ pl: 5.25, pb: 0.75, fontSize: '0.9375rem', color: 'text.secondary' }}>
              {warns && (
                <>
                  <StateMark state="close" />{' '}
                </>
              )}
              {reason}
            </Box>
          )}
        </Box>
      ))}
    </Box>
  );
}
