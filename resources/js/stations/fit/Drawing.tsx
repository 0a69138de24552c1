import { useRef, useState, type KeyboardEvent, type PointerEvent, type SVGProps } from 'react';
import type { Fit, FitBox, FitPiece } from '../../api/client';
import { shadeOf } from './shades';
import { moved, nearestLast, placeOf, shifted, snapped, type Axis, type Place, type View } from './views';

interface Props {
    fit: Fit;
    view: View;
    /** Pixels a millimetre; the same in all three views. */
    scale: number;
    /** What the drawing goes over, in millimetres. */
    extent: Place;
    chosen: string | null;
    overrides: Record<string, Place>;
    mayMove: boolean;
    choose: (key: string | null) => void;
    /** While it is moved: only drawn. */
    onMove: (piece: FitPiece, to: Place) => void;
    /** When it is let go: told to the application. */
    onLet: (piece: FitPiece, to: Place) => void;
    onKey: (piece: FitPiece, event: KeyboardEvent) => void;
    hands?: boolean;
}

const pad = 9;
const snapPx = 7;

/** One of the three views, to scale: what lies where, what does not hold, and pieces that can be moved. */
export function Drawing(props: Props) {
    const { fit, view, scale, extent, chosen, overrides, choose } = props;
    const [a, b] = [view.across, view.down];
    const [wide, high] = [extent[a], extent[b]];
    const inside = fit.room?.insideMm ?? null;
    const wall = fit.room?.wallMm ?? 0;
    const lying = nearestLast(
        fit.pieces.filter((piece) => piece.box !== null),
        view,
    );
    return (
        <figure className="m-0 min-w-0">
            <figcaption className="text-sm text-pencil">
                {view.title}
                {inside !== null && (
                    <span className="figures">
                        {' '}
                        {inside[a]?.toFixed(1)} × {inside[b]?.toFixed(1)} mm
                    </span>
                )}
            </figcaption>
            <svg
                className="dot-grid max-w-full touch-pan-y bg-leaf"
                width={wide * scale + 2 * pad}
                height={high * scale + 2 * pad}
                viewBox={`${-pad / scale} ${-pad / scale} ${wide + (2 * pad) / scale} ${high + (2 * pad) / scale}`}
                role="group"
                aria-label={view.title}
                onPointerDown={() => choose(null)}
            >
                {inside !== null && (
                    <>
                        <rect
                            x={-Math.min(wall, 4)}
                            y={-Math.min(wall, 4)}
                            width={(inside[a] ?? 0) + 2 * Math.min(wall, 4)}
                            height={(inside[b] ?? 0) + 2 * Math.min(wall, 4)}
                            fill="none"
                            stroke="var(--edge)"
                            strokeWidth={1 / scale}
                        />
                        <rect x={0} y={0} width={inside[a]} height={inside[b]} fill="none" stroke="var(--ink)" strokeWidth={1.6 / scale} />
                    </>
                )}
                {fit.room?.ribs.map((rib, at) => (
                    <BoxOn key={at} box={rib.box} view={view} fill="var(--edge)" />
                ))}
                {lying.map((piece) => (
                    <Block key={piece.key} {...props} piece={piece} />
                ))}
                {lying.flatMap((piece) =>
                    piece.solid.map((solid, nth) => {
                        const shown = shifted(solid, placeOf(piece.box as FitBox), overrides[piece.key] ?? placeOf(piece.box as FitBox));
                        return (
                            <BoxOn
                                key={`${piece.key} ${nth}`}
                                box={shown}
                                view={view}
                                fill="none"
                                stroke="var(--ink)"
                                strokeOpacity={0.55}
                                strokeWidth={0.7 / scale}
                                strokeDasharray={`${3 / scale} ${3 / scale}`}
                                pointerEvents="none"
                            />
                        );
                    }),
                )}
                {fit.troubles
                    .filter((trouble) => trouble.where !== null && trouble.verdict !== 'unmeasured' && overrides[trouble.piece] === undefined)
                    .map((trouble, at) => {
                        const where = trouble.where as FitBox;
                        const ink = trouble.verdict === 'clash' ? 'var(--clash)' : 'var(--tight)';
                        return (
                            <rect
                                key={at}
                                x={where[a]}
                                y={where[b]}
                                width={Math.max(where[a + 3] ?? 0, 1.5 / scale)}
                                height={Math.max(where[b + 3] ?? 0, 1.5 / scale)}
                                fill={ink}
                                fillOpacity={trouble.verdict === 'clash' ? 0.45 : 0.12}
                                stroke={ink}
                                strokeWidth={1.6 / scale}
                                strokeDasharray={trouble.verdict === 'clash' ? undefined : `${4 / scale} ${3 / scale}`}
                                pointerEvents="none"
                            />
                        );
                    })}
                {props.hands === true && view.name === 'face' && <Thumbs fit={fit} scale={scale} />}
                {chosen !== null && overrides[chosen] !== undefined && <Distances {...props} />}
            </svg>
        </figure>
    );
}

