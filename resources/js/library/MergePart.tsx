import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { api, Problem, type LibraryPart, type PartPage, type PartsMerge } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { DialogFoot } from '../ui/DialogFoot';
import { inputLook } from '../ui/Field';
import { usePartPage } from './usePartPage';

/** Makes one part of this one and another that turned out to be the same. */
export function MergePart({ page, onClose }: { page: PartPage; onClose: () => void }) {
    const { show, failed, notices } = usePartPage();
    const [other, setOther] = useState<LibraryPart | null>(null);
    const [take, setTake] = useState<Record<string, number>>({});
    const [problem, setProblem] = useState<string | null>(null);
    const merge = useQuery({
        queryKey: ['merge', page.libraryId, page.version, other?.libraryId],
        queryFn: () => api.get<PartsMerge>(`/parts/${page.libraryId}/merge/${other?.libraryId}`),
        enabled: other !== null,
    });
    const differences = merge.data?.differences ?? [];
    const put = async () => {
        if (other === null || merge.data === undefined) return;
        try {
            const [version, otherVersion] = merge.data.versions;
            const answer = await api.post<PartPage>(`/parts/${page.libraryId}/merge`, { version, other: other.libraryId, otherVersion, take });
            show(answer);
            const [done] = answer.history;
            notices.say(`${other.name} and ${page.part.name} are one part now. Builds keep their own copies.`, 'good', {
                words: 'Take apart again',
                run: () => void api.post<PartPage>(`/parts/${page.libraryId}/changes/${done?.id}/back`, { version: answer.version }).then(show, failed),
            });
            onClose();
        } catch (error) {
            setProblem(error instanceof Problem ? (error.lines[0] ?? error.message) : 'The page broke while saving. Nothing was changed.');
        }
    };
    return (
        <Dialog
            open
            onClose={onClose}
            title={other === null ? `Which part is the same as ${page.part.name}?` : 'Make one part of both'}
            foot={
                other === null ? undefined : (
                    <DialogFoot problem={problem}>
                        <Button onClick={() => setOther(null)}>Another part</Button>
                        <Button look="pen" disabled={merge.data === undefined} onClick={() => void put()}>
                            Merge them
                        </Button>
                    </DialogFoot>
                )
            }
        >
            {other === null ? (
                <ChooseOther page={page} onChoose={setOther} />
            ) : (
                <>
                    <p className="mb-3">
                        {page.part.name} stays, {other.name} goes; its texts, prices and files come along.{' '}
                        {merge.data === undefined
                            ? ''
                            : differences.length === 0
                              ? 'They say the same.'
                              : 'Where they say different things, choose which is kept. The surer one is ticked.'}
                    </p>
                    {merge.isError && <p role="alert">{merge.error.message}</p>}
                    <ul className="grid gap-3">
                        {differences.map((one) => (
                            <li key={one.key}>
                                <Difference
                                    difference={one}
                                    names={[page.part.name, other.name]}
                                    taken={take[one.key] ?? one.take}
                                    onTake={(at) => setTake({ ...take, [one.key]: at })}
                                />
                            </li>
                        ))}
                    </ul>
                </>
            )}
        </Dialog>
    );
}

type Differing = PartsMerge['differences'][number];

function Difference({ difference, names, taken, onTake }: { difference: Differing; names: readonly string[]; taken: number; onTake: (at: number) => void }) {
    return (
        <fieldset>
            <legend className="text-sm font-semibold">{difference.label}</legend>
            {difference.says.map((says, at) => (
                <label key={at} className="flex min-h-9 items-start gap-2 py-1">
                    <input type="radio" className="mt-0.5 size-5 shrink-0 accent-pen" checked={taken === at} onChange={() => onTake(at)} />
                    <span className="min-w-0 break-words">
                        {says === null ? <span className="text-pencil">nothing</span> : <span className="figures">{says}</span>}
                        <span className="text-sm text-pencil">
                            {' '}
                            {[difference.source[at], names[at]].filter((text) => text !== '' && text !== undefined && text !== says).join(', ')}
                        </span>
                    </span>
                </label>
            ))}
        </fieldset>
    );
}

/** One's own parts of the same role, by name. */
function ChooseOther({ page, onChoose }: { page: PartPage; onChoose: (part: LibraryPart) => void }) {
    const [words, setWords] = useState('');
    const asked = useDeferredValue(words);
    const found = useQuery({
        queryKey: ['library', 'to merge', page.part.role, asked],
        queryFn: () => api.get<{ parts: LibraryPart[] }>(`/parts?${new URLSearchParams({ own: '1', role: page.part.role, q: asked }).toString()}`),
        placeholderData: keepPreviousData,
    });
    const others = (found.data?.parts ?? []).filter((one) => one.libraryId !== page.libraryId);
    return (
        <>
            <input
                data-first
                className={`${inputLook} mb-3 w-full`}
                aria-label="Search your own parts"
                placeholder="Search your own parts"
                value={words}
                onChange={(event) => setWords(event.target.value)}
            />
            {found.data !== undefined && others.length === 0 && <p className="text-pencil">None of your other parts is for the same use.</p>}
            <ul>
                {others.map((one) => (
                    <li key={one.libraryId} className="border-b border-dotted border-line">
                        <button type="button" className="min-h-11 w-full py-1 text-left hover:text-pen" onClick={() => onChoose(one)}>
                            <span className="font-semibold">{one.name}</span>
                            {one.keyFigures !== '' && <span className="block text-sm">{one.keyFigures}</span>}
                        </button>
                    </li>
                ))}
            </ul>
        </>
    );
}
