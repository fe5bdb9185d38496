import { NO_WISHES } from '@lean-clasp/core/formats';
import { screen, waitFor, within } from '@testing-library/react';
import { renderBuild, retype } from '../../test/render-build';
import { GlueChoice } from './GlueChoice';

const rows = async () =>
  within(await screen.findByRole('list', { name: 'Glues, best for this job first' })).getAllByRole('button');

const rowOf = async (name: RegExp) => {
  const found = (await rows()).find(({ textContent }) => name.test(textContent ?? ''));
  if (found === undefined) throw new Error(`no ${String(name)}`);
  return found;
};

describe('what matters here', () => {
  it.each([
    ['To come apart again one day', 'repairable', 'to come apart again'],
    ['A load that never goes away', 'lastingLoad', 'lasting load'],
    ['Nothing that makes skin or lungs allergic', 'noSensitisers', 'nothing that makes allergic'],
  ] as const)('%s is kept and said in short', async (label, wish, words) => {
    const { user, build } = renderBuild(<GlueChoice />);
    await rows();
    await user.click(screen.getByText(/^What matters here/));
    await user.click(screen.getByRole('checkbox', { name: label }));
    expect(build().wishes).toEqual({ ...NO_WISHES, [wish]: true });
    expect(screen.getByText(/^What matters here/).textContent).toContain(words);
    await user.click(screen.getByRole('checkbox', { name: label }));
    expect(build().wishes).toEqual(NO_WISHES);
  });

  it('refuses what makes allergic once that is ruled out, and says why', async () => {
    const { user } = renderBuild(<GlueChoice />);
    expect((await rowOf(/^.Slow epoxy/)).textContent).not.toContain('refused');
    await user.click(screen.getByText(/^What matters here/));
    await user.click(screen.getByRole('checkbox', { name: /allergic/ }));
    await waitFor(async () =>
      expect((await rowOf(/^.Slow epoxy/)).textContent).toContain(
        'can make skin or lungs allergic, and that is ruled out here',
      ),
    );
  });

  it('refuses what holds clamps longer than they may be missed', async () => {
    const { user, build } = renderBuild(<GlueChoice />);
    await rows();
    await user.click(screen.getByText(/^What matters here/));
    await retype(user, 'Clamps free within', '30');
    expect(build().wishes?.clampsOffWithinMin).toBe(30);
    await waitFor(async () =>
      expect((await rowOf(/Exterior PVA/)).textContent).toMatch(
        /clamps stay on for about (\d+ min|1 h), they must be free within 30 min/,
      ),
    );
    await user.clear(screen.getByRole('textbox', { name: 'Clamps free within' }));
    await user.tab();
    expect(build().wishes?.clampsOffWithinMin).toBeNull();
  });

  it('takes lasting warmth in the person’s unit and refuses what softens there', async () => {
    const { user, build } = renderBuild(<GlueChoice />);
    await rows();
    await user.click(screen.getByText(/^What matters here/));
    await retype(user, 'Lasting warmth', '75');
    expect(build().wishes?.warmC).toBe(75);
    await waitFor(async () =>
      expect((await rows()).some(({ textContent }) => /softens at/.test(textContent ?? ''))).toBe(true),
    );
  });

  it('keeps a temperature that cannot be out, says what can, and lets the last good one stand', async () => {
    const { user, build } = renderBuild(<GlueChoice />);
    await rows();
    await user.click(screen.getByText(/^What matters here/));
    await retype(user, 'Wood brought in at', '300');
    expect(screen.getByText(/Must be from/)).toBeInTheDocument();
    // The 30 on the way to 300 was one.
    expect(build().wishes?.woodTempC).toBe(30);
  });
});

describe('a glue in the list', () => {
  it('is chosen at a tap, and only that one', async () => {
    const { user, build } = renderBuild(<GlueChoice />);
    await user.click(await rowOf(/Long-open PVA/));
    expect(build().glue.adhesive).toBe('pva-long-open');
    await waitFor(async () => {
      const pressed = (await rows()).filter((row) => row.getAttribute('aria-pressed') === 'true');
      expect(pressed.map(({ textContent }) => textContent?.slice(1, 14))).toEqual(['Long-open PVA']);
    });
  });

  it('says the time that is left over or lacking, never minus spare', async () => {
    renderBuild(<GlueChoice />);
    const all = (await rows()).map(({ textContent }) => textContent ?? '');
    expect(all.join()).not.toMatch(/[−-]\d+:\d\d/);
    expect(all.some((text) => /\d:\d\d spare/.test(text))).toBe(true);
  });

  it('comes with its hazards once it is the chosen one', async () => {
    renderBuild(<GlueChoice />, { glue: { adhesive: 'epoxy-slow', method: 'roller', faces: 2 } });
    await rows();
    expect(await screen.findByText(/gloves/i)).toBeInTheDocument();
  });

  it('says what is done before the first bead and how squeeze-out comes off', async () => {
    renderBuild(<GlueChoice />, {}, 'dressing-mirror');
    await rows();
    expect(await screen.findByText(/Size the end grain with a thin coat/)).toBeInTheDocument();
    expect(screen.getByText(/squeeze-out/i)).toBeInTheDocument();
  });

  it('sizes no shoulders of tenons', async () => {
    renderBuild(<GlueChoice />, {}, 'scenery-flats');
    await rows();
    expect(screen.queryByText(/Size the end grain/)).toBeNull();
  });
});
