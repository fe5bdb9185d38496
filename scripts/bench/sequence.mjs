import { sample } from 'fast-check';
import { tsImport } from 'tsx/esm/api';
import { calculated } from './calculated.mjs';
import { median, ms, p95, times } from './figures.mjs';

const TEST_SUPPORT = '../../packages/core/src/test-support';

/** Sessions and order of 40 parts over HTTP, all attempts; baseline: half as many parts. */
export async function measureSequence(bench) {
  const [whole, half] = [await sequenceOf(bench, 40, 60), await sequenceOf(bench, 20, 30)];
  bench.report(
    `sequence of 40 parts, 60 joints: ${whole.sessions} sessions, at least ${whole.leastSessions}`,
    ms(whole.took),
    'under 10 s',
    `20 parts, 30 joints: ${ms(half.took)}`,
    times(whole.took, half.took),
  );
  await measureProofs(bench);
}

/** Orders of tight assemblies over HTTP; baseline: an exact programme that goes through all states, in this process. */
async function measureProofs({ server, report }) {
  const { tightAssemblies } = await tsImport(`${TEST_SUPPORT}/random-assemblies.ts`, import.meta.url);
  const { exactSequence } = await tsImport(`${TEST_SUPPORT}/exact-sequence.ts`, import.meta.url);
  for (const [joints, target, compared] of [
    [12, 'under 100 ms', 20],
    [20, 'under 10 s', 0],
  ]) {
    const took = [];
    const exact = [];
    let proven = 0;
    const inputs = sample(tightAssemblies({ least: joints, most: joints }), { seed: 3, numRuns: 200 })
      .filter((input) => input.joints.length === joints)
      .slice(0, 30);
    for (const [i, input] of inputs.entries()) {
      const startedAt = performance.now();
      const { status } = await calculated(server, 'sequence', input);
      took.push(performance.now() - startedAt);
      // What can never be made is told, with the joints that hold each other, which is an answer too.
      if (status !== 'best-found') proven += 1;
      if (i >= compared) continue;
      const exactAt = performance.now();
      exactSequence(input);
      exact.push(performance.now() - exactAt);
    }
    report(
      `order of ${joints} joints, ${inputs.length} times: ${proven} proven`,
      `${ms(median(took))}, 95 % ${ms(p95(took))}`,
      target,
      compared === 0 ? '' : `all states: ${ms(median(exact))}`,
      compared === 0 ? '' : times(median(took), median(exact)),
    );
  }
}

/** A chain of parts with every few of them tied together again, and clamps for some of it at a time. */
async function sequenceOf({ server }, parts, joints) {
  const names = Array.from({ length: parts }, (_, i) => `p${i}`);
  const pairs = [
    ...names.slice(1).map((_, i) => [i, i + 1]),
    ...names.map((_, i) => [i, (i * 7 + 5) % parts]).filter(([a, b]) => Math.abs(a - b) > 1),
  ].slice(0, joints);
  const input = {
    parts: names,
    joints: pairs.map(([a, b], i) => ({
      id: `j${i}`,
      a: names[a],
      b: names[b],
      spreadMin: 0.3 + 0.1 * (i % 4),
      closeMin: 0.4,
      clampMin: 0.3,
      release: ['any'],
      clamps: { bar: 1 },
    })),
    window: { openMin: 6, closedMin: 8, totalMin: 12 },
    crew: 2,
    clamps: { bar: 24 },
    clampTimeMin: 45,
    marginShare: 0.1,
  };
  const startedAt = performance.now();
  const { sessions, leastSessions } = await calculated(server, 'sequence', input);
  return { took: performance.now() - startedAt, sessions: sessions.length, leastSessions };
}
