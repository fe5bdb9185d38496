import type { Command } from '../command';
import { wholeNumber } from '../options';
import { SENSOR_PORT, startSensor } from '../sensor';
import { EXIT } from '../terminal';

/** Runs the sensor until the process is told to stop. */
export const SENSOR: Command = {
  usage: 'sensor [--port N] [--seed N]',
  about: 'a stand-in for a thermo-hygrometer, until it is stopped',
  run: async ({ values }, terminal) => {
    const sensor = await startSensor({
      port: wholeNumber(values.port ?? String(SENSOR_PORT), 'port', 65535),
      seed: wholeNumber(values.seed ?? '1', 'seed', 1e6),
      now: () => new Date(),
    });
    terminal.out(`A made-up shop's air answers at ${sensor.url}`);
    await new Promise<void>((done) => {
      process.once('SIGINT', done);
      process.once('SIGTERM', done);
    });
    await sensor.stop();
    return EXIT.ok;
  },
};
