import { useOpenBuild } from '../../frame/useBuild';

/** Planned, committed and spent as bars against the budget. */
export function Totals() {
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
                {build.brief.readyMade != null && (
                    <tr className="border-b border-line">
                        <th scope="row" className="px-3 py-1.5 text-left">
                            Ready-made
                        </th>
                        <td className="text-sm text-pencil">what one would cost in a shop</td>
                        <td className="figures px-3 text-right text-lg font-semibold whitespace-nowrap">
                            {build.brief.readyMade.amount} <span className="text-sm font-normal">{build.brief.readyMade.currency}</span>
                        </td>
                    </tr>
                )}
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
