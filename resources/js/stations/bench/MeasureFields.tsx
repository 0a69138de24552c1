import type { Problem } from '../../api/client';
import { useVocabulary } from '../../ui/useVocabulary';
import { cautions, inputs, kinds, steps, type Kind } from './kinds';
import { big, Choice, Labelled } from './Labelled';
import { dataUrl } from '../../ui/dataUrl';

export type Fields = Record<string, string>;

interface Entry {
    fields: Fields;
    set: (more: Fields) => void;
    problem: Problem | null;
}

const same = (words: readonly string[]): [string, string][] => words.map((word) => [word, word]);

/** What can be measured. */
export function KindList({ kind, onTurn }: { kind: Kind; onTurn: (kind: Kind) => void }) {
    return (
        <ul className="grid content-start gap-2 max-lg:grid-cols-2">
            {kinds.map(([value, name, says]) => (
                <li key={value}>
                    <button
                        type="button"
                        aria-pressed={kind === value}
                        onClick={() => onTurn(value)}
                        className={`w-full rounded-sm border px-3 py-2.5 text-left ${kind === value ? 'border-ink bg-ink text-paper' : 'border-edge bg-leaf hover:border-pen'}`}
                    >
                        <span className="block text-lg leading-tight font-semibold">{name}</span>
                        <span className="block text-sm max-sm:hidden">{says}</span>
                    </button>
                </li>
            ))}
        </ul>
    );
}

/** Three lines to follow, and what can hurt someone meanwhile. */
export function Guidance({ kind }: { kind: Kind }) {
    return (
        <>
            <ol className="mb-3 max-w-prose list-decimal pl-6 text-lg">
                {steps[kind].map((says) => (
                    <li key={says}>{says}</li>
                ))}
            </ol>
            {cautions[kind] !== undefined && (
                <p className="mb-4 max-w-prose border-l-4 border-tight pl-3">
                    {cautions[kind]}{' '}
                    <span className="text-pencil">Makers’ instructions and local rules come first; mains and doubtful packs are for a qualified person.</span>
                </p>
            )}
        </>
    );
}

/** The fields that belong to a kind of reading. */
export function KindFields({ kind, profiles, fields, set, problem }: Entry & { kind: Kind; profiles: string[] }) {
    const vocabulary = useVocabulary();
    const sides: [string, string][] = [
        ['', 'choose'],
        ['lengthMm', 'length'],
        ['widthMm', 'width'],
        ['heightMm', 'height, tallest spot'],
    ];
    const choice = (field: string, label: string, options: [string, string][], usual = '') => (
        <Choice label={label} value={fields[field] ?? usual} options={options} onChange={(value) => set({ [field]: value })} problem={problem?.about(field)} />
    );
    return (
        <>
            {kind === 'draw' && choice('state', 'What it was doing', same(vocabulary.data?.meteredStates ?? ['usual']), 'usual')}
            {kind === 'run' && choice('profile', 'Played as', same(profiles), profiles[0])}
            {kind === 'dimension' && choice('figure', 'Side', sides)}
            {inputs[kind].map(([field, label, hint]) => (
                <Labelled key={field} label={label} problem={problem?.about(field)}>
                    {(id) => (
                        <input
                            id={id}
                            className={`${big} figures w-40`}
                            placeholder={hint}
                            value={fields[field] ?? ''}
                            aria-invalid={problem?.about(field) !== undefined}
                            onChange={(event) => set({ [field]: event.target.value })}
                        />
                    )}
                </Labelled>
            ))}
            {kind === 'run' && choice('stopped', 'Why it stopped', [['', 'choose'], ...same(vocabulary.data?.stopped ?? [])])}
        </>
    );
}

/** What goes with every reading: by what, in which conditions, how it looked. */
export function Surroundings({ fields, set, problem, onPhoto }: Entry & { onPhoto: (photo: string | null) => void }) {
    return (
        <details className="mb-4">
            <summary className="min-h-9 cursor-pointer text-pencil">Instrument, conditions, note, photograph</summary>
            <div className="mt-2 flex flex-wrap gap-4">
                {[
                    ['takenOn', 'Day', 'today', 'date'],
                    ['instrument', 'Instrument', 'name of the meter', 'text'],
                    ['conditions', 'Conditions', 'body open, 21 °C …', 'text'],
                    ['note', 'Note', '', 'text'],
                ].map(([field = '', label = '', hint, type]) => (
                    <Labelled key={field} label={label} problem={problem?.about(field)}>
                        {(id) => (
                            <input
                                id={id}
                                type={type}
                                className={big}
                                placeholder={hint}
                                value={fields[field] ?? ''}
                                onChange={(event) => set({ [field]: event.target.value })}
                            />
                        )}
                    </Labelled>
                ))}
                <Labelled label="Photograph" problem={problem?.about('photo')}>
                    {(id) => (
                        <input
                            id={id}
                            type="file"
                            accept="image/*"
                            className={`${big} py-2.5`}
                            onChange={(event) => void dataUrl(event.target.files?.[0]).then(onPhoto)}
                        />
                    )}
                </Labelled>
            </div>
        </details>
    );
}
