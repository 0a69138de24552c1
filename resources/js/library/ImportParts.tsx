import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ChangeEvent } from 'react';
import { api, Problem, type PartsPreview } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { useNotices } from '../ui/Notices';
import { roleWords } from '../ui/words';
import { ChangeList } from './ChangeList';

type Previewed = PartsPreview['parts'][number];

/** A file of parts: what it would add, and what it would change of those one has. Nothing before it is confirmed. */
export function ImportParts({ onClose }: { onClose: () => void }) {
    const cache = useQueryClient();
    const notices = useNotices();
    const [text, setText] = useState('');
    const [over, setOver] = useState<readonly string[]>([]);
    const preview = useMutation({ mutationFn: (file: string) => api.post<PartsPreview>('/parts/imports/preview', { text: file }) });
    const take = useMutation({
        mutationFn: () => api.post<{ added: number; changed: number; left: number }>('/parts/imports', { text, overwrite: over }),
        onSuccess: ({ added, changed, left }) => {
            void cache.invalidateQueries({ queryKey: ['library'] });
            notices.say(`${added} taken in, ${changed} written over, ${left} left as they were.`);
            onClose();
        },
    });
    const choose = async (event: ChangeEvent<HTMLInputElement>) => {
        const file = event.target.files?.[0];
        if (file === undefined) return;
        const read = await file.text();
        setText(read);
        setOver([]);
        preview.mutate(read);
    };
    const problem = [preview.error, take.error].find((error) => error instanceof Problem);
    const found = preview.data;
    const changing = found?.parts.filter((part) => part.changes.length > 0) ?? [];
    return (
        <Dialog
            open
            onClose={onClose}
            title="Import parts"
            foot={
                <Button look="pen" disabled={found === undefined || take.isPending} onClick={() => take.mutate()}>
                    {found === undefined ? 'Take them in' : inWords(found.count - found.known, over.length)}
                </Button>
            }
        >
            <label className="mb-4 block">
                <span className="mb-1 block text-sm font-semibold">A .pocketplot.json file of parts</span>
                <input type="file" accept=".json" onChange={(event) => void choose(event)} />
            </label>
            {preview.isPending && <p className="text-pencil">Reading …</p>}
            {problem !== undefined && (
                <div role="alert" className="text-clash">
                    <p className="font-semibold">{problem.message}</p>
                    <ul className="list-disc pl-5">
                        {problem.lines.slice(0, 40).map((one) => (
                            <li key={one}>{one}</li>
                        ))}
                    </ul>
                </div>
            )}
            {found !== undefined && (
                <>
                    <p className="mb-2">
                        {found.count} parts were read; {found.known} of them you have already
                        {changing.length > 0 ? `, ${changing.length} with other figures. Tick those that are to be written over.` : '.'}
                    </p>
                    {changing.length > 1 && (
                        <p className="mb-2 flex gap-3">
                            <Button onClick={() => setOver(changing.map((part) => part.key))}>Tick all</Button>
                            <Button onClick={() => setOver([])}>Tick none</Button>
                        </p>
                    )}
                    <ul className="grid gap-1">
                        {found.parts.map((part) => (
                            <Preview
                                key={part.key}
                                part={part}
                                isOver={over.includes(part.key)}
                                onOver={(is) => setOver(is ? [...over, part.key] : over.filter((key) => key !== part.key))}
                            />
                        ))}
                    </ul>
                    {found.parts.length < found.count && <p className="mt-2 text-pencil">… and {found.count - found.parts.length} more.</p>}
                </>
            )}
        </Dialog>
    );
}

const inWords = (fresh: number, over: number): string => `Take ${fresh} in${over > 0 ? `, write over ${over}` : ''}`;

function Preview({ part, isOver, onOver }: { part: Previewed; isOver: boolean; onOver: (is: boolean) => void }) {
    const what = `${roleWords[part.role]}${part.blank ? ', nothing written down that a rule can use' : ''}`;
    if (part.changes.length === 0) {
        return (
            <li>
                {part.name} <span className="text-sm text-pencil">{`${what}${part.known ? ', just as you have it' : ', new'}`}</span>
            </li>
        );
    }
    return (
        <li className="border-b border-dotted border-line py-1">
            <label className="flex items-center gap-2">
                <input type="checkbox" className="size-5 shrink-0 accent-pen" checked={isOver} onChange={(event) => onOver(event.target.checked)} />
                <span>
                    Write over {part.name} <span className="text-sm text-pencil">{what}</span>
                </span>
            </label>
            <div className="pl-7">
                <ChangeList changes={part.changes} />
            </div>
        </li>
    );
}
