import type { Service } from '../adhesives';
import { InputError } from '../checks';
import type { AssemblyBuild } from '../formats';
import { type Answers, findKind, FREE, startOf } from '../kinds';
import { glueFor, moistureInUse } from './service';

/** What a new assembly starts from. */
export interface AssemblyStart {
  readonly template: string;
  readonly name: string;
  readonly project: string;
  readonly service: Service;
  /** What is missing starts from the kind's own answer. */
  readonly answers: Answers;
}

/** A person's own assembly starts as two boards that meet end to side. */
const FREE_START: AssemblyBuild['free'] = {
  parts: [
    {
      id: 'part1',
      name: 'Upright',
      species: 'white-ash',
      atMm: [0, 0, 0],
      sizeMm: [45, 45, 400],
      grain: 'z',
    },
    { id: 'part2', name: 'Arm', species: 'white-ash', atMm: [45, 0, 300], sizeMm: [350, 45, 45], grain: 'x' },
  ],
  joints: [{ id: 'joint1', kind: 'butt', a: 'part1', b: 'part2' }],
};

/**
 * A new build of any kind but the edge-glued panel, with everything not asked set to what a careful worker
 * would start from.
 * @throws InputError for an unknown kind and for answers that cannot be made.
 */
export function assemblyBuild({ template, name, project, service, answers }: AssemblyStart): AssemblyBuild {
  const free = template === FREE;
  if (free && Object.keys(answers).length > 0) {
    throw new InputError(
      'unknown-id',
      'answers',
      'A free assembly asks nothing.',
      'no answers; parts and joints are added after',
    );
  }
  const kind = free ? null : findKind(template);
  const given = kind === null ? {} : { ...startOf(kind), ...answers };
  const build: AssemblyBuild = {
    format: 'lean-clasp/build',
    version: 1,
    name,
    project,
    template,
    answers: Object.fromEntries(
      Object.entries(given).map(([key, value]) => [key, typeof value === 'object' ? [...value] : value]),
    ),
    free: free ? FREE_START : { parts: [], joints: [] },
    partNotes: [],
    jointNotes: [],
    service,
    goals: { flatMm: 1, squareMm: 1 },
    climate: null,
    crew: 1,
    glue: {
      adhesive: service === 'dry' ? (kind?.adhesive ?? glueFor(service)) : glueFor(service),
      method: kind?.method ?? 'brush',
      faces: kind?.faces ?? 1,
    },
    dryFit: { acMm: null, bdMm: null, bowMm: null, twistMm: null },
    prepared: [],
    mcInUse: moistureInUse(service),
  };
  // Refuses what cannot be made before anything is kept.
  kind?.layOut(build.answers, {
    nowPct: (build.mcInUse.lowPct + build.mcInUse.highPct) / 2,
    ...build.mcInUse,
  });
  return build;
}
