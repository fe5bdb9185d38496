import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { simulatedAir } from '@lean-clasp/core/air';

/** A stand-in for a thermo-hygrometer on the shop's wall. */
export interface Sensor {
  readonly url: string;
  readonly stop: () => Promise<void>;
}

/** How the stand-in is to run. */
export interface SensorOptions {
  readonly port: number;
  /** Another seed, another day. */
  readonly seed: number;
  readonly now: () => Date;
}

/** Port that the demo's shop knows. */
export const SENSOR_PORT = 4630;

/**
 * Answers `GET /air` as docs/formats.md says, by the simulated day at the local time of `now`: a reading, now and then
 * a nonsense one, or 503 where the simulated sensor is silent.
 */
export async function startSensor({ port, seed, now }: SensorOptions): Promise<Sensor> {
  const server = createServer((request, response) => {
    if (request.method !== 'GET' || request.url !== '/air') {
      response.writeHead(404).end();
      return;
    }
    const at = now();
    const answer = simulatedAir(at.getHours() * 60 + at.getMinutes(), seed);
    if (answer.kind === 'silent') {
      response.writeHead(503).end();
      return;
    }
    response.writeHead(200, { 'content-type': 'application/json' });
    response.end(
      JSON.stringify({ format: 'lean-clasp/air', version: 1, ...answer.air, takenAt: at.toISOString() }),
    );
  });
  await listen(server, port);
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}/air`,
    stop: () =>
      new Promise((done) => {
        server.close(() => done());
        server.closeAllConnections();
      }),
  };
}

function listen(server: Server, port: number): Promise<void> {
  return new Promise((done, fail) => {
    server.once('error', fail);
    server.listen(port, '127.0.0.1', done);
  });
}
