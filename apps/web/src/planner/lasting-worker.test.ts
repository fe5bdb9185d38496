import { lastingWorker } from './lasting-worker';

/** Workers made so far; each answers what it is asked unless it is to fall. */
class Made extends EventTarget {
  readonly terminate = jest.fn();
  constructor(readonly call: () => Promise<string>) {
    super();
  }
}

jest.mock('comlink', () => ({ wrap: ({ call }: Made) => ({ plan: call }) }));

type Answers = Readonly<{ plan: (name: string) => string }>;

const never = () => new Promise<string>(() => undefined);

function lasting(...calls: (() => Promise<string>)[]) {
  const made: Made[] = [];
  const worker = lastingWorker<Answers>(() => {
    const each = new Made(calls[made.length] ?? never);
    made.push(each);
    return each as unknown as Worker;
  });
  const fall = (which: number) => made[which]?.dispatchEvent(new Event('error'));
  return { worker, made, fall };
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

it('is made once, and answers', async () => {
  const { worker, made } = lasting(() => Promise.resolve('planned'));
  await expect(worker().plan('a')).resolves.toBe('planned');
  await expect(worker().plan('b')).resolves.toBe('planned');
  expect(made).toHaveLength(1);
});

it('is made again where it fell, and those who waited get their answer', async () => {
  const { worker, made, fall } = lasting(never, () => Promise.resolve('planned after all'));
  const answer = worker().plan('a');
  fall(0);
  await jest.advanceTimersByTimeAsync(2000);
  await expect(answer).resolves.toBe('planned after all');
  expect(made).toHaveLength(2);
  expect(made[0]?.terminate).toHaveBeenCalled();
});

it('says so where it falls twice, and is made anew for the next question', async () => {
  const { worker, made, fall } = lasting(never, never, () => Promise.resolve('third time'));
  const answer = worker().plan('a');
  const told = expect(answer).rejects.toThrow('could not be started');
  fall(0);
  await jest.advanceTimersByTimeAsync(2000);
  fall(1);
  await told;
  await expect(worker().plan('a')).resolves.toBe('third time');
  expect(made).toHaveLength(3);
});
