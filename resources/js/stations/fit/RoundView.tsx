import { Canvas, useThree } from '@react-three/fiber';
import { memo, useEffect, useMemo, useState } from 'react';
import { BoxGeometry, CanvasTexture, Color, EdgesGeometry, Plane, Vector3, type Camera, type OrthographicCamera, type WebGLRenderer } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Fit, FitBox, FitPiece } from '../../api/client';
import { inkOf, shadeOf, useLight } from './shades';

interface Look {
    /** Millimetres between one layer and the next when lifted apart. */
    lift: number;
    /** Share of the height below which nothing is shown; 0 shows all. */
    cut: number;
    /** Millimetres from the face down to which pieces are shown. */
    layers: number;
}

/** The console in the round: turned with the pointer or the keys, lifted apart, cut open, layer by layer. */
function RoundView({ fit, chosen, choose }: { fit: Fit; chosen: string | null; choose: (key: string | null) => void }) {
    const inside = fit.room?.insideMm ?? [100, 60, 20];
    const deep = Math.max(1, inside[2] ?? 20);
    const [look, setLook] = useState<Look>({ lift: 0, cut: 0, layers: deep });
    const [turn, setTurn] = useState<[number, number]>([-0.5, 0.55]);
    const light = useLight();
    const [canDraw] = useState(drawsInTheRound);
    const size = Math.max(...inside);
    if (!canDraw) {
        return (
            <p className="dot-grid border border-dashed border-edge p-4 text-sm">
                This browser does not draw in the round (WebGL is off). The three views and the table hold all of it.
            </p>
        );
    }
    const shown = { ...look, layers: look.layers >= deep - 0.01 ? Infinity : look.layers };
    return (
        <section aria-label="In the round" className="min-w-0">
            <div
                role="application"
                tabIndex={0}
                aria-label="Console in the round; arrow keys turn it"
                className="h-64 border border-line bg-leaf sm:h-72"
                onKeyDown={(event) => {
                    const by = { ArrowLeft: [-0.15, 0], ArrowRight: [0.15, 0], ArrowUp: [0, 0.15], ArrowDown: [0, -0.15] }[event.key];
                    if (by === undefined) return;
                    event.preventDefault();
                    setTurn(([across, up]) => [across + (by[0] ?? 0), Math.max(-1.5, Math.min(1.5, up + (by[1] ?? 0)))]);
                }}
            >
                <Canvas key={light} frameloop="demand" orthographic dpr={[1, 2]} onCreated={({ gl }) => letClip(gl)}>
                    <Scene fit={fit} inside={inside} look={shown} size={size} turn={turn} chosen={chosen} choose={choose} />
                </Canvas>
            </div>
            <div className="mt-1 grid grid-cols-[auto_1fr] items-center gap-x-2 text-sm">
                <Slider label="Lift apart" value={look.lift} most={Math.max(20, size / 3)} set={(lift) => setLook({ ...look, lift })} />
                <Slider label="Cut open" value={look.cut} most={0.95} set={(cut) => setLook({ ...look, cut })} />
                <Slider label="Layers" value={look.layers} most={deep} set={(layers) => setLook({ ...look, layers })} />
            </div>
        </section>
    );
}

export default memo(RoundView);

function Slider({ label, value, most, set }: { label: string; value: number; most: number; set: (value: number) => void }) {
    return (
        <label className="contents">
            <span>{label}</span>
            <input
                type="range"
                className="min-h-6 w-full accent-pen"
                min={0}
                max={most}
                step={most / 100}
                value={value}
                onChange={(event) => set(Number(event.target.value))}
            />
        </label>
    );
}

interface SceneProps {
    fit: Fit;
    inside: number[];
    look: Look;
    size: number;
    turn: [number, number];
    chosen: string | null;
    choose: (key: string | null) => void;
}

function Scene({ fit, inside, look, size, turn, chosen, choose }: SceneProps) {
    const { camera, gl, invalidate, size: canvas } = useThree();
    const order = [...fit.pieces].filter((piece) => piece.box !== null).sort((a, b) => (a.box?.[2] ?? 0) - (b.box?.[2] ?? 0));
    const steps = [...new Set(order.map((piece) => Math.round(piece.box?.[2] ?? 0)))];
    // Lifted apart, it wants more of the picture.
    const far = look.lift * Math.max(0, steps.length - 1);
    const controls = useMemo(() => makeControls(camera, gl.domElement), [camera, gl]);
    useEffect(() => {
        controls.addEventListener('change', () => invalidate());
        return () => controls.dispose();
    }, [controls, invalidate]);
    useEffect(() => {
        lookFrom(camera as OrthographicCamera, turn, size, canvas, inside, far);
        controls.target.set(0, 0, 0);
        controls.update();
        invalidate();
    }, [camera, canvas, controls, far, inside, invalidate, size, turn]);
    useEffect(() => invalidate());
    // From the top down: what lies above the plane is gone.
    const plane = useMemo(() => new Plane(new Vector3(0, -1, 0), (inside[1] ?? 0) * (0.5 - look.cut)), [inside, look.cut]);
    const planes = useMemo(() => (look.cut > 0 ? [plane] : []), [look.cut, plane]);
    return (
        <>
            <ambientLight intensity={1.7} />
            <directionalLight position={[-size, size * 2, size * 3]} intensity={1.9} />
            {order
                .filter((piece) => (piece.box?.[2] ?? 0) <= look.layers)
                .map((piece) => (
                    <Blocks
                        key={piece.key}
                        piece={piece}
                        inside={inside}
                        away={-look.lift * steps.indexOf(Math.round(piece.box?.[2] ?? 0))}
                        planes={planes}
                        isChosen={chosen === piece.key}
                        choose={choose}
                    />
                ))}
            <Walls inside={inside} wall={fit.room?.wallMm ?? 0} planes={planes} />
        </>
    );
}

