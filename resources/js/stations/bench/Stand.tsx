import { useState } from 'react';
import { api, Problem, type BenchLine, type LogPreview } from '../../api/client';
import { readLines } from '../../api/stream';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { asNumber } from '../../ui/format';
import { amps, hours, volts } from '../../ui/electric';
import type { Kind } from './kinds';

/** The stand-in for a bench supply and meter. It fills the form as a real one would, and everything it says is marked. */
export function Stand({
    kind,
    line,
    fields,
    profiles,
    onStart,
    onStep,
    onRun,
}: {
    kind: Kind;
    line: string;
    fields: Record<string, string>;
    profiles: string[];
    onStart: () => void;
    onStep: (step: BenchLine) => void;
    onRun: (log: LogPreview, stopped: string) => void;
}) {
    const { build } = useOpenBuild();
    const [told, setTold] = useState<string | null>(null);
    const [problem, setProblem] = useState<string | null>(null);
    const [working, setWorking] = useState(false);
    if (kind !== 'sweep' && kind !== 'draw' && kind !== 'run') return null;
    // A sweep has to know where it begins, and by how much it goes down.
    const knowsWhere = kind !== 'sweep' || (asNumber(fields['from'] ?? '') > 0 && asNumber(fields['by'] ?? '') > 0);
    const start = async () => {
        setWorking(true);
        setProblem(null);
        onStart();
        const rows: number[][] = [];
        let why = 'went dark';
        const profile = Math.max(0, profiles.indexOf(fields['profile'] ?? profiles[0] ?? ''));
        const query = new URLSearchParams({
            kind,
            line,
            state: fields['state'] ?? 'usual',
            profile: String(profile),
            ...(kind === 'sweep' ? { from: String(asNumber(fields['from'] ?? '')), step: String(asNumber(fields['by'] ?? '')) } : {}),
            signal: fields['signal'] === 'no' ? '0' : '1',
        });
        try {
            await readLines<BenchLine>(
                `/builds/${build.id}/bench/simulated?${query.toString()}`,
                (step) => {
                    if (step.seconds !== undefined) {
                        rows.push([step.seconds, step.volts ?? 0, step.amps ?? 0]);
                        why = step.stopped ?? why;
                        setTold(`${hours(step.seconds / 3600)}: ${volts(step.volts)}, ${amps(step.amps)}`);
                    } else if (step.volts !== undefined) {
                        setTold(`${volts(step.volts)}: ${step.lit === undefined ? '' : step.lit ? 'lit, ' : 'dark, '}${amps((step.milliamps ?? 0) / 1000)}`);
                        onStep(step);
                    }
                },
                new AbortController().signal,
            );
            if (kind === 'run' && rows.length > 1)
                onRun(await api.post<LogPreview>('/logs/preview', { text: `seconds,volts,amps\n${rows.map((row) => row.join(',')).join('\n')}\n` }), why);
            if (kind === 'run' && rows.length < 2) setProblem('The stand-in has nothing to run: a pack that feeds something is needed, with all its figures.');
        } catch (error) {
            const atField = error instanceof Problem ? Object.values(error.fields)[0]?.[0] : undefined;
            setProblem(atField ?? (error instanceof Error ? error.message : 'It was broken off.'));
        }
        setWorking(false);
    };
    return (
        <div className="mb-4 border border-dashed border-edge p-3">
            <div className="flex flex-wrap items-center gap-3">
                <Button disabled={working || line === '' || !knowsWhere} onClick={() => void start()}>
                    {working ? 'Measuring …' : 'Try it with the simulated bench'}
                </Button>
                <span className="text-sm text-pencil">
                    A stand-in ships with the application: it measures a made-up device that differs a little from its sheet.
                </span>
            </div>
            {told !== null && (
                <p className="figures mt-2 text-2xl" role="status">
                    {told}
                </p>
            )}
            {problem !== null && (
                <p role="alert" className="mt-1 text-clash">
                    {problem}
                </p>
            )}
        </div>
    );
}
