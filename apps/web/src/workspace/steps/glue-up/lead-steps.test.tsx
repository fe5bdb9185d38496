import { act, renderHook, screen } from '@testing-library/react';
import { renderBuild } from '../../../../test/render-build';
import { GlueUpStep } from '../GlueUpStep';
import { useWaits } from './use-waits';

const MINUTE = 60_000;

describe('what waits before the first bead', () => {
  afterEach(() => jest.restoreAllMocks());

  const atMinute = (start: number, min: number) =>
    jest.spyOn(Date, 'now').mockImplementation(() => start + min * MINUTE);

  it('is counted down once it is begun, by the wall clock, until it is ready', async () => {
    const { user } = renderBuild(<GlueUpStep />, {}, 'hatch-mouldings');
    expect(await screen.findByText('Heat the applicator fully')).toBeInTheDocument();
    await user.click(screen.getByRole('button', { name: 'Begun now' }));
    const start = Date.now();
    expect(screen.getByText(/^ready in (30:00|29:\d\d)$/)).toBeInTheDocument();
    atMinute(start, 20);
    expect(await screen.findByText(/^ready in (10:0\d|9:\d\d)$/)).toBeInTheDocument();
    atMinute(start, 50);
    expect(await screen.findByText('ready')).toBeInTheDocument();
  });

  it('says that a sizing coat left too long has dried', async () => {
    const { user } = renderBuild(<GlueUpStep />, {}, 'dressing-mirror');
    await screen.findByText(/^Size the end grain/);
    await user.click(screen.getByRole('button', { name: 'Begun now' }));
    atMinute(Date.now(), 25);
    expect(await screen.findByText(/^begun 25:\d\d ago: feel it; dry is too late/)).toBeInTheDocument();
  });

  it('goes on after a reload, and is forgotten the next day or when it was a slip', () => {
    localStorage.clear();
    const start = Date.now();
    const first = renderHook(() => useWaits('a.0'));
    act(() => first.result.current.begin('heat-nozzle'));
    act(() => first.result.current.begin('prime-thin'));
    act(() => first.result.current.forget('prime-thin'));
    const again = renderHook(() => useWaits('a.0'));
    expect(Object.keys(again.result.current.begun)).toEqual(['heat-nozzle']);
    atMinute(start, 13 * 60);
    expect(renderHook(() => useWaits('a.0')).result.current.begun).toEqual({});
  });
});
