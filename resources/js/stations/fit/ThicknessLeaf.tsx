import { scaleSequential } from 'd3-scale';
import { useState } from 'react';
import type { Fit } from '../../api/client';

/** How deep each place of the face goes, what lies over what there, and the column that decides. */
export function ThicknessLeaf({ fit }: { fit: Fit }) {
    const [at, setAt] = useState<number | null>(null);
    const { map } = fit;
    const inside = fit.room?.insideMm ?? null;
    if (map === null || inside === null) {
        return <p className="dot-grid border border-dashed border-edge p-6">Once the parts have their places, the thickness of every column stands here.</p>;
    }
    const [long = 1, tall = 1] = inside;
    const least = Math.min(...map.fields.map((field) => field.deepMm));
    const share = scaleSequential((t: number) => 8 + 74 * t).domain([Math.min(least, map.deepMm - 1), map.deepMm]);
    const fill = (mm: number) => `color-mix(in srgb, var(--pen) ${share(mm).toFixed(0)}%, var(--leaf))`;
    const name = (key: string) => fit.pieces.find((piece) => piece.key === key)?.name ?? key;
    const isDeciding = (field: (typeof map.fields)[number]) => field.deepMm === map.deepMm;
    const shown = at === null ? null : map.fields[at];
    const rows = [...map.fields].sort((a, b) => b.deepMm - a.deepMm);
    return (
        <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
            <div className="min-w-0">
                <p className="mb-2 text-lg">
                    <strong>{map.says}</strong> decide{map.deciding.length === 1 ? 's' : ''}: <strong className="figures">{map.deepMm.toFixed(1)} mm</strong>{' '}
                    from the face.
                </p>
                <svg
                    viewBox={`-2 -2 ${long + 4} ${tall + 4}`}
                    className="dot-grid max-h-[26rem] w-full border border-line bg-leaf"
                    role="img"
                    aria-label="Depth of each column, seen from the front"
                >
                    <rect width={long} height={tall} fill="none" stroke="var(--ink)" strokeWidth={long / 400} />
                    {map.fields.map((field, nth) => {
                        const [x = 0, y = 0, l = 0, w = 0] = field.at;
                        return (
                            <g key={nth} onPointerEnter={() => setAt(nth)}>
                                <rect
                                    x={x}
                                    y={y}
                                    width={l}
                                    height={w}
                                    fill={fill(field.deepMm)}
                                    stroke={isDeciding(field) ? 'var(--clash)' : 'var(--paper)'}
                                    strokeWidth={isDeciding(field) ? long / 160 : long / 700}
                                />
                                {l > long / 14 && w > tall / 12 && (
                                    <text
                                        x={x + l / 2}
                                        y={y + w / 2}
                                        fontSize={Math.min(long / 34, w * 0.6)}
                                        textAnchor="middle"
                                        dominantBaseline="central"
                                        fill="var(--ink)"
                                        stroke="var(--leaf)"
                                        strokeWidth={long / 110}
                                        paintOrder="stroke"
                                        className="figures"
                                        pointerEvents="none"
                                    >
                                        {field.deepMm.toFixed(1)}
                                    </text>
                                )}
                            </g>
                        );
                    })}
                </svg>
                <p className="min-h-6 text-sm" aria-live="polite">
                    {shown == null
                        ? 'Numbers are millimetres from the face; the deepest columns are framed.'
                        : `${shown.deepMm.toFixed(1)} mm deep: ${shown.pieces.map(name).join(', then ')}; ${(shown.deepMm - shown.solidMm).toFixed(1)} mm of it air`}
                </p>
            </div>
            <details open className="min-w-0">
                <summary className="min-h-6 cursor-pointer font-semibold">As a table</summary>
                <table className="w-full text-sm">
                    <thead>
                        <tr className="border-b border-ink text-left">
                            <th className="p-1">from the face down</th>
                            <th className="p-1 text-right">deep, mm</th>
                            <th className="p-1 text-right">air, mm</th>
                        </tr>
                    </thead>
                    <tbody>
                        {columns(rows).map((field, nth) => (
                            <tr key={nth} className={`border-b border-dotted border-line ${isDeciding(field) ? 'font-semibold' : ''}`}>
                                <td className="p-1">{field.pieces.map(name).join(', ')}</td>
                                <td className="figures p-1 text-right">{field.deepMm.toFixed(1)}</td>
                                <td className="figures p-1 text-right">{(field.deepMm - field.solidMm).toFixed(1)}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </details>
        </div>
    );
}

/** Fields with the same parts over each other are one column. */
function columns(fields: NonNullable<Fit['map']>['fields']) {
    const seen = new Map<string, (typeof fields)[number]>();
    for (const field of fields) {
        const key = `${field.pieces.join(' ')} ${field.deepMm}`;
        if (!seen.has(key)) seen.set(key, field);
    }
    return [...seen.values()];
}
