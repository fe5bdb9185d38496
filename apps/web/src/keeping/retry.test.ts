import { ApiError } from '../api/request';
import { growingRetries, mayPass } from './retry';

const answered = (status: number) =>
  new ApiError(status, { error: { code: 'x', field: '', message: 'No.', allowed: 'yes' } });

describe('trying again', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('helps where the server is away, busy or stumbled, and not where it refuses', () => {
    expect([new TypeError('away'), answered(500), answered(503), answered(429)].map(mayPass)).toEqual([
      true,
      true,
      true,
      true,
    ]);
    expect([answered(409), answered(422), answered(404)].map(mayPass)).toEqual([false, false, false]);
  });

  it('waits longer each time, never more than a minute, and from the beginning after success', () => {
    const retries = growingRetries(() => 0.5);
    const waits: number[] = [];
    const attempt = () => {
      const from = Date.now();
      retries.later(() => waits.push(Date.now() - from));
      jest.runAllTimers();
    };
    for (let i = 0; i < 8; i += 1) attempt();
    expect(waits).toEqual([1000, 2000, 4000, 8000, 16_000, 32_000, 60_000, 60_000]);
    retries.succeeded();
    attempt();
    expect(waits.at(-1)).toBe(1000);
  });

  it('goes at once when the browser is connected again, and once only', () => {
    const retries = growingRetries(() => 0.5);
    const attempt = jest.fn();
    retries.later(attempt);
    window.dispatchEvent(new Event('online'));
    jest.runAllTimers();
    expect(attempt).toHaveBeenCalledTimes(1);
  });
});
