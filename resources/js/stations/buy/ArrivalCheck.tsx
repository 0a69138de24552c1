import { useState } from 'react';
import type { Order } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { useOrder } from './useOrder';

type Item = Order['items'][number];

const ways = [
    ['right', 'Right'],
    ['wrong', 'Wrong variant'],
    ['broken', 'Broken'],
    ['missing', 'Missing'],
] as const;

type Way = (typeof ways)[number][0];

/** The parcel is open: what to look at, then how many came and how. Made for one hand: each press counts one piece. */
export function ArrivalCheck({ order, item, at, onClose }: { order: Order; item: Item; at: number; onClose: () => void }) {
    const { tell, busy, complaint } = useOrder(order.id);
    const [pieces, setPieces] = useState<Record<Way, number>>({ right: 0, wrong: 0, broken: 0, missing: 0 });
    const sorted = Object.values(pieces).reduce((all, count) => all + count, 0);
    const left = item.awaited - sorted;
    const add = (way: Way, count: number) => setPieces({ ...pieces, [way]: Math.max(0, pieces[way] + count) });
    const takeIn = async () => {
        if (await tell('arrive', { item: at, ...pieces })) onClose();
    };
    return (
        <Dialog
            open
            onClose={onClose}
            title={`${item.name} came`}
            foot={
                <Button look="pen" className="min-h-12 w-full text-lg" disabled={busy || sorted === 0} onClick={() => void takeIn()}>
                    {sorted === 0 ? 'Say how it came' : `Take in ${sorted} of ${item.awaited}`}
                </Button>
            }
        >
            <h3 className="mb-1 font-semibold">Look first</h3>
            <ul className="mb-5 grid gap-1.5">
                {item.checks.map((check) => (
                    <li key={check}>
                        <label className="flex items-start gap-2.5">
                            <input type="checkbox" className="mt-0.5 size-5 shrink-0 accent-pen" />
                            {check}
                        </label>
                    </li>
                ))}
            </ul>
            <h3 className="mb-1 font-semibold">{left === 0 ? 'All accounted for' : `${left} ${left === 1 ? 'piece' : 'pieces'} to account for`}</h3>
            <div className="grid grid-cols-2 gap-2" data-first>
                {ways.map(([way, words]) => (
                    <div key={way} className={`flex border ${pieces[way] > 0 ? 'border-pen bg-pen-wash' : 'border-edge'}`}>
                        <Button
                            look="bare"
                            className={`min-h-16 flex-1 text-lg ${pieces[way] > 0 ? 'disabled:opacity-100!' : ''}`}
                            aria-label={`${words}: ${pieces[way]}`}
                            disabled={left === 0}
                            onClick={() => add(way, 1)}
                        >
                            {words} <span className="figures text-2xl">{pieces[way]}</span>
                        </Button>
                        {pieces[way] > 0 && (
                            <Button look="bare" className="min-w-12 text-xl" aria-label={`One ${words} less`} onClick={() => add(way, -1)}>
                                −
                            </Button>
                        )}
                    </div>
                ))}
            </div>
            {complaint !== null && (
                <p role="alert" className="mt-3 text-clash">
                    {complaint}
                </p>
            )}
        </Dialog>
    );
}
