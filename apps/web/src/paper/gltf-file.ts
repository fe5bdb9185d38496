import { facetedParts, playedClosings, shiftsAt } from '@lean-clasp/core/drawing';
import type { Plan } from '@lean-clasp/core/plan';
import { AnimationClip, Group, Mesh, MeshStandardMaterial, Scene, VectorKeyframeTrack } from 'three';
import { GLTFExporter } from 'three/addons/exporters/GLTFExporter.js';
import { geometryOf } from '../assembly/part-geometry';
import { closingOrder } from '../order/closing-order';
import { saveFile, slug } from '../parts/save-file';

/** How long one closing takes as it is played, s. */
const CLOSING_S = 1.5;
const METRES_PER_MM = 0.001;
const WOOD = { color: 0xd9bd8b, roughness: 0.8, metalness: 0 };
const AID = { color: 0xb9b6ad, roughness: 0.9, metalness: 0 };

/**
 * The assembly as binary glTF, in metres with y up: a node for each part under its name, and one animation in which the parts come
 * together in the order of closing.
 */
export async function assemblyGltf(plan: Plan): Promise<ArrayBuffer> {
  const { facts } = plan;
  const labels = new Map(facts.parts.map(({ part }) => [part.id, part.label]));
  const assembly = new Group();
  assembly.name = plan.build.name;
  // Sheets of the core have z up.
  assembly.rotation.x = -Math.PI / 2;
  assembly.scale.setScalar(METRES_PER_MM);
  const [wood, aid] = [new MeshStandardMaterial(WOOD), new MeshStandardMaterial(AID)];
  const nodes = new Map<string, Mesh>();
  facetedParts(facts).forEach((part, i) => {
    const mesh = new Mesh(geometryOf(part).faces, part.id === null ? aid : wood);
    mesh.name = part.id === null ? `aid ${i + 1}` : `${labels.get(part.id) ?? part.id}`;
    if (part.id !== null) nodes.set(part.id, mesh);
    assembly.add(mesh);
  });
  const scene = new Scene();
  scene.add(assembly);
  const clip = closingClip(plan, nodes);
  const made = await new GLTFExporter().parseAsync(scene, {
    binary: true,
    animations: clip === null ? [] : [clip],
  });
  if (!(made instanceof ArrayBuffer)) throw new Error('no binary file was made');
  return made;
}

/** Where every part that comes is after so many closings; null where nothing closes. */
function closingClip({ facts, order }: Plan, nodes: ReadonlyMap<string, Mesh>): AnimationClip | null {
  const played = playedClosings(facts, closingOrder({ facts, order }));
  if (played.length === 0) return null;
  const moments = Array.from({ length: played.length + 1 }, (_, done) => shiftsAt(played, done));
  const times = moments.map((_, done) => done * CLOSING_S);
  const moving = [...nodes].filter(([id]) => played.some(({ comes }) => comes.includes(id)));
  const tracks = moving.map(
    ([id, mesh]) =>
      new VectorKeyframeTrack(
        `${mesh.uuid}.position`,
        times,
        moments.flatMap((shifts) => [...(shifts.get(id) ?? [0, 0, 0])]),
      ),
  );
  return new AnimationClip('Closing order', times.at(-1) ?? 0, tracks);
}

export async function saveAssembly(plan: Plan): Promise<void> {
  const bytes = await assemblyGltf(plan);
  saveFile(`${slug(plan.build.name)}.glb`, new Blob([bytes], { type: 'model/gltf-binary' }));
}
