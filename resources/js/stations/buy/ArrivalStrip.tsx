import { useQuery } from '@tanstack/react-query';
import { api, type Order, type Vendor } from '../../api/client';
import { date } from '../../ui/format';

const dayMs = 86_400_000;
const at = (day: string) => Date.parse(`${day}T00:00:00Z`);

/** Days from today on: when each parcel is expected, and when its vendor is closed. The orders below say the same in words. */
export function ArrivalStrip({ orders }: { orders: Order[] }) {
    const vendors = useQuery({ queryKey: ['vendors'], queryFn: () => api.get<{ vendors: Vendor[] }>('/vendors') });
    const today = new Date().toISOString().slice(0, 10);
    const expected = orders.flatMap((order) => (order.expectedOn === null ? [] : [{ ...order, expectedOn: order.expectedOn }]));
    const last = Math.max(at(today) + 14 * dayMs, ...expected.map((order) => at(order.expectedOn) + 2 * dayMs));
    const share = (day: string) => `${Math.min(100, Math.max(0, ((at(day) - at(today)) / (last - at(today))) * 100))}%`;
    const closures = (vendors.data?.vendors ?? [])
        .filter((vendor) => orders.some((order) => order.vendor === vendor.name))
        .flatMap((vendor) => (vendor.terms.closures ?? []).map((closure) => ({ vendor: vendor.name, ...closure })))
        .filter((closure) => at(closure.to) >= at(today) && at(closure.from) <= last);
    return (
        <figure className="min-w-64 flex-1" aria-label="Expected arrivals">
            <div className="relative h-14 border-b-2 border-ink">
                {closures.map((closure) => (
                    <span
                        key={`${closure.vendor} ${closure.from}`}
                        className="absolute bottom-0 h-4 border-x border-edge bg-line"
                        style={{ left: share(closure.from), width: `calc(${share(closure.to)} - ${share(closure.from)})` }}
                        title={`${closure.vendor} is closed from ${date(closure.from)} to ${date(closure.to)}`}
                    />
                ))}
                {expected.map((order, index) => (
                    <span
                        key={order.id}
                        className={`absolute bottom-0 border-l-2 pl-1 text-xs whitespace-nowrap ${order.daysLate > 0 ? 'border-clash' : 'border-pen'}`}
                        style={{ left: `min(${share(order.expectedOn)}, calc(100% - 9rem))`, height: `${1.3 + (index % 3) * 1.1}rem` }}
                    >
                        {order.vendor}
                    </span>
                ))}
            </div>
            <figcaption className="flex justify-between text-xs text-pencil">
                <span>today</span>
                <span>{closures.map((closure) => `${closure.vendor} closed ${date(closure.from)} to ${date(closure.to)}`).join('; ')}</span>
                <span>{date(new Date(last).toISOString().slice(0, 10))}</span>
            </figcaption>
        </figure>
    );
}
