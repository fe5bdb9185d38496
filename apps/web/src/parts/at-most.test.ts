import { atMost } from './at-most';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

const never = new Promise(() => undefined);

it.each([
  ['is done', Promise.resolve('done')],
  ['fails', Promise.reject(new Error('away'))],
])('ends as soon as the work %s', async (_, work) => {
  await expect(atMost(1000, work)).resolves.toBeUndefined();
  expect(jest.getTimerCount()).toBe(0);
});

it('ends when the time is up', async () => {
  let ended = false;
  void atMost(1000, never).then(() => (ended = true));
  await jest.advanceTimersByTimeAsync(999);
  expect(ended).toBe(false);
  await jest.advanceTimersByTimeAsync(1);
  expect(ended).toBe(true);
});
