/** The share of the charge at nine even times, as a strip under a plot over the same hours. */
export function ChargeStrip({ label, rows }: { label: string; rows: readonly (readonly [number, number])[] }) {
    const last = rows[rows.length - 1];
    if (last === undefined || last[0] === 0) return null;
    const at = (hours: number) => rows.reduce((best, row) => (Math.abs(row[0] - hours) < Math.abs(best[0] - hours) ? row : best), last);
    return (
        <ol className="mt-3 flex min-w-0 gap-px overflow-x-auto" aria-label={label}>
            {Array.from({ length: 9 }, (_, index) => at((last[0] * index) / 8)).map(([hours, share], index) => (
                <li key={index} className="min-w-14 flex-1 text-center text-xs">
                    <span className="relative block h-7 border border-edge bg-leaf">
                        <span className="absolute inset-x-0 bottom-0 bg-pen/35" style={{ height: `${share * 100}%` }} />
                        <span className="figures relative leading-7 font-semibold">{Math.round(share * 100)} %</span>
                    </span>
                    <span className="figures text-pencil">{hours.toFixed(1)} h</span>
                </li>
            ))}
        </ol>
    );
}
