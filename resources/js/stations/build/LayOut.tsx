import { useState } from 'react';
import type { Step } from '../../api/client';
import { useNames } from './usePlan';

/** Everything a step needs, to be ticked off before it begins; what lies there stays ticked while the page is open. */
export function LayOut({ step }: { step: Step }) {
    const names = useNames();
    const [there, setThere] = useState<string[]>([]);
    const things = [
        ...step.lines.map((id) => ({ key: id, words: names.line(id), note: '' })),
        ...step.tools.map((tool) => ({ key: `tool ${tool}`, words: tool, note: step.lacks.includes(tool) ? 'you have none: borrow it, or see Buy' : '' })),
        ...step.consumables.map((thing) => ({ key: `uses ${thing}`, words: thing, note: '' })),
        ...step.places.map((place) => ({ key: `place ${place}`, words: place, note: '' })),
    ];
    if (things.length === 0) return null;
    return (
        <fieldset>
            <legend className="text-sm font-semibold">
                Lay out first ({there.length} of {things.length})
            </legend>
            <ul className="grid gap-x-4 sm:grid-cols-2">
                {things.map((thing) => (
                    <li key={thing.key}>
                        <label className="flex min-h-10 cursor-pointer items-center gap-3 border-b border-dotted border-line">
                            <input
                                type="checkbox"
                                className="size-6 shrink-0 accent-pen"
                                checked={there.includes(thing.key)}
                                onChange={(event) => setThere((all) => (event.target.checked ? [...all, thing.key] : all.filter((key) => key !== thing.key)))}
                            />
                            <span>
                                {thing.words}
                                {thing.note !== '' && <span className="block text-sm font-semibold text-tight">{thing.note}</span>}
                            </span>
                        </label>
                    </li>
                ))}
            </ul>
        </fieldset>
    );
}
