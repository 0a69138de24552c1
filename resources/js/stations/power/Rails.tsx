import { useMemo, useState, type ReactNode } from 'react';
import type { Finding, PowerNode, PowerSource } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { useNoteLeaf } from '../../frame/NoteLeaf';
import { Peg } from '../../ui/Peg';
import { cardWide, layOut, railWide, type State } from './railLayout';
import { amps, percent, volts, watts } from '../../ui/electric';

/** The supply tree of one source, drawn as rails, and the budget of watts by state. */
export function Rails({ source, notes }: { source: PowerSource; notes: ReactNode }) {
    const { build } = useOpenBuild();
    const [state, setState] = useState<State>('usual');
    const power = build.appraisal.findings.filter((finding) => finding.station === 'power');
    const { cards, buses, wires, wide, high } = useMemo(() => layOut(source.nodes, state), [source.nodes, state]);
    const most = Math.max(0.001, ...wires.map((wire) => wire.amps));
    const ofLine = (line: string) => power.filter((finding) => finding.lines[0] === line || (finding.subject === 'feed' && finding.lines.includes(line)));
    const ofRail = (node: PowerNode) => power.filter((finding) => finding.rail === node.id);
    return (
        <section className="mb-8" aria-label={`Rails of ${source.name}`}>
            <div className="mb-1 flex flex-wrap items-center gap-3">
                <h3 className="text-lg">{source.isPack ? 'From the pack' : 'Plugged in'}</h3>
                <div className="flex gap-1" role="group" aria-label="State of play">
                    {(['idle', 'usual', 'heavy'] as const).map((one) => (
                        <button
                            key={one}
                            type="button"
                            aria-pressed={state === one}
                            onClick={() => setState(one)}
                            className={`min-h-8 rounded-sm border px-2 text-sm ${state === one ? 'border-ink bg-ink font-semibold text-paper' : 'border-line bg-leaf hover:border-pen'}`}
                        >
                            {one}
                        </button>
                    ))}
                </div>
                <span className="text-sm text-pencil">{source.isPack && 'half charged; '}the thicker the wire, the more flows</span>
            </div>
            <div
                className="overflow-x-auto pb-2"
                tabIndex={0}
                role="region"
                aria-label={`Drawing of the rails of ${source.name}; the same figures stand in the table below`}
            >
                <div className="dot-grid relative" style={{ width: wide, height: high }}>
                    <svg width={wide} height={high} className="absolute inset-0" aria-hidden="true" fill="none" stroke="var(--ink)">
                        {wires.map((wire) => (
                            <path
                                key={wire.key}
                                d={wire.path}
                                strokeWidth={wire.amps === 0 ? 1.2 : 1.5 + 5 * Math.sqrt(wire.amps / most)}
                                strokeDasharray={wire.amps === 0 ? '4 4' : undefined}
                                strokeLinejoin="round"
                            />
                        ))}
                        {buses.map((bus) => (
                            <path
                                key={`${bus.node.id} ${bus.x}`}
                                d={`M${bus.x} ${bus.top - 9} V${bus.bottom + 9}`}
                                strokeWidth={5}
                                stroke={bus.node.holds ? 'var(--ink)' : 'var(--clash)'}
                                strokeLinecap="round"
                            />
                        ))}
                    </svg>
                    {buses
                        .filter((bus) => bus.node.kind === 'rail')
                        .map((bus) => (
                            <div key={bus.node.id}>
                                <div
                                    className="absolute grid justify-items-end text-xs leading-tight"
                                    style={{ left: bus.x - railWide + 18, width: railWide - 24, top: bus.label - 26 }}
                                >
                                    <span className="flex max-w-full items-center gap-0.5 font-semibold">
                                        <NotePeg findings={ofRail(bus.node)} name={bus.node.name} />
                                        <span className="truncate" title={bus.node.name}>
                                            {bus.node.name}
                                        </span>
                                    </span>
                                </div>
                                <span
                                    className="figures absolute text-right text-xs leading-tight"
                                    style={{ left: bus.x - railWide + 18, width: railWide - 24, top: bus.label + 6 }}
                                >
                                    {volts(bus.node.values[state]?.volts)}
                                    <br />
                                    {amps(bus.node.values[state]?.amps)}
                                </span>
                            </div>
                        ))}
                    {cards.map(({ node, x, y }) => (
                        <div
                            key={node.id}
                            className={`absolute flex min-h-14 -translate-y-1/2 flex-col justify-center border bg-leaf px-2 py-1 ${node.kind === 'source' ? 'rounded-md border-2 border-ink' : node.kind === 'converter' ? 'border-ink' : 'rounded-md border-edge'}`}
                            style={{ left: x, top: y, width: cardWide }}
                        >
                            <span className="flex items-center gap-1.5 text-sm leading-tight font-semibold">
                                <NotePeg findings={ofLine(node.line)} name={node.name} />
                                <span className="line-clamp-2" title={node.name}>
                                    {node.name}
                                </span>
                            </span>
                            <span className="figures text-xs whitespace-nowrap">
                                {node.values[state] === null
                                    ? node.kind === 'source' && !source.isPack
                                        ? ''
                                        : 'not known yet'
                                    : `${volts(node.values[state].volts)} ${amps(node.values[state].amps)} ${watts(node.values[state].watts)}`}
                            </span>
                            {node.kind === 'source' && node.says !== '' && (
                                <span className="line-clamp-1 text-xs text-pencil" title={node.says}>
                                    by {node.says}
                                </span>
                            )}
                        </div>
                    ))}
                </div>
            </div>
            <RailTable nodes={source.nodes} />
            <div className="grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_17rem]">
                <div className="min-w-0">
                    {source.budget !== null ? (
                        <BudgetTable budget={source.budget} />
                    ) : (
                        <p className="dot-grid border border-dashed border-edge p-6">
                            Who takes what cannot be added up while figures are missing; they stand below.
                        </p>
                    )}
                </div>
                {notes}
            </div>
        </section>
    );
}

