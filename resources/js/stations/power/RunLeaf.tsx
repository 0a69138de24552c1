import type { Power, PowerSource } from '../../api/client';
import { Plot } from '../../ui/plot/Plot';
import { ChargeStrip } from './ChargeStrip';
import { hours, percent } from '../../ui/electric';

/** One discharge from full until the first part gives up, and the band of every way of playing. */
export function RunLeaf({ source, report }: { source: PowerSource; report: Power }) {
    const { run } = source;
    const name = report.profiles[report.profile]?.name ?? '';
    return (
        <section className="mb-8" aria-label={`Run of ${source.name}`}>
            {run === null ? (
                <p className="dot-grid border border-dashed border-edge p-6">The run cannot be worked out while figures are missing; they stand below.</p>
            ) : run.hours === null ? (
                <p>Nothing is taken in this way of playing, so it never ends.</p>
            ) : (
                <>
                    <p className="mb-2 max-w-prose text-lg">
                        “{name}” lasts <strong className="figures">{hours(run.hours)}</strong>. {run.end === null ? '' : `It ends like this: ${run.end.says}`}
                    </p>
                    <Plot
                        label={`Discharge of ${source.name}, ${name}`}
                        series={[
                            { name: 'volts', unit: 'V', side: 'left', line: 'solid', strong: true, points: run.rows.map((row) => [row.h, row.volts]) },
                            {
                                name: 'volts in the heaviest state',
                                unit: 'V',
                                side: 'left',
                                line: 'dotted',
                                points: run.rows.map((row) => [row.h, row.heavyVolts]),
                            },
                            { name: 'amps', unit: 'A', side: 'right', line: 'dashed', digits: 3, points: run.rows.map((row) => [row.h, row.amps]) },
                            { name: 'charge left', unit: '%', side: 'left', line: 'none', digits: 0, points: run.rows.map((row) => [row.h, row.charge * 100]) },
                        ]}
                        marks={run.moments.map((moment) => ({ x: moment.h, says: moment.says }))}
                    />
                    <ChargeStrip label="Charge left" rows={run.rows.map((row) => [row.h, row.charge])} />
                    <p className="mt-3 max-w-prose">
                        Left inside by then: {percent(run.chargeLeft)} of the charge, <span className="figures">{run.leftWh.toFixed(2)} Wh</span>.
                    </p>
                    <WhereItWent used={run.used} />
                </>
            )}
            {source.ends.some((end) => end.usualHours !== null) && <Ends source={source} wanted={report.wantedHours} />}
        </section>
    );
}

function WhereItWent({ used }: { used: NonNullable<PowerSource['run']>['used'] }) {
    const parts = [
        ['into play', used.used],
        ['lost in converters', used.converters],
        ['in leads', used.leads],
        ['inside the pack', used.inside],
        ['by drawing in a hurry', used.rate],
    ] as const;
    return (
        <p className="mt-1 text-sm">
            Of <span className="figures">{used.stored.toFixed(2)} Wh</span> taken from the cells:{' '}
            {parts
                .filter(([, wh]) => wh > 0)
                .map(([words, wh]) => `${wh.toFixed(2)} Wh ${words}`)
                .join(', ')}
            .
        </p>
    );
}

/** Every way of playing as a band: worst, usual, best, with the wish drawn across. */
function Ends({ source, wanted }: { source: PowerSource; wanted: number | null }) {
    const most = Math.max(wanted ?? 0, ...source.ends.map((end) => end.mostHours ?? 0)) * 1.04 || 1;
    const at = (value: number) => `${(value / most) * 100}%`;
    return (
        <>
            <h3 className="mt-6 mb-1 text-lg">Every way of playing</h3>
            <ul className="relative border-t border-line">
                {source.ends.map((end) => (
                    <li key={end.profile} className="border-b border-dotted border-line py-2">
                        <div className="flex flex-wrap items-baseline justify-between gap-x-4">
                            <span className="font-semibold">{end.profile}</span>
                            <span className="figures text-sm">
                                {end.leastHours?.toFixed(1) ?? '–'} to {end.mostHours?.toFixed(1) ?? '–'} h, usually{' '}
                                <strong>{end.usualHours?.toFixed(1) ?? '–'} h</strong>
                            </span>
                        </div>
                        {end.leastHours !== null && end.mostHours !== null && end.usualHours !== null && (
                            <div className="relative my-1 h-4 bg-leaf" aria-hidden="true">
                                <span
                                    className="absolute inset-y-1 bg-pen/40"
                                    style={{ left: at(end.leastHours), width: at(end.mostHours - end.leastHours) }}
                                />
                                <span className="absolute inset-y-0 w-1 bg-pen" style={{ left: at(end.usualHours) }} />
                                {wanted !== null && <span className="absolute -inset-y-1 border-l-2 border-dashed border-ink" style={{ left: at(wanted) }} />}
                            </div>
                        )}
                        <p className="text-sm text-pencil">{end.says}</p>
                    </li>
                ))}
            </ul>
            {wanted !== null && (
                <p className="mt-1 text-sm text-pencil">
                    The dashed line is the wish of the brief, {hours(wanted)}. Bands run from every figure at its bad end to every figure at its good end.
                </p>
            )}
        </>
    );
}
