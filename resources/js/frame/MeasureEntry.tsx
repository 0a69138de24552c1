import { useId, useState } from 'react';
import { Link } from 'react-router';
import { api, Problem, type Build, type OpenFigure } from '../api/client';
import { useOpenBuild } from './useBuild';
import { useLineEdit } from './useLineEdit';
import { Button } from '../ui/Button';
import { inputLook } from '../ui/Field';
import { useNotices } from '../ui/Notices';
import { useVocabulary } from '../ui/useVocabulary';

const elsewhere: Record<string, [string, string]> = { rate: ['buy', 'See the rates on Buy'] };

/** What the brief says of the builder: ticked here, it counts for every part that asks for it. */
export const ofBuilder = ['skills', 'tools', 'consumables'] as const;

/** Writes down what was measured of one part; it counts for this build from then on, and what was stated stays visible. */
export function MeasureEntry({ open }: { open: Pick<OpenFigure, 'line' | 'figure' | 'entry'> }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [problem, setProblem] = useState<string | null>(null);
    const at = elsewhere[open.figure];
    if (at !== undefined) {
        return (
            <Link className="font-semibold text-pen underline" to={`/builds/${build.id}/${at[0]}`}>
                {at[1]}
            </Link>
        );
    }
    const kind = ofBuilder.find((one) => one === open.figure);
    if (kind !== undefined) return <TickAll kind={kind} />;
    if (open.figure === 'price') return <PriceEntry line={open.line} />;
    if (open.entry === null) {
        return (
            <Link className="font-semibold text-pen underline" to={`/builds/${build.id}/lines/${open.line}/part`}>
                Open the part and write it there
            </Link>
        );
    }
    const { entry } = open;
    const write = async (text: string): Promise<string | null> => {
        const before = build.appraisal.vitals;
        const answer = await edit((path, version) => api.put<Build>(`${path}/lines/${open.line}/figures`, { version, figure: open.figure, typed: text }));
        if (answer instanceof Problem) return answer.about('typed') ?? answer.about('figure') ?? answer.message;
        const { vitals } = answer.appraisal;
        notices.say(`Written down. Unmeasured ${before.unmeasured} → ${vitals.unmeasured}, clashes ${before.clashes} → ${vitals.clashes}.`);
        return null;
    };
    if (entry.choices.length === 0) return <TypedEntry label={`I found: ${entry.asks}`} placeholder={entry.unit} save={write} />;
    return (
        <fieldset className="mt-1">
            <legend className="text-sm font-semibold">I found: {entry.asks}</legend>
            <span className="flex flex-wrap gap-2">
                {entry.choices.map((choice) => (
                    <Button key={choice} disabled={busy} onClick={() => void write(choice).then(setProblem)}>
                        {choice}
                    </Button>
                ))}
            </span>
            {problem !== null && (
                <p role="alert" className="mt-1 text-sm text-clash">
                    {problem}
                </p>
            )}
        </fieldset>
    );
}

/** What one can do, has, or has in the drawer, all in one go. */
function TickAll({ kind }: { kind: (typeof ofBuilder)[number] }) {
    const { build, edit, busy } = useOpenBuild();
    const vocabulary = useVocabulary();
    const [ticked, setTicked] = useState<readonly string[]>(build.brief[kind] ?? []);
    const save = () => edit((path, version) => api.put<Build>(`${path}/at-hand`, { version, [kind]: ticked }));
    return (
        <fieldset className="mt-1">
            <legend className="text-sm font-semibold">Tick all that you {kind === 'skills' ? 'can do' : 'have'}; it is written into the brief</legend>
            <div className="my-2 grid grid-cols-2 gap-x-3">
                {(vocabulary.data?.[kind] ?? []).map((one) => (
                    <label key={one} className="flex min-h-8 items-center gap-2">
                        <input
                            type="checkbox"
                            className="size-5 accent-pen"
                            checked={ticked.includes(one)}
                            onChange={() => setTicked(ticked.includes(one) ? ticked.filter((other) => other !== one) : [...ticked, one])}
                        />
                        {one}
                    </label>
                ))}
            </div>
            <Button look="pen" disabled={busy} onClick={() => void save()}>
                {ticked.length === 0 ? 'None of them' : 'These'}
            </Button>
        </fieldset>
    );
}

function PriceEntry({ line }: { line: string }) {
    const save = useLineEdit(line);
    const { build } = useOpenBuild();
    return <TypedEntry label="It costs" placeholder={`12.40 ${build.brief.currency}`} save={(price) => save({ price })} />;
}

/** One line that is typed and written down; what is wrong with it stands below. */
function TypedEntry({ label, placeholder, save }: { label: string; placeholder: string; save: (typed: string) => Promise<string | null> }) {
    const id = useId();
    const [typed, setTyped] = useState('');
    const [problem, setProblem] = useState<string | null>(null);
    return (
        <form
            className="mt-1"
            onSubmit={(event) => {
                event.preventDefault();
                void save(typed).then(setProblem);
            }}
        >
            <label htmlFor={id} className="mb-1.5 block text-sm font-semibold">
                {label}
            </label>
            <span className="flex gap-2">
                <input
                    id={id}
                    className={`${inputLook} figures max-w-64`}
                    value={typed}
                    placeholder={placeholder}
                    aria-invalid={problem !== null}
                    aria-describedby={`${id}-said`}
                    onChange={(event) => setTyped(event.target.value)}
                />
                <Button type="submit" look="pen" className="shrink-0 whitespace-nowrap" disabled={typed.trim() === ''}>
                    Write it down
                </Button>
            </span>
            {problem !== null && (
                <p id={`${id}-said`} role="alert" className="mt-1 text-sm text-clash">
                    {problem}
                </p>
            )}
        </form>
    );
}
