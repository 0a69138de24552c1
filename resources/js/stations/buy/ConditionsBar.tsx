import type { Shopping } from '../../api/client';
import { inputLook } from '../../ui/Field';
import { date } from '../../ui/format';
import { Select } from '../../ui/Select';
import { roleWords } from '../../ui/words';
import type { Conditions } from './useShopping';

type Condition = Shopping['plans'][number]['without'][number]['condition'];

const words: Record<Condition, string> = {
    needBy: 'that day',
    avoid: 'leaving vendors out',
    usedAllowed: 'buying nothing used',
    mostParcels: 'so few parcels',
    prefer: 'preferring a vendor',
};

/** Under which conditions the plan is to be the cheapest, and what each of them costs. */
export function ConditionsBar({ conditions, change, shopping }: { conditions: Conditions; change: (more: Partial<Conditions>) => void; shopping: Shopping }) {
    const used = [...new Set(shopping.list.filter((row) => row.offers.some((offer) => offer.condition !== 'new')).map((row) => row.role))];
    const vendors = [...new Set([...shopping.list.flatMap((row) => row.offers.map((offer) => offer.vendor)), ...conditions.avoid])].sort();
    return (
        <fieldset className="mb-4 border-b border-line pb-3 print:hidden">
            <legend className="sr-only">Conditions of the plan</legend>
            <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
                <label className="text-sm">
                    Here by
                    <input
                        type="date"
                        className={`${inputLook} figures block w-40!`}
                        value={conditions.needBy}
                        onChange={(event) => change({ needBy: event.target.value })}
                    />
                </label>
                <label className="text-sm">
                    Parcels, at most
                    <input
                        inputMode="numeric"
                        className={`${inputLook} figures block w-24! text-right`}
                        value={conditions.mostParcels}
                        onChange={(event) => change({ mostParcels: event.target.value.replace(/\D/g, '').slice(0, 2) })}
                    />
                </label>
                <label className="text-sm">
                    Rather at
                    <Select
                        label="Vendor that is preferred"
                        className="block"
                        value={conditions.prefer}
                        options={[['', 'anybody'] as const, ...vendors.map((name) => [name, name] as const)]}
                        onChange={(event) => change({ prefer: event.target.value })}
                    />
                </label>
                {conditions.prefer !== '' && (
                    <label className="text-sm">
                        if an order is at most so much dearer
                        <input
                            inputMode="decimal"
                            className={`${inputLook} figures block w-24! text-right`}
                            value={conditions.preferUpTo}
                            onChange={(event) => change({ preferUpTo: event.target.value })}
                        />
                    </label>
                )}
                <Tick label="Nothing used" checked={!conditions.used} onChange={(is) => change({ used: !is })} />
                {conditions.used &&
                    used.map((role) => (
                        <Tick
                            key={role}
                            label={`${roleWords[role]}: may be used`}
                            checked={!conditions.onlyNew.includes(role)}
                            onChange={(is) => change({ onlyNew: is ? conditions.onlyNew.filter((one) => one !== role) : [...conditions.onlyNew, role] })}
                        />
                    ))}
                <Tick label="May take another candidate that fits" checked={conditions.choose} onChange={(is) => change({ choose: is })} />
            </div>
            {vendors.length > 0 && (
                <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1" role="group" aria-label="Vendors that are asked">
                    <span className="text-sm text-pencil">Ask</span>
                    {vendors.map((name) => (
                        <Tick
                            key={name}
                            label={name}
                            checked={!conditions.avoid.includes(name)}
                            onChange={(is) => change({ avoid: is ? conditions.avoid.filter((one) => one !== name) : [...conditions.avoid, name] })}
                        />
                    ))}
                </div>
            )}
            <WhatItCosts shopping={shopping} />
        </fieldset>
    );
}

function Tick({ label, checked, onChange }: { label: string; checked: boolean; onChange: (is: boolean) => void }) {
    return (
        <label className="flex min-h-9 items-center gap-2 text-sm">
            <input type="checkbox" className="size-5 accent-pen" checked={checked} onChange={(event) => onChange(event.target.checked)} />
            {label}
        </label>
    );
}

function WhatItCosts({ shopping }: { shopping: Shopping }) {
    const without = shopping.plans[0]?.without ?? [];
    if (without.length === 0) return null;
    return (
        <ul className="mt-2 text-sm" aria-label="What the conditions cost">
            {without.map(({ condition, saves, arrives }) => (
                <li key={condition}>
                    {Number(saves) > 0
                        ? `Without ${words[condition]} it would cost ${saves} ${shopping.currency} less${arrives === null ? '' : `, and be here by ${date(arrives)}`}.`
                        : `Nothing is cheaper without ${words[condition]}.`}
                </li>
            ))}
        </ul>
    );
}
