import { parseArgs } from 'node:util';
import { InputError } from '@lean-clasp/core/basics';
import { dataFolder } from '@lean-clasp/store';

/** How the server is to run. */
export interface ServerOptions {
  readonly dataDir: string;
  readonly port: number;
  /** True when the person named the port, so that a taken one is an error and not a reason to move on. */
  readonly portNamed: boolean;
  readonly host: string;
  /** Speaks HTTPS, with a certificate of its own making. */
  readonly https: boolean;
  /** Names of this machine on the shop's network, beside its addresses. */
  readonly names: readonly string[];
  readonly demo: boolean;
  /** Address of a sensor that a new shop goes by; null for none. */
  readonly sensor: string | null;
}

/** Port tried first when nobody names one. */
export const DEFAULT_PORT = 4620;

/**
 * Reads options from the command line, then the environment (`LEAN_CLASP_DATA`, `LEAN_CLASP_PORT`,
 * `LEAN_CLASP_HOST`, `LEAN_CLASP_HTTPS=1`), then defaults: the user's data directory, port 4620, loopback only.
 * @throws InputError for an unknown option or a port that is not one.
 */
export function readOptions(
  args: readonly string[],
  env: Readonly<Record<string, string | undefined>>,
): ServerOptions {
  const { values } = parse(args);
  const portText = values.port ?? env.LEAN_CLASP_PORT;
  return {
    dataDir: dataFolder(values.data, env),
    port: portText === undefined ? DEFAULT_PORT : portOf(portText),
    portNamed: portText !== undefined,
    host: values.host ?? env.LEAN_CLASP_HOST ?? '127.0.0.1',
    https: values.https ?? env.LEAN_CLASP_HTTPS === '1',
    names: values.name ?? [],
    demo: values.demo ?? false,
    sensor: values.sensor ?? null,
  };
}

function parse(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      options: {
        data: { type: 'string' },
        port: { type: 'string' },
        host: { type: 'string' },
        https: { type: 'boolean' },
        name: { type: 'string', multiple: true },
        demo: { type: 'boolean' },
        sensor: { type: 'string' },
      },
    });
  } catch (error) {
    throw new InputError(
      'inconsistent',
      'options',
      error instanceof Error ? error.message : 'Unknown option.',
      '--data DIR --port N --host H --https --name NAME --demo --sensor ADDRESS',
    );
  }
}

function portOf(text: string): number {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new InputError(
      'out-of-range',
      'port',
      `The port is ${text}; it must be a whole number from 0 to 65535.`,
      '0 to 65535',
    );
  }
  return port;
}
