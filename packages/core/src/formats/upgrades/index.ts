import { InputError } from '../../basics/checks';
import { BUILD_VERSION } from '../build-document';
import { RUN_VERSION } from '../run-document';
import { upgradeBuild1 } from './build-1';
import { upgradeRun1 } from './run-1';

type Stored = Record<string, unknown>;

/** What brings one kind of document up to date. Upgrades are by the version that they start from; once released never edited, only added to. */
interface Upgrading {
  readonly what: string;
  readonly version: number;
  readonly upgrades: Readonly<Record<number, (document: Stored) => unknown>>;
}

const BUILDS: Upgrading = { what: 'build', version: BUILD_VERSION, upgrades: { 1: upgradeBuild1 } };
const RUNS: Upgrading = { what: 'run', version: RUN_VERSION, upgrades: { 1: upgradeRun1 } };

/**
 * A build of any version as this program reads it; the result is still to be checked against the schema. What is passed in is
 * never touched, so a failure leaves the original as it was.
 * @throws InputError for what is no build and for versions of later programs.
 */
export const upgradedBuild = (stored: unknown): unknown => upgraded(stored, BUILDS);

/** The same of a run. */
export const upgradedRun = (stored: unknown): unknown => upgraded(stored, RUNS);

function upgraded(stored: unknown, { what, version: wanted, upgrades }: Upgrading): unknown {
  let document = structuredClone(stored);
  for (;;) {
    if (typeof document !== 'object' || document === null || !('version' in document)) {
      throw new InputError(
        'missing',
        'version',
        `This is no ${what}: it has no version.`,
        `a ${what} document`,
      );
    }
    const { version } = document;
    if (version === wanted) return document;
    const upgrade = typeof version === 'number' ? upgrades[version] : undefined;
    if (upgrade === undefined) {
      throw new InputError(
        'out-of-range',
        'version',
        `This ${what} is of version ${JSON.stringify(version)}, which this program does not know.`,
        `versions 1 to ${wanted}; a later one wants a later program`,
      );
    }
    try {
      document = upgrade({ ...document });
    } catch (error) {
      throw new InputError(
        'inconsistent',
        '',
        `This ${what} of version ${String(version)} is damaged: ${error instanceof Error ? error.message : String(error)}.`,
        'a document as this program once wrote it',
      );
    }
  }
}
