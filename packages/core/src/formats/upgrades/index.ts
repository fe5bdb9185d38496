import { InputError } from '../../basics/checks';
import { BUILD_VERSION } from '../build-document';
import { upgradeBuild1 } from './build-1';

/** Upgrades by the version that they start from. Never edited once released, only added to. */
const BUILD_UPGRADES: Readonly<Record<number, (document: Record<string, unknown>) => unknown>> = {
  1: upgradeBuild1,
};

/**
 * A build of any version as this program reads it; the result is still to be checked against the schema. What is passed in is
 * never touched, so a failure leaves the original as it was.
 * @throws InputError for what is no build and for versions of later programs.
 */
export function upgradedBuild(stored: unknown): unknown {
  let document = structuredClone(stored);
  for (;;) {
    if (typeof document !== 'object' || document === null || !('version' in document)) {
      throw new InputError('missing', 'version', 'This is no build: it has no version.', 'a build document');
    }
    const { version } = document;
    if (version === BUILD_VERSION) return document;
    const upgrade = typeof version === 'number' ? BUILD_UPGRADES[version] : undefined;
    if (upgrade === undefined) {
      throw new InputError(
        'out-of-range',
        'version',
        `This build is of version ${JSON.stringify(version)}, which this program does not know.`,
        `versions 1 to ${BUILD_VERSION}; a later one wants a later program`,
      );
    }
    try {
      document = upgrade({ ...document });
    } catch (error) {
      throw new InputError(
        'inconsistent',
        '',
        `This build of version ${String(version)} is damaged: ${error instanceof Error ? error.message : String(error)}.`,
        'a document as this program once wrote it',
      );
    }
  }
}
