import { useState } from 'react';
import type { Plan, Step } from '../../api/client';
import { Button } from '../../ui/Button';
import { DraftInput } from '../../ui/DraftInput';
import { StepForm } from './StepForm';
import type { Tell } from './StepRow';
import { titleOf, useNames } from './usePlan';
import { WayBackList } from './WayBackList';

const linkWords: Record<Step['before'][number]['kind'], string> = { needs: '', reach: 'while it can be reached: ', own: '' };

/** Why a step stands where it does, what is noted on it, and what the builder makes of it. */
export function StepDetails({ step, plan, tell }: { step: Step; plan: Plan; tell: Tell }) {
    const [editing, setEditing] = useState(false);
    const names = useNames();
    const taken = async (told: Promise<boolean>) => ((await told) ? null : 'This was not taken.');
    return (
        <div className="grid gap-2 text-sm">
            <p className="max-w-prose text-base">{step.says}</p>
            {step.lines.length > 0 && <p>With: {step.lines.map(names.line).join(', ')}</p>}
            <Links words="Comes after" links={step.before.map((link) => [link.from, `${linkWords[link.kind]}${link.why}`])} plan={plan} />
            <Links words="Comes before" links={step.after.map((link) => [link.to, `${linkWords[link.kind]}${link.why}`])} plan={plan} />
            {step.gate !== null && <p>Asks: {step.gate.map((one) => `${one.what}${one.passes === '' ? '' : ` (${one.passes})`}`).join('; ')}</p>}
            <p>
                Undone {step.undo}
                {step.undoSays === '' ? '' : `: ${step.undoSays}`}. {step.leaves !== '' && `Leaves: ${step.leaves}.`}
            </p>
            <div className="flex flex-wrap items-end gap-3">
                <label>
                    Minutes{' '}
                    <DraftInput
                        label={`Minutes of ${step.title}`}
                        inputMode="numeric"
                        className="figures w-16 text-right"
                        stored={String(step.minutes.usual)}
                        save={(typed) =>
                            /^\d+$/.test(typed.trim())
                                ? taken(tell('change', { step: step.id, minutes: Number(typed) }))
                                : Promise.resolve('Write whole minutes.')
                        }
                    />
                </label>
                <label className="min-w-60 flex-1">
                    Note{' '}
                    <DraftInput
                        label={`Note on ${step.title}`}
                        className="w-full"
                        stored={step.note}
                        save={(typed) => taken(tell('change', { step: step.id, note: typed }))}
                    />
                </label>
            </div>
            <div className="flex flex-wrap gap-2">
                {step.isOwn ? (
                    <>
                        <Button onClick={() => setEditing(true)}>Change it</Button>
                        <Button onClick={() => void tell('remove', { step: step.id })}>Take it out</Button>
                    </>
                ) : (
                    step.state !== 'done' && <Drop step={step} tell={tell} />
                )}
            </div>
            {step.state === 'done' && <WayBackList about={{ step: step.id }} />}
            {editing && <StepForm plan={plan} step={step} onClose={() => setEditing(false)} />}
        </div>
    );
}

function Links({ words, links, plan }: { words: string; links: [string, string][]; plan: Plan }) {
    if (links.length === 0) return null;
    return (
        <div>
            {words}:
            <ul className="list-disc pl-5">
                {links.map(([id, why]) => (
                    <li key={id}>
                        {titleOf(plan.steps, id)} <span className="text-pencil">({why})</span>
                    </li>
                ))}
            </ul>
        </div>
    );
}

/** Leaving a step out asks why; a safety step stays visible as left out. */
function Drop({ step, tell }: { step: Step; tell: Tell }) {
    const [why, setWhy] = useState<string | null>(null);
    if (why === null) return <Button onClick={() => setWhy('')}>Leave it out</Button>;
    return (
        <span className="flex flex-wrap items-center gap-2">
            <input
                aria-label={`Why ${step.title} is left out`}
                placeholder={step.isSafety || step.gate !== null ? 'why: it stays visible as left out' : 'why'}
                className="min-h-9 w-64 rounded-sm border border-edge bg-leaf px-2"
                value={why}
                onChange={(event) => setWhy(event.target.value)}
            />
            <Button disabled={(step.isSafety || step.gate !== null) && why.trim() === ''} onClick={() => void tell('drop', { step: step.id, why })}>
                Leave it out
            </Button>
            <Button look="bare" onClick={() => setWhy(null)}>
                Keep it
            </Button>
        </span>
    );
}
