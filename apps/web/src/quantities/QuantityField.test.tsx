import { LIMITS } from '@lean-clasp/core/basics';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Provider } from 'react-redux';
import { preferred } from '../app/preferences';
import { makeStore } from '../app/store';
import { LengthField, NumberField } from './fields';

function Width({ onChange }: { readonly onChange: (value: number | null) => void }) {
  const [value, setValue] = useState<number | null>(120);
  return (
    <>
      <LengthField
        label="Width"
        value={value}
        bounds={LIMITS.boardWidthMm}
        onChange={(next) => {
          setValue(next);
          onChange(next);
        }}
      />
      <button onClick={() => setValue(96)}>undo</button>
    </>
  );
}

function setUp(units: 'metric' | 'imperial' = 'metric') {
  localStorage.clear();
  const store = makeStore(localStorage);
  store.dispatch(preferred({ units }));
  const onChange = jest.fn();
  render(
    <Provider store={store}>
      <Width onChange={onChange} />
    </Provider>,
  );
  return { onChange, user: userEvent.setup(), field: screen.getByLabelText<HTMLInputElement>('Width') };
}

async function retype(user: ReturnType<typeof userEvent.setup>, field: HTMLElement, text: string) {
  await user.clear(field);
  await user.type(field, text);
}

describe('LengthField', () => {
  it('reads inches for somebody who thinks in millimetres, and shows its own unit again on leaving', async () => {
    const { user, field, onChange } = setUp();
    await retype(user, field, '4 1/2"');
    expect(onChange).toHaveBeenLastCalledWith(114.3);
    expect(field.value).toBe('4 1/2"');
    await user.tab();
    expect(field.value).toBe('114.3 mm');
  });

  it('shows fractions for somebody who thinks in inches', () => {
    const { field } = setUp('imperial');
    expect(field.value).toBe('4 23/32"');
  });

  it.each([
    ['wide', /Not readable\. Type it like/],
    ['-5', /Must be from 10 mm to 1000 mm\. The last good value is kept\./],
    ['40 m', /Must be from 10 mm to 1000 mm/],
    [' ', /Needs a value from/],
  ])('keeps %j as typed, says why, and hands nothing on', async (text, sentence) => {
    const { user, field, onChange } = setUp();
    await user.clear(field);
    onChange.mockClear();
    await user.type(field, text);
    await user.tab();
    expect(field.value).toBe(text);
    expect(screen.getByText(sentence)).toBeInTheDocument();
    expect(
      onChange.mock.calls.every(([value]) => typeof value === 'number' && value >= 10 && value <= 1000),
    ).toBe(true);
  });

  it('gives way when the value is changed from outside', async () => {
    const { user, field } = setUp();
    await retype(user, field, 'nonsense');
    await user.click(screen.getByText('undo'));
    expect(field.value).toBe('96 mm');
  });
});

describe('NumberField', () => {
  it('takes whole numbers only where asked, and nothing where allowed', async () => {
    localStorage.clear();
    const onChange = jest.fn();
    render(
      <Provider store={makeStore(localStorage)}>
        <NumberField
          label="Count"
          whole
          value={3}
          bounds={{ min: 0, max: 9, unit: '' }}
          onChange={onChange}
        />
        <NumberField label="Moisture" optional value={8} bounds={LIMITS.moisturePct} onChange={onChange} />
      </Provider>,
    );
    const user = userEvent.setup();
    await retype(user, screen.getByLabelText('Count'), '2.5');
    expect(onChange).not.toHaveBeenCalledWith(2.5);
    await user.clear(screen.getByLabelText('Moisture'));
    expect(onChange).toHaveBeenLastCalledWith(null);
  });
});
