import { newestOnly } from './newest-only';

/** Counts up, holding the thread for a while with each step. */
function* slowly(to: string): Generator<undefined, string> {
  for (let step = 0; step < 5; step += 1) {
    const startedAt = performance.now();
    while (performance.now() - startedAt < 10);
    yield;
  }
  return to;
}

describe('newestOnly', () => {
  it('answers whoever asked last and tells all others that they were overtaken', async () => {
    const { ask: search } = newestOnly(slowly);
    const first = search('first');
    const second = search('second');
    expect(await Promise.all([first, second])).toEqual([null, 'second']);
  });

  it('answers one after the other where each is waited for', async () => {
    const { ask: search } = newestOnly(slowly);
    expect(await search('first')).toBe('first');
    expect(await search('second')).toBe('second');
  });

  it('lets go as soon as it is asked again, in the middle of a search', async () => {
    let steps = 0;
    const { ask: search } = newestOnly(function* (many: number): Generator<undefined, number> {
      for (; steps < many; steps += 1) {
        const startedAt = performance.now();
        while (performance.now() - startedAt < 10);
        yield;
      }
      return steps;
    });
    const long = search(1000);
    await new Promise((done) => setTimeout(done, 50));
    expect(await search(0)).toBeGreaterThan(0);
    expect(await long).toBeNull();
    expect(steps).toBeLessThan(1000);
  });

  it('lets go when told that nobody waits any more, and answers whoever asks after', async () => {
    const { ask, letGo } = newestOnly(slowly);
    const unwanted = ask('unwanted');
    letGo();
    expect(await unwanted).toBeNull();
    expect(await ask('wanted')).toBe('wanted');
  });

  it('fails as its search does', async () => {
    const { ask: search } = newestOnly(function* (): Generator<undefined, string> {
      yield;
      throw new Error('no such wood');
    });
    await expect(search()).rejects.toThrow('no such wood');
  });
});
