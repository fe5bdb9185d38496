import type { NamedSession } from './calendar-file';

/** Hands sessions to the browser as a calendar file; the package that writes it is fetched when it is wanted. */
export async function saveCalendar(name: string, sessions: readonly NamedSession[]): Promise<void> {
  const { downloadCalendar } = await import('./calendar-file');
  downloadCalendar(name, sessions);
}
