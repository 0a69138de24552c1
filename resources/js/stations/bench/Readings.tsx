import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type Bench, type Build, type Reading, type ReadingEffect } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { differing } from '../../frame/VitalsLine';
import { Button } from '../../ui/Button';
import { date } from '../../ui/format';
import { useNotices } from '../../ui/Notices';
import { Peg } from '../../ui/Peg';

const names: Record<Reading['kind'], string> = {
    sweep: 'Voltage sweep',
    draw: 'Draw',
    run: 'Run test',
    charge: 'Charge test',
    temperature: 'Temperature',
    dimension: 'Dimension',
    volts: 'Volts',
};

/** Everything that was measured, the newest first, each with what it could take the place of. */
export function Readings({ bench }: { bench: Bench }) {
    const { edit } = useOpenBuild();
    const back = bench.removed[0];
    return (
        <>
            {bench.readings.length === 0 && (
                <p className="dot-grid border border-dashed border-edge p-6">
                    Nothing was measured yet. The first draw with a meter is worth more than the best listing.
                </p>
            )}
            <ol>
                {bench.readings.map((reading) => (
                    <Row key={reading.id} reading={reading} />
                ))}
            </ol>
            {back !== undefined && (
                <Button look="bare" onClick={() => void edit((path, version) => api.post<Build>(`${path}/readings/${back}/restore`, { version }))}>
                    Take back what was put aside last
                </Button>
            )}
        </>
    );
}

function Row({ reading }: { reading: Reading }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [open, setOpen] = useState(false);
    const counts = reading.replaces.every((one) => one.counts);
    const putAside = async () => {
        const answer = await edit((path, version) => api.remove<Build>(`${path}/readings/${reading.id}`, { version }));
        if (!(answer instanceof Problem))
            notices.say('Put aside.', 'good', {
                words: 'Take it back',
                run: () => void edit((path, version) => api.post<Build>(`${path}/readings/${reading.id}/restore`, { version })),
            });
    };
    return (
        <li className="grid gap-x-6 gap-y-1 border-t border-line py-3 lg:grid-cols-[11rem_minmax(0,1fr)_auto]">
            <div>
                <p className="text-lg leading-tight font-semibold">{names[reading.kind]}</p>
                <p className="text-sm text-pencil">
                    {date(reading.takenOn)}
                    {reading.instrument !== undefined && `, ${reading.instrument}`}
                </p>
                {reading.simulated === true && <p className="mt-1 inline-block rounded-sm border border-dashed border-edge px-1.5 text-sm">simulated</p>}
            </div>
            <div className="min-w-0">
                <p className="text-lg leading-snug">
                    <span className="font-semibold">{reading.part}</span>: {reading.says}
                </p>
                {reading.asks.map((ask) => (
                    <p key={ask} className="flex items-start gap-1.5">
                        <Peg verdict="unmeasured" size={18} /> {ask}
                    </p>
                ))}
                {(reading.conditions !== undefined || reading.note !== undefined) && (
                    <p className="text-sm text-pencil">{[reading.conditions, reading.note].filter(Boolean).join('. ')}</p>
                )}
                {!reading.isOfThisPart && <p className="text-sm text-pencil">The part was swapped since; this reading speaks of the old one.</p>}
                {reading.hasPhoto && (
                    <img
                        className="my-2 max-h-48 border border-line"
                        alt={`Photograph of the ${names[reading.kind].toLowerCase()} of ${reading.part}`}
                        src={`/api/builds/${build.id}/readings/${reading.id}/photo`}
                        loading="lazy"
                    />
                )}
                {reading.replaces.length > 0 && (
                    <ul className="mt-1">
                        {reading.replaces.map((one) => (
                            <li key={one.figure} className="text-[0.95rem]">
                                {one.counts && <span className="mr-2 rounded-sm bg-ink px-1.5 text-sm font-semibold text-paper">counts</span>}
                                <span className="inline-block first-letter:uppercase">{one.name}</span>: stated <span className="figures">{one.stated}</span>,
                                measured <strong className="figures">{one.typed}</strong>
                                <span className="block text-sm text-pencil">{one.says}</span>
                            </li>
                        ))}
                    </ul>
                )}
                {open && !counts && <Effect reading={reading} onDone={() => setOpen(false)} />}
            </div>
            <div className="flex flex-wrap content-start gap-2 lg:flex-col">
                {reading.replaces.length > 0 &&
                    (counts ? (
                        <Button
                            className="min-h-11!"
                            disabled={busy}
                            onClick={() => void edit((path, version) => api.remove<Build>(`${path}/readings/${reading.id}/use`, { version }))}
                        >
                            Let the sheet count again
                        </Button>
                    ) : (
                        <Button className="min-h-11!" onClick={() => setOpen(!open)} aria-expanded={open}>
                            What would move?
                        </Button>
                    ))}
                <Button look="bare" className="min-h-11!" disabled={busy} onClick={() => void putAside()}>
                    Put aside
                </Button>
            </div>
        </li>
    );
}

/** Verdicts and vitals as they would be, and the one press that lets the reading count. */
function Effect({ reading, onDone }: { reading: Reading; onDone: () => void }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const effect = useQuery({
        queryKey: ['effect', build.id, build.version, reading.id],
        queryFn: () => api.get<ReadingEffect>(`/builds/${build.id}/readings/${reading.id}/effect`),
    });
    const use = async () => {
        const answer = await edit((path, version) => api.post<Build>(`${path}/readings/${reading.id}/use`, { version }));
        if (answer instanceof Problem) {
            notices.say(Object.values(answer.fields)[0]?.[0] ?? answer.message, 'bad');
            return;
        }
        notices.say('It counts from now on; what was stated stays beside it.');
        onDone();
    };
    if (effect.data === undefined) return <p role="status">{effect.isError ? effect.error.message : 'laying both appraisals side by side …'}</p>;
    const moved = differing(effect.data.before, effect.data.after);
    return (
        <section aria-label="What would move" className="mt-2 border-l-4 border-pen bg-leaf p-3">
            {moved.length === 0 && effect.data.changes.length === 0 && <p>Nothing would move: the figure is as stated, or nothing asks for it.</p>}
            {moved.length > 0 && (
                <ul className="mb-2">
                    {moved.map((one) => (
                        <li key={one.what}>
                            {one.what}: <span className="figures">{one.was}</span> → <strong className="figures">{one.is}</strong>
                        </li>
                    ))}
                </ul>
            )}
            <ul className="mb-2 grid gap-1">
                {effect.data.changes.map((change) => (
                    <li key={change.key} className="flex items-start gap-2">
                        {change.was !== null && <Peg verdict={change.was} size={18} />}
                        <span aria-hidden="true">→</span>
                        {change.is === null ? <span className="text-pencil">gone</span> : <Peg verdict={change.is} size={18} />}
                        <span>{change.says}</span>
                    </li>
                ))}
            </ul>
            <Button look="pen" className="min-h-11!" disabled={busy} onClick={() => void use()}>
                Let it count
            </Button>
        </section>
    );
}
