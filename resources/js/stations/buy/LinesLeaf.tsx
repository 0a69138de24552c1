import { useQuery } from '@tanstack/react-query';
import { api, type Line, type Vendor } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { useLineEdit } from '../../frame/useLineEdit';
import { DraftInput } from '../../ui/DraftInput';
import { date } from '../../ui/format';
import { Select } from '../../ui/Select';
import { states } from '../../ui/words';
import { Totals } from './Totals';

/** What each line costs, from whom and when it comes, written by hand where nothing was ordered through a plan. */
export function LinesLeaf() {
    const { build } = useOpenBuild();
    const vendors = useQuery({ queryKey: ['vendors'], queryFn: () => api.get<{ vendors: Vendor[] }>('/vendors'), staleTime: Infinity });
    const { costs } = build.appraisal;
    const chosen = build.lines.filter((line) => line.chosen);
    if (chosen.length === 0) {
        return (
            <p className="dot-grid border border-dashed border-edge p-6">
                Nothing to buy yet. Add parts first; their prices, vendors and days then stand here.
            </p>
        );
    }
    return (
        <>
            <div className="mb-5 max-w-4xl">
                <Totals />
            </div>
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
            <datalist id="vendors">
                {vendors.data?.vendors.map((vendor) => (
                    <option key={vendor.name} value={vendor.name}>
                        {vendor.currency}, {vendor.leadDays} days
                    </option>
                ))}
            </datalist>
        </>
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
