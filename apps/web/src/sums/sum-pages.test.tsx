import { InputError } from '@lean-clasp/core/basics';
import { CALCULATIONS } from '@lean-clasp/core/calculations';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { CalculationListing } from '../api/api';
import { renderPage, type Server } from '../../test/render-page';
import { labelOf, SUM_TITLES } from './labels';
import { Sum } from './Sum';

const listingOf = (name: string): CalculationListing => {
  const found = CALCULATIONS.find((each) => each.name === name);
  if (found === undefined) throw new Error(`no ${name}`);
  return found as unknown as CalculationListing;
};

/** A server that really computes. */
const computing = (name: string): Server => ({
  [`POST /api/calc/${name}`]: ({ body }) =>
    CALCULATIONS.find((each) => each.name === name)?.compute(body as never),
});

const open = (name: string, units: 'metric' | 'imperial' = 'metric') =>
  renderPage(<Sum listing={listingOf(name)} />, { server: computing(name), units });

describe.each(CALCULATIONS.map(({ name }) => name))('%s', (name) => {
  it('asks for what goes in and answers its example with every figure named', async () => {
    const { asked } = open(name);
    expect(screen.getByRole('heading', { name: SUM_TITLES[name] })).toBeInTheDocument();
    await waitFor(() => expect(asked.some(({ method }) => method === 'POST')).toBe(true));
    const answer = CALCULATIONS.find((each) => each.name === name)?.compute(
      listingOf(name).example as never,
    ) as object;
    const named = Object.keys(answer).filter((field) => !['used', 'findings'].includes(field));
    await waitFor(() => {
      for (const field of named.slice(0, 3)) expect(document.body.textContent).toContain(labelOf(field));
    });
    expect(document.body.textContent).not.toMatch(/undefined|NaN|\[object/);
  });

  it('reads the same in inches and Fahrenheit', async () => {
    const { asked } = open(name, 'imperial');
    await waitFor(() => expect(asked.some(({ method }) => method === 'POST')).toBe(true));
    expect(document.body.textContent).not.toMatch(/undefined|NaN|\[object|\d °C\b/);
  });
});

describe('a sum', () => {
  it('answers anew when a figure is changed, and sends what was typed in core units', async () => {
    const { asked, user } = open('stave', 'imperial');
    await waitFor(() => expect(asked.length).toBeGreaterThan(0));
    const field = screen.getByRole('textbox', { name: labelOf('thicknessMm') });
    await user.clear(field);
    await user.type(field, '1/2"');
    await user.tab();
    await waitFor(() => {
      const { body } = asked.at(-1) ?? {};
      expect((body as { thicknessMm?: number }).thicknessMm).toBeCloseTo(12.7, 9);
    });
  });

  it('keeps the last answer in sight while what is typed cannot be', async () => {
    const { asked } = open('stave');
    await waitFor(() => expect(asked.length).toBeGreaterThan(0));
    const before = asked.length;
    fireEvent.change(screen.getByRole('textbox', { name: labelOf('thicknessMm') }), {
      target: { value: 'thick' },
    });
    expect(screen.getByRole('textbox', { name: labelOf('thicknessMm') })).toHaveProperty('value', 'thick');
    await new Promise((done) => setTimeout(done, 400));
    expect(asked.slice(before).every(({ body }) => !JSON.stringify(body).includes('thick"'))).toBe(true);
  });

  it('draws what it can, with its figures as the answer has them', async () => {
    open('quad');
    const figure = await screen.findByTestId('sum-figure');
    await waitFor(() => expect(figure.querySelectorAll('path').length).toBeGreaterThan(3));
    expect(within(figure).getAllByText(/\d/).length).toBeGreaterThan(1);
  });

  it('refuses in words what the models refuse', () => {
    const compute = CALCULATIONS.find(({ name }) => name === 'quad')?.compute;
    expect(() => compute?.({ ab: 10, bc: 10, cd: 10, da: 10, ac: 500, bd: 10 } as never)).toThrow(InputError);
  });
});
