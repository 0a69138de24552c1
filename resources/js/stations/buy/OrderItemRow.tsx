import { useState } from 'react';
import { Link } from 'react-router';
import type { Order } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { inputLook } from '../../ui/Field';
import { ArrivalCheck } from './ArrivalCheck';
import { useOrder } from './useOrder';

type Item = Order['items'][number];

const counts = [
    ['right', 'right'],
    ['wrong', 'wrong variant'],
    ['broken', 'broken'],
    ['missing', 'missing'],
    ['awaited', 'awaited'],
] as const;

/** One thing of an order: what came of it and how, and what is to be done about it. */
export function OrderItemRow({ order, item, at }: { order: Order; item: Item; at: number }) {
    const { build } = useOpenBuild();
    const [checking, setChecking] = useState(false);
    const is = counts.filter(([key]) => item[key] > 0).map(([key, words]) => `${item[key]} ${words}`);
    const amiss = item.wrong + item.broken + item.missing;
    return (
        <li className="border-b border-dotted border-line px-3 py-2 last:border-0">
            <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
                <span className="min-w-40 flex-1">
                    <span className="font-semibold">{item.name}</span>{' '}
                    <span className="text-sm text-pencil">
                        {is.join(', ')}
                        {item.tested > 0 ? `, ${item.tested} tested` : ''}
                        {item.isOnList ? '' : '; not on the list any more'}
                    </span>
                </span>
                <span className="figures text-sm" title={`goods ${item.goods}, post ${item.post}, duty ${item.duty}, tax ${item.tax}`}>
                    {item.landed}
                    {Number(item.refund) > 0 && ` − ${item.refund} back`}
                </span>
                {order.isOpen && item.awaited > 0 && (
                    <Button look="pen" className="min-h-11" onClick={() => setChecking(true)}>
                        It came
                    </Button>
                )}
            </div>
            <After order={order} item={item} at={at} />
            {amiss > 0 && item.toBuyAgain > 0 && (
                <p className="mt-1 border-l-4 border-clash pl-2 text-sm">
                    {item.toBuyAgain} to be bought again.{' '}
                    <Link className="inline-block min-h-9 py-1.5 font-semibold text-pen underline" to={`/builds/${build.id}/buy`}>
                        See the new plan
                    </Link>
                </p>
            )}
            {checking && <ArrivalCheck order={order} item={item} at={at} onClose={() => setChecking(false)} />}
        </li>
    );
}

/** What can follow once something came: tested, refunded, put away. */
function After({ order, item, at }: { order: Order; item: Item; at: number }) {
    const { tell, busy, complaint } = useOrder(order.id);
    const [refund, setRefund] = useState('');
    const came = item.right + item.wrong + item.broken + item.missing;
    if (came === 0) return null;
    const untested = item.right - item.tested;
    return (
        <div className="mt-1 flex flex-wrap items-center gap-2 text-sm">
            {untested > 0 && (
                <>
                    <Button disabled={busy} onClick={() => void tell('test', { item: at, works: untested })}>
                        Tested, works
                    </Button>
                    <Button look="bare" disabled={busy} onClick={() => void tell('test', { item: at, fails: 1 })}>
                        One fails
                    </Button>
                </>
            )}
            {item.leftOver > 0 && (
                <Button disabled={busy} onClick={() => void tell('put-away', { item: at, pieces: item.leftOver })}>
                    Put {item.leftOver === 1 ? 'the one' : `the ${item.leftOver}`} left over into the drawer
                </Button>
            )}
            {came > item.right && (
                <span className="flex items-center gap-1">
                    <input
                        aria-label={`Refund for ${item.name}`}
                        placeholder="refund"
                        inputMode="decimal"
                        className={`${inputLook} figures w-24! text-right`}
                        value={refund}
                        onChange={(event) => setRefund(event.target.value)}
                    />
                    <Button
                        disabled={busy || refund.trim() === ''}
                        onClick={() => void tell('refund', { item: at, refund }).then((taken) => taken && setRefund(''))}
                    >
                        Came back
                    </Button>
                </span>
            )}
            {complaint !== null && (
                <p role="alert" className="w-full text-clash">
                    {complaint}
                </p>
            )}
        </div>
    );
}
