import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type Build, type MoneyReport } from '../../api/client';
import { MarginNotes } from '../../frame/Margin';
import { useOpenBuild } from '../../frame/useBuild';
import { useFits } from '../../frame/useFits';
import { Button } from '../../ui/Button';
import { date } from '../../ui/format';
import { useNotices } from '../../ui/Notices';
import { RatesForm } from './RatesForm';
import { Totals } from './Totals';

/** What it all comes to: planned, committed, spent; by line, by what it is for, by vendor, over time. */
export function MoneyLeaf() {
    const { build } = useOpenBuild();
    const money = useQuery({
        queryKey: ['money', build.id, build.version],
        queryFn: () => api.get<MoneyReport>(`/builds/${build.id}/money`),
        placeholderData: (before) => before,
    });
    const report = money.data;
    return (
        <>
            <div className="mb-5 grid gap-5 lg:grid-cols-[minmax(0,1fr)_19rem]">
                <Totals />
                <Remarks />
            </div>
            {money.isError && <p role="alert">{money.error.message}</p>}
            {report !== undefined && report.lines.length === 0 && <p className="text-pencil">No price is known yet.</p>}
            {report !== undefined && report.lines.length > 0 && (
                <>
                    <div className="mb-6 grid gap-x-8 gap-y-5 lg:grid-cols-2">
                        <Shares title="By what it is for" groups={report.byRole} currency={report.currency} />
                        <Shares title="By vendor" groups={report.byVendor} currency={report.currency} />
                    </div>
                    <Rows report={report} />
                    <OverTime report={report} />
                </>
            )}
        </>
    );
}

function Remarks() {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const says = useFits();
    const [writing, setWriting] = useState(false);
    const money = build.appraisal.findings.filter((finding) => finding.station === 'buy');
    const fetchRates = async () => {
        const answer = await edit((path, version) => api.post<Build>(`${path}/rates`, { version }));
        if (!(answer instanceof Problem)) notices.say('Rates of today are written down. They come from a stand-in, not from a bank.');
    };
    return (
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
                {build.rates.source === '' ? '' : ` (${build.rates.source})`}{' '}
                <Button look="bare" className="px-0!" disabled={busy} onClick={() => void fetchRates()}>
                    Rates of today (stand-in)
                </Button>{' '}
                <Button look="bare" className="px-0!" onClick={() => setWriting(true)}>
                    Write down others
                </Button>
            </p>
            {writing && <RatesForm onClose={() => setWriting(false)} />}
        </div>
    );
}

type Group = MoneyReport['byRole'][number];

/** Shares of the whole as bars; each bar's figure stands beside it. */
function Shares({ title, groups, currency }: { title: string; groups: Group[]; currency: string }) {
    const most = Math.max(1, ...groups.map((group) => Number(group.whole)));
    return (
        <table className="w-full self-start">
            <caption className="mb-1 text-left text-lg font-semibold">
                {title} <span className="text-sm font-normal text-pencil">{currency}; filled: ordered or here</span>
            </caption>
            <tbody>
                {groups
                    .filter((group) => Number(group.whole) !== 0)
                    .map((group) => (
                        <tr key={group.name} className="border-b border-dotted border-line">
                            <th scope="row" className="w-44 py-1 text-left text-sm font-normal">
                                {group.name}
                            </th>
                            <td>
                                <span className="relative block h-4 border border-ink bg-line" style={{ width: `${(Number(group.whole) / most) * 100}%` }}>
                                    <span
                                        className="absolute inset-y-0 left-0 bg-pen"
                                        style={{ width: `${Number(group.whole) === 0 ? 0 : (Number(group.committed) / Number(group.whole)) * 100}%` }}
                                    />
                                </span>
                            </td>
                            <td className="figures w-20 text-right">{group.whole}</td>
                        </tr>
                    ))}
            </tbody>
        </table>
    );
}

const columns = ['goods', 'post', 'duty', 'tax', 'refund', 'whole', 'committed', 'spent'] as const;

function Rows({ report }: { report: MoneyReport }) {
    const [free, setFree] = useState(false);
    const shown = report.lines.filter((row) => free || Number(row.whole) !== 0 || Number(row.refund) !== 0);
    const hidden = report.lines.length - shown.length;
    const isUsed = (column: (typeof columns)[number]) => ['goods', 'whole', 'committed', 'spent'].includes(column) || Number(report.sums[column]) !== 0;
    return (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Money line by line">
            <table className="w-full border-collapse">
                <caption className="mb-1 text-left text-lg font-semibold">
                    Line by line <span className="text-sm font-normal text-pencil">{report.currency}</span>
                </caption>
                <thead>
                    <tr className="border-b-2 border-ink text-right text-sm [&>th]:px-1.5">
                        <th scope="col" className="text-left">
                            Part
                        </th>
                        {columns.filter(isUsed).map((column) => (
                            <th key={column} scope="col">
                                {column}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {shown.map((row) => (
                        <tr key={row.line ?? row.name} className="border-b border-dotted border-line [&>*]:px-1.5 [&>*]:py-0.5">
                            <th scope="row" className="text-left font-normal">
                                {row.name}
                                {row.line === null && <span className="text-sm text-pencil"> (not on the list any more)</span>}
                            </th>
                            {columns.filter(isUsed).map((column) => (
                                <td key={column} className={`figures text-right ${Number(row[column]) === 0 ? 'text-pencil' : ''}`}>
                                    {row[column]}
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
                <tfoot>
                    <tr className="border-t-2 border-ink font-semibold [&>*]:px-1.5">
                        <th scope="row" className="text-left">
                            Together
                        </th>
                        {columns.filter(isUsed).map((column) => (
                            <td key={column} className="figures text-right" data-sum={column}>
                                {report.sums[column]}
                            </td>
                        ))}
                    </tr>
                </tfoot>
            </table>
            {(hidden > 0 || free) && (
                <Button look="bare" onClick={() => setFree(!free)}>
                    {free ? 'Hide what costs nothing' : `${hidden} more cost nothing`}
                </Button>
            )}
            {report.withoutPost.length > 0 && (
                <p className="text-sm text-pencil">Post of {report.withoutPost.join(', ')} is not known and counted as nothing.</p>
            )}
            {report.unpriced.length > 0 && <p className="text-sm text-pencil">Without a price: {report.unpriced.join(', ')}.</p>}
        </div>
    );
}

function OverTime({ report }: { report: MoneyReport }) {
    if (report.over.length === 0) return null;
    const most = Math.max(1, ...report.over.map((one) => Number(one.sum)));
    return (
        <table className="mt-6 w-full max-w-3xl">
            <caption className="mb-1 text-left text-lg font-semibold">Promised over time</caption>
            <tbody>
                {report.over.map((one, at) => (
                    <tr key={`${one.on} ${at}`} className="border-b border-dotted border-line [&>*]:py-1">
                        <th scope="row" className="figures w-20 text-left text-sm font-normal">
                            {date(one.on)}
                        </th>
                        <td className="w-44 text-sm">{one.what}</td>
                        <td className="figures w-20 pr-3 text-right">{one.amount}</td>
                        <td>
                            <span className="block h-3 bg-pen" style={{ width: `${(Number(one.sum) / most) * 100}%` }} />
                        </td>
                        <td className="figures w-20 text-right font-semibold">{one.sum}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
