import { useEffect, useMemo } from 'react';
import { Canvas, useThree } from '@react-three/fiber';
import { BoxGeometry, BufferGeometry, Float32BufferAttribute, EdgesGeometry, Matrix4, PerspectiveCamera, Vector3 } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Scene, SceneBoard, ThingSolid } from '../../core/drawing/index.js';
import { film, ghost, ghostEdge, ink, metal, tape, wood, woodDark } from '../theme/tokens.js';

/** Lets a camera see all of something that reaches so far, and no nearer or further than it must. */
function see(camera: PerspectiveCamera, reach: number): void {
  camera.near = reach / 100;
  camera.far = reach * 40;
  camera.updateProjectionMatrix();
}

/** Looks at the piece from the front, a little from the right and above, and lets it be turned. */
function Turning({ middle, reach }: Pick<Scene, 'middle' | 'reach'>) {
  const { camera, gl, invalidate } = useThree();
  const [x, y, z] = middle;
  useEffect(() => {
    const controls = new OrbitControls(camera, gl.domElement);
    controls.target.set(x, y, z);
    camera.position.set(x + reach * 1.5, y + reach * 1.1, z + reach * 3.6);
    if (camera instanceof PerspectiveCamera) see(camera, reach);
    controls.update();
    controls.addEventListener('change', () => invalidate());
    invalidate();
    return () => controls.dispose();
  }, [camera, gl, invalidate, x, y, z, reach]);
  return null;
}

const DARK = new Set(['toe board', 'plinth rail', 'bearer', 'runner', 'slat support']);

/** A body of flat faces, each as a fan of triangles. */
function geometryOf(faces: NonNullable<SceneBoard['faces']>): BufferGeometry {
  const corners = faces.flatMap((face) =>
    face.slice(1, -1).flatMap((p, i) => [...(face[0] as readonly number[]), ...p, ...(face[i + 2] as readonly number[])]),
  );
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(corners, 3));
  geometry.computeVertexNormals();
  return geometry;
}

/** Faces that meet at less than this, degrees, are one that is round. */
const ROUND = 20;

function Board({ solid, selected, onPick }: { solid: SceneBoard; selected: boolean; onPick: (id: string) => void }) {
  const [length, width, thickness] = solid.size;
  const { faces } = solid;
  const { geometry, edges } = useMemo(() => {
    const shape = faces ? geometryOf(faces) : new BoxGeometry(length, width, thickness);
    return { geometry: shape, edges: new EdgesGeometry(shape, ROUND) };
  }, [faces, length, width, thickness]);
  useEffect(
    () => () => {
      geometry.dispose();
      edges.dispose();
    },
    [geometry, edges],
  );
  const matrix = useMemo(() => {
    const axes = [solid.u, solid.v, solid.n].map(([a, b, c]) => new Vector3(a, b, c)) as [Vector3, Vector3, Vector3];
    return new Matrix4().makeBasis(...axes).setPosition(...solid.middle);
  }, [solid]);
  return (
    <group matrixAutoUpdate={false} matrix={matrix}>
      <mesh
        geometry={geometry}
        onClick={(event) => {
          event.stopPropagation();
          onPick(solid.id);
        }}
      >
        <meshLambertMaterial color={selected ? tape : DARK.has(solid.role) ? woodDark : wood} />
      </mesh>
      <lineSegments geometry={edges}>
        <lineBasicMaterial color={ink} />
      </lineSegments>
    </group>
  );
}

function Foot({ foot }: { foot: Scene['feet'][number] }) {
  return (
    <mesh position={foot.middle}>
      <boxGeometry args={foot.size} />
      <meshLambertMaterial color={metal} />
    </mesh>
  );
}

function Standing({ thing }: { thing: ThingSolid }) {
  return (
    <mesh position={thing.middle}>
      <boxGeometry args={thing.size} />
      <meshLambertMaterial color={ghost} transparent opacity={0.75} emissive={ghostEdge} emissiveIntensity={0.1} />
    </mesh>
  );
}

/** A piece in space, drawn anew only when something changes. */
export default function SolidScene({
  scene,
  selection,
  contents,
  onPick,
}: {
  scene: Scene;
  selection: string;
  contents: boolean;
  onPick: (id: string) => void;
}) {
  return (
    <Canvas frameloop="demand" camera={{ fov: 35 }} style={{ background: film }} aria-label="The piece in space; the table lists the same">
      <ambientLight intensity={1.6} />
      <directionalLight position={[1, 2, 3]} intensity={1.8} />
      <Turning middle={scene.middle} reach={scene.reach} />
      {scene.solids.map((solid) => (
        <Board key={solid.id} solid={solid} selected={solid.id === selection} onPick={onPick} />
      ))}
      {scene.feet.map((foot, i) => (
        <Foot key={i} foot={foot} />
      ))}
      {contents ? scene.things.map((thing, i) => <Standing key={`${thing.space}/${i}`} thing={thing} />) : null}
    </Canvas>
  );
}
