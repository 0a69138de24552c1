import { useMutation, useQuery } from '@tanstack/react-query';
import { useState, type SyntheticEvent } from 'react';
import { api, Problem, type Condition, type Offer, type Shopping, type Vendor } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';
import { Select } from '../../ui/Select';
import { conditions } from '../../ui/words';

type Row = Shopping['list'][number];

/** An offer that was seen, for one thing on the list. */
export function NoteOffer({ row, onNoted }: { row: Row; onNoted: () => void }) {
    const [open, setOpen] = useState(false);
    return (
        <>
            <Button look="bare" className="px-0! text-sm" onClick={() => setOpen(true)}>
                Note an offer
            </Button>
            {open && (
                <OfferLeaf
                    row={row}
                    onClose={() => setOpen(false)}
                    onNoted={() => {
                        setOpen(false);
                        onNoted();
                    }}
                />
            )}
        </>
    );
}

const empty = { vendor: '', price: '', pieces: '1', breakFrom: '', breakPrice: '', stock: '', condition: 'new' as Condition, link: '' };

/** What is typed, how it is called, and where the answer complains about it. */
const figures: readonly (readonly ['price' | 'pieces' | 'breakFrom' | 'breakPrice' | 'stock', string, ...string[]])[] = [
    ['price', 'Price of a packet', 'prices.0.price', 'prices'],
    ['pieces', 'Pieces in a packet', 'pieces'],
    ['breakFrom', 'Cheaper from so many packets', 'prices.1.from'],
    ['breakPrice', 'Price of each then', 'prices.1.price'],
    ['stock', 'Packets there are', 'stock'],
];

function OfferLeaf({ row, onClose, onNoted }: { row: Row; onClose: () => void; onNoted: () => void }) {
    const [typed, setTyped] = useState({ ...empty, pieces: String(row.packetOf) });
    const vendors = useQuery({ queryKey: ['vendors'], queryFn: () => api.get<{ vendors: Vendor[] }>('/vendors') });
    const currency = vendors.data?.vendors.find((one) => one.name === typed.vendor)?.currency;
    const keep = useMutation({
        mutationFn: () => api.post<Offer>('/offers', offerOf(row, typed)),
        onSuccess: onNoted,
    });
    const problem = keep.error instanceof Problem ? keep.error : null;
    const set = (more: Partial<typeof typed>) => setTyped({ ...typed, ...more });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        keep.mutate();
    };
    return (
        <Dialog open onClose={onClose} title={`An offer for ${row.name}`}>
            <form className="grid gap-3" onSubmit={submit}>
                <div data-first>
                    <Field
                        label="Vendor"
                        list="offer-vendors"
                        value={typed.vendor}
                        onChange={(event) => set({ vendor: event.target.value })}
                        problem={problem?.about('vendor')}
                    />
                    <datalist id="offer-vendors">
                        {vendors.data?.vendors.map((one) => (
                            <option key={one.name} value={one.name} />
                        ))}
                    </datalist>
                </div>
                <div className="grid grid-cols-2 gap-3">
                    {figures.map(([key, label, ...paths]) => (
                        <Field
                            key={key}
                            label={key === 'price' && currency !== undefined ? `${label}, ${currency}` : label}
                            inputMode="decimal"
                            value={typed[key]}
                            onChange={(event) => set({ [key]: event.target.value })}
                            problem={paths.map((path) => problem?.about(path)).find((one) => one !== undefined)}
                        />
                    ))}
                    <label className="text-sm font-semibold">
                        State
                        <Select
                            label="State of the thing"
                            options={conditions}
                            className="mt-1 block w-full"
                            value={typed.condition}
                            onChange={(event) => set({ condition: event.target.value as Condition })}
                        />
                    </label>
                </div>
                <Field label="Link" type="url" value={typed.link} onChange={(event) => set({ link: event.target.value })} problem={problem?.about('link')} />
                {problem !== null && Object.keys(problem.fields).length === 0 && <p role="alert">{problem.message}</p>}
                <Button type="submit" look="pen" disabled={keep.isPending}>
                    Note it, seen today
                </Button>
            </form>
        </Dialog>
    );
}

function offerOf(row: Row, typed: typeof empty) {
    const decimal = (text: string) => text.trim().replace(',', '.');
    return {
        partKey: row.part,
        vendor: typed.vendor,
        pieces: Number(typed.pieces),
        prices: [
            { from: 1, price: decimal(typed.price) },
            ...(typed.breakFrom.trim() === '' ? [] : [{ from: Number(typed.breakFrom), price: decimal(typed.breakPrice) }]),
        ],
        condition: typed.condition,
        ...(typed.stock.trim() === '' ? {} : { stock: Number(typed.stock) }),
        ...(typed.link.trim() === '' ? {} : { link: typed.link.trim() }),
    };
}
