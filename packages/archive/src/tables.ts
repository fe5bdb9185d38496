import type { RunDocument, ShopDocument } from '@lean-clasp/core/formats';
import { type RunSummary, summaryOf } from '@lean-clasp/core/runs';
import { BOTTLES_TABLE, printTable, RACK_TABLE, WOODS_TABLE } from '@lean-clasp/core/tables';
import Papa from 'papaparse';

/** A table of words, free of anything that a spreadsheet would reckon with. */
const csv = (rows: readonly (readonly unknown[])[]): string =>
  `${Papa.unparse(rows as unknown[][], { escapeFormulae: true })}\r\n`;

const LOG_HEADS = ['Build', 'Session', 'Begun', 'State', 'Glue', 'Planned (min)', 'Taken (min)', 'Note'];

/** The log as a table: what each glue-up was planned to take, hands on, and from its first bead to the last clamp did. */
export const logTable = (runs: readonly RunSummary[]): string =>
  csv([
    LOG_HEADS,
    ...runs.map(({ buildName, session, startedAtMs, state, promise, clampedAtMs, record }) => [
      buildName,
      session + 1,
      new Date(startedAtMs).toISOString(),
      state,
      promise.adhesive,
      Math.round(promise.handsOnMin * 10) / 10,
      clampedAtMs === null ? '' : Math.round((clampedAtMs - startedAtMs) / 6000) / 10,
      record.note ?? '',
    ]),
  ]);

/** The tables that go with an archive, by path. */
export const tablesOf = (
  shop: ShopDocument,
  runs: readonly RunDocument[],
): Readonly<Record<string, string>> => ({
  'tables/clamps.csv': csv(printTable(shop.rack, RACK_TABLE)),
  'tables/bottles.csv': csv(printTable(shop.bottles, BOTTLES_TABLE)),
  'tables/woods.csv': csv(printTable(shop.woods ?? [], WOODS_TABLE)),
  'tables/log.csv': logTable(runs.map(summaryOf)),
});