/** The whole of it in the picture, from that side. */
function lookFrom(
    camera: OrthographicCamera,
    [across, up]: [number, number],
    size: number,
    canvas: { width: number; height: number },
    inside: number[],
    far: number,
): void {
    camera.position.set(Math.sin(across) * Math.cos(up) * size * 4, Math.sin(up) * size * 4, Math.cos(across) * Math.cos(up) * size * 4);
    camera.zoom = Math.min(canvas.width / (size * 1.35 + far * 0.8), canvas.height / (Math.max(inside[1] ?? 1, size * 0.62) * 1.35 + far * 0.9));
    camera.near = 0.1;
    camera.far = size * 12;
    camera.updateProjectionMatrix();
}

function makeControls(camera: Camera, paper: HTMLElement): OrbitControls {
    const controls = new OrbitControls(camera, paper);
    controls.enablePan = false;
    return controls;
}

/** Without WebGL there is no picture in the round. */
function drawsInTheRound(): boolean {
    return document.createElement('canvas').getContext('webgl2') !== null;
}

function letClip(renderer: WebGLRenderer): void {
    renderer.localClippingEnabled = true;
}

/** Millimetres of the page (down, into the depth) as the round view has them (up, towards whoever looks). */
const middle = (box: FitBox, inside: number[]): [number, number, number] => [
    (box[0] ?? 0) + (box[3] ?? 0) / 2 - (inside[0] ?? 0) / 2,
    (inside[1] ?? 0) / 2 - (box[1] ?? 0) - (box[4] ?? 0) / 2,
    (inside[2] ?? 0) / 2 - (box[2] ?? 0) - (box[5] ?? 0) / 2,
];

interface BlocksProps {
    piece: FitPiece;
    inside: number[];
    away: number;
    planes: Plane[];
    isChosen: boolean;
    choose: (key: string | null) => void;
}

function Blocks({ piece, inside, away, planes, isChosen, choose }: BlocksProps) {
    const shade = useMemo(() => new Color(inkOf(shadeOf[piece.kind])), [piece.kind]);
    const ink = useMemo(() => new Color(inkOf(isChosen ? 'var(--pen)' : 'var(--ink)')), [isChosen]);
    const label = useMemo(() => nameOn(piece), [piece]);
    return (
        <group position={[0, 0, away]}>
            {piece.solid.map((box, nth) => {
                const sides: [number, number, number] = [box[3] ?? 1, box[4] ?? 1, box[5] ?? 1];
                const [x, y, z] = middle(box, inside);
                return (
                    <group key={nth} position={[x, y, z]}>
                        <mesh
                            onClick={(event) => {
                                event.stopPropagation();
                                choose(piece.key);
                            }}
                        >
                            <boxGeometry args={sides} />
                            <meshLambertMaterial color={shade} clippingPlanes={planes} polygonOffset polygonOffsetFactor={1} polygonOffsetUnits={1} />
                        </mesh>
                        <Edges sides={sides} ink={ink} planes={planes} />
                        {nth === 0 && (
                            <mesh position={[0, 0, sides[2] / 2 + 0.05]}>
                                <planeGeometry args={[sides[0], sides[1]]} />
                                <meshBasicMaterial map={label} transparent clippingPlanes={planes} depthWrite={false} />
                            </mesh>
                        )}
                    </group>
                );
            })}
        </group>
    );
}

function Edges({ sides, ink, planes }: { sides: [number, number, number]; ink: Color; planes: Plane[] }) {
    const [l, w, h] = sides;
    const edges = useMemo(() => new EdgesGeometry(new BoxGeometry(l, w, h)), [l, w, h]);
    return (
        <lineSegments geometry={edges}>
            <lineBasicMaterial color={ink} clippingPlanes={planes} />
        </lineSegments>
    );
}

function Walls({ inside, wall, planes }: { inside: number[]; wall: number; planes: Plane[] }) {
    const ink = useMemo(() => new Color(inkOf('var(--edge)')), []);
    const sides: [number, number, number] = [(inside[0] ?? 0) + 2 * wall, (inside[1] ?? 0) + 2 * wall, (inside[2] ?? 0) + 2 * wall];
    return <Edges sides={sides} ink={ink} planes={planes} />;
}

/** The name of a piece, written on its face. */
function nameOn(piece: FitPiece): CanvasTexture {
    const box = piece.solid[0] ?? [0, 0, 0, 1, 1, 1];
    const [wide, high] = [box[3] ?? 1, box[4] ?? 1];
    const canvas = document.createElement('canvas');
    canvas.width = 512;
    canvas.height = Math.max(16, Math.min(1024, Math.round((512 * high) / wide)));
    const pen = canvas.getContext('2d');
    if (pen !== null) {
        const size = Math.min(canvas.height * 0.5, (512 * 1.6) / Math.max(5, piece.name.length), 70);
        pen.font = `${size}px "Atkinson Hyperlegible Next Variable", sans-serif`;
        pen.fillStyle = inkOf('var(--ink)');
        pen.textAlign = 'center';
        pen.textBaseline = 'middle';
        pen.fillText(piece.name, 256, canvas.height / 2, 490);
    }
    return new CanvasTexture(canvas);
}
