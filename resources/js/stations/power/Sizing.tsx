import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type Build, type Sizing as Sized } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { useNotices } from '../../ui/Notices';
import { Peg } from '../../ui/Peg';
import { runTime } from '../../ui/format';
import { hours } from '../../ui/electric';

type Pack = Sized['packs'][number];

/** How several of one pack are used together; nothing for a single one. */
function together(pack: Pack): string {
    if (pack.count === 1) return '';
    return pack.sealed ? '; one after the other, changed by hand' : '; levelled before they are joined in parallel';
}

const orders = {
    size: ['smallest', (pack: Pack) => pack.cm3 ?? Infinity],
    weight: ['lightest', (pack: Pack) => pack.grams ?? Infinity],
    price: ['cheapest', (pack: Pack) => (pack.price === null ? Infinity : Number(pack.price.amount))],
    hours: ['longest', (pack: Pack) => -(pack.hours ?? 0)],
} as const;

/** From the wish to the pack, and from the room to the wish. */
export function Sizing({ profile, celsius, wanted, open }: { profile: number; celsius: string; wanted: number | null; open: boolean }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [typed, setTyped] = useState({ hours: wanted === null ? '4 h' : `${wanted} h`, cm3: '' });
    const [ask, setAsk] = useState(typed);
    const [order, setOrder] = useState<keyof typeof orders>('size');
    const [all, setAll] = useState(false);
    const query = useQuery({
        queryKey: ['sizing', build.id, build.version, profile, celsius, ask],
        queryFn: () =>
            api.get<{ sizing: Sized | null }>(
                `/builds/${build.id}/power/sizing?${new URLSearchParams({ profile: String(profile), hours: ask.hours, ...(ask.cm3.trim() === '' ? {} : { cm3: ask.cm3.trim() }), ...(celsius === '' ? {} : { celsius }) }).toString()}`,
            ),
        enabled: open,
        placeholderData: (before) => before,
    });
    if (!open)
        return <p className="dot-grid border border-dashed border-edge p-6">No pack can be sized while draws or efficiencies are missing; they stand below.</p>;
    const problem = query.error instanceof Problem ? query.error : null;
    const sizing = query.data?.sizing ?? null;
    const take = async (pack: Pack) => {
        if (sizing === null) return;
        const before = build.appraisal.vitals;
        const answer = await edit((path, version) =>
            api.post<Build>(`${path}/lines/${sizing.packLine}/swap`, { version, part: pack.libraryId, quantity: pack.count }),
        );
        if (answer instanceof Problem) return;
        notices.say(
            `${pack.count > 1 ? `${pack.count} × ` : ''}${pack.name} taken. Run time was ${runTime(before.runTime)}; clashes ${before.clashes} → ${answer.appraisal.vitals.clashes}.`,
        );
    };
    const inUse = build.lines.find((line) => line.id === sizing?.packLine);
    const shown = (sizing?.packs ?? [])
        .filter((pack) => all || pack.does)
        .sort(
            (a, b) =>
                Number(a.clashes.length > 0) - Number(b.clashes.length > 0) ||
                Number(a.fits === false) - Number(b.fits === false) ||
                orders[order][1](a) - orders[order][1](b),
        );
    return (
        <section aria-label="Which pack">
            <form
                className="mb-4 flex flex-wrap items-end gap-4"
                onSubmit={(event) => {
                    event.preventDefault();
                    setAsk(typed);
                }}
            >
                <Field
                    className="w-44"
                    label="It should last"
                    value={typed.hours}
                    problem={problem?.about('hours')}
                    onChange={(event) => setTyped({ ...typed, hours: event.target.value })}
                    placeholder="4 h 30 min"
                />
                <Field
                    className="w-44"
                    label="Room for the pack, cm³"
                    value={typed.cm3}
                    problem={problem?.about('cm3')}
                    onChange={(event) => setTyped({ ...typed, cm3: event.target.value })}
                    placeholder={sizing?.leftCm3 == null ? 'if you know it' : `the body leaves ${Math.round(sizing.leftCm3)}`}
                />
                <Button type="submit" look="pen">
                    Work it out
                </Button>
                {query.isFetching && <span role="status">trying every pack …</span>}
            </form>
            {problem !== null && Object.keys(problem.fields).length === 0 && <p role="alert">{problem.message}</p>}
            {sizing !== null && (
                <>
                    {sizing.leftWants !== null && (
                        <p className="mb-4 flex items-start gap-1.5">
                            <Peg verdict="unmeasured" size={18} /> What the body leaves for the pack is open: nobody knows the {sizing.leftWants} yet.
                        </p>
                    )}
                    {sizing.roomCm3 !== null && (
                        <>
                            <h3 className="mb-1 text-lg">
                                Longest in {Math.round(sizing.roomCm3)} cm³{sizing.roomCm3 === sizing.leftCm3 && ', which the body leaves'}
                            </h3>
                            {sizing.within.length === 0 && (
                                <p className="mb-5">No pack of the library goes into that room and runs this build without a clash.</p>
                            )}
                            <ol className="mb-5 list-decimal pl-6">
                                {sizing.within.map((one) => (
                                    <li key={one.part}>
                                        <strong className="figures">{hours(one.hours)}</strong> with {one.count > 1 && `${one.count} × `}
                                        {one.name}
                                    </li>
                                ))}
                            </ol>
                        </>
                    )}
                    <div className="mb-1 flex flex-wrap items-center gap-x-4 gap-y-1">
                        <h3 className="text-lg">Packs that last {hours(sizing.hours)}</h3>
                        <span className="flex gap-1" role="group" aria-label="Order">
                            {(Object.keys(orders) as (keyof typeof orders)[]).map((one) => (
                                <button
                                    key={one}
                                    type="button"
                                    aria-pressed={order === one}
                                    onClick={() => setOrder(one)}
                                    className={`min-h-8 rounded-sm border px-2 text-sm ${order === one ? 'border-ink bg-ink font-semibold text-paper' : 'border-line bg-leaf hover:border-pen'}`}
                                >
                                    {orders[one][0]}
                                </button>
                            ))}
                        </span>
                        <label className="flex items-center gap-2 text-sm">
                            <input type="checkbox" className="size-5" checked={all} onChange={(event) => setAll(event.target.checked)} /> also those that do not
                            do it
                        </label>
                    </div>
                    {shown.length === 0 && <p className="mb-4">No pack of the library does it, even six in parallel.</p>}
                    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Packs">
                        <table className="mb-6 w-full">
                            <thead>
                                <tr className="border-b border-ink text-left text-sm">
                                    <th className="p-1">pack</th>
                                    <th className="p-1 text-right">lasts</th>
                                    <th className="p-1 pl-3 text-right">cm³</th>
                                    <th className="p-1 pl-3 text-right">weight</th>
                                    <th className="p-1 pl-3 text-right">price</th>
                                    <th className="p-1 pl-4">body</th>
                                    <th className="p-1" />
                                </tr>
                            </thead>
                            <tbody>
                                {shown.map((pack) => (
                                    <tr key={pack.part} className={`border-b border-dotted border-line align-top ${pack.does ? '' : 'text-pencil'}`}>
                                        <td className="p-1">
                                            <span className="font-semibold">
                                                {pack.count > 1 && `${pack.count} × `}
                                                {pack.name}
                                            </span>
                                            <span className="block text-sm text-pencil">
                                                {pack.why ?? `${pack.chemistry}, ${pack.series}S${together(pack)}`}
                                            </span>
                                            {pack.clashes.map((says) => (
                                                <span key={says} className="flex items-start gap-1.5 text-sm">
                                                    <Peg verdict="clash" size={16} /> {says}
                                                </span>
                                            ))}
                                        </td>
                                        <td className="figures p-1 text-right whitespace-nowrap">{hours(pack.hours)}</td>
                                        <td className="figures p-1 pl-3 text-right">{pack.cm3 === null ? '–' : Math.round(pack.cm3)}</td>
                                        <td className="figures p-1 pl-3 text-right whitespace-nowrap">
                                            {pack.grams === null ? '–' : `${Math.round(pack.grams)} g`}
                                        </td>
                                        <td className="figures p-1 pl-3 text-right whitespace-nowrap">
                                            {pack.price === null ? '–' : `${pack.price.amount} ${pack.price.currency}`}
                                        </td>
                                        <td className="p-1 pl-4 text-sm">{pack.fits === null ? 'not drawn' : pack.fits ? 'goes in' : 'too large'}</td>
                                        <td className="p-1 text-right">
                                            {inUse?.part.id === pack.part && inUse.quantity === pack.count ? (
                                                <span className="text-sm text-pencil">in use</span>
                                            ) : (
                                                <Button disabled={busy} onClick={() => void take(pack)} aria-label={`Take ${pack.name}`}>
                                                    Take
                                                </Button>
                                            )}
                                        </td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </div>
                    <Needs sizing={sizing} />
                </>
            )}
        </section>
    );
}

/** What the wish asks of each chemistry, whatever the library holds. */
function Needs({ sizing }: { sizing: Sized }) {
    return (
        <>
            <h3 className="mb-1 text-lg">What the wish asks for</h3>
            <p className="mb-2 max-w-prose text-sm text-pencil">
                {sizing.meanW.toFixed(2)} W on average, losses included. New cells give about nine tenths of what is printed; sag, cut-off and rate are counted
                in.
            </p>
            <table className="w-full max-w-4xl">
                <thead>
                    <tr className="border-b border-ink text-left text-sm">
                        <th className="p-1">cells</th>
                        <th className="p-1 text-right">mAh</th>
                        <th className="p-1 text-right">Wh</th>
                        <th className="p-1 text-right">about cm³</th>
                        <th className="p-1 pl-4">series × parallel</th>
                    </tr>
                </thead>
                <tbody>
                    {sizing.needs.map((need) => (
                        <tr
                            key={`${need.chemistry} ${need.series}`}
                            className={`border-b border-dotted border-line align-top ${need.mah === null ? 'text-pencil' : ''}`}
                        >
                            <td className="p-1">
                                {need.chemistry}, {need.series}S
                            </td>
                            {need.mah === null ? (
                                <td className="p-1 text-sm" colSpan={4}>
                                    {need.why}
                                </td>
                            ) : (
                                <>
                                    <td className="figures p-1 text-right">{need.mah}</td>
                                    <td className="figures p-1 text-right">{need.wattHours}</td>
                                    <td className="figures p-1 text-right">{need.cm3}</td>
                                    <td className="p-1 pl-4 text-sm">{need.cell === null ? '' : `${need.series} × ${need.parallel ?? 1} of ${need.cell}`}</td>
                                </>
                            )}
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    );
}
