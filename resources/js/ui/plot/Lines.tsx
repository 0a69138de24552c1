import { line } from 'd3-shape';
import { high, room, valueAt, type Scales, type Series } from './scales';

export interface Mark {
    x: number;
    says: string;
}

const dashes = { solid: undefined, dashed: '9 5', dotted: '2 5', none: undefined };

export const strokeOf = (one: Series) => ({
    stroke: one.strong === true ? 'var(--pen)' : 'var(--ink)',
    strokeWidth: one.strong === true ? 3 : 1.8,
    strokeDasharray: dashes[one.line],
});

export function Lines({ series, scales }: { series: readonly Series[]; scales: Scales }) {
    return series.map((one) => {
        const path = line<readonly [number, number]>(
            (point) => scales.x(point[0]),
            (point) => scales[one.side](point[1]),
        ).digits(1);
        return <path key={one.name} fill="none" {...strokeOf(one)} d={path(one.points) ?? undefined} />;
    });
}

/** Flags on the upper edge; their numbers lead to the list below. */
export function Marks({ marks, scales }: { marks: readonly Mark[]; scales: Scales }) {
    return marks.map((mark, index) => {
        const x = scales.x(mark.x);
        return (
            <g key={`${mark.x} ${mark.says}`}>
                <line x1={x} x2={x} y1={room.top} y2={high - room.bottom} stroke="var(--ink)" strokeDasharray="3 4" />
                <path d={`M${x} ${room.top} h-18 v-16 h18 z`} fill="var(--ink)" />
                <text x={x - 9} y={room.top - 4} textAnchor="middle" fontSize="13" fontWeight="700" fill="var(--leaf)">
                    {index + 1}
                </text>
            </g>
        );
    });
}

export function Cursor({ at, series, scales }: { at: number; series: readonly Series[]; scales: Scales }) {
    const x = scales.x(at);
    return (
        <g pointerEvents="none">
            <line x1={x} x2={x} y1={room.top} y2={high - room.bottom} stroke="var(--pen)" strokeWidth="1.5" />
            {series.map((one) => {
                const value = valueAt(one.points, at);
                const y = value === null ? null : scales[one.side](value);
                return y === null ? null : <circle key={one.name} cx={x} cy={y} r="4.5" fill="var(--leaf)" stroke="var(--pen)" strokeWidth="2" />;
            })}
        </g>
    );
}
