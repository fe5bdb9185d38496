import { remembered } from '@lean-clasp/core/basics';
import { panelPressure } from '@lean-clasp/core/mechanics';
import { expose } from 'comlink';
import { planAhead } from './ahead';
import { type Planner, plannerAnswers } from './planner-answers';
import { practice } from './practice';

/** Panels pressed lately by this worker: undo, and edits that do not change what presses, cost nothing. */
const MOST_REMEMBERED = 80;
const press = remembered(panelPressure, MOST_REMEMBERED);
const answers = plannerAnswers(press, press);

const practised = practice(answers.first);

addEventListener('message', planAhead(answers));
expose({
  ...answers,
  first: (build, shop) => {
    practised(build, shop);
    return answers.first(build, shop);
  },
} satisfies Planner);
