import { useMutation } from '@tanstack/react-query';
import { useState, type SyntheticEvent } from 'react';
import { api, Problem, type Condition, type DrawerPiece } from '../api/client';
import { Button } from '../ui/Button';
import { dataUrl } from '../ui/dataUrl';
import { Dialog } from '../ui/Dialog';
import { Field } from '../ui/Field';
import { Select } from '../ui/Select';
import { conditions, roles } from '../ui/words';

const origins: readonly (readonly [DrawerPiece['origin'], string])[] = [
    ['bought', 'bought'],
    ['salvaged', 'salvaged'],
    ['gift', 'a gift'],
    ['sample', 'a sample'],
];

const draftOf = (piece: DrawerPiece | null) => ({
    name: piece?.name ?? '',
    role: piece?.role ?? '',
    quantity: String(piece?.quantity ?? 1),
    place: piece?.place ?? '',
    condition: piece?.condition ?? 'used-tested',
    origin: piece?.origin ?? 'bought',
    cameFrom: piece?.cameFrom ?? '',
    value: piece?.value === null || piece === null ? '' : `${piece.value.amount} ${piece.value.currency}`,
    note: piece?.note ?? '',
});

/** Something that lies in the drawer: a name and how many are enough. */
export function PieceForm({ piece, onClose, onKept }: { piece: DrawerPiece | null; onClose: () => void; onKept: () => void }) {
    const [draft, setDraft] = useState(() => draftOf(piece));
    const [photo, setPhoto] = useState<string | null>(null);
    const set = (more: Partial<typeof draft>) => setDraft({ ...draft, ...more });
    const keep = useMutation({
        mutationFn: () => {
            const { role, ...rest } = draft;
            const body = { ...rest, quantity: Number(draft.quantity), ...(role === '' ? {} : { role }), ...(photo === null ? {} : { photo }) };
            return piece === null ? api.post<DrawerPiece>('/drawer', body) : api.put<DrawerPiece>(`/drawer/${piece.id}`, { ...body, version: piece.version });
        },
        onSuccess: onKept,
    });
    const problem = keep.error instanceof Problem ? keep.error : null;
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        keep.mutate();
    };
    const isOfLibrary = piece !== null && piece.partKey !== '';
    return (
        <Dialog open onClose={onClose} title={piece === null ? 'Into the drawer' : piece.name}>
            <form className="grid grid-cols-2 gap-3" onSubmit={submit} data-first>
                <Field
                    label="What it is"
                    className="col-span-2"
                    value={draft.name}
                    disabled={isOfLibrary}
                    onChange={(event) => set({ name: event.target.value })}
                    problem={problem?.about('name')}
                />
                <div>
                    <span className="mb-1 block text-sm font-semibold">What it is for</span>
                    <Select
                        label="What it is for"
                        className="w-full"
                        options={[['', 'as its name tells'] as const, ...roles]}
                        value={draft.role}
                        disabled={piece !== null}
                        onChange={(event) => set({ role: event.target.value })}
                    />
                    {problem?.about('role') !== undefined && (
                        <p role="alert" className="text-sm text-clash">
                            {problem.about('role')}
                        </p>
                    )}
                </div>
                <Field
                    label="How many"
                    inputMode="numeric"
                    value={draft.quantity}
                    onChange={(event) => set({ quantity: event.target.value })}
                    problem={problem?.about('quantity')}
                />
                <Field label="Where it lies" value={draft.place} onChange={(event) => set({ place: event.target.value })} problem={problem?.about('place')} />
                <div>
                    <span className="mb-1 block text-sm font-semibold">State</span>
                    <Select
                        label="State"
                        className="w-full"
                        options={conditions}
                        value={draft.condition}
                        onChange={(event) => set({ condition: event.target.value as Condition })}
                    />
                </div>
                <div>
                    <span className="mb-1 block text-sm font-semibold">Where from</span>
                    <Select
                        label="Where from"
                        className="w-full"
                        options={origins}
                        value={draft.origin}
                        onChange={(event) => set({ origin: event.target.value as DrawerPiece['origin'] })}
                    />
                </div>
                <Field label="From whom, out of what" value={draft.cameFrom} onChange={(event) => set({ cameFrom: event.target.value })} />
                <Field
                    label="Worth, each"
                    placeholder="4 or 4 GBP"
                    value={draft.value}
                    onChange={(event) => set({ value: event.target.value })}
                    problem={problem?.about('value') ?? problem?.about('value.amount')}
                />
                <Field
                    label="Note"
                    className="col-span-2"
                    value={draft.note}
                    onChange={(event) => set({ note: event.target.value })}
                    problem={problem?.about('note')}
                />
                <label className="col-span-2 text-sm font-semibold">
                    Photograph{' '}
                    <input type="file" accept="image/*" className="font-normal" onChange={(event) => void dataUrl(event.target.files?.[0]).then(setPhoto)} />
                    {problem?.about('photo') !== undefined && (
                        <span role="alert" className="block font-normal text-clash">
                            {problem.about('photo')}
                        </span>
                    )}
                </label>
                {problem !== null && Object.keys(problem.fields).length === 0 && (
                    <p role="alert" className="col-span-2">
                        {problem.message}
                    </p>
                )}
                <Button type="submit" look="pen" className="col-span-2" disabled={keep.isPending}>
                    Save
                </Button>
            </form>
        </Dialog>
    );
}
