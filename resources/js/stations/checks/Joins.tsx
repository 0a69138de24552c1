import { useState } from 'react';
import { api, Problem, type Build } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { inputLook } from '../../ui/Field';
import { Select } from '../../ui/Select';

/** Who feeds whom: proposed from the parts with the reason, and the builder's own word where one was given. */
export function Joins() {
    const { build, edit, busy } = useOpenBuild();
    const [problem, setProblem] = useState<{ line: string; says: string } | null>(null);
    const { feeds, rails } = build.appraisal.supply;
    const nameOf = (id: string) => build.lines.find((line) => line.id === id)?.part.name ?? id;
    const settle = async (line: string, input: string, railId: string, wires: { gaugeAwg: string; lengthMm: string }) => {
        const rail = rails.find((one) => one.id === railId);
        if (rail === undefined) return;
        const answer = await edit((path, version) =>
            api.put<Build>(`${path}/joins`, { version, kind: 'power', from: rail.line, to: line, output: rail.output, input, ...wires }),
        );
        setProblem(answer instanceof Problem ? { line, says: Object.values(answer.fields)[0]?.[0] ?? answer.message } : null);
    };
    const takeBack = (line: string, input: string) =>
        void edit((path, version) => api.remove<Build>(`${path}/joins`, { version, kind: 'power', to: line, input }));
    if (feeds.length === 0)
        return (
            <p className="dot-grid border border-dashed border-edge p-6">Nothing is fed yet. A pack and something that draws from it make the first join.</p>
        );
    return (
        <>
            <p className="mb-3 max-w-prose">
                Each part is fed from the rail whose volts lie nearest its window. Choose another, and your word stands until you take it back. Wires that you
                describe are checked for what they lose.
            </p>
            <ul className="border-t border-line">
                {feeds.map((feed) => (
                    <li
                        key={`${feed.line}/${feed.input}`}
                        className="grid items-center gap-x-4 gap-y-1 border-b border-dotted border-line py-2 lg:grid-cols-[14rem_minmax(0,1fr)_auto]"
                    >
                        <span className="font-semibold">
                            {nameOf(feed.line)}
                            {feed.input !== '' && <span className="font-normal text-pencil"> ({feed.input})</span>}
                        </span>
                        <span className="min-w-0">
                            <span className="flex flex-wrap items-center gap-2">
                                <span className="text-pencil">powered by</span>
                                <Select
                                    label={`What powers ${nameOf(feed.line)}`}
                                    className="max-w-full min-w-0 border-edge!"
                                    value={feed.rail}
                                    disabled={busy}
                                    options={rails.filter((rail) => rail.line !== feed.line).map((rail) => [rail.id, rail.says] as const)}
                                    onChange={(event) => void settle(feed.line, feed.input, event.target.value, { gaugeAwg: '', lengthMm: '' })}
                                />
                                <span className="text-sm text-pencil">{feed.reason}</span>
                            </span>
                            {problem?.line === feed.line && (
                                <span role="alert" className="block text-sm text-clash">
                                    {problem.says}
                                </span>
                            )}
                        </span>
                        <span className="flex flex-wrap items-center gap-2">
                            <Wires
                                key={`${feed.rail}${String(feed.settled)}`}
                                name={nameOf(feed.line)}
                                onSave={(wires) => void settle(feed.line, feed.input, feed.rail, wires)}
                            />
                            {feed.settled && (
                                <Button look="bare" disabled={busy} onClick={() => takeBack(feed.line, feed.input)}>
                                    Take back
                                </Button>
                            )}
                        </span>
                    </li>
                ))}
            </ul>
        </>
    );
}

function Wires({ name, onSave }: { name: string; onSave: (wires: { gaugeAwg: string; lengthMm: string }) => void }) {
    const [open, setOpen] = useState(false);
    const [gaugeAwg, setGauge] = useState('');
    const [lengthMm, setLength] = useState('');
    if (!open) {
        return (
            <Button look="bare" aria-label={`Describe the wires to ${name}`} onClick={() => setOpen(true)}>
                Wires …
            </Button>
        );
    }
    return (
        <span className="flex items-end gap-1">
            <label className="text-sm">
                Gauge
                <input className={`${inputLook} figures w-20!`} value={gaugeAwg} placeholder="AWG" onChange={(event) => setGauge(event.target.value)} />
            </label>
            <label className="text-sm">
                Length
                <input className={`${inputLook} figures w-24!`} value={lengthMm} placeholder="mm, in" onChange={(event) => setLength(event.target.value)} />
            </label>
            <Button look="pen" disabled={gaugeAwg.trim() === '' || lengthMm.trim() === ''} onClick={() => onSave({ gaugeAwg, lengthMm })}>
                Save
            </Button>
        </span>
    );
}
