import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, type Comparison } from '../api/client';
import { roleWords } from '../ui/words';
import { BackTo, PageFrame } from '../ui/PageFrame';

/** Up to four parts side by side; rows that differ are marked, the others can be folded away. */
export default function Compare() {
    const [asked] = useSearchParams();
    const ids = asked.get('parts') ?? '';
    const [all, setAll] = useState(false);
    const compared = useQuery({ queryKey: ['comparison', ids], queryFn: () => api.get<Comparison>(`/comparison?parts=${encodeURIComponent(ids)}`) });
    useEffect(() => {
        document.title = 'Side by side · Pocket Plot';
    }, []);
    const facets = (compared.data?.facets ?? [])
        .map((facet) => ({ ...facet, rows: facet.rows.filter((row) => all || row.differs) }))
        .filter((facet) => facet.rows.length > 0);
    return (
        <PageFrame
            title="Side by side"
            says="Rows that differ carry a bar at the left."
            tools={
                <label className="flex min-h-9 items-center gap-2">
                    <input type="checkbox" className="size-5 accent-pen" checked={all} onChange={(event) => setAll(event.target.checked)} /> Show what is alike,
                    too
                </label>
            }
        >
            <BackTo to="/library">Library</BackTo>
            {compared.isError && <p role="alert">{compared.error.message}</p>}
            {compared.data !== undefined && (
                <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Comparison">
                    <table className="w-full min-w-[40rem] border-t-2 border-ink">
                        <thead>
                            <tr className="align-bottom">
                                <td className="w-56" />
                                {compared.data.parts.map((part) => (
                                    <th key={part.libraryId} scope="col" className="min-w-36 px-2 py-2 text-left">
                                        <span className="block text-sm font-normal text-pencil">{roleWords[part.role]}</span>
                                        <Link className="font-head text-lg text-pen hover:underline" to={`/library/${part.libraryId}`}>
                                            {part.name}
                                        </Link>
                                    </th>
                                ))}
                            </tr>
                        </thead>
                        {facets.map((facet) => (
                            <tbody key={facet.facet}>
                                <tr>
                                    <th
                                        scope="rowgroup"
                                        colSpan={compared.data.parts.length + 1}
                                        className="font-head border-b border-line pt-4 text-left text-lg"
                                    >
                                        {facet.label}
                                    </th>
                                </tr>
                                {facet.rows.map((row) => (
                                    <tr
                                        key={row.label}
                                        className={`border-b border-dotted border-line ${row.differs ? 'bg-leaf' : ''}`}
                                        data-differs={row.differs}
                                    >
                                        <th
                                            scope="row"
                                            className={`border-l-4 px-2 py-1 text-left font-normal ${row.differs ? 'border-pen' : 'border-transparent'}`}
                                        >
                                            {row.label}
                                        </th>
                                        {row.says.map((says, index) => (
                                            <td key={index} className={`figures px-2 py-1 text-[0.95rem] ${row.differs ? 'font-semibold' : ''}`}>
                                                {says ?? <span className="text-pencil">–</span>}
                                                {says !== null && row.source[index] !== '' && row.source[index] !== 'datasheet' && (
                                                    <span className="block text-xs font-normal text-pencil">{row.source[index]}</span>
                                                )}
                                            </td>
                                        ))}
                                    </tr>
                                ))}
                            </tbody>
                        ))}
                    </table>
                </div>
            )}
        </PageFrame>
    );
}
