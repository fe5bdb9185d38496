/** Prints minutes as m:ss, for anything a person counts down; from an hour on as `1 h 12`, from ten on as `48 h`. Negative values keep their sign. */
export function formatClock(minutes: number): string {
  const seconds = Math.round(Math.abs(minutes) * 60);
  const sign = minutes < 0 && seconds > 0 ? '−' : '';
  if (seconds >= 3600) {
    const whole = Math.round(seconds / 60);
    const hours = Math.floor(whole / 60);
    return hours >= 10 ? `${sign}${Math.round(whole / 60)} h` : `${sign}${hours} h ${pad(whole % 60)}`;
  }
  return `${sign}${Math.floor(seconds / 60)}:${pad(seconds % 60)}`;
}

const pad = (value: number) => String(value).padStart(2, '0');

/** Waits past an hour are estimates: the nearest five minutes is as fine as they mean. */
const COARSE_MIN = 5;

/** Prints a waiting time in words of the shop: `45 min`, `1 h 30 min`, `24 h`. */
export function formatWait(minutes: number): string {
  if (Math.round(minutes) < 60) return `${Math.round(minutes)} min`;
  const whole = Math.round(minutes / COARSE_MIN) * COARSE_MIN;
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  return rest === 0 || hours >= 10 ? `${Math.round(whole / 60)} h` : `${hours} h ${rest} min`;
}
