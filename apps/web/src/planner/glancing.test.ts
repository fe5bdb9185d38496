import type { BuildDocument } from '@lean-clasp/core/formats';
import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { plannerAnswers, type Glance } from './planner-answers';
import { panelPressure } from '@lean-clasp/core/mechanics';
import { glancing } from './glancing';

const floor = stageFloor(DEMO_SHOP);
const named = (name: string): BuildDocument => ({ ...floor, name });
const answers = plannerAnswers(panelPressure);
const seen = answers.glance(floor, DEMO_SHOP);
if (seen === null) throw new Error('boards of a floor lie in a row');
/** A glance by which the build can be told. */
const glanceOf = ({ name }: BuildDocument): Glance => ({
  ...seen,
  marks: { ...seen.marks, trimMm: Number(name) },
});

/** Answers when told to, in the order in which it was asked. */
function slowly() {
  const asked: string[] = [];
  const shown: (number | null)[] = [];
  const waiting: ((answer: Promise<Glance | null>) => void)[] = [];
  const { look, endingSoFar } = glancing(
    (build) => {
      asked.push(build.name);
      return new Promise((done) => waiting.push(done));
    },
    (glance) => shown.push(glance?.marks.trimMm ?? null),
  );
  const answer = async (with_: Promise<Glance | null>) => {
    waiting.shift()?.(with_);
    for (let i = 0; i < 5; i += 1) await Promise.resolve();
  };
  return {
    asked,
    shown,
    look,
    endingSoFar,
    answer,
    answered: (name: string) => answer(Promise.resolve(glanceOf(named(name)))),
  };
}

describe('what is dragged', () => {
  it('is looked at once at a time, then where it is by then', async () => {
    const { asked, shown, look, answered } = slowly();
    ['1', '2', '3'].forEach((name) => look(named(name)));
    expect(asked).toEqual(['1']);
    await answered('1');
    expect(asked).toEqual(['1', '3']);
    await answered('3');
    expect(shown).toEqual([1, 3]);
    look(named('4'));
    expect(asked).toEqual(['1', '3', '4']);
  });

  it('is not seen any more once it was let go, whatever was under way', async () => {
    const { asked, shown, look, answered } = slowly();
    look(named('1'));
    look(null);
    await answered('1');
    expect(shown).toEqual([null]);
    look(named('2'));
    await answered('2');
    expect([asked, shown]).toEqual([
      ['1', '2'],
      [null, 2],
    ]);
  });

  it('goes on being seen when a plan arrives that was asked for before it was taken hold of', async () => {
    const { shown, look, endingSoFar, answered } = slowly();
    const atOpening = endingSoFar();
    look(named('1'));
    await answered('1');
    const afterDrop = endingSoFar();
    atOpening();
    expect(shown).toEqual([1]);
    afterDrop();
    expect(shown).toEqual([1, null]);
  });

  it('is drawn as it was where it cannot be planned', async () => {
    const { shown, look, answer } = slowly();
    look(named('1'));
    await answer(Promise.reject(new Error('too near the end')));
    expect(shown).toEqual([null]);
  });
});
