import { type Hazard, listAdhesives, type Service } from '@lean-clasp/core/adhesives';
import { findClampKind, listClampKinds } from '@lean-clasp/core/clamps';
import { listSpecies } from '@lean-clasp/core/materials';
import { listSpreadMethods } from '@lean-clasp/core/spread';

interface Option<V extends string = string> {
  readonly value: V;
  readonly name: string;
}

const named = ({ id, name }: { readonly id: string; readonly name: string }): Option => ({ value: id, name });

export const SPECIES_OPTIONS: readonly Option[] = listSpecies().map(named);
export const ADHESIVE_OPTIONS: readonly Option[] = listAdhesives().map(named);
export const CLAMP_OPTIONS: readonly Option[] = listClampKinds().map(named);
export const METHOD_OPTIONS: readonly Option[] = listSpreadMethods().map(named);

export const SERVICE_OPTIONS: readonly Option<Service>[] = [
  { value: 'dry', name: 'dry room' },
  { value: 'damp', name: 'damp room' },
  { value: 'exterior', name: 'outdoors, roofed or not' },
  { value: 'wet', name: 'in water' },
];

export const CUT_OPTIONS: readonly Option<'flat' | 'quarter' | 'rift'>[] = [
  { value: 'flat', name: 'flat-sawn' },
  { value: 'rift', name: 'rift-sawn' },
  { value: 'quarter', name: 'quarter-sawn' },
];

/** What to mind, in plain words; the maker's sheet and local rules go first. */
const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  'skin-sensitiser':
    'Resin and hardener can make skin allergic for life: gloves on, nothing on bare skin, air moving.',
  'hot-cup':
    'A full mixing cup can run hot enough to smoke: mix small cups, spread them out, never leave one standing.',
  'dust-when-sanded':
    'Hardened glue makes sharp chips and fine dust: glasses on, mask on, extraction running.',
  'hot-pot': 'Hot glue and its pot burn: keep water within reach.',
  isocyanate:
    'Its vapour and dust can bring on asthma: air the room; with asthma stay away from it altogether.',
  'hot-nozzle': 'Nozzle and melt burn to the bone: sleeves down, and a stand that does not tip.',
  'bonds-skin':
    'It glues skin and eyelids in a second and heats up in cotton: glasses on, no cloth gloves, acetone near.',
  formaldehyde:
    'It gives off formaldehyde while it hardens: air the room, gloves on, powder out of the lungs.',
};

/** Cautions of a family, closing with who has the last word. */
export function hazardWords(hazards: readonly Hazard[]): string {
  const said = hazards.map((hazard) => HAZARD_WORDS[hazard]).join(' ');
  return `${said} The label and the product’s own safety data sheet have the last word.`;
}

/** Clamping itself is not harmless either. */
export const CLAMP_CAUTION =
  'Clamps under pull store energy and panels are heavy: keep fingers out from between jaws and boards, and lift with two.';

/** A kind of clamp, in the plural where there are several. */
export function clampName(kind: string, count: number): string {
  const { name } = findClampKind(kind);
  return count === 1 ? name : `${name}s`;
}

/** A name inside a sentence: its first letter small, unless it is an acronym. */
export const inSentence = (name: string): string =>
  /^[A-Z][A-Z]/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
