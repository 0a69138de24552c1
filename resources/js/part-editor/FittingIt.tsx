import type { FacetField, Problem } from '../api/client';
import { Field, inputLook } from '../ui/Field';
import { isGroup, type Group } from './draft';
import { Groups } from './FieldInput';

const wordFields = [
    ['skills', 'Skills to fit it'],
    ['tools', 'Tools to fit it'],
    ['consumables', 'Consumables to fit it'],
    ['serves', 'Serves as (a tool, a consumable)'],
] as const;

const words = (field: string, label: string): FacetField => ({ field, label, kind: 'words', isFigure: false, choices: [], fields: [] });

/** What is asked of the builder only where the brief has the wish that it serves. */
const extraFields: FacetField[] = [
    { ...words('gives', 'The wish it serves, as the brief has it'), kind: 'text' },
    words('skills', 'Skills for it'),
    words('tools', 'Tools for it'),
    words('consumables', 'Consumables for it'),
];

/** What fitting the part asks of the builder, always and for an extra, and what it warns of. */
export function FittingIt({ draft, set, problem }: { draft: Group; set: (change: Group) => void; problem: Problem | null }) {
    const listed = (key: string): string[] => (Array.isArray(draft[key]) ? draft[key].filter((one): one is string => typeof one === 'string') : []);
    return (
        <fieldset className="mb-6 grid gap-x-6 gap-y-3 sm:grid-cols-2">
            <legend className="font-head mb-2 w-full border-b border-ink text-lg font-semibold">Fitting it</legend>
            {wordFields.map(([key, label]) => (
                <Field
                    key={key}
                    label={label}
                    hint="one, another"
                    value={listed(key).join(', ')}
                    onChange={(event) => set({ [key]: event.target.value === '' ? [] : event.target.value.split(/,\s?/) })}
                />
            ))}
            <div className="sm:col-span-2">
                <Groups
                    label="Only for an extra"
                    fields={extraFields}
                    groups={Array.isArray(draft.extras) ? draft.extras.filter(isGroup) : []}
                    path="extras"
                    problem={problem}
                    change={(extras) => set({ extras })}
                />
            </div>
            <div className="sm:col-span-2">
                <label className="mb-1 block text-sm font-semibold" htmlFor="cautions">
                    Cautions, one a line
                </label>
                <textarea
                    id="cautions"
                    rows={2}
                    className={inputLook}
                    value={listed('cautions').join('\n')}
                    onChange={(event) => set({ cautions: event.target.value === '' ? [] : event.target.value.split('\n') })}
                />
            </div>
        </fieldset>
    );
}
