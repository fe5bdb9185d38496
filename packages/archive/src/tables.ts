import { scriptOfRun } from '@lean-clasp/core/bench';
import type { RunDocument, ShopDocument } from '@lean-clasp/core/formats';
import { summaryOf } from '@lean-clasp/core/runs';
import { BOTTLES_TABLE, printTable, RACK_TABLE, WOODS_TABLE } from '@lean-clasp/core/tables';
import Papa from 'papaparse';

/** A table of words, free of anything that a spreadsheet would reckon with. */
const csv = (rows: readonly (readonly unknown[])[]): string =>
  `${Papa.unparse(rows as unknown[][], { escapeFormulae: true })}\r\n`;

const LOG_HEADS = ['Build', 'Session', 'Begun', 'State', 'Glue', 'Planned (min)', 'Taken (min)', 'Note'];

/** The tables that go with an archive, by path. */
export function tablesOf(shop: ShopDocument, runs: readonly RunDocument[]): Readonly<Record<string, string>> {
  return {
    'tables/clamps.csv': csv(printTable(shop.rack, RACK_TABLE)),
    'tables/bottles.csv': csv(printTable(shop.bottles, BOTTLES_TABLE)),
    'tables/woods.csv': csv(printTable(shop.woods ?? [], WOODS_TABLE)),
    'tables/log.csv': csv([
      LOG_HEADS,
      ...runs.map((run) => {
        const { state, record, clampedAtMs } = summaryOf(run);
        const takenMin = clampedAtMs === null ? '' : Math.round((clampedAtMs - run.startedAtMs) / 6000) / 10;
        return [
          run.buildName,
          run.session + 1,
          new Date(run.startedAtMs).toISOString(),
          state,
          run.promise.adhesive ?? '',
          run.script === null ? '' : Math.round(scriptOfRun(run.script).plannedMin * 10) / 10,
          takenMin,
          record.note ?? '',
        ];
      }),
    ]),
  };
}
