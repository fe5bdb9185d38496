import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { InputError } from '../../basics/checks';
import { DEMO_SHOP } from '../../demo';
import { planBuild, settlePlan } from '../../plan';
import { newBuild } from '../../templates';
import type * as Layouts from '../layouts/list';
import type * as List from '../list';
import { laid } from '../layouts/list';
import type { Answers } from '../question';
import { LIPPED_SHELF } from './lipped-shelf';
import { layLippedShelf } from './lipped-shelf-layout';
import type * as Added from './lipped-shelf';
import type * as AddedLayout from './lipped-shelf-layout';

// Written for docs/contributing.md: what is told there is what is tried here.

jest.mock('../list', () => {
  const list = jest.requireActual<typeof List>('../list');
  const { LIPPED_SHELF: added } = jest.requireActual<typeof Added>('./lipped-shelf');
  const findKind = (id: string) => (id === added.id ? added : list.findKind(id));
  return {
    ...list,
    KINDS: [...list.KINDS, added],
    findKind,
    kindOf: (template: string) => (template === list.FREE ? null : findKind(template)),
  };
});

jest.mock('../layouts/list', () => {
  const list = jest.requireActual<typeof Layouts>('../layouts/list');
  const { LIPPED_SHELF: added } = jest.requireActual<typeof Added>('./lipped-shelf');
  const { layLippedShelf: addedLayout } = jest.requireActual<typeof AddedLayout>('./lipped-shelf-layout');
  const [, layOut] = list.laid(added, addedLayout);
  const layOutKind: typeof list.layOutKind = (kind, answers, season, boards = []) =>
    kind.id === added.id ? layOut(answers, season, boards) : list.layOutKind(kind, answers, season, boards);
  return { ...list, layOutKind };
});

const planned = (answers: Answers = {}) =>
  planBuild(
    newBuild(
      { template: LIPPED_SHELF.id, name: 'Shelf', project: '', service: 'dry', answers },
      DEMO_SHOP,
      () => 'one',
    ),
    DEMO_SHOP,
  );

it('is laid out, planned and judged like every other kind', () => {
  const plan = settlePlan(planned());
  const [lipped] = plan.facts.joints;
  expect(plan.facts.parts.map(({ part }) => part.label)).toEqual(['shelf', 'band']);
  // What touches is as long as the shelf and as high as it is thick.
  expect(lipped?.contactMm2).toBeCloseTo(800 * 18, 6);
  expect(plan.order?.sessions).toHaveLength(1);
  expect(plan.squeeze?.pulls[0]?.clamps.length).toBeGreaterThanOrEqual(2);
  expect(plan.verdicts.inTime.state).toBe('holds');
});

it('refuses what cannot be made, and says what can', () => {
  const [, layOut] = laid(LIPPED_SHELF, layLippedShelf);
  expect(() => layOut({ lipMm: 12 }, { nowPct: 9, lowPct: 7, highPct: 10 }, [])).toThrow(InputError);
  expect(() => planned({ lipMm: 12 })).toThrow('A lip of 12 mm does not cover a shelf 18 mm thick.');
});

it.each(['lipped-shelf.ts', 'lipped-shelf-layout.ts'])('%s stands in the guide as it stands here', (file) => {
  const guide = readFileSync(join(__dirname, '../../../../../docs/contributing.md'), 'utf8');
  const source = readFileSync(join(__dirname, file), 'utf8');
  expect(guide).toContain(`\`\`\`ts\n${source}\`\`\``);
});
