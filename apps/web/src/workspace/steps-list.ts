/** The seven steps in the order of the work. */
export const STEPS = [
  { id: 'fit', name: 'Fit' },
  { id: 'glue', name: 'Glue' },
  { id: 'order', name: 'Order' },
  { id: 'squeeze', name: 'Squeeze' },
  { id: 'rehearse', name: 'Rehearse' },
  { id: 'glue-up', name: 'Glue up' },
  { id: 'record', name: 'Record' },
] as const;

/** Id of a step, as it stands in the address. */
export type StepId = (typeof STEPS)[number]['id'];

/** True for an address part that names a step. */
export function isStepId(text: string | undefined): text is StepId {
  return STEPS.some(({ id }) => id === text);
}
