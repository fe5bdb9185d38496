import { act, render, screen } from '@testing-library/react';
import { ChartBox } from './ChartBox';

beforeEach(() => jest.useFakeTimers());
afterEach(async () => {
  // Whoever waits for its turn gets it before clocks are real again.
  await rest(100);
  jest.useRealTimers();
});

const chart = (points: number) => (
  <ChartBox label={`${points} points`} height={100}>
    <p>drawn with {points}</p>
  </ChartBox>
);

const rest = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

it('draws the first chart at once, and says in words what changes before it is drawn again', async () => {
  const { rerender } = render(chart(1));
  await rest(0);
  expect(screen.getByText('drawn with 1')).toBeInTheDocument();
  rerender(chart(2));
  expect(screen.getByRole('img', { name: '2 points' })).toHaveTextContent('drawn with 1');
  await rest(300);
  expect(screen.getByRole('img', { name: '2 points' })).toHaveTextContent('drawn with 2');
});

it('takes turns: of several charts one is drawn between two frames', async () => {
  render(
    <>
      {chart(1)}
      {chart(2)}
      {chart(3)}
    </>,
  );
  const drawn = () => screen.queryAllByText(/^drawn with/).map((each) => each.textContent);
  await rest(0);
  expect(drawn()).toEqual(['drawn with 1']);
  await rest(20);
  expect(drawn()).toEqual(['drawn with 1', 'drawn with 2']);
  await rest(20);
  expect(drawn()).toHaveLength(3);
  // One that comes later need not wait.
  await rest(20);
  render(chart(4));
  await rest(0);
  expect(drawn()).toHaveLength(4);
});

it('waits for as long as values keep coming, then draws the last', async () => {
  const { rerender } = render(chart(1));
  for (const points of [2, 3, 4]) {
    rerender(chart(points));
    await rest(250);
    expect(screen.getByText('drawn with 1')).toBeInTheDocument();
  }
  await rest(60);
  expect(screen.getByText('drawn with 4')).toBeInTheDocument();
});

it('is not drawn before it comes into view', async () => {
  const seen: IntersectionObserverCallback[] = [];
  class Watcher {
    constructor(callback: IntersectionObserverCallback) {
      seen.push(callback);
    }
    readonly thresholds = [0];
    observe() {}
    unobserve() {}
    disconnect() {}
  }
  Object.assign(globalThis, { IntersectionObserver: Watcher });
  try {
    render(chart(1));
    const box = screen.getByRole('img', { name: '1 points' });
    expect(box).toBeEmptyDOMElement();
    const entry = {
      isIntersecting: true,
      intersectionRatio: 1,
      target: box,
    } as unknown as IntersectionObserverEntry;
    act(() => seen.forEach((tell) => tell([entry], undefined as never)));
    await rest(0);
    expect(screen.getByText('drawn with 1')).toBeInTheDocument();
  } finally {
    Reflect.deleteProperty(globalThis, 'IntersectionObserver');
  }
});
