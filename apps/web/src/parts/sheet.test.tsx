import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Sheet, SheetRow } from './Sheet';

interface Thing {
  readonly id: string;
  readonly count: number;
}

const COLUMNS = [{ head: 'Count', width: '1fr', by: ({ count }: Thing) => count }];

/** A wide screen: the test's own has no size. */
beforeEach(() => {
  Object.defineProperty(globalThis, 'matchMedia', {
    configurable: true,
    value: (query: string) => ({
      matches: true,
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    }),
  });
});
afterEach(() => Reflect.deleteProperty(globalThis, 'matchMedia'));

function Things() {
  const [things, setThings] = useState<readonly Thing[]>([
    { id: 'b', count: 2 },
    { id: 'c', count: 30 },
    { id: 'a', count: 1 },
  ]);
  return (
    <Sheet
      columns={COLUMNS}
      rows={things}
      actionsPx={80}
      render={(thing) => (
        <SheetRow
          key={thing.id}
          actions={
            <button
              onClick={() =>
                setThings((all) =>
                  all.map((each) => (each.id === thing.id ? { ...each, count: each.count + 50 } : each)),
                )
              }
            >
              more of {thing.id}
            </button>
          }
        >
          <span data-testid="row">{thing.id}</span>
        </SheetRow>
      )}
    />
  );
}

it('sorts upwards, downwards, and back as listed; no row moves while it is changed', async () => {
  const user = userEvent.setup();
  render(<Things />);
  const order = () => screen.getAllByTestId('row').map(({ textContent }) => textContent);
  const head = () => screen.getByRole('button', { name: /^Sort by count/ });
  expect(order()).toEqual(['b', 'c', 'a']);
  await user.click(head());
  expect(order()).toEqual(['a', 'b', 'c']);
  await user.click(screen.getByRole('button', { name: 'more of a' }));
  expect(order()).toEqual(['a', 'b', 'c']);
  await user.click(head());
  expect(order()).toEqual(['a', 'c', 'b']);
  expect(head()).toHaveAccessibleName('Sort by count, now downwards');
  await user.click(head());
  expect(order()).toEqual(['b', 'c', 'a']);
});
