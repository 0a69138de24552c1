import type { PowerSource } from '../../api/client';
import { Plot } from '../../ui/plot/Plot';
import { ChargeStrip } from './ChargeStrip';
import { hours, watts } from '../../ui/electric';

type Plan = NonNullable<PowerSource['charge']>;

/** How the pack is filled, what is left for it during play, and what stops it from being emptied too far. */
export function Charge({ source }: { source: PowerSource }) {
    const plan = source.charge;
    return (
        <section className="mb-8" aria-label={`Charge of ${source.name}`}>
            {plan === null ? (
                <p className="dot-grid border border-dashed border-edge p-6">Nothing in the parts list charges {source.name}.</p>
            ) : plan.atRest === null ? (
                <p className="dot-grid border border-dashed border-edge p-6">{plan.missing.map((gap) => `Nobody knows the ${gap.says} yet.`).join(' ')}</p>
            ) : (
                <Filled plan={plan} atRest={plan.atRest} />
            )}
            {source.guard !== null && (
                <>
                    <h3 className="mt-6 mb-1 text-lg">When it is empty</h3>
                    <ul className="max-w-prose list-disc pl-5">
                        {source.guard.says.map((says) => (
                            <li key={says}>{says}</li>
                        ))}
                        {source.guard.open.map((gap) => (
                            <li key={gap.figure} className="text-pencil">
                                {gap.how}
                            </li>
                        ))}
                    </ul>
                </>
            )}
            <p className="mt-4 max-w-prose text-sm text-pencil">
                Charge lithium cells on something that does not burn, with someone near, and never when they are swollen, damaged or frozen. Follow the makers’
                instructions; leave doubtful packs to a qualified person.
            </p>
        </section>
    );
}

function Filled({ plan, atRest }: { plan: Plan; atRest: NonNullable<Plan['atRest']> }) {
    const from = plan.sourceName === null ? 'whatever its socket is given' : plan.sourceName;
    return (
        <>
            <p className="mb-2 max-w-prose text-lg">
                {plan.chargerName} fills it in <strong className="figures">{atRest.hoursToFull === null ? 'never' : hours(atRest.hoursToFull)}</strong>
                {atRest.hoursTo80 !== null && (
                    <>
                        , four fifths in <strong className="figures">{hours(atRest.hoursTo80)}</strong>
                    </>
                )}
                , living on {from}
                {plan.inSun && ' in full sun'}.{atRest.heldBack && ' The supply holds it back: the charger could do more.'}
            </p>
            {plan.inSun && (
                <p className="mb-2 max-w-prose text-sm">
                    Full sun means square on, with nothing between: clouds, shade, a window or a slant leave a tenth to a half of it. Meter the panel where it
                    will stand.
                </p>
            )}
            <Plot
                label={`Charge by ${plan.chargerName}`}
                series={[
                    { name: 'volts', unit: 'V', side: 'left', line: 'solid', strong: true, points: atRest.rows.map((row) => [row.h, row.volts]) },
                    { name: 'amps', unit: 'A', side: 'right', line: 'dashed', digits: 3, points: atRest.rows.map((row) => [row.h, row.amps]) },
                    { name: 'charge', unit: '%', side: 'left', line: 'none', digits: 0, points: atRest.rows.map((row) => [row.h, row.share * 100]) },
                ]}
                marks={
                    atRest.hoursTo80 === null
                        ? []
                        : [
                              { x: atRest.hoursTo80, says: 'four fifths full' },
                              ...(atRest.hoursAtFullVolts === null
                                  ? []
                                  : [{ x: atRest.hoursAtFullVolts, says: 'full volts: from here the current falls off' }]),
                          ].sort((a, b) => a.x - b.x)
                }
            />
            <ChargeStrip label="Charge" rows={atRest.rows.map((row) => [row.h, row.share])} />
            <dl className="mt-4 grid max-w-3xl gap-x-6 gap-y-2 sm:grid-cols-3">
                <div>
                    <dt className="text-sm text-pencil">Left for the pack during play</dt>
                    <dd className="figures font-semibold">{plan.netMa === null ? 'unknown' : `${Math.round(plan.netMa)} mA`}</dd>
                    <dd className="text-sm">{plan.netMa === null ? '' : plan.netMa > 0 ? 'it fills while it is played' : 'it empties all the same'}</dd>
                </div>
                <div>
                    <dt className="text-sm text-pencil">Past the pack</dt>
                    <dd className="font-semibold">
                        {{ yes: 'the play is fed past the pack', no: 'the play hangs on the pack', unknown: 'nobody knows' }[plan.pastPack] ?? plan.pastPack}
                    </dd>
                    <dd className="text-sm">{plan.pastPack === 'no' ? 'switch off while it charges: the charger cannot tell cells from play' : ''}</dd>
                </div>
                <div>
                    <dt className="text-sm text-pencil">Warmth in the charger</dt>
                    <dd className="figures font-semibold">
                        {atRest.mostHeatW === null ? 'unknown' : `${watts(atRest.mostHeatW)} at most`}
                        {plan.hottestC !== null && `, about ${Math.round(plan.hottestC)} °C`}
                    </dd>
                    <dd className="text-sm">{plan.missing.map((gap) => `Nobody knows the ${gap.says}.`).join(' ')}</dd>
                </div>
            </dl>
            {plan.weak.length > 0 && (
                <>
                    <h3 className="mt-5 mb-1 text-lg">On a weaker or stronger supply</h3>
                    <table className="w-full max-w-xl">
                        <thead>
                            <tr className="border-b border-ink text-left text-sm">
                                <th className="p-1">supply</th>
                                <th className="p-1 text-right">to full</th>
                                <th className="p-1 text-right">left for the pack during play</th>
                            </tr>
                        </thead>
                        <tbody>
                            {plan.weak.map((weak) => (
                                <tr key={weak.amps} className="border-b border-dotted border-line">
                                    <td className="figures p-1">{weak.amps} A</td>
                                    <td className="figures p-1 text-right">{weak.hoursToFull === null ? 'never' : hours(weak.hoursToFull)}</td>
                                    <td className="figures p-1 text-right">{weak.netMa === null ? 'unknown' : `${Math.round(weak.netMa)} mA`}</td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </>
            )}
        </>
    );
}
