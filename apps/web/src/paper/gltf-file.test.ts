import { DEMO_SHOP, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import { planBuild } from '@lean-clasp/core/plan';
import { validateBytes } from 'gltf-validator';
import { Box3, type Mesh } from 'three';
import { GLTFLoader } from 'three/addons/loaders/GLTFLoader.js';
import { assemblyGltf } from './gltf-file';

const builds = [stageFloor(DEMO_SHOP), ...wagonBuilds().map(({ build }) => build)];
const plans = builds.map((build) => planBuild(build, DEMO_SHOP));

describe('an assembly as glTF', () => {
  it.each(plans.map((plan) => [plan.build.name, plan] as const))(
    'of %s is valid by the format’s own judge',
    async (_, plan) => {
      const report = await validateBytes(new Uint8Array(await assemblyGltf(plan)));
      expect(report.issues.messages.filter(({ severity }) => severity < 2)).toEqual([]);
      expect(report.info.animationCount).toBe(plan.order === null ? 0 : 1);
    },
  );

  it('is read back as large as it is, in metres, and ends with everything in its place', async () => {
    const plan = plans.find(({ build }) => build.template === 'case');
    if (plan === undefined) throw new Error('The demo has no case.');
    const { scene, animations } = await new GLTFLoader().parseAsync(await assemblyGltf(plan), '');
    const { min, max } = new Box3().setFromObject(scene);
    const [x = 0, y = 0, z = 0] = plan.facts.toMm.map((to, axis) => to - (plan.facts.fromMm[axis] ?? 0));
    // z of the core is y there.
    for (const [is, wanted] of [
      [max.x - min.x, x],
      [max.y - min.y, z],
      [max.z - min.z, y],
    ] as const) {
      expect(is * 1000).toBeCloseTo(wanted, 2);
    }
    const meshes: string[] = [];
    scene.traverse((node) => {
      if ((node as Mesh).isMesh) meshes.push(node.name);
    });
    expect(meshes.length).toBeGreaterThanOrEqual(plan.facts.parts.length);
    const [clip] = animations;
    expect(clip?.tracks.length).toBeGreaterThan(0);
    for (const { values } of clip?.tracks ?? [])
      expect([...values.slice(-3)].map(Math.abs)).toEqual([0, 0, 0]);
  });
});
