import { useState } from 'react';
import { api, Problem, type Build, type Shopping } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { inputLook } from '../../ui/Field';
import { date } from '../../ui/format';
import { useNotices } from '../../ui/Notices';

type Plan = Shopping['plans'][number];
type PlannedOrder = Plan['orders'][number];

const titles: Record<Plan['way'], string> = { least: 'Costs least', soonest: 'Here soonest', 'fewest-parcels': 'Fewest parcels' };

/** One way to buy it all, opened down to its orders and their lines. */
export function PlanCard({ plan, clashes }: { plan: Plan; clashes: Shopping['list'] }) {
    return (
        <li className="flex flex-col border border-edge bg-leaf" data-plan={plan.way}>
            <div className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-line px-3 py-2">
                <h3 className="text-lg">{titles[plan.way]}</h3>
                <p className="figures text-lg font-semibold">
                    {plan.total} <span className="text-sm font-normal">{plan.currency}</span>
                </p>
                <p className="w-full text-sm text-pencil">
                    {plan.arrives !== null && `All here by ${date(plan.arrives)}; ${plan.decides ?? ''} decides that. `}
                    {plan.exact
                        ? 'Proved: nothing is cheaper under these conditions.'
                        : `At most ${plan.slack} ${plan.currency} more than the least there can be.`}
                    {Number(plan.more) > 0 && ` ${plan.more} ${plan.currency} more than the cheapest.`}
                </p>
            </div>
            {!plan.possible && <p className="px-3 py-2">Under these conditions it cannot be bought together: allow more parcels, more vendors or more days.</p>}
            {plan.orders.map((order) => (
                <PlannedOrderBox key={order.vendor} order={order} currency={plan.currency} clashes={clashes} />
            ))}
            {plan.unmet.length > 0 && (
                <p className="px-3 py-2">Nobody sells under these conditions: {plan.unmet.map((one) => one.name).join(', ')}. Note an offer beside it below.</p>
            )}
        </li>
    );
}

function PlannedOrderBox({ order, currency, clashes }: { order: PlannedOrder; currency: string; clashes: Shopping['list'] }) {
    const extras = (
        [
            ['post', order.post],
            ['duty', order.duty],
            ['tax', order.tax],
        ] as const
    ).filter(([, amount]) => Number(amount) !== 0);
    return (
        <section className="border-b border-line px-3 py-2 last:border-0" aria-label={order.vendor}>
            <div className="flex flex-wrap items-baseline justify-between gap-x-3">
                <h4 className="font-semibold">{order.vendor}</h4>
                <p className="figures text-sm">
                    here {date(order.arrives)}, at the latest {date(order.latest)}
                </p>
            </div>
            <table className="w-full text-sm">
                <caption className="sr-only">
                    What is bought at {order.vendor}, in {currency}
                </caption>
                <tbody>
                    {order.items.map((item) => (
                        <tr key={item.id} className="[&>*]:py-0.5">
                            <th scope="row" className="text-left font-normal">
                                {item.packets > 1 || item.pieces !== item.packets ? `${item.packets} × ` : ''}
                                {item.name}
                                {item.pieces > item.needed && <span className="text-pencil">{` (${item.pieces} pieces, ${item.needed} needed)`}</span>}
                                {item.condition !== 'new' && <span className="text-pencil"> used</span>}
                            </th>
                            <td className="figures text-right">{item.goods}</td>
                        </tr>
                    ))}
                    {extras.map(([what, amount]) => (
                        <tr key={what} className="text-pencil">
                            <th scope="row" className="text-left font-normal">
                                {what}
                            </th>
                            <td className="figures text-right">{amount}</td>
                        </tr>
                    ))}
                    <tr className="border-t border-line font-semibold">
                        <th scope="row" className="text-left">
                            together
                        </th>
                        <td className="figures text-right">{order.total}</td>
                    </tr>
                </tbody>
            </table>
            <OrderThis order={order} clashes={clashes} />
        </section>
    );
}

/** Writes the order down; a part that clashes asks for a reason first. */
function OrderThis({ order, clashes }: { order: PlannedOrder; clashes: Shopping['list'] }) {
    const { edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [why, setWhy] = useState('');
    const [complaint, setComplaint] = useState<string | null>(null);
    const clashing = clashes.filter((row) => row.clash !== null && order.items.some((item) => item.id === row.line));
    const place = async () => {
        const answer = await edit((path, version) =>
            api.post<Build>(`${path}/orders`, {
                version,
                vendor: order.vendor,
                items: order.items.map(({ id, offer, needed }) => ({ line: id, offer, pieces: needed })),
                why,
            }),
        );
        if (answer instanceof Problem) {
            setComplaint(Object.values(answer.fields)[0]?.[0] ?? answer.message);
            return;
        }
        notices.say(`Written down: ordered at ${order.vendor} for ${order.total}. It stands under Orders and parcels.`);
    };
    return (
        <div className="mt-1.5">
            {clashing.map((row) => (
                <p key={row.line} className="border-l-4 border-clash pl-2 text-sm">
                    {row.clash}
                </p>
            ))}
            {complaint !== null && (
                <p role="alert" className="mt-1 text-sm text-clash">
                    {complaint}
                </p>
            )}
            <div className="mt-1 flex flex-wrap items-end gap-2 print:hidden">
                {clashing.length > 0 && (
                    <label className="min-w-52 flex-1 text-sm">
                        Order anyway, because
                        <input className={inputLook} value={why} maxLength={500} onChange={(event) => setWhy(event.target.value)} />
                    </label>
                )}
                <Button disabled={busy || (clashing.length > 0 && why.trim() === '')} onClick={() => void place()}>
                    I ordered this at {order.vendor}
                </Button>
            </div>
        </div>
    );
}