/** The worst mark; pressing it opens the worst note. */
function NotePeg({ findings, name }: { findings: Finding[]; name: string }) {
    const open = useNoteLeaf();
    const [first] = findings;
    if (first === undefined) return null;
    const { verdict } = first;
    return (
        <button
            type="button"
            className="inline-grid size-6 shrink-0 place-items-center rounded-full hover:bg-pen-wash"
            aria-label={`${name}: ${verdict}`}
            onClick={() => open(first.key)}
        >
            <Peg verdict={verdict} size={17} />
        </button>
    );
}

function RailTable({ nodes }: { nodes: PowerNode[] }) {
    const depth = (node: PowerNode): number => {
        const parent = nodes.find((one) => one.id === node.parent);
        return parent === undefined ? 0 : depth(parent) + 1;
    };
    return (
        <details className="mb-4">
            <summary className="min-h-6 cursor-pointer text-pencil">The rails as a table</summary>
            <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Rails as a table">
                <table className="w-full max-w-4xl text-sm">
                    <thead>
                        <tr className="border-b border-ink text-left">
                            <th className="p-1">what</th>
                            {(['idle', 'usual', 'heavy'] as const).map((state) => (
                                <th key={state} className="p-1 text-right">
                                    {state}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {nodes.map((node) => (
                            <tr key={node.id} className="border-b border-dotted border-line">
                                <td className="p-1" style={{ paddingLeft: `${0.25 + depth(node) * 1.1}rem` }}>
                                    {node.kind === 'rail' ? `rail ${node.name} (${node.says})` : node.name}
                                </td>
                                {(['idle', 'usual', 'heavy'] as const).map((state) => (
                                    <td key={state} className="figures p-1 text-right whitespace-nowrap">
                                        {node.values[state] === null
                                            ? 'unknown'
                                            : `${volts(node.values[state].volts)} ${amps(node.values[state].amps)} ${watts(node.values[state].watts)}`}
                                    </td>
                                ))}
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </details>
    );
}

function BudgetTable({ budget }: { budget: NonNullable<PowerSource['budget']> }) {
    return (
        <>
            <h3 className="mb-1 text-lg">Who takes what, in watts</h3>
            <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Budget of watts">
                <table className="w-full max-w-4xl">
                    <thead>
                        <tr className="border-b border-ink text-sm">
                            <th className="p-1 text-left">part</th>
                            {['off', 'idle', 'usual', 'heavy', 'start'].map((state) => (
                                <th key={state} className="p-1 text-right">
                                    {state}
                                </th>
                            ))}
                            <th className="p-1 pl-4 text-left">share of this play, losses on the way included</th>
                        </tr>
                    </thead>
                    <tbody>
                        {budget.rows.map((row) => (
                            <tr key={row.key} className="border-b border-dotted border-line">
                                <td className="p-1">{row.name}</td>
                                {[row.watts.off, row.watts.idle, row.watts.usual, row.watts.heavy, row.watts.start].map((value, index) => (
                                    <td key={index} className="figures p-1 text-right">
                                        {watts(value, false)}
                                    </td>
                                ))}
                                <td className="p-1 pl-4">
                                    <span className="flex items-center gap-2">
                                        <span className="block h-3 bg-pen" style={{ width: `${Math.max(0.5, row.share * 100) * 1.6}px` }} />
                                        <span className="figures text-sm">{percent(row.share)}</span>
                                    </span>
                                </td>
                            </tr>
                        ))}
                        <tr className="border-t border-ink font-semibold">
                            <td className="p-1">At the source</td>
                            {[budget.total.off, budget.total.idle, budget.total.usual, budget.total.heavy].map((value, index) => (
                                <td key={index} className="figures p-1 text-right">
                                    {watts(value, false)}
                                </td>
                            ))}
                            <td />
                            <td className="figures p-1 pl-4 text-sm">
                                {watts(budget.mean)} on average, {watts(budget.lost)} of it lost on the way
                            </td>
                        </tr>
                    </tbody>
                </table>
            </div>
        </>
    );
}
