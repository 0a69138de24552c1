import type { PartPage } from '../api/client';

/** A part laid out facet by facet, each figure with its source; what was stated before a measurement stays beside it. */
export function PartFigures({ sheet }: { sheet: PartPage['sheet'] }) {
    if (sheet.length === 0) {
        return <p className="text-pencil">Nothing is written down yet that a rule can use.</p>;
    }
    return (
        <div className="columns-1 gap-8 md:columns-2">
            {sheet.map((facet) => (
                <section key={facet.facet} className="mb-5 break-inside-avoid">
                    <h2 className="mb-1 border-b border-ink text-lg">{facet.label}</h2>
                    <dl>
                        {facet.rows.map((row) => (
                            <div key={row.field} className="flex items-baseline justify-between gap-3 border-b border-dotted border-line py-0.5">
                                <dt className="min-w-0 text-[0.95rem]">{row.label}</dt>
                                <dd className="figures text-right text-[0.95rem]">
                                    <span className={row.says === 'unknown' ? 'text-unmeasured' : 'font-semibold'}>{row.says}</span>
                                    {row.source !== '' && row.says !== 'unknown' && <span className="ml-2 text-xs text-pencil">{row.source}</span>}
                                    {row.stated !== null && <span className="block text-xs text-pencil">was {row.stated}</span>}
                                </dd>
                            </div>
                        ))}
                    </dl>
                </section>
            ))}
        </div>
    );
}
