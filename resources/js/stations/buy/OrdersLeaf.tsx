import { useQuery } from '@tanstack/react-query';
import { api, type Orders } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { ArrivalStrip } from './ArrivalStrip';
import { OrderCard } from './OrderCard';

/** What was ordered, where it is, and what came; the open ones first. */
export function OrdersLeaf() {
    const { build } = useOpenBuild();
    const orders = useQuery({
        queryKey: ['orders', build.id, build.version],
        queryFn: () => api.get<Orders>(`/builds/${build.id}/orders`),
        placeholderData: (before) => before,
    });
    if (orders.isError) return <p role="alert">{orders.error.message}</p>;
    if (orders.data === undefined) return <p className="text-pencil">Looking …</p>;
    const all = orders.data.orders;
    if (all.length === 0) {
        return (
            <p className="dot-grid border border-dashed border-edge p-6">
                No order yet. Under What to buy, each plan has a button for the order that you placed; from then on it is followed here, piece by piece.
            </p>
        );
    }
    const open = all.filter((order) => order.isOpen);
    return (
        <>
            {open.length > 0 && (
                <div className="mb-4 flex flex-wrap items-start justify-between gap-3">
                    <ArrivalStrip orders={open} />
                    <a className="text-sm font-semibold text-pen hover:underline" href={`/api/builds/${build.id}/arrivals.ics`} download>
                        Arrivals for a calendar (.ics)
                    </a>
                </div>
            )}
            <ul className="grid items-start gap-4 xl:grid-cols-2">
                {[...open, ...all.filter((order) => !order.isOpen)].map((order) => (
                    <OrderCard key={order.id} order={order} post={orders.data.post} />
                ))}
            </ul>
        </>
    );
}
