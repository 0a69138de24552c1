import { useId, useState } from 'react';
import { api, Problem, type Clipping } from '../api/client';
import { Button } from '../ui/Button';
import { inputLook } from '../ui/Field';
import { MarkedText } from './MarkedText';

/** What was read, which of it is confirmed, and how to read again. */
export interface ReadClipping {
    text: string;
    reading: Clipping | null;
    taken: ReadonlySet<number>;
    problem: string | null;
    busy: boolean;
    setText: (text: string) => void;
    read: (text: string, role: string | null) => Promise<Clipping | null>;
    tick: (id: number) => void;
}

/** A pasted text and its reading. Nothing counts before it is ticked and taken. */
export function useClipping(part: unknown = null, currency: string | null = null): ReadClipping {
    const [text, setText] = useState('');
    const [reading, setReading] = useState<Clipping | null>(null);
    const [taken, setTaken] = useState<ReadonlySet<number>>(new Set());
    const [problem, setProblem] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const read = async (given: string, role: string | null): Promise<Clipping | null> => {
        setBusy(true);
        setText(given);
        try {
            const answer = await api.post<Clipping>('/clippings', { text: given, role, part, currency });
            setReading(answer);
            setTaken(new Set(answer.proposals.filter((one) => one.isPlaced && !one.isUnsure && one.was === '').map((one) => one.id)));
            setProblem(null);
            return answer;
        } catch (error) {
            setReading(null);
            setProblem(error instanceof Problem ? (error.about('text') ?? error.message) : 'The text could not be read. It is still here.');
            return null;
        } finally {
            setBusy(false);
        }
    };
    const tick = (id: number) =>
        setTaken((before) => {
            const after = new Set(before);
            if (!after.delete(id)) after.add(id);
            return after;
        });
    return { text, reading, taken, problem, busy, setText, read, tick };
}

/** Where a text is pasted, with its finds marked in it and listed beside it. */
export function ClippingPanel({ clipping, role }: { clipping: ReadClipping; role: string | null }) {
    const { text, reading, taken, problem, busy } = clipping;
    const id = useId();
    return (
        <>
            <label htmlFor={id} className="mb-1 block text-sm font-semibold">
                A listing, a table, a post, your own notes
            </label>
            <textarea
                id={id}
                rows={reading === null ? 6 : 3}
                className={inputLook}
                value={text}
                aria-describedby={`${id}-said`}
                onChange={(event) => clipping.setText(event.target.value)}
                onPaste={(event) => {
                    if (text !== '') return;
                    event.preventDefault();
                    void clipping.read(event.clipboardData.getData('text/plain'), role);
                }}
            />
            <div className="mt-1 mb-3 flex flex-wrap items-center gap-3">
                <Button disabled={busy || text.trim() === ''} onClick={() => void clipping.read(text, role)}>
                    {reading === null ? 'Read it' : 'Read it again'}
                </Button>
                <p id={`${id}-said`} className={problem === null ? 'text-sm text-pencil' : 'text-sm text-clash'} role={problem === null ? undefined : 'alert'}>
                    {problem ?? (reading === null ? 'Nothing counts before you confirm it.' : found(reading.proposals.length))}
                </p>
            </div>
            {reading !== null && reading.proposals.length > 0 && (
                <div className="grid gap-4 lg:grid-cols-2">
                    <MarkedText text={text} proposals={reading.proposals} taken={taken} />
                    <Finds clipping={clipping} reading={reading} />
                </div>
            )}
        </>
    );
}

const found = (count: number) =>
    count === 0
        ? 'No figure was found that a word explains. The text stays with the part.'
        : `${count} ${count === 1 ? 'find' : 'finds'}; take out the tick of what is wrong.`;

function Finds({ clipping, reading }: { clipping: ReadClipping; reading: Clipping }) {
    return (
        <ul className="max-h-80 overflow-auto border border-line" aria-label="What was found">
            {reading.proposals.map((one) => (
                <li key={one.id} className="border-b border-line last:border-0">
                    <label className={`flex min-h-9 items-baseline gap-2 px-2 py-1 ${one.isPlaced ? '' : 'text-pencil'}`}>
                        <input
                            type="checkbox"
                            className="size-4 shrink-0 self-center accent-pen"
                            disabled={!one.isPlaced}
                            checked={clipping.taken.has(one.id)}
                            onChange={() => clipping.tick(one.id)}
                        />
                        <span className="min-w-0 flex-1">{one.label}</span>
                        <span className="figures text-right text-sm font-semibold">
                            {one.says}
                            {one.was !== '' && <span className="block text-xs font-normal text-pencil">now {one.was}</span>}
                            {one.isUnsure && <span className="block text-xs font-normal text-pencil">not sure: look at the text</span>}
                            {!one.isPlaced && <span className="block text-xs font-normal text-pencil">stays in the text</span>}
                        </span>
                    </label>
                </li>
            ))}
        </ul>
    );
}
