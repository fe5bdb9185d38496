/** Prints minutes as m:ss, for anything a person counts down. Negative values keep their sign. */
export function formatClock(minutes: number): string {
  const seconds = Math.round(Math.abs(minutes) * 60);
  const sign = minutes < 0 && seconds > 0 ? '−' : '';
  return `${sign}${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Prints a waiting time in words of the shop: `45 min`, `1 h 30 min`, `24 h`. */
export function formatWait(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  const hours = Math.floor(whole / 60);
  const rest = whole % 60;
  return rest === 0 || hours >= 10 ? `${Math.round(whole / 60)} h` : `${hours} h ${rest} min`;
}
