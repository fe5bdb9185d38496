import { act, render, screen } from '@testing-library/react';
import { type ComponentProps, type ComponentType, Suspense } from 'react';
import { readIn } from './read-in';

const Greeting = ({ name }: { readonly name: string }) => <p>Good morning, {name}</p>;

describe('a part that is read in', () => {
  const drawn: string[] = [];
  const Waiting = () => {
    drawn.push('waiting');
    return <p>On its way</p>;
  };
  const draw = (Part: ComponentType<ComponentProps<typeof Greeting>>) =>
    render(
      <Suspense fallback={<Waiting />}>
        <Part name="cabinetmaker" />
      </Suspense>,
    );
  beforeEach(() => (drawn.length = 0));

  it('is waited for where it is drawn before it is here', async () => {
    let arrive: (part: typeof Greeting) => void = () => undefined;
    const Part = readIn(() => new Promise<typeof Greeting>((done) => (arrive = done)));
    await act(async () => Promise.resolve(draw(Part)));
    expect(screen.getByText('On its way')).toBeInTheDocument();
    await act(async () => Promise.resolve(arrive(Greeting)));
    expect(await screen.findByText('Good morning, cabinetmaker')).toBeInTheDocument();
  });

  it('is drawn at once where it was read in ahead', async () => {
    const Part = readIn(() => Promise.resolve(Greeting));
    await Part.ahead();
    draw(Part);
    expect(screen.getByText('Good morning, cabinetmaker')).toBeInTheDocument();
    expect(drawn).toEqual([]);
  });

  it('is asked for again where it failed ahead of its turn', async () => {
    const load = jest
      .fn<Promise<typeof Greeting>, []>()
      .mockRejectedValueOnce(new Error('away'))
      .mockResolvedValueOnce(Greeting);
    const Part = readIn(load);
    await Part.ahead();
    await act(async () => Promise.resolve(draw(Part)));
    expect(screen.getByText('Good morning, cabinetmaker')).toBeInTheDocument();
    expect(load).toHaveBeenCalledTimes(2);
  });
});
