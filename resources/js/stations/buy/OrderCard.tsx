import { useState } from 'react';
import type { Order } from '../../api/client';
import { Button } from '../../ui/Button';
import { inputLook } from '../../ui/Field';
import { date } from '../../ui/format';
import { OrderItemRow } from './OrderItemRow';
import { useOrder } from './useOrder';

const stateWords: Record<Order['state'], string> = {
    placed: 'placed',
    confirmed: 'confirmed',
    sent: 'sent',
    'arrived-in-part': 'arrived in part',
    arrived: 'arrived',
    cancelled: 'cancelled',
};

const didWords: Record<string, string> = {
    confirm: 'confirmed',
    send: 'sent',
    expect: 'another day',
    arrive: 'taken in',
    test: 'tested',
    refund: 'refunded',
    'put-away': 'put into the drawer',
    cancel: 'cancelled',
};

/** One order: how far it is, what is awaited, and what may be done with it. */
export function OrderCard({ order, post }: { order: Order; post: string }) {
    const { tell, busy, complaint } = useOrder(order.id);
    const last = order.history.at(-1);
    return (
        <li className="border border-edge bg-leaf" data-order={order.id}>
            <div className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-line px-3 py-2">
                <h3 className="text-lg">{order.vendor}</h3>
                <p className="figures font-semibold">
                    {order.total} <span className="text-sm font-normal">{order.currency}</span>
                </p>
                <p className="w-full text-sm">
                    <span className="font-semibold">{stateWords[order.state]}</span>, ordered {date(order.placedOn)}
                    {order.isOpen && order.expectedOn !== null && `, expected ${date(order.expectedOn)}`}
                    {order.daysLate > 0 && (
                        <span className="font-semibold text-clash">{`, ${order.daysLate} ${order.daysLate === 1 ? 'day' : 'days'} late`}</span>
                    )}
                    {order.delays && '. The build waits for this one.'}
                </p>
                {order.why !== '' && <p className="w-full text-sm text-pencil">Ordered although a part clashes: {order.why}</p>}
            </div>
            <Track order={order} post={post} />
            <ul>
                {order.items.map((item, at) => (
                    <OrderItemRow key={`${item.line} ${at}`} order={order} item={item} at={at} />
                ))}
            </ul>
            {complaint !== null && (
                <p role="alert" className="px-3 py-1 text-sm text-clash">
                    {complaint}
                </p>
            )}
            <div className="flex flex-wrap items-center gap-2 border-t border-line px-3 py-2 empty:hidden">
                {order.isOpen && <Underway order={order} />}
                {last !== undefined && (
                    <Button look="bare" disabled={busy} onClick={() => void tell('undo')}>
                        Undo: {didWords[last.did] ?? last.did} {date(last.on)}
                    </Button>
                )}
            </div>
        </li>
    );
}

function Underway({ order }: { order: Order }) {
    const { tell, busy, complaint } = useOrder(order.id);
    const [tracking, setTracking] = useState('');
    const nothingCame = order.items.every((item) => item.awaited === item.pieces);
    return (
        <>
            {order.state === 'placed' && (
                <Button disabled={busy} onClick={() => void tell('confirm')}>
                    Confirmed
                </Button>
            )}
            {(order.state === 'placed' || order.state === 'confirmed') && (
                <span className="flex items-center gap-1">
                    <input
                        className={`${inputLook} w-36!`}
                        aria-label={`Parcel number of ${order.vendor}`}
                        placeholder="parcel number"
                        value={tracking}
                        onChange={(event) => setTracking(event.target.value)}
                    />
                    <Button disabled={busy} onClick={() => void tell('send', { tracking })}>
                        Sent
                    </Button>
                </span>
            )}
            <label className="flex items-center gap-1 text-sm">
                Expected
                <input
                    type="date"
                    className={`${inputLook} figures w-38!`}
                    defaultValue={order.expectedOn ?? ''}
                    key={order.expectedOn}
                    onChange={(event) => event.target.value !== '' && void tell('expect', { expectedOn: event.target.value })}
                />
            </label>
            {nothingCame && (
                <Button look="bare" disabled={busy} onClick={() => void tell('cancel')}>
                    Cancel
                </Button>
            )}
            {complaint !== null && (
                <p role="alert" className="w-full text-sm text-clash">
                    {complaint}
                </p>
            )}
        </>
    );
}

function Track({ order, post }: { order: Order; post: string }) {
    if (order.tracking === '') return null;
    return (
        <div className="border-b border-dotted border-line px-3 py-1.5 text-sm">
            <p className="text-pencil">
                Parcel {order.tracking}. {post}.
            </p>
            <ol>
                {order.track.map((one) => (
                    <li key={one.on}>
                        <span className="figures inline-block w-16">{date(one.on)}</span> {one.says}
                    </li>
                ))}
            </ol>
        </div>
    );
}
