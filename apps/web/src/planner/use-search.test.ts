import { act, renderHook } from '@testing-library/react';
import { useSearch } from './use-search';

jest.mock('comlink', () => ({ proxy: <F>(call: F) => call }));

/** A search that tells one step each time it is let on, and its question with it. */
function searchOf(question: string) {
  const gates: (() => void)[] = [];
  const run = async (goOn: (step: string) => Promise<boolean>) => {
    for (let i = 1; i <= 2; i += 1) {
      await new Promise<void>((open) => gates.push(open));
      if (!(await goOn(`${question} ${i}`))) return;
    }
  };
  const letOn = () => act(async () => Promise.resolve(gates.shift()?.()));
  return { run, letOn };
}

it('tells each step and hands over the last', async () => {
  const done = jest.fn();
  const { run, letOn } = searchOf('a');
  const { result } = renderHook(() => useSearch(run, done));
  act(() => result.current.start());
  expect(result.current.working).toBe(true);
  await letOn();
  expect(result.current.step).toBe('a 1');
  await letOn();
  await act(async () => Promise.resolve());
  expect(done.mock.calls).toEqual([['a 2']]);
  expect(result.current.working).toBe(false);
});

it('hands nothing over once it is stopped', async () => {
  const done = jest.fn();
  const { run, letOn } = searchOf('a');
  const { result } = renderHook(() => useSearch(run, done));
  act(() => result.current.start());
  act(() => result.current.stop());
  await letOn();
  await letOn();
  expect(done).not.toHaveBeenCalled();
});

it('begins anew where what is searched changes, and never answers the older question', async () => {
  const done = jest.fn();
  const [older, newer] = [searchOf('older'), searchOf('newer')];
  const { result, rerender } = renderHook(({ run }) => useSearch(run, done), {
    initialProps: { run: older.run },
  });
  act(() => result.current.start());
  await older.letOn();
  rerender({ run: newer.run });
  await older.letOn();
  await newer.letOn();
  await newer.letOn();
  await act(async () => Promise.resolve());
  expect(done.mock.calls).toEqual([['newer 2']]);
});

it('tells what went wrong', async () => {
  const { result } = renderHook(() => useSearch(() => Promise.reject(new Error('no room')), jest.fn()));
  await act(async () => {
    result.current.start();
    await Promise.resolve();
  });
  expect(result.current.failure).toBe('no room');
  expect(result.current.working).toBe(false);
});
