import type { JointKind } from '@lean-clasp/core/assembly';
import type { InstructionValues } from '@lean-clasp/core/findings';
import type { Format } from './format';

/** Where the glue of a whole joint goes, first to last, and where little of it does. */
const WHERE = {
  edge: 'full film to both ends',
  face: 'an even film, out to every edge',
  mitre: 'the whole face, inside corner to outside edge',
  butt: 'the whole face, out to every edge',
  'mortise-tenon': 'walls of the mortise first, then the cheeks; little on the shoulders',
  bridle: 'walls of the slot first, then the cheeks; little on the shoulders',
  'half-lap': 'the whole lap; little on the shoulders',
  housing: 'walls and bottom, a light bead: what does not fit has nowhere to go',
  rebate: 'both faces of the rebate, full film to both ends',
  tongue: 'a light bead along the groove: what does not fit has nowhere to go',
  dowel: 'walls of the holes, none in their bottoms; little between them',
  'loose-tenon': 'walls of the mortises first, then the tenons; little between them',
  biscuit: 'slots first, then full film to both ends',
  spline: 'walls of the groove first, then full film to both ends',
  key: 'walls of the slots and the keys themselves',
  scarf: 'the whole slope, out to both feather ends',
  breadboard: 'both cheeks of the tongue; little on the shoulders',
  veneer: 'an even film, out to every edge',
  band: 'full film to both ends',
  ply: 'an even film, out to every edge',
} satisfies Record<JointKind, string>;

/** By kind of joint; scripts of runs that began before kinds were told have none. */
const whereOf = (joint: string): string =>
  (WHERE as Readonly<Record<string, string | undefined>>)[joint] ?? WHERE.edge;

/** Where the glue of a joint goes; where only its middle is glued, how far, and that the rest stays dry. */
export const whereSpread = (
  { joint, middleMm }: Pick<InstructionValues['do-spread'], 'joint' | 'middleMm'>,
  f: Format,
): string =>
  middleMm > 0 ? `only over the middle ${f.about(middleMm)}; the rest stays dry` : whereOf(joint);
