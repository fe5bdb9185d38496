import { listAdhesives } from '@lean-clasp/core/adhesives';
import { listClampKinds } from '@lean-clasp/core/clamps';
import { listSpecies } from '@lean-clasp/core/materials';
import { listSpreadMethods } from '@lean-clasp/core/spread';
import { ASPECTS } from '@lean-clasp/core/verdicts';
import { askedPlan, createCalculator, planReply } from '@lean-clasp/validation';
import { ASPECT_NAMES, figureAlone, formatFor, saidPlan, planSays } from '@lean-clasp/words';
import type { Command } from '../command';
import { oneOf, readJson, usageError } from '../options';
import { EXIT } from '../terminal';

const CATALOGUES: Readonly<Record<string, () => readonly unknown[]>> = {
  species: listSpecies,
  adhesives: listAdhesives,
  clamps: listClampKinds,
  methods: listSpreadMethods,
};

/** Everything about a plan as data. */
export const PLAN: Command = {
  usage: 'plan [--in FILE]',
  about: 'a build, or a kind with its answers, in; its settled plan out',
  run: async (asked, terminal) => {
    const reply = planReply(await readJson(asked, terminal));
    terminal.out(JSON.stringify(saidPlan(reply, formatFor('metric'))));
    return EXIT.ok;
  },
};

/** Whether a plan holds, in four lines. */
export const CHECK: Command = {
  usage: 'check [--in FILE] [--units metric|imperial] [--json]',
  about: 'the four verdicts of a build; exit 1 where one fails',
  run: async (asked, terminal) => {
    const { verdicts } = askedPlan(await readJson(asked, terminal));
    const f = formatFor(oneOf(asked.values.units, 'units', ['metric', 'imperial']));
    const lines = ASPECTS.map((aspect) => {
      const verdict = verdicts[aspect];
      return {
        aspect,
        state: verdict.state,
        figure: figureAlone(verdict, f),
        says: planSays(verdict.cause, f),
      };
    });
    if (asked.values.json === true) terminal.out(JSON.stringify(lines));
    else {
      for (const { aspect, state, figure, says: why } of lines) {
        terminal.out(`${ASPECT_NAMES[aspect]}: ${state}, ${figure}. ${why}`);
      }
    }
    return lines.some(({ state }) => state === 'fails') ? EXIT.fails : EXIT.ok;
  },
};

/** A single calculation. */
export const CALC: Command = {
  usage: 'calc NAME [--in FILE] | calc --list',
  about: 'one JSON object in, one out; or the calculations with their JSON Schemas',
  run: async (asked, terminal) => {
    const calculator = createCalculator();
    if (asked.values.list === true) {
      terminal.out(JSON.stringify(calculator.list(), null, 2));
      return EXIT.ok;
    }
    const name = asked.positionals[1];
    if (name === undefined) {
      throw usageError('name', 'Say which calculation.', 'a name from lean-clasp calc --list');
    }
    terminal.out(JSON.stringify(calculator.run(name, await readJson(asked, terminal))));
    return EXIT.ok;
  },
};

/** A catalogue with all of its coefficients. */
export const LIST: Command = {
  usage: `list ${Object.keys(CATALOGUES).join('|')}`,
  about: 'a catalogue with every coefficient',
  run: ({ positionals }, terminal) => {
    const name = positionals[1] ?? '';
    const catalogue = CATALOGUES[name];
    if (catalogue === undefined) {
      throw usageError('catalogue', `There is no catalogue "${name}".`, Object.keys(CATALOGUES).join(', '));
    }
    terminal.out(JSON.stringify(catalogue(), null, 2));
    return Promise.resolve(EXIT.ok);
  },
};
