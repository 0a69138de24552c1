import { useEffect, useState } from 'react';
import type { BandLine, PowerBand } from '../../api/client';
import { readLines } from '../../api/stream';
import { useOpenBuild } from '../../frame/useBuild';
import { hours } from '../../ui/electric';

/** Five hundred runs with every figure drawn from its band; the page does not wait for them. */
export function HowSure({ profile, celsius, open }: { profile: number; celsius: string; open: boolean }) {
    const { build } = useOpenBuild();
    const [told, setTold] = useState<BandLine | null>(null);
    const [problem, setProblem] = useState<string | null>(null);
    useEffect(() => {
        if (!open) return undefined;
        const stop = new AbortController();
        readLines<BandLine>(`/builds/${build.id}/power/band?profile=${profile}${celsius === '' ? '' : `&celsius=${celsius}`}`, setTold, stop.signal).catch(
            (error: unknown) => {
                if (!stop.signal.aborted) setProblem(error instanceof Error ? error.message : 'It was broken off.');
            },
        );
        return () => stop.abort();
    }, [build.id, celsius, open, profile]);
    if (!open)
        return <p className="dot-grid border border-dashed border-edge p-6">Nothing can be drawn at random while figures are missing; they stand below.</p>;
    if (problem !== null) return <p role="alert">{problem}</p>;
    const band = told?.band;
    if (band === undefined || band === null) {
        const done = told?.done ?? 0;
        return (
            <p>
                <label>
                    Playing it through, <span className="figures">{done}</span> of 500 times
                    <progress className="mt-1 block h-3 w-full max-w-md" max={500} value={done} />
                </label>
            </p>
        );
    }
    return (
        <>
            <Middle band={band} />
            <Worth band={band} />
        </>
    );
}

function Middle({ band }: { band: PowerBand }) {
    const most = Math.max(1, ...band.histogram.map((bar) => bar.runs));
    return (
        <section aria-label="Scatter">
            <p className="mb-2 max-w-prose text-lg">
                Nine runs in ten last <strong className="figures">{hours(band.middle[0])}</strong> to{' '}
                <strong className="figures">{hours(band.middle[4])}</strong>; half of them {hours(band.middle[1])} to {hours(band.middle[3])}.
            </p>
            <ol className="flex h-40 max-w-3xl items-end gap-px border-b-2 border-ink" aria-label={`${band.runs} runs by their hours`}>
                {band.histogram.map((bar) => (
                    <li
                        key={bar.from}
                        className="group relative flex-1 bg-pen/60"
                        style={{ height: `${(bar.runs / most) * 100}%` }}
                        title={`${bar.from.toFixed(2)} to ${bar.to.toFixed(2)} h: ${bar.runs} runs`}
                    >
                        <span className="sr-only">
                            {bar.from.toFixed(2)} to {bar.to.toFixed(2)} h: {bar.runs} runs
                        </span>
                    </li>
                ))}
            </ol>
            <p className="figures flex max-w-3xl justify-between text-sm">
                <span>{band.histogram[0]?.from.toFixed(1)} h</span>
                <span>{band.histogram[Math.floor(band.histogram.length / 2)]?.from.toFixed(1)} h</span>
                <span>{band.histogram[band.histogram.length - 1]?.to.toFixed(1)} h</span>
            </p>
            <p className="text-sm text-pencil">
                {band.runs} runs, every figure drawn from its band, the usual most often; seed {band.seed}, so that the same build gives the same picture.
            </p>
            <details className="mt-1 mb-6">
                <summary className="min-h-6 cursor-pointer text-pencil">As a table</summary>
                <table className="figures text-sm">
                    <thead>
                        <tr className="border-b border-ink text-right">
                            <th className="p-1">from, h</th>
                            <th className="p-1 pl-6">to, h</th>
                            <th className="p-1 pl-6">runs</th>
                        </tr>
                    </thead>
                    <tbody>
                        {band.histogram.map((bar) => (
                            <tr key={bar.from} className="border-b border-dotted border-line text-right">
                                <td className="p-1">{bar.from.toFixed(2)}</td>
                                <td className="p-1 pl-6">{bar.to.toFixed(2)}</td>
                                <td className="p-1 pl-6">{bar.runs}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </details>
        </section>
    );
}

function Worth({ band }: { band: PowerBand }) {
    const most = Math.max(0.001, ...band.sensitivities.map((one) => one.worthHours));
    return (
        <section aria-label="Depends on">
            <h3 className="mb-1 text-lg">Depends on</h3>
            <table className="w-full max-w-4xl">
                <thead>
                    <tr className="border-b border-ink text-left text-sm">
                        <th className="p-1">what</th>
                        <th className="p-1">is worth</th>
                        <th className="p-1 pl-4">from</th>
                        <th className="p-1 pl-4">to</th>
                    </tr>
                </thead>
                <tbody>
                    {band.sensitivities.map((one) => (
                        <tr key={one.what} className="border-b border-dotted border-line align-top">
                            <td className="p-1 font-semibold">{one.what}</td>
                            <td className="w-[32%] p-1">
                                <span className="flex items-center gap-2">
                                    <span className="h-3 shrink-0 bg-pen" style={{ width: `${(one.worthHours / most) * 50}%` }} />
                                    <span className="figures text-sm whitespace-nowrap">{hours(one.worthHours)}</span>
                                </span>
                            </td>
                            <td className="p-1 pl-4 text-sm">
                                <span className="figures">{hours(one.badHours)}</span> {one.bad}
                            </td>
                            <td className="p-1 pl-4 text-sm">
                                <span className="figures">{hours(one.goodHours)}</span> {one.good}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}
