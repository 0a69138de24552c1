import { useState, type SyntheticEvent } from 'react';
import type { Plan, Step } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field, inputLook } from '../../ui/Field';
import { asNumber } from '../../ui/format';
import { useWork } from './useWork';

/** A step of the builder's own: what, how long, with what, after and before which others. Or a part that is to be cut down. */
export function StepForm({ plan, step, onClose }: { plan: Plan; step?: Step; onClose: () => void }) {
    const { tell, busy, complaint } = useWork();
    const kept = plan.own.find((one) => one.id === step?.id);
    const [title, setTitle] = useState(kept?.title ?? '');
    const [says, setSays] = useState(kept?.says ?? '');
    const [minutes, setMinutes] = useState(String(kept?.minutes ?? 15));
    const [alone, setAlone] = useState(kept === undefined || kept.aloneHours === 0 ? '' : String(kept.aloneHours));
    const [asks, setAsks] = useState(kept?.asks ?? '');
    const [after, setAfter] = useState(kept?.after ?? []);
    const [before, setBefore] = useState(kept?.before ?? []);
    const [lines, setLines] = useState(kept?.lines ?? []);
    const [undoable, setUndoable] = useState(kept?.canBeUndone ?? true);
    const { build } = useOpenBuild();
    const save = async (event: SyntheticEvent) => {
        event.preventDefault();
        const hours = alone.trim() === '' ? null : asNumber(alone);
        const given = {
            title,
            says,
            minutes: Math.round(asNumber(minutes)) || 0,
            asks,
            after,
            before,
            lines,
            canBeUndone: undoable,
            ...(hours === null || Number.isNaN(hours) ? {} : { aloneHours: hours }),
        };
        if (await (step === undefined ? tell('add', given) : tell('own', { ...given, step: step.id }))) onClose();
    };
    const others = plan.steps.filter((one) => one.id !== step?.id).map((one) => [one.id, one.title] as const);
    const chosen = build.lines.filter((line) => line.chosen).map((line) => [line.id, line.part.name] as const);
    return (
        <Dialog open onClose={onClose} title={step === undefined ? 'A step of your own' : 'Change the step'}>
            <form className="grid gap-4" onSubmit={(event) => void save(event)}>
                <Field label="What is to be done" value={title} problem={complaint?.about('title')} onChange={(event) => setTitle(event.target.value)} />
                <label className="text-sm font-semibold">
                    How
                    <textarea rows={3} className={`${inputLook} mt-1`} value={says} onChange={(event) => setSays(event.target.value)} />
                </label>
                <div className="grid grid-cols-2 gap-3">
                    <Field
                        label="Minutes"
                        inputMode="numeric"
                        value={minutes}
                        problem={complaint?.about('minutes')}
                        onChange={(event) => setMinutes(event.target.value)}
                    />
                    <Field
                        label="Hours it goes on by itself"
                        inputMode="decimal"
                        placeholder="drying, printing"
                        value={alone}
                        problem={complaint?.about('aloneHours')}
                        onChange={(event) => setAlone(event.target.value)}
                    />
                </div>
                <Field
                    label="What has to hold before going on"
                    placeholder="none: it is no test"
                    value={asks}
                    onChange={(event) => setAsks(event.target.value)}
                />
                <Several label="About these parts: it comes while they can be reached" choices={chosen} value={lines} onChange={setLines} />
                <Several label="Comes after" choices={others} value={after} onChange={setAfter} />
                <Several label="Comes before" choices={others} value={before} onChange={setBefore} />
                {complaint?.about('own.0.after') !== undefined && <p role="alert">{complaint.about('own.0.after')}</p>}
                <label className="flex items-center gap-2">
                    <input type="checkbox" className="size-5 accent-pen" checked={!undoable} onChange={(event) => setUndoable(!event.target.checked)} />
                    It cannot be taken back
                </label>
                <Button type="submit" look="pen" disabled={busy}>
                    {step === undefined ? 'Add it' : 'Save'}
                </Button>
            </form>
            {step === undefined && <CutDown plan={plan} />}
        </Dialog>
    );
}

/** Chosen one after the other, each taken out again by its button. */
function Several({
    label,
    choices,
    value,
    onChange,
}: {
    label: string;
    choices: readonly (readonly [string, string])[];
    value: string[];
    onChange: (value: string[]) => void;
}) {
    return (
        <div>
            <label className="text-sm font-semibold">
                {label}
                <select
                    aria-label={label}
                    className={`${inputLook} mt-1`}
                    value=""
                    onChange={(event) => event.target.value !== '' && onChange([...value, event.target.value])}
                >
                    <option value="">add one …</option>
                    {choices
                        .filter(([id]) => !value.includes(id))
                        .map(([id, words]) => (
                            <option key={id} value={id}>
                                {words}
                            </option>
                        ))}
                </select>
            </label>
            <ul className="flex flex-wrap gap-2">
                {value.map((id) => (
                    <li key={id}>
                        <Button
                            look="bare"
                            onClick={() => onChange(value.filter((one) => one !== id))}
                            aria-label={`Not ${choices.find(([one]) => one === id)?.[1] ?? id}`}
                        >
                            {choices.find(([one]) => one === id)?.[1] ?? id} ✕
                        </Button>
                    </li>
                ))}
            </ul>
        </div>
    );
}

/** A board or pad that is to be made smaller: probed first, tried after each cut. */
function CutDown({ plan }: { plan: Plan }) {
    const { build } = useOpenBuild();
    const { tell } = useWork();
    const lines = build.lines.filter((line) => line.chosen && ['board', 'controls', 'display', 'sound'].includes(line.role));
    return (
        <fieldset className="mt-6 border-t border-line pt-3">
            <legend className="text-sm font-semibold">Or: a part is to be cut down</legend>
            <p className="mb-2 text-sm text-pencil">Its contacts are then probed and mapped first, and it is tried again after every cut.</p>
            <ul>
                {lines.map((line) => (
                    <li key={line.id}>
                        <label className="flex min-h-10 items-center gap-3">
                            <input
                                type="checkbox"
                                className="size-5 accent-pen"
                                checked={plan.slim.includes(line.id)}
                                onChange={(event) => void tell('slim', { line: line.id, on: event.target.checked })}
                            />
                            {line.part.name}
                        </label>
                    </li>
                ))}
            </ul>
        </fieldset>
    );
}
