import { useId, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { number } from '../format';
import { Axes } from './Axes';
import { Legend, MarkList, PlotTable, reading } from './Legend';
import { Cursor, Lines, Marks, type Mark } from './Lines';
import { high, scalesFor, wide, type Series } from './scales';

export type { Series };

/** Lines over time with a cursor that reads them. The same figures stand in the table below. */
export function Plot({ series, marks = [], label, xName = 'hours' }: { series: readonly Series[]; marks?: readonly Mark[]; label: string; xName?: string }) {
    const id = useId();
    const [cursor, setCursor] = useState<number | null>(null);
    const full = series.filter((one) => one.points.length > 1);
    const drawn = full.filter((one) => one.line !== 'none');
    if (drawn.length === 0) return null;
    const scales = scalesFor(full);
    const mostX = scales.x.domain()[1] ?? 0;
    const within = (value: number) => Math.min(mostX, Math.max(0, value));
    const follow = (event: PointerEvent<SVGSVGElement>) => {
        const box = event.currentTarget.getBoundingClientRect();
        setCursor(within(scales.x.invert(((event.clientX - box.left) / box.width) * wide)));
    };
    const step = (event: KeyboardEvent) => {
        const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
        if (by !== undefined) {
            event.preventDefault();
            setCursor(within((cursor ?? 0) + (by * mostX) / 50));
        }
        if (event.key === 'Escape') setCursor(null);
    };
    const said = (at: number) => full.map((one) => `${one.name} ${reading(one, at) ?? 'none'} ${one.unit}`).join(', ');
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
                    aria-valuetext={cursor === null ? 'no cursor' : `${number(cursor)} ${xName}: ${said(cursor)}`}
                    aria-describedby={`${id}-says`}
                    onPointerMove={follow}
                    onPointerDown={follow}
                    onPointerLeave={() => setCursor(null)}
                    onKeyDown={step}
                >
                    <Axes series={drawn} scales={scales} xName={xName} />
                    <Lines series={drawn} scales={scales} />
                    <Marks marks={marks} scales={scales} />
                    {cursor !== null && <Cursor at={cursor} series={drawn} scales={scales} />}
                </svg>
            </div>
            <Legend id={`${id}-says`} series={full} cursor={cursor} xName={xName} />
            {marks.length > 0 && <MarkList marks={marks} />}
            <PlotTable label={label} series={full} xName={xName} />
        </figure>
    );
}
