import { type Archive, PATHS } from './archive';

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

const STYLE =
  'body{font:17px/1.5 system-ui,sans-serif;max-width:52rem;margin:2rem auto;padding:0 1rem;color:#20282b;background:#f7f4ea}td,th{text-align:left;padding:.2rem 1rem .2rem 0}a{color:#1e5a50}';

const row = (cells: readonly string[]): string =>
  `<tr>${cells.map((cell) => `<td>${cell}</td>`).join('')}</tr>`;
const link = (path: string, name: string): string => `<a href="${path}">${escaped(name)}</a>`;

/** A page that lists what an archive holds, for whoever opens it without the program. */
export function indexPage({ shop, builds, runs, pictures }: Archive, madeAtMs: number): string {
  const day = (ms: number) => new Date(ms).toISOString().slice(0, 10);
  const buildRows = builds.map(({ id, body }) =>
    row([link(PATHS.build.of(id), body.name), escaped(body.project), escaped(body.template)]),
  );
  const runRows = [...runs]
    .sort((a, b) => b.startedAtMs - a.startedAtMs)
    .map((run) =>
      row([link(PATHS.run.of(run.id), run.buildName), day(run.startedAtMs), `session ${run.session + 1}`]),
    );
  return [
    `<!doctype html><html lang="en-GB"><meta charset="utf-8"><title>${escaped(shop.name)}</title><style>${STYLE}</style>`,
    `<h1>${escaped(shop.name)}</h1>`,
    `<p>Kept on ${day(madeAtMs)}: ${builds.length} builds, ${runs.length} glue-ups, ${pictures.length} pictures. Every file is plain JSON, CSV or JPEG; Lean Clasp reads the whole archive in again.</p>`,
    `<p>${[link(PATHS.shop, 'The shop'), link('tables/clamps.csv', 'Clamps'), link('tables/bottles.csv', 'Bottles'), link('tables/log.csv', 'Log')].join(' · ')}</p>`,
    `<h2>Builds</h2><table><tr><th>Name<th>Project<th>Kind</tr>${buildRows.join('\n')}</table>`,
    `<h2>Glue-ups</h2><table><tr><th>Build<th>Day<th>Session</tr>${runRows.join('\n')}</table></html>`,
    '',
  ].join('\n');
}
