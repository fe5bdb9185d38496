/** A built server running for a test, a picture or a measurement. */
export interface StartedServer {
  readonly url: string;
  readonly pid: number;
  /** Milliseconds from spawning to its first answer line. */
  readonly readyMs: number;
  readonly stop: () => Promise<void>;
  /** Ends it at once, as a power cut would. */
  readonly kill: () => Promise<void>;
}

export function makeDataFolder(): string;
/** A folder with the same in it as another, which no server may have open. */
export function copyOf(folder: string): string;
export function removeFolder(folder: string): void;
export function startServer(options: { data: string; demo?: boolean; port?: number }): Promise<StartedServer>;
