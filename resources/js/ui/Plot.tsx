import { useId, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { number } from './format';

export interface Series {
    name: string;
    unit: string;
    points: readonly (readonly [number, number])[];
    /** Which of the two scales it is read on. */
    side: 'left' | 'right';
    /** Lines are told apart without colour; "none" is not drawn, but read by the cursor and in the table. */
    line: 'solid' | 'dashed' | 'dotted' | 'none';
    /** Drawn in the accent: the one that matters most. */
    strong?: boolean;
    digits?: number;
}

interface Mark {
    x: number;
    says: string;
}

const dashes = { solid: undefined, dashed: '9 5', dotted: '2 5', none: undefined };
const wide = 920;
const high = 330;
const room = { left: 54, right: 54, top: 26, bottom: 40 };

/** Even steps of 1, 2 or 5 that cover a range. */
function ticks(least: number, most: number, about: number): number[] {
    const rough = Math.max((most - least) / about, 1e-9);
    const power = 10 ** Math.floor(Math.log10(rough));
    const step = ([1, 2, 5, 10].find((one) => one * power >= rough) ?? 10) * power;
    const found: number[] = [];
    for (let at = Math.ceil(least / step - 1e-9) * step; at <= most + step * 1e-6; at += step) found.push(Number(at.toPrecision(10)));
    return found;
}

function at(points: Series['points'], x: number): number | null {
    for (let index = 1; index < points.length; index++) {
        const [from, to] = [points[index - 1], points[index]];
        if (from !== undefined && to !== undefined && x <= to[0]) {
            return x < from[0] ? null : to[0] === from[0] ? to[1] : from[1] + ((to[1] - from[1]) * (x - from[0])) / (to[0] - from[0]);
        }
    }
    return points.length > 0 && x <= (points[points.length - 1]?.[0] ?? 0) + 1e-9 ? (points[points.length - 1]?.[1] ?? null) : null;
}

function range(series: readonly Series[], fromZero: boolean): [number, number] {
    const values = series.flatMap((one) => one.points.map((point) => point[1]));
    const least = fromZero ? Math.min(0, ...values) : Math.min(...values);
    const most = Math.max(...values);
    const spare = (most - least || Math.abs(most) || 1) * 0.06;
    return [least < 0 || !fromZero ? least - spare : 0, most + spare];
}

/** Lines over time with a cursor that reads them. The same figures stand in the table below. */
export function Plot({ series, marks = [], label, xName = 'hours' }: { series: readonly Series[]; marks?: readonly Mark[]; label: string; xName?: string }) {
    const id = useId();
    const [cursor, setCursor] = useState<number | null>(null);
    const full = series.filter((one) => one.points.length > 1);
    const mostX = Math.max(1e-6, ...full.flatMap((one) => one.points.map((point) => point[0])));
    const drawn = full.filter((one) => one.line !== 'none');
    const left = drawn.filter((one) => one.side === 'left');
    const right = drawn.filter((one) => one.side === 'right');
    if (drawn.length === 0) return null;
    const scales = { left: range(left.length > 0 ? left : right, false), right: range(right.length > 0 ? right : left, true) };
    const x = (value: number) => room.left + (value / mostX) * (wide - room.left - room.right);
    const y = (value: number, side: 'left' | 'right') => {
        const [least, most] = scales[side];
        return high - room.bottom - ((value - least) / (most - least)) * (high - room.top - room.bottom);
    };
    const digits = (one: Series) => one.digits ?? 2;
    const follow = (event: PointerEvent<SVGSVGElement>) => {
        const box = event.currentTarget.getBoundingClientRect();
        const value = (((event.clientX - box.left) / box.width) * wide - room.left) / (wide - room.left - room.right);
        setCursor(Math.min(mostX, Math.max(0, value * mostX)));
    };
    const step = (event: KeyboardEvent) => {
        const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
        if (by !== 0) {
            event.preventDefault();
            setCursor(Math.min(mostX, Math.max(0, (cursor ?? 0) + (by * mostX) / 50)));
        }
        if (event.key === 'Escape') setCursor(null);
    };
    const every = Math.max(1, Math.floor(Math.max(...full.map((one) => one.points.length)) / 24));
    const first = full[0];
    const rows = first === undefined ? [] : first.points.filter((_, index) => index % every === 0 || index === first.points.length - 1);
    return (
        <figure className="min-w-0">
            <div className="overflow-x-auto">
                <svg
                    viewBox={`0 0 ${wide} ${high}`}
                    className="dot-grid w-full min-w-[44rem] cursor-crosshair touch-pan-y border border-line bg-leaf"
                    role="slider"
                    tabIndex={0}
                    aria-label={`${label}. The arrow keys move the cursor.`}
                    aria-valuemin={0}
                    aria-valuemax={Number(mostX.toFixed(2))}
                    aria-valuenow={Number((cursor ?? 0).toFixed(2))}
                    aria-valuetext={
                        cursor === null
                            ? 'no cursor'
                            : `${number(cursor)} ${xName}: ${full.map((one) => `${one.name} ${at(one.points, cursor)?.toFixed(digits(one)) ?? 'none'} ${one.unit}`).join(', ')}`
                    }
                    aria-describedby={`${id}-says`}
                    onPointerMove={follow}
                    onPointerDown={follow}
                    onPointerLeave={() => setCursor(null)}
                    onKeyDown={step}
                >
                    {ticks(0, mostX, 9).map((value) => (
                        <g key={value}>
                            <line x1={x(value)} x2={x(value)} y1={room.top} y2={high - room.bottom} stroke="var(--line)" />
                            <text x={x(value)} y={high - room.bottom + 18} textAnchor="middle" className="figures" fontSize="15" fill="var(--ink)">
                                {number(value)}
                            </text>
                        </g>
                    ))}
                    <text x={wide / 2} y={high - 6} textAnchor="middle" fontSize="15" fill="var(--pencil)">
                        {xName}
                    </text>
                    {(['left', 'right'] as const).map((side) => {
                        const own = side === 'left' ? left : right;
                        const edge = side === 'left' ? room.left : wide - room.right;
                        return own.length === 0 ? null : (
                            <g key={side}>
                                {ticks(scales[side][0], scales[side][1], 6).map((value) => (
                                    <g key={value}>
                                        {side === 'left' && (
                                            <line x1={room.left} x2={wide - room.right} y1={y(value, side)} y2={y(value, side)} stroke="var(--line)" />
                                        )}
                                        <text
                                            x={side === 'left' ? edge - 8 : edge + 8}
                                            y={y(value, side) + 4}
                                            textAnchor={side === 'left' ? 'end' : 'start'}
                                            className="figures"
                                            fontSize="15"
                                            fill="var(--ink)"
                                        >
                                            {Number(value.toPrecision(4))}
                                        </text>
                                    </g>
                                ))}
                                <text
                                    x={side === 'left' ? edge - 8 : edge + 8}
                                    y={15}
                                    textAnchor={side === 'left' ? 'end' : 'start'}
                                    fontSize="15"
                                    fontWeight="600"
                                    fill="var(--pencil)"
                                >
                                    {[...new Set(own.map((one) => one.unit).filter((unit) => unit !== ''))].join(', ')}
                                </text>
                            </g>
                        );
                    })}
                    {drawn.map((one) => (
                        <polyline
                            key={one.name}
                            fill="none"
                            stroke={one.strong === true ? 'var(--pen)' : 'var(--ink)'}
                            strokeWidth={one.strong === true ? 3 : 1.8}
                            strokeDasharray={dashes[one.line]}
                            points={one.points.map(([px, py]) => `${x(px).toFixed(1)},${y(py, one.side).toFixed(1)}`).join(' ')}
                        />
                    ))}
                    {marks.map((mark, index) => (
                        <g key={`${mark.x} ${mark.says}`}>
                            <line x1={x(mark.x)} x2={x(mark.x)} y1={room.top} y2={high - room.bottom} stroke="var(--ink)" strokeDasharray="3 4" />
                            <path d={`M${x(mark.x)} ${room.top} h-18 v-16 h18 z`} fill="var(--ink)" />
                            <text x={x(mark.x) - 9} y={room.top - 4} textAnchor="middle" fontSize="13" fontWeight="700" fill="var(--leaf)">
                                {index + 1}
                            </text>
                        </g>
                    ))}
                    {cursor !== null && (
                        <g pointerEvents="none">
                            <line x1={x(cursor)} x2={x(cursor)} y1={room.top} y2={high - room.bottom} stroke="var(--pen)" strokeWidth="1.5" />
                            {drawn.map((one) => {
                                const value = at(one.points, cursor);
                                return value === null ? null : (
                                    <circle
                                        key={one.name}
                                        cx={x(cursor)}
                                        cy={y(value, one.side)}
                                        r="4.5"
                                        fill="var(--leaf)"
                                        stroke="var(--pen)"
                                        strokeWidth="2"
                                    />
                                );
                            })}
                        </g>
                    )}
                </svg>
            </div>
            <figcaption id={`${id}-says`} className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-sm">
                <span className="figures w-28 font-semibold">
                    {cursor === null ? 'point at it' : `${cursor.toFixed(2)} ${xName === 'hours' ? 'h' : xName}`}
                </span>
                {full.map((one) => {
                    const value = cursor === null ? null : at(one.points, cursor);
                    return (
                        <span key={one.name} className={`flex items-center gap-1.5 ${one.line === 'none' && value === null ? 'invisible' : ''}`}>
                            {one.line !== 'none' && (
                                <svg width="30" height="8" aria-hidden="true">
                                    <line
                                        x1="0"
                                        x2="30"
                                        y1="4"
                                        y2="4"
                                        stroke={one.strong === true ? 'var(--pen)' : 'var(--ink)'}
                                        strokeWidth={one.strong === true ? 3 : 1.8}
                                        strokeDasharray={dashes[one.line]}
                                    />
                                </svg>
                            )}
                            {one.name}
                            <span className="figures min-w-16 font-semibold">{value === null ? '' : `${value.toFixed(digits(one))} ${one.unit}`}</span>
                        </span>
                    );
                })}
            </figcaption>
            {marks.length > 0 && (
                <ol className="mt-2 max-w-prose list-decimal pl-6 text-[0.95rem]">
                    {marks.map((mark) => (
                        <li key={`${mark.x} ${mark.says}`}>
                            <span className="figures font-semibold">{mark.x.toFixed(2)} h</span> {mark.says}
                        </li>
                    ))}
                </ol>
            )}
            <details className="mt-2">
                <summary className="min-h-6 cursor-pointer text-pencil">As a table</summary>
                <div className="max-h-80 max-w-2xl overflow-auto" tabIndex={0} role="region" aria-label={`${label}, as a table`}>
                    <table className="figures w-full text-sm">
                        <thead>
                            <tr className="border-b border-ink text-right">
                                <th className="p-1">{xName}</th>
                                {full.map((one) => (
                                    <th key={one.name} className="p-1">
                                        {one.name} ({one.unit})
                                    </th>
                                ))}
                            </tr>
                        </thead>
                        <tbody>
                            {rows.map(([px]) => (
                                <tr key={px} className="border-b border-dotted border-line text-right">
                                    <td className="p-1">{px.toFixed(2)}</td>
                                    {full.map((one) => (
                                        <td key={one.name} className="p-1">
                                            {at(one.points, px)?.toFixed(digits(one)) ?? '–'}
                                        </td>
                                    ))}
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </div>
            </details>
        </figure>
    );
}
