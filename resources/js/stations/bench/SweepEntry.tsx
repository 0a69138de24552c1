import { useState } from 'react';
import type { Problem } from '../../api/client';
import { Button } from '../../ui/Button';
import { amps, volts } from '../power/figures';
import { big, Labelled } from './Labelled';

export interface Step {
    volts: string;
    milliamps: string;
    lit: boolean;
}

/** Steps down, each with two large answers. */
export function SweepEntry({ steps, onSteps, fields, set, problem }: { steps: Step[]; onSteps: (steps: Step[]) => void; fields: Record<string, string>; set: (more: Record<string, string>) => void; problem: Problem | null }) {
    const from = Number((fields['from'] ?? '12').replace(',', '.'));
    const by = Number((fields['by'] ?? '0.5').replace(',', '.'));
    const last = steps[steps.length - 1];
    const now = last === undefined ? from : Number(last.volts) - by;
    const [milliamps, setMilliamps] = useState('');
    const answer = (lit: boolean) => {
        onSteps([...steps, { volts: String(Number(now.toFixed(3))), milliamps, lit }]);
        setMilliamps('');
    };
    return (
        <div className="mb-4">
            <div className="mb-3 flex flex-wrap items-end gap-4">
                <Labelled label="From, V">{(id) => <input id={id} className={`${big} figures w-24`} value={fields['from'] ?? '12'} onChange={(event) => set({ from: event.target.value })} />}</Labelled>
                <Labelled label="Down by, V">{(id) => <input id={id} className={`${big} figures w-24`} value={fields['by'] ?? '0.5'} onChange={(event) => set({ by: event.target.value })} />}</Labelled>
                <Labelled label="Had it a picture signal?">
                    {(id) => (
                        <select id={id} className={big} value={fields['signal'] ?? ''} onChange={(event) => set({ signal: event.target.value })}>
                            <option value="">not said</option>
                            <option value="yes">yes</option>
                            <option value="no">no</option>
                        </select>
                    )}
                </Labelled>
            </div>
            {Number.isFinite(now) && now > 0 && (
                <div className="mb-3 flex flex-wrap items-center gap-4 border-y border-line py-3">
                    <span className="figures min-w-40 text-4xl font-semibold whitespace-nowrap">{volts(now)}</span>
                    <Labelled label="Amps, if metered">{(id) => <input id={id} className={`${big} figures w-32`} placeholder="mA" value={milliamps} onChange={(event) => setMilliamps(event.target.value)} />}</Labelled>
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
            {problem !== null && Object.keys(problem.fields).some((field) => field.startsWith('steps')) && <p className="text-clash">{Object.entries(problem.fields).find(([field]) => field.startsWith('steps'))?.[1][0]}</p>}
            {steps.length > 0 && (
                <ol className="flex max-w-full flex-wrap gap-1" aria-label="Steps so far">
                    {steps.map((step, index) => (
                        <li key={index} className={`figures rounded-sm border px-2 py-1 ${step.lit ? 'border-ink bg-leaf font-semibold' : 'border-dashed border-edge text-pencil'}`}>
                            {volts(Number(step.volts))} {step.lit ? 'lit' : 'dark'}
                            {step.milliamps !== '' && ` ${amps(Number(step.milliamps) / 1000)}`}
                        </li>
                    ))}
                </ol>
            )}
        </div>
    );
}
