import type { AssemblyFacts } from '@lean-clasp/core/assembly';
import { type FacetedPart, facetedParts, type Shifts } from '@lean-clasp/core/drawing';
import { useTheme } from '@mui/material/styles';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { DoubleSide } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { isSelected, useSelection } from '../drawing/selection';
import { geometryOf } from './part-geometry';

/** The assembly as a solid: drag to turn, pinch or wheel to come closer, tap a part to choose it. */
export function SolidView({
  facts,
  shifts,
  aids,
}: {
  readonly facts: AssemblyFacts;
  readonly shifts: Shifts;
  readonly aids: boolean;
}) {
  const parts = useMemo(() => facetedParts(facts, shifts), [facts, shifts]);
  const span = Math.hypot(...facts.toMm.map((value, i) => value - (facts.fromMm[i] ?? 0)));
  const middle = facts.toMm.map((value, i) => (value + (facts.fromMm[i] ?? 0)) / 2);
  const [x = 0, y = 0, z = 0] = middle;
  return (
    <Canvas
      flat
      frameloop="demand"
      role="img"
      aria-label="The assembly as a solid. Choose parts in the list or in a flat view."
      camera={{
        position: [x - span * 0.75, y - span * 1.25, z + span * 0.95],
        up: [0, 0, 1],
        fov: 32,
        near: span / 100,
        far: span * 20,
      }}
    >
      <ambientLight intensity={1.1} />
      <directionalLight position={[x - span, y - 2 * span, z + 3 * span]} intensity={2.2} />
      <Turning middle={[x, y, z]} />
      {parts
        .filter(({ id }) => aids || id !== null)
        .map((part, i) => (
          <PartMesh key={part.id ?? `aid-${i}`} part={part} />
        ))}
    </Canvas>
  );
}

/** Orbit around the middle; draws a frame whenever it moves. */
function Turning({ middle: [x, y, z] }: { readonly middle: readonly [number, number, number] }) {
  const camera = useThree((state) => state.camera);
  const canvas = useThree((state) => state.gl.domElement);
  const invalidate = useThree((state) => state.invalidate);
  useEffect(() => {
    const controls = new OrbitControls(camera, canvas);
    controls.target.set(x, y, z);
    controls.addEventListener('change', () => invalidate());
    controls.update();
    return () => controls.dispose();
  }, [camera, canvas, invalidate, x, y, z]);
  return null;
}

function PartMesh({ part }: { readonly part: FacetedPart }) {
  const { tokens } = useTheme().palette;
  const { selected, select } = useSelection();
  const { faces, edges } = useMemo(() => geometryOf(part), [part]);
  const { id } = part;
  const lit = id !== null && isSelected(selected, 'part', id);
  return (
    <group
      onClick={(event) => {
        event.stopPropagation();
        if (id !== null) select({ kind: 'part', id });
      }}
    >
      <mesh geometry={faces}>
        <meshLambertMaterial
          color={id === null ? tokens.barGround : lit ? tokens.glue : tokens.wood}
          side={DoubleSide}
          polygonOffset
          polygonOffsetFactor={1}
          polygonOffsetUnits={1}
        />
      </mesh>
      <lineSegments geometry={edges}>
        <lineBasicMaterial color={tokens.woodInk} />
      </lineSegments>
    </group>
  );
}
