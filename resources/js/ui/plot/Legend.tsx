import { strokeOf, type Mark } from './Lines';
import { valueAt, type Series } from './scales';

const digits = (one: Series) => one.digits ?? 2;

/** A value as it stands below the drawing; null where the line has none. */
export const reading = (one: Series, x: number) => valueAt(one.points, x)?.toFixed(digits(one)) ?? null;

/** What the lines are, and their values under the cursor. */
export function Legend({ id, series, cursor, xName }: { id: string; series: readonly Series[]; cursor: number | null; xName: string }) {
    return (
        <figcaption id={id} className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-sm">
            <span className="figures w-28 font-semibold">{cursor === null ? 'point at it' : `${cursor.toFixed(2)} ${xName === 'hours' ? 'h' : xName}`}</span>
            {series.map((one) => {
                const value = cursor === null ? null : reading(one, cursor);
                return (
                    <span key={one.name} className={`flex items-center gap-1.5 ${one.line === 'none' && value === null ? 'invisible' : ''}`}>
                        {one.line !== 'none' && (
                            <svg width="30" height="8" aria-hidden="true">
                                <line x1="0" x2="30" y1="4" y2="4" {...strokeOf(one)} />
                            </svg>
                        )}
                        {one.name}
                        <span className="figures min-w-16 font-semibold">{value === null ? '' : `${value} ${one.unit}`}</span>
                    </span>
                );
            })}
        </figcaption>
    );
}

export function MarkList({ marks }: { marks: readonly Mark[] }) {
    return (
        <ol className="mt-2 max-w-prose list-decimal pl-6 text-[0.95rem]">
            {marks.map((mark) => (
                <li key={`${mark.x} ${mark.says}`}>
                    <span className="figures font-semibold">{mark.x.toFixed(2)} h</span> {mark.says}
                </li>
            ))}
        </ol>
    );
}

/** The same figures as a table, no more than some two dozen rows. */
export function PlotTable({ label, series, xName }: { label: string; series: readonly Series[]; xName: string }) {
    const every = Math.max(1, Math.floor(Math.max(...series.map((one) => one.points.length)) / 24));
    const points = series[0]?.points ?? [];
    const rows = points.filter((_, index) => index % every === 0 || index === points.length - 1);
    return (
        <details className="mt-2">
            <summary className="min-h-6 cursor-pointer text-pencil">As a table</summary>
            <div className="max-h-80 max-w-2xl overflow-auto" tabIndex={0} role="region" aria-label={`${label}, as a table`}>
                <table className="figures w-full text-sm">
                    <thead>
                        <tr className="border-b border-ink text-right">
                            <th className="p-1">{xName}</th>
                            {series.map((one) => (
                                <th key={one.name} className="p-1">
                                    {one.name} ({one.unit})
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {rows.map(([x]) => (
                            <tr key={x} className="border-b border-dotted border-line text-right">
                                <td className="p-1">{x.toFixed(2)}</td>
                                {series.map((one) => (
                                    <td key={one.name} className="p-1">
                                        {reading(one, x) ?? '–'}
                                    </td>
                                ))}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </details>
    );
}
