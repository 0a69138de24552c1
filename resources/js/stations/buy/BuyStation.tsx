import { useQuery } from '@tanstack/react-query';
import { api, type Line, type Vendor } from '../../api/client';
import { useFits } from '../../frame/useFits';
import { useOpenBuild } from '../../frame/useBuild';
import { MarginNotes } from '../../frame/Margin';
import { DraftInput } from '../../ui/DraftInput';
import { date } from '../../ui/format';
import { Select } from '../../ui/Select';
import { useLineEdit } from '../../frame/useLineEdit';
import { states } from '../../ui/words';

/** What each line costs, from whom and when it comes; and the whole against the budget. */
export default function BuyStation() {
    const { build } = useOpenBuild();
    const says = useFits();
    const vendors = useQuery({ queryKey: ['vendors'], queryFn: () => api.get<{ vendors: Vendor[] }>('/vendors'), staleTime: Infinity });
    const { costs, findings } = build.appraisal;
    const money = findings.filter((finding) => finding.station === 'buy');
    const chosen = build.lines.filter((line) => line.chosen);
    return (
        <main className="px-4 sm:px-6">
            <h2 className="mb-3 text-xl">Buy</h2>
            <div className="mb-5 grid gap-5 lg:grid-cols-[minmax(0,1fr)_19rem]">
                <Totals />
                <div className="lg:border-l-[3px] lg:border-double lg:border-clash/45 lg:pl-3">
                    <MarginNotes findings={money} label="Notes on money" />
                    {money.every((finding) => finding.verdict === 'fits') && (
                        <p className="text-[0.95rem] text-pencil">{money[0] === undefined ? 'Set a budget in the brief to compare with.' : says(money[0])}</p>
                    )}
                    <p className="mt-2 text-sm text-pencil">
                        Rates:{' '}
                        {Object.entries(build.rates.worth)
                            .map(([currency, worth]) => `1 ${currency} = ${worth} ${build.rates.base}`)
                            .join(', ')}
                        {build.rates.asOf === null ? '' : `, of ${date(build.rates.asOf)}`}
                        {build.rates.source === '' ? '' : ` (${build.rates.source})`}
                    </p>
                </div>
            </div>
            {chosen.length === 0 ? (
                <p className="dot-grid border border-dashed border-edge p-6">
                    Nothing to buy yet. Add parts first; their prices, vendors and days then stand here.
                </p>
            ) : (
                <table className="w-full border-collapse max-md:block">
                    <thead className="max-md:sr-only">
                        <tr className="border-b-2 border-ink text-left text-sm [&>th]:px-1.5 [&>th]:py-1">
                            <th scope="col">Part</th>
                            <th scope="col" className="text-right">
                                Qty
                            </th>
                            <th scope="col">State</th>
                            <th scope="col">Price of one</th>
                            <th scope="col" className="text-right">
                                All, {costs.currency}
                            </th>
                            <th scope="col">Vendor</th>
                            <th scope="col">Expected</th>
                            <th scope="col">Here by</th>
                        </tr>
                    </thead>
                    <tbody className="max-md:block">
                        {chosen.map((line) => (
                            <BuyLine key={line.id} line={line} whole={costs.byLine[line.id]} />
                        ))}
                    </tbody>
                </table>
            )}
            <datalist id="vendors">
                {vendors.data?.vendors.map((vendor) => (
                    <option key={vendor.name} value={vendor.name}>
                        {vendor.currency}, {vendor.leadDays} days
                    </option>
                ))}
            </datalist>
        </main>
    );
}

