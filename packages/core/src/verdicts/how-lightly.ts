import { LIGHT_SQUEEZE } from '../clamps';
import { type Finding, finding } from '../findings';

/** What the school of a light squeeze is, and what strength it leaves. */
export const howLightly = (lowMPa: number): Finding =>
  finding('how-light-squeeze', 'informs', {
    lowMPa,
    strengthLow: LIGHT_SQUEEZE.strengthShare.low,
    strengthHigh: LIGHT_SQUEEZE.strengthShare.high,
    fromMin: LIGHT_SQUEEZE.secondAfterMin.low,
    toMin: LIGHT_SQUEEZE.secondAfterMin.high,
  });
