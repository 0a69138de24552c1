import { number } from '../format';
import { high, room, wide, type Scales, type Series } from './scales';

export function Axes({ series, scales, xName }: { series: readonly Series[]; scales: Scales; xName: string }) {
    const { x } = scales;
    return (
        <>
            {x.ticks(9).map((value) => (
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
                const own = series.filter((one) => one.side === side);
                return own.length === 0 ? null : <Side key={side} side={side} own={own} scales={scales} />;
            })}
        </>
    );
}

function Side({ side, own, scales }: { side: 'left' | 'right'; own: readonly Series[]; scales: Scales }) {
    const y = scales[side];
    const at = side === 'left' ? room.left - 8 : wide - room.right + 8;
    const anchor = side === 'left' ? 'end' : 'start';
    const units = [...new Set(own.map((one) => one.unit).filter((unit) => unit !== ''))];
    return (
        <g>
            {y.ticks(6).map((value) => (
                <g key={value}>
                    {side === 'left' && <line x1={room.left} x2={wide - room.right} y1={y(value)} y2={y(value)} stroke="var(--line)" />}
                    <text x={at} y={y(value) + 4} textAnchor={anchor} className="figures" fontSize="15" fill="var(--ink)">
                        {Number(value.toPrecision(4))}
                    </text>
                </g>
            ))}
            <text x={at} y={15} textAnchor={anchor} fontSize="15" fontWeight="600" fill="var(--pencil)">
                {units.join(', ')}
            </text>
        </g>
    );
}
