import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type DrawerMatch, type Shopping } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { useNotices } from '../../ui/Notices';
import { SaveMenu } from '../../ui/SaveMenu';
import { ConditionsBar } from './ConditionsBar';
import { OffersSheet } from './OffersSheet';
import { PlanCard } from './PlanCard';
import { ShoppingRow } from './ShoppingRow';
import { useShopping } from './useShopping';

/** What is still to be bought, who sells it, and the ways to buy it side by side. */
export function ShoppingLeaf() {
    const { build } = useOpenBuild();
    const { conditions, query, shopping, change, again } = useShopping();
    const [all, setAll] = useState(false);
    const [importing, setImporting] = useState(false);
    const drawer = useQuery({
        queryKey: ['drawer', build.id, build.version],
        queryFn: () => api.get<{ lines: Record<string, DrawerMatch[]> }>(`/builds/${build.id}/drawer`),
    });
    if (shopping.isError) return <p role="alert">{shopping.error.message}</p>;
    const found = shopping.data;
    if (found === undefined) return <p className="text-pencil">Looking for the cheapest way …</p>;
    if (found.list.length === 0) {
        return (
            <p className="dot-grid border border-dashed border-edge p-6">
                Nothing to buy yet. Add parts first; then this page says where all of them are cheapest.
            </p>
        );
    }
    const open = found.list.filter((row) => row.toBuy > 0);
    const rest = found.list.filter((row) => row.toBuy === 0);
    const shown = all || open.length === 0 ? [...open, ...rest] : open;
    return (
        <>
            {open.length > 0 && <ConditionsBar conditions={conditions} change={change} shopping={found} />}
            {open.length > 0 && <Plans shopping={found} />}
            <div className="mt-6 mb-2 flex flex-wrap items-baseline justify-between gap-3 print:hidden">
                <h3 className="text-lg">
                    {open.length === 0 ? 'Everything is owned, ordered or here' : `${open.length} of ${found.list.length} things are still to be bought`}
                </h3>
                {open.length > 0 && (
                    <span className="flex items-center gap-4">
                        <Button look="bare" title="The plans, to take along" onClick={() => window.print()}>
                            Print
                        </Button>
                        <AskFeed onAsked={() => void again()} />
                        <Button look="bare" onClick={() => setImporting(true)}>
                            Offers from a spreadsheet
                        </Button>
                        <SaveMenu label="Save the plan" path={`/api/builds/${build.id}/shopping`} query={query} />
                    </span>
                )}
            </div>
            <table className="w-full border-collapse max-md:block print:hidden">
                <thead className="max-md:sr-only">
                    <tr className="border-b-2 border-ink text-left text-sm [&>th]:px-1.5 [&>th]:py-1">
                        <th scope="col">Part</th>
                        <th scope="col">Needed</th>
                        <th scope="col">At home</th>
                        <th scope="col">On its way</th>
                        <th scope="col">Here</th>
                        <th scope="col">To buy</th>
                        <th scope="col">Spare</th>
                        <th scope="col">Who sells it, for how much, and when it would be here</th>
                    </tr>
                </thead>
                <tbody className="max-md:block">
                    {shown.map((row) => (
                        <ShoppingRow
                            key={row.line}
                            row={row}
                            home={found.currency}
                            matches={drawer.data?.lines[row.line] ?? []}
                            spare={conditions.spares[row.line] ?? 0}
                            onSpare={(count) => change({ spares: { ...conditions.spares, [row.line]: count } })}
                            onNoted={() => void again()}
                        />
                    ))}
                </tbody>
            </table>
            {importing && (
                <OffersSheet
                    onClose={() => setImporting(false)}
                    onNoted={() => {
                        setImporting(false);
                        void again();
                    }}
                />
            )}
            <Missing shopping={found} />
            {open.length > 0 && rest.length > 0 && (
                <Button look="bare" onClick={() => setAll(!all)}>
                    {all ? 'Only what is to be bought' : `${rest.length} more are owned, on their way or here`}
                </Button>
            )}
        </>
    );
}

/** Prices as vendors have them today, from the stand-in; what changed is told and noted. */
function AskFeed({ onAsked }: { onAsked: () => void }) {
    const { build } = useOpenBuild();
    const notices = useNotices();
    const ask = useMutation({
        mutationFn: () => api.post<{ changes: { name: string; was: string; now: string; stock: number | null }[] }>(`/builds/${build.id}/price-feed`),
        onSuccess: ({ changes }) => {
            const soldOut = changes.filter((one) => one.stock === 0).length;
            notices.say(
                changes.length === 0
                    ? 'Nothing has changed, says the stand-in.'
                    : `${changes.length} offers are different today, ${soldOut} of them sold out, says the stand-in. They are noted.`,
            );
            onAsked();
        },
        onError: (error) => notices.say(error.message, 'bad'),
    });
    return (
        <Button look="bare" disabled={ask.isPending} onClick={() => ask.mutate()}>
            Prices of today (stand-in)
        </Button>
    );
}

/** What the build needs and no line holds yet. */
function Missing({ shopping }: { shopping: Shopping }) {
    const { build } = useOpenBuild();
    if (shopping.missing.length === 0) return null;
    return (
        <section className="mt-5" aria-label="Needed, and not on the list yet">
            <h3 className="text-lg">Needed, and not on the list yet</h3>
            <ul className="list-disc pl-5">
                {shopping.missing.map((one) => (
                    <li key={one.key}>{one.says}</li>
                ))}
            </ul>
            <Link className="my-1 inline-block min-h-9 py-1.5 font-semibold text-pen underline" to={`/builds/${build.id}/parts`}>
                Add them under Parts
            </Link>
        </section>
    );
}

function Plans({ shopping }: { shopping: Shopping }) {
    return (
        <section aria-label="Ways to buy it">
            <ul className={`grid gap-4 ${shopping.plans.length > 1 ? 'lg:grid-cols-2 2xl:grid-cols-3' : 'max-w-3xl'}`}>
                {shopping.plans.map((plan) => (
                    <PlanCard key={plan.way} plan={plan} clashes={shopping.list} />
                ))}
            </ul>
            {shopping.withoutRate.length > 0 && (
                <p className="mt-2 border-l-4 border-unmeasured pl-2 text-sm">
                    No rate is written down for {shopping.withoutRate.join(', ')}: whoever sells in it is left out of the plans. Write it down under Money.
                </p>
            )}
            {shopping.withoutPost.length > 0 && (
                <p className="mt-2 text-sm text-pencil">
                    Nobody wrote down what {shopping.withoutPost.join(' and ')} {shopping.withoutPost.length === 1 ? 'asks' : 'ask'} for post; it is counted as
                    nothing. Write it down under Vendors.
                </p>
            )}
        </section>
    );
}