function BuyLine({ line, whole }: { line: Line; whole: string | undefined }) {
    const save = useLineEdit(line.id);
    const offer = line.part.offers[0];
    const bought = line.origin === 'buy' || line.origin === 'print';
    return (
        <tr
            className="border-b border-line align-middle max-md:flex max-md:flex-wrap max-md:items-center max-md:gap-2 max-md:py-3 [&>td]:px-1.5 [&>td]:py-1"
            data-line={line.id}
        >
            <th scope="row" className="px-1.5 py-1 text-left leading-tight font-semibold max-md:w-full">
                {line.part.name}
                {!bought && <span className="block text-sm font-normal text-pencil">{line.origin}</span>}
            </th>
            <td className="figures text-right">{line.quantity}</td>
            <td>
                <Select
                    label={`State of ${line.part.name}`}
                    options={states}
                    value={line.state}
                    onChange={(event) => void save({ state: event.target.value })}
                    className="w-[5.6rem]"
                />
            </td>
            <td>
                <DraftInput
                    label={`Price of one ${line.part.name}`}
                    stored={line.price === null ? '' : `${line.price.amount} ${line.price.currency}`}
                    placeholder={bought ? (line.listPrice === null ? 'price?' : `${line.listPrice.amount} ${line.listPrice.currency}`) : 'free'}
                    className="figures w-28 text-right"
                    save={(price) => save({ price })}
                />
            </td>
            <td className="figures text-right font-semibold">{whole ?? '?'}</td>
            <td>
                <DraftInput
                    label={`Vendor of ${line.part.name}`}
                    stored={line.vendor}
                    list="vendors"
                    placeholder={bought ? (offer?.vendor ?? 'vendor?') : ''}
                    className="w-52"
                    save={(vendor) => save({ vendor })}
                />
            </td>
            <td>
                <DraftInput
                    label={`Day ${line.part.name} is expected`}
                    type="date"
                    stored={line.expectedOn ?? ''}
                    className={`figures w-36 ${line.expectedOn === null ? 'text-pencil!' : ''}`}
                    save={(day) => save({ expectedOn: day === '' ? null : day })}
                />
            </td>
            <td className="figures text-sm whitespace-nowrap">{line.state === 'arrived' || line.state === 'tested' ? 'here' : date(line.arrivesOn)}</td>
        </tr>
    );
}

function Totals() {
    const { build } = useOpenBuild();
    const { costs, vitals } = build.appraisal;
    const budget = vitals.cost.target;
    const scale = Math.max(Number(budget ?? 0), Number(costs.planned), 1);
    const bar = (amount: string) => `${(Number(amount) / scale) * 100}%`;
    const rows = [
        ['Planned', costs.planned, 'everything chosen', 'bg-line'],
        ['Committed', costs.committed, 'ordered or here', 'bg-edge'],
        ['Spent', costs.spent, 'here, good or bad', 'bg-pen'],
    ] as const;
    return (
        <table className="dot-grid w-full border border-line">
            <caption className="sr-only">Totals against the budget, in {costs.currency}</caption>
            <tbody>
                {rows.map(([what, amount, words, ink]) => (
                    <tr key={what} className="border-b border-line last:border-0">
                        <th scope="row" className="w-36 px-3 py-1.5 text-left leading-tight">
                            {what}
                            <span className="block text-sm font-normal text-pencil">{words}</span>
                        </th>
                        <td className="relative">
                            <span className={`block h-5 border border-ink ${ink}`} style={{ width: bar(amount) }} />
                            {budget !== null && (
                                <span className="absolute inset-y-0 w-0.5 bg-clash" style={{ left: `min(${bar(budget)}, calc(100% - 2px))` }} />
                            )}
                        </td>
                        <td className="figures w-36 px-3 text-right text-lg font-semibold whitespace-nowrap">
                            {amount} <span className="text-sm font-normal">{costs.currency}</span>
                        </td>
                    </tr>
                ))}
                <tr>
                    <th scope="row" className="px-3 py-1.5 text-left">
                        Budget
                    </th>
                    <td className="text-sm text-pencil">{budget === null ? 'not set' : 'the upright line'}</td>
                    <td className="figures px-3 text-right text-lg font-semibold whitespace-nowrap">
                        {budget ?? '–'} <span className="text-sm font-normal">{costs.currency}</span>
                    </td>
                </tr>
            </tbody>
        </table>
    );
}
