import type { Service } from '../adhesives';

/** Where the starting glue stands for a service, mildest family that does. */
const GLUE_FOR: Readonly<Record<Service, string>> = {
  dry: 'pva-interior',
  damp: 'pva-water-resistant',
  exterior: 'pva-exterior',
  wet: 'epoxy-slow',
};

/** Moisture contents through the year by service: heated room, unheated room, roofed outdoors, boat [judgement]. */
const MC_IN_USE: Readonly<Record<Service, { readonly lowPct: number; readonly highPct: number }>> = {
  dry: { lowPct: 7, highPct: 10 },
  damp: { lowPct: 8, highPct: 13 },
  exterior: { lowPct: 10, highPct: 16 },
  wet: { lowPct: 12, highPct: 20 },
};

/** Glue that a new build starts with in a service. */
export const glueFor = (service: Service): string => GLUE_FOR[service];

/** Moisture contents that a piece sees through the year in a service. */
export const moistureInUse = (service: Service): { lowPct: number; highPct: number } => ({
  ...MC_IN_USE[service],
});
