import type { BuildDocument } from '@lean-clasp/core/formats';
import { resolveSpecies } from '@lean-clasp/core/materials';
import type { Plan } from '@lean-clasp/core/plan';
import Papa from 'papaparse';
import { saveFile, slug } from '../parts/save-file';

const HEADS = ['Part', 'Wood', 'Length (mm)', 'Width (mm)', 'Thickness (mm)', 'Moisture (%)'];

const tenths = (value: number): number => Math.round(value * 10) / 10;

/** Parts with their sizes before they are joined, free of anything that a spreadsheet would reckon with. */
export function cutList({ facts, partMcPct, shop }: Plan): string {
  const rows = facts.parts.map(({ part }, i) => [
    part.label,
    resolveSpecies(part.species, 'species', shop.woods).name,
    ...part.blankMm.map(tenths),
    tenths(partMcPct[i] ?? 0),
  ]);
  return Papa.unparse([HEADS, ...rows], { escapeFormulae: true });
}

export function saveCutList(plan: Plan): void {
  saveFile(`${slug(plan.build.name)}-cut-list.csv`, cutList(plan), 'text/csv');
}

/** The build as it is kept, to be read in elsewhere. */
export function saveBuild(build: BuildDocument): void {
  saveFile(`${slug(build.name)}.json`, `${JSON.stringify(build, null, 2)}\n`, 'application/json');
}
