import { useState } from 'react';
import { useGrid } from '../../frame/useAsked';
import { useFits } from '../../frame/useFits';
import { useOpenBuild } from '../../frame/useBuild';
import { useNoteLeaf } from '../../frame/NoteLeaf';
import { Peg, verdictWords } from '../../ui/Peg';

/** Part against part; each cell holds the worst mark of what is said of the two together. */
export function Grid() {
    const { build } = useOpenBuild();
    const open = useNoteLeaf();
    const says = useFits();
    const [at, setAt] = useState<string | null>(null);
    const asked = useGrid();
    const { findings } = build.appraisal;
    const grid = asked.data?.grid ?? [];
    const named = build.lines.filter((line) => grid.some((cell) => cell.one === line.id || cell.other === line.id));
    const cellOf = (one: string, other: string) =>
        grid.find((cell) => (cell.one === one && cell.other === other) || (cell.one === other && cell.other === one));
    const pair = at === null ? undefined : grid.find((cell) => `${cell.one} ${cell.other}` === at);
    const nameOf = (id: string) => build.lines.find((line) => line.id === id)?.part.name ?? id;
    if (asked.isError) return <p role="alert">{asked.error.message}</p>;
    if (asked.isPending) return <p className="text-pencil">Laying part against part …</p>;
    if (named.length < 2)
        return <p className="dot-grid border border-dashed border-edge p-6">Two parts that have to do with each other make the first cell.</p>;
    return (
        <div className="grid grid-cols-[minmax(0,1fr)] gap-5 xl:grid-cols-[minmax(0,1fr)_19rem]">
            <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="Part against part">
                <table className="dot-grid border-collapse">
                    <thead>
                        <tr>
                            <td className="sticky left-0 bg-paper" />
                            {named.slice(0, -1).map((line, index) => (
                                <th key={line.id} scope="col" className="figures h-8 w-9 min-w-9 text-center text-sm font-semibold" title={line.part.name}>
                                    <span className="sr-only">{line.part.name}</span>
                                    <span aria-hidden="true">{index + 1}</span>
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {named.map((row, index) => (
                            <tr key={row.id} className="border-t border-line">
                                <th
                                    scope="row"
                                    className="sticky left-0 z-[1] max-w-64 truncate bg-paper pr-3 text-left text-[0.95rem] font-normal whitespace-nowrap max-sm:max-w-32"
                                >
                                    <span className="figures mr-1.5 inline-block w-6 text-right text-sm text-pencil">{index + 1}</span>
                                    {row.part.name}
                                </th>
                                {named.slice(0, -1).map((column, place) => {
                                    const cell = place < index ? cellOf(row.id, column.id) : undefined;
                                    const key = cell === undefined ? '' : `${cell.one} ${cell.other}`;
                                    return (
                                        <td
                                            key={column.id}
                                            className={`h-9 w-9 min-w-9 text-center ${place >= index ? 'bg-paper' : 'border-l border-line'} ${key !== '' && key === at ? 'bg-pen-wash' : ''}`}
                                        >
                                            {cell !== undefined && (
                                                <button
                                                    type="button"
                                                    className="inline-flex size-9 items-center justify-center hover:bg-pen-wash"
                                                    aria-label={`${row.part.name} and ${column.part.name}: ${verdictWords[cell.verdict]}`}
                                                    aria-pressed={key === at}
                                                    onClick={() => setAt(key === at ? null : key)}
                                                >
                                                    <Peg verdict={cell.verdict} size={22} />
                                                </button>
                                            )}
                                        </td>
                                    );
                                })}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
            <aside aria-live="polite" className="xl:border-l-[3px] xl:border-double xl:border-clash/45 xl:pl-4">
                {pair === undefined ? (
                    <p className="text-pencil">Press a mark to read what is said of the two. Empty cells have nothing to do with each other.</p>
                ) : (
                    <>
                        <h3 className="mb-2 text-lg leading-tight">
                            {nameOf(pair.one)} and {nameOf(pair.other)}
                        </h3>
                        <ul className="grid gap-1">
                            {findings
                                .filter((finding) => pair.findings.includes(finding.key))
                                .map((finding) => (
                                    <li key={finding.key}>
                                        <button
                                            type="button"
                                            className="flex w-full items-start gap-1.5 rounded-sm p-1 text-left text-[0.9rem] leading-snug hover:bg-pen-wash"
                                            onClick={() => open(finding.key)}
                                        >
                                            <Peg verdict={finding.verdict} size={18} /> {says(finding)}
                                        </button>
                                    </li>
                                ))}
                        </ul>
                    </>
                )}
            </aside>
        </div>
    );
}