/** A box as one view shows it. */
function BoxOn({ box, view, ...look }: { box: FitBox; view: View } & SVGProps<SVGRectElement>) {
    return <rect {...look} x={box[view.across]} y={box[view.down]} width={box[view.across + 3]} height={box[view.down + 3]} />;
}

function Block(props: Props & { piece: FitPiece }) {
    const { piece, view, scale, chosen, overrides, mayMove, choose, onMove, onLet, onKey, fit } = props;
    const [a, b] = [view.across, view.down];
    const box = piece.box as FitBox;
    const from = placeOf(box);
    const at = overrides[piece.key] ?? from;
    const isChosen = chosen === piece.key;
    const grip = useRef<{ x: number; y: number; place: Place } | null>(null);
    const [held, setHeld] = useState(false);
    const trouble = fit.troubles.find((one) => (one.piece === piece.key || one.other === piece.key) && one.verdict === 'clash');
    const down = (event: PointerEvent<SVGGElement>) => {
        event.stopPropagation();
        choose(piece.key);
        event.currentTarget.focus();
        if (!mayMove || piece.pose?.pinned === true || event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        grip.current = { x: event.clientX, y: event.clientY, place: at };
        setHeld(true);
    };
    const move = (event: PointerEvent<SVGGElement>) => {
        const start = grip.current;
        if (start === null) return;
        const others = fit.pieces.filter((one) => one.key !== piece.key && one.box !== null).map((one) => one.box as FitBox);
        const to: Place = [...start.place];
        // A picture of another size than it was drawn in has another scale.
        const drawn = (event.currentTarget.ownerSVGElement?.getScreenCTM()?.a ?? scale) || scale;
        for (const [axis, pixels] of [
            [a, event.clientX - start.x],
            [b, event.clientY - start.y],
        ] as [Axis, number][]) {
            const wall = fit.room?.drawn === true ? null : (fit.room?.insideMm?.[axis] ?? null);
            to[axis] = snapped(start.place[axis] + pixels / drawn, box[axis + 3] ?? 0, axis, others, wall, fit.room?.gapsMm[axis] ?? 0, snapPx / drawn);
        }
        onMove(piece, to);
    };
    const up = () => {
        if (grip.current === null) return;
        const start = grip.current.place;
        grip.current = null;
        setHeld(false);
        if (at.some((mm, axis) => mm !== start[axis])) onLet(piece, at);
    };
    const width = box[a + 3] ?? 0;
    const height = box[b + 3] ?? 0;
    const size = Math.max(8.5 / scale, Math.min(12 / scale, height * 0.8, (width * 1.7) / Math.max(4, piece.name.length)));
    const letters = Math.floor(width / (size * 0.55));
    const label = letters >= piece.name.length ? piece.name : letters >= 4 ? `${piece.name.slice(0, letters - 1)}…` : '';
    return (
        <g
            role="button"
            tabIndex={0}
            aria-label={`${piece.name}, ${at.map((mm) => mm.toFixed(1)).join(', ')}${piece.pose?.pinned === true ? ', pinned' : ''}`}
            aria-pressed={isChosen}
            className={`outline-none ${mayMove && piece.pose?.pinned !== true ? (held ? 'cursor-grabbing' : 'cursor-grab') : 'cursor-pointer'}`}
            onPointerDown={down}
            onPointerMove={move}
            onPointerUp={up}
            onPointerCancel={up}
            onFocus={() => choose(piece.key)}
            onKeyDown={(event) => {
                const to = mayMove ? moved(at, event.key, event.shiftKey, view) : null;
                if (to === null) {
                    onKey(piece, event);
                } else if (piece.pose?.pinned !== true) {
                    event.preventDefault();
                    onMove(piece, to);
                }
            }}
            onBlur={() => {
                if (overrides[piece.key] !== undefined && grip.current === null) onLet(piece, at);
            }}
        >
            {piece.solid.map((solid, nth) => {
                const shown = shifted(solid, from, at);
                return (
                    <BoxOn
                        key={nth}
                        box={shown}
                        view={view}
                        rx={Math.min(1, width / 8)}
                        fill={shadeOf[piece.kind]}
                        stroke={trouble === undefined ? 'var(--ink)' : 'var(--clash)'}
                        strokeWidth={(isChosen ? 2.6 : 1) / scale}
                    />
                );
            })}
            {piece.free.map((free, nth) => {
                const shown = shifted(free, from, at);
                return (
                    <BoxOn
                        key={nth}
                        box={shown}
                        view={view}
                        fill="none"
                        stroke="var(--pencil)"
                        strokeWidth={0.8 / scale}
                        strokeDasharray={`${2 / scale} ${2 / scale}`}
                    />
                );
            })}
            {label !== '' && height > size * 0.9 && (
                <text
                    x={at[a] + width / 2}
                    y={at[b] + height / 2}
                    fontSize={size}
                    textAnchor="middle"
                    dominantBaseline="central"
                    fill="var(--ink)"
                    pointerEvents="none"
                    className="select-none"
                >
                    {label}
                </text>
            )}
            {piece.pose?.pinned === true && (
                <circle cx={at[a] + 3 / scale + 2 / scale} cy={at[b] + 5 / scale} r={3 / scale} fill="var(--ink)">
                    <title>pinned</title>
                </circle>
            )}
        </g>
    );
}

/** How far the moved piece is from the walls. */
function Distances({ fit, view, scale, chosen, overrides }: Props) {
    const piece = fit.pieces.find((one) => one.key === chosen);
    const at = chosen === null ? undefined : overrides[chosen];
    if (piece?.box == null || at === undefined) return null;
    const [a, b] = [view.across, view.down];
    return (
        <text x={at[a]} y={at[b] - 3 / scale} fontSize={11 / scale} fill="var(--pen)" className="figures" pointerEvents="none">
            {at[a].toFixed(1)} | {at[b].toFixed(1)}
        </text>
    );
}

/** Where the thumbs of three hands reach from both edges. */
function Thumbs({ fit, scale }: { fit: Fit; scale: number }) {
    const inside = fit.room?.insideMm;
    if (inside == null || fit.hands === null) return null;
    const [long = 0] = inside;
    const { easyMm, gripsMm } = fit.hands;
    return (
        <g fill="none" stroke="var(--pen)" strokeWidth={1 / scale} pointerEvents="none">
            {(['left', 'right'] as const).flatMap((side) =>
                Object.entries(easyMm).map(([hand, mm]) => (
                    <g key={`${side} ${hand}`}>
                        <circle
                            cx={side === 'left' ? 0 : long}
                            cy={gripsMm[side]}
                            r={mm}
                            strokeDasharray={hand === 'middle' ? undefined : `${3 / scale} ${3 / scale}`}
                        />
                        <text
                            x={side === 'left' ? mm : long - mm}
                            y={gripsMm[side]}
                            fontSize={9 / scale}
                            stroke="none"
                            fill="var(--pen)"
                            textAnchor={side === 'left' ? 'start' : 'end'}
                        >
                            {hand}
                        </text>
                    </g>
                )),
            )}
        </g>
    );
}
