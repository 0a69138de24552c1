import { useId, useState } from 'react';
import { Link } from 'react-router';
import { api, Problem, type Build, type OpenFigure } from '../api/client';
import { useOpenBuild } from './useBuild';
import { Button } from '../ui/Button';
import { inputLook } from '../ui/Field';
import { useNotices } from '../ui/Notices';

const elsewhere: Record<string, [string, string]> = {
    price: ['buy', 'Write the price on Buy'],
    rate: ['buy', 'See the rates on Buy'],
    skills: ['brief', 'Tick what you can do in the brief'],
    tools: ['brief', 'Tick your tools in the brief'],
    consumables: ['brief', 'Tick what is at hand in the brief'],
};

/** Writes down what was measured of one part; it counts for this build from then on, and what was stated stays visible. */
export function MeasureEntry({ open }: { open: Pick<OpenFigure, 'line' | 'figure' | 'entry'> }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const id = useId();
    const [typed, setTyped] = useState('');
    const [problem, setProblem] = useState<string | null>(null);
    const at = elsewhere[open.figure];
    if (at !== undefined) {
        return (
            <Link className="font-semibold text-pen underline" to={`/builds/${build.id}/${at[0]}`}>
                {at[1]}
            </Link>
        );
    }
    if (open.entry === null) {
        return (
            <Link className="font-semibold text-pen underline" to={`/builds/${build.id}/lines/${open.line}/part`}>
                Open the part and write it there
            </Link>
        );
    }
    const { entry } = open;
    const write = async (text: string) => {
        const before = build.appraisal.vitals;
        const answer = await edit((path, version) => api.put<Build>(`${path}/lines/${open.line}/figures`, { version, figure: open.figure, typed: text }));
        if (answer instanceof Problem) {
            setProblem(answer.about('typed') ?? answer.about('figure') ?? answer.message);
            return;
        }
        const { vitals } = answer.appraisal;
        notices.say(`Written down. Unmeasured ${before.unmeasured} → ${vitals.unmeasured}, clashes ${before.clashes} → ${vitals.clashes}.`);
    };
    return (
        <form
            className="mt-1"
            onSubmit={(event) => {
                event.preventDefault();
                void write(typed);
            }}
        >
            <label htmlFor={id} className="block text-sm font-semibold">
                I found: {entry.asks}
            </label>
            {entry.choices.length > 0 ? (
                <span className="flex flex-wrap gap-2" id={id}>
                    {entry.choices.map((choice) => (
                        <Button key={choice} disabled={busy} onClick={() => void write(choice)}>
                            {choice}
                        </Button>
                    ))}
                </span>
            ) : (
                <span className="flex gap-2">
                    <input
                        id={id}
                        className={`${inputLook} figures max-w-64`}
                        value={typed}
                        placeholder={entry.unit}
                        aria-invalid={problem !== null}
                        aria-describedby={`${id}-said`}
                        onChange={(event) => setTyped(event.target.value)}
                    />
                    <Button type="submit" look="pen" disabled={typed.trim() === ''}>
                        Write it down
                    </Button>
                </span>
            )}
            {problem !== null && (
                <p id={`${id}-said`} role="alert" className="mt-1 text-sm text-clash">
                    {problem}
                </p>
            )}
        </form>
    );
}
