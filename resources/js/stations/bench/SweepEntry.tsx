import { useState } from 'react';
import type { Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { asNumber } from '../../ui/format';
import { amps, volts } from '../../ui/electric';
import { Peg } from '../../ui/Peg';
import { big, Choice, Labelled } from './Labelled';

export interface Step {
    volts: string;
    milliamps: string;
    lit: boolean;
}

function wrongWith(from: string, by: string): string | null {
    if (from.trim() === '') return 'Write the volts to begin at: those that the listing or the label names.';
    if (!(asNumber(from) > 0)) return `“${from}” is no number of volts; write one, such as 12.`;
    return asNumber(by) > 0 ? null : `“${by}” is no step down; write volts of more than nought, such as 0.5.`;
}

/** Steps down, each with two large answers. */
export function SweepEntry({
    steps,
    onSteps,
    from,
    onFrom,
    by,
    mostV,
    signal,
    set,
    problem,
}: {
    steps: Step[];
    onSteps: (steps: Step[]) => void;
    from: string;
    onFrom: (from: string) => void;
    by: string;
    mostV: number | null;
    signal: string;
    set: (more: Record<string, string>) => void;
    problem: Problem | null;
}) {
    const first = asNumber(from);
    const down = asNumber(by);
    const last = steps[steps.length - 1];
    const now = last === undefined ? first : Number(last.volts) - down;
    const wrong = wrongWith(from, by);
    const [milliamps, setMilliamps] = useState('');
    const answer = (lit: boolean) => {
        onSteps([...steps, { volts: String(Number(now.toFixed(3))), milliamps, lit }]);
        setMilliamps('');
    };
    return (
        <div className="mb-4">
            <div className="mb-3 flex flex-wrap items-end gap-4">
                <Labelled label="From, V">
                    {(id) => <input id={id} className={`${big} figures w-24`} value={from} onChange={(event) => onFrom(event.target.value)} />}
                </Labelled>
                <Labelled label="Down by, V">
                    {(id) => <input id={id} className={`${big} figures w-24`} value={by} onChange={(event) => set({ by: event.target.value })} />}
                </Labelled>
                <Choice
                    label="Had it a picture signal?"
                    value={signal}
                    options={[
                        ['', 'not said'],
                        ['yes', 'yes'],
                        ['no', 'no'],
                    ]}
                    onChange={(value) => set({ signal: value })}
                />
            </div>
            {wrong !== null && <p className="mb-3">{wrong}</p>}
            {mostV !== null && first > mostV && (
                <p role="alert" className="mb-3 flex items-start gap-1.5 text-lg font-semibold text-clash">
                    <Peg verdict="clash" /> Its sheet allows {volts(mostV)} at most. Begin there or below.
                </p>
            )}
            {wrong === null && now > 0 && (
                <div className="mb-3 flex flex-wrap items-center gap-4 border-y border-line py-3">
                    <span className="figures min-w-40 text-4xl font-semibold whitespace-nowrap">{volts(now)}</span>
                    <Labelled label="Amps, if metered">
                        {(id) => (
                            <input
                                id={id}
                                className={`${big} figures w-32`}
                                placeholder="mA"
                                value={milliamps}
                                onChange={(event) => setMilliamps(event.target.value)}
                            />
                        )}
                    </Labelled>
                    <Button className="min-h-14! min-w-28 text-xl" onClick={() => answer(true)}>
                        Lit
                    </Button>
                    <Button className="min-h-14! min-w-28 text-xl" onClick={() => answer(false)}>
                        Dark
                    </Button>
                    {last !== undefined && (
                        <Button look="bare" onClick={() => onSteps(steps.slice(0, -1))}>
                            Take the last step back
                        </Button>
                    )}
                </div>
            )}
            {problem !== null && Object.keys(problem.fields).some((field) => field.startsWith('steps')) && (
                <p className="text-clash">{Object.entries(problem.fields).find(([field]) => field.startsWith('steps'))?.[1][0]}</p>
            )}
            {steps.length > 0 && (
                <ol className="flex max-w-full flex-wrap gap-1" aria-label="Steps so far">
                    {steps.map((step, index) => (
                        <li
                            key={index}
                            className={`figures rounded-sm border px-2 py-1 ${step.lit ? 'border-ink bg-leaf font-semibold' : 'border-dashed border-edge text-pencil'}`}
                        >
                            {volts(Number(step.volts))} {step.lit ? 'lit' : 'dark'}
                            {step.milliamps !== '' && ` ${Number.isNaN(asNumber(step.milliamps)) ? step.milliamps : amps(asNumber(step.milliamps) / 1000)}`}
                        </li>
                    ))}
                </ol>
            )}
        </div>
    );
}
