import type { PartChange } from '../api/client';

/** What becomes, or became, another in a part: the figure before, crossed out, and the one after. */
export function ChangeList({ changes }: { changes: readonly PartChange[] }) {
    return (
        <ul className="text-sm">
            {changes.map((one) => (
                <li key={one.label} className="break-words">
                    <span className="text-pencil">{one.label}: </span>
                    {one.before !== null && one.before !== one.after && (
                        <>
                            <del className="figures">{one.before}</del>{' '}
                        </>
                    )}
                    <ins className={one.after === null ? 'text-pencil no-underline' : 'figures no-underline'}>{one.after ?? 'not written down any more'}</ins>
                    {one.source !== '' && one.after !== null && <span className="text-pencil"> ({one.source})</span>}
                </li>
            ))}
        </ul>
    );
}
