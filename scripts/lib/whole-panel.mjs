// The whole of a panel in one system of equations, as a baseline for how fast it is condensed board by board.
import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { tsImport } from 'tsx/esm/api';

const SOLVER = fileURLToPath(new URL('panel_superlu.py', import.meta.url));
const MECHANICS = '../../packages/core/src/mechanics';
const core = (path) => tsImport(path, import.meta.url);

/** Times in ms of so many runs, and by what: SuperLU with all rounds of contact, or one banded factor with all lines shut. */
export async function wholePanelTimes(panel, runs) {
  const mesh = await meshOf(panel);
  const { status, stdout } = spawnSync('python3', [SOLVER], {
    input: JSON.stringify({ ...mesh, times: runs }),
    encoding: 'utf8',
  });
  if (status === 0) return { by: 'SuperLU', times: JSON.parse(stdout).ms };
  return { by: 'one banded factor', times: await bandedTimes(mesh, runs) };
}

/** The mesh that the program itself would choose, with what pushes on it. */
async function meshOf({ boards, lengthMm, thicknessMm, clamps, gaps = [] }) {
  const [{ nodesAcross, nodesAlong }, { addPadForces }, materials] = await Promise.all([
    core(`${MECHANICS}/panel/mesh.ts`),
    core(`${MECHANICS}/panel/panel-chain.ts`),
    core('../../packages/core/src/materials/index.ts'),
  ]);
  const pads = clamps.map(({ xMm, padMm }) => ({ fromMm: xMm - padMm / 2, toMm: xMm + padMm / 2 }));
  const xsMm = nodesAlong(lengthMm, pads);
  const push = new Float64Array(xsMm.length);
  pads.forEach((pad, i) => addPadForces(push, xsMm, pad, clamps[i].forceN));
  return {
    xsMm: [...xsMm],
    thicknessMm,
    push: [...push],
    boards: boards.map(({ widthMm, species, cut }, i) => {
      const wood = materials.resolveSpecies(species).properties;
      return {
        wood: {
          exMPa: wood.eLMPa,
          eyMPa: materials.modulusAcross(wood, cut),
          gMPa: materials.shearModulusInFace(wood, cut),
          nuXy: materials.poissonInFace(wood, cut),
        },
        ysMm: [...nodesAcross(widthMm, i === 0 || i === boards.length - 1)],
      };
    }),
    gaps: boards.slice(1).map((_, line) => {
      const profile = gaps.find((gap) => gap.line === line)?.profileMm ?? [0, 0];
      return [...xsMm].map((x) => {
        const at = Math.min(profile.length - 1 - 1e-9, (x / lengthMm) * (profile.length - 1));
        const low = Math.floor(at);
        return profile[low] + (profile[low + 1] - profile[low]) * (at - low);
      });
    }),
  };
}

/** Column after column of the whole panel, boards tied across their lines, in the banded solver of the beams. */
async function bandedTimes({ xsMm, thicknessMm, boards }, runs) {
  const [{ addTo, bandOf, factor }, { rectangleStiffness }] = await Promise.all([
    core(`${MECHANICS}/banded.ts`),
    core(`${MECHANICS}/panel/element.ts`),
  ]);
  // Numbers of one column: along and across for each node; across is shared where boards touch.
  let perColumn = 0;
  const numbers = boards.map(({ ysMm }) => ysMm.map(() => [0, 0]));
  boards.forEach(({ ysMm }, b) =>
    ysMm.forEach((_, j) => {
      numbers[b][j][0] = perColumn++;
      numbers[b][j][1] = j === 0 && b > 0 ? numbers[b - 1].at(-1)[1] : perColumn++;
    }),
  );
  const size = perColumn * xsMm.length;
  return Array.from({ length: runs }, () => {
    const startedAt = performance.now();
    const band = bandOf(size, perColumn + 5);
    boards.forEach(({ wood, ysMm }, b) => {
      for (let i = 0; i + 1 < xsMm.length; i += 1) {
        const element = rectangleStiffness(wood, xsMm[i + 1] - xsMm[i], ysMm[1] - ysMm[0], thicknessMm);
        for (let j = 0; j + 1 < ysMm.length; j += 1) {
          const corners = [
            [i, j],
            [i + 1, j],
            [i + 1, j + 1],
            [i, j + 1],
          ];
          const unknowns = corners.flatMap(([x, y]) => numbers[b][y].map((number) => x * perColumn + number));
          unknowns.forEach((row, p) =>
            unknowns.forEach((column, q) => column <= row && addTo(band, row, column, element[8 * p + q])),
          );
        }
      }
    });
    // Nothing holds the whole but this.
    for (let row = 0; row < size; row += 1) addTo(band, row, row, 1e-3);
    if (!factor(band)) throw new Error('the panel has no stiffness');
    return performance.now() - startedAt;
  });
}
