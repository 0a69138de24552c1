import type { Bench } from '../../api/client';
import { date } from '../../ui/format';
import { Peg } from '../../ui/Peg';
import { Plot } from '../../ui/plot/Plot';
import { hours } from '../../ui/electric';

/** Run tests beside what was predicted for them, what they can correct, and those that cannot all be true. */
export function Against({ bench }: { bench: Bench }) {
    if (bench.tests.length === 0) {
        return (
            <p className="dot-grid border border-dashed border-edge p-6">
                No run test yet. Charge full, play one way until it gives up, write down the hours: then the prediction stands beside it, and after two of them
                it says where it errs.
            </p>
        );
    }
    return (
        <>
            {bench.odd !== null && (
                <section aria-label="Odd one out" className="mb-6 border-l-4 border-clash bg-leaf p-4">
                    <h3 className="mb-1 text-xl">Not all of this can be true</h3>
                    <p className="mb-2 max-w-prose text-lg">{bench.odd.says}</p>
                    <p className="font-semibold">What would make them agree, the likeliest first</p>
                    <ol className="mb-2 max-w-prose list-decimal pl-6">
                        {bench.odd.explanations.map((one) => (
                            <li key={one.says}>
                                {one.says}.{' '}
                                <span className="text-sm text-pencil">
                                    It takes {one.needs}, {one.off.toFixed(1)} times as far from its spec as usual.
                                </span>
                            </li>
                        ))}
                    </ol>
                    <p className="flex max-w-prose items-start gap-2">
                        <Peg verdict="unmeasured" size={20} />
                        <span>
                            <strong>One measurement tells them apart.</strong> {bench.odd.measure}
                        </span>
                    </p>
                </section>
            )}
            <ol className="mb-6">
                {bench.tests.map((test) => (
                    <li key={test.reading} className="border-t-2 border-ink py-3">
                        <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
                            <h3 className="text-lg">
                                {test.part}, {date(test.takenOn)}
                                {test.profile !== '' && <span className="font-normal"> as “{test.profile}”</span>}
                                {test.simulated && (
                                    <span className="ml-2 rounded-sm border border-dashed border-edge px-1.5 text-sm font-normal">simulated</span>
                                )}
                            </h3>
                        </div>
                        <dl className="my-2 grid max-w-3xl grid-cols-2 gap-x-6 gap-y-1 sm:grid-cols-4">
                            {[
                                ['measured', hours(test.measuredHours)],
                                ['predicted', test.predictedHours === null ? 'not yet' : hours(test.predictedHours)],
                                [
                                    'possible',
                                    test.leastHours === null || test.mostHours === null ? 'not yet' : `${hours(test.leastHours)} to ${hours(test.mostHours)}`,
                                ],
                                ['measured ÷ predicted', test.ratio === null ? '–' : test.ratio.toFixed(2)],
                            ].map(([what, is]) => (
                                <div key={what}>
                                    <dt className="text-sm text-pencil">{what}</dt>
                                    <dd className="figures text-lg font-semibold">{is}</dd>
                                </div>
                            ))}
                        </dl>
                        <p className="mb-2 flex items-start gap-1.5">
                            <Peg
                                verdict={
                                    test.ratio === null ? 'unmeasured' : Math.abs(test.ratio - 1) <= 0.1 ? 'fits' : test.within === true ? 'tight' : 'clash'
                                }
                                size={18}
                            />{' '}
                            {test.says}
                        </p>
                        {test.predicted.length > 1 && (
                            <Plot
                                label={`Prediction and measurement, ${test.part}`}
                                series={[
                                    { name: 'predicted volts', unit: 'V', side: 'left', line: 'dashed', points: pairs(test.predicted, 1) },
                                    { name: 'measured volts', unit: 'V', side: 'left', line: 'solid', strong: true, points: pairs(test.measured, 1) },
                                    { name: 'predicted amps', unit: 'A', side: 'right', line: 'dotted', digits: 3, points: pairs(test.predicted, 2) },
                                    { name: 'measured amps', unit: 'A', side: 'right', line: 'solid', digits: 3, points: pairs(test.measured, 2) },
                                ]}
                                marks={[{ x: test.measuredHours, says: 'measured end' }]}
                            />
                        )}
                    </li>
                ))}
            </ol>
            <h3 className="mb-1 text-lg">What the tests correct</h3>
            {bench.fit.factors.length > 0 && (
                <table className="mb-2 w-full max-w-3xl">
                    <thead>
                        <tr className="border-b border-ink text-left text-sm">
                            <th className="p-1">what</th>
                            <th className="p-1 text-right">times the prediction</th>
                            <th className="p-1 text-right">scatter</th>
                            <th className="p-1 text-right">tests</th>
                        </tr>
                    </thead>
                    <tbody>
                        {bench.fit.factors.map((factor) => (
                            <tr key={factor.what} className="border-b border-dotted border-line">
                                <td className="p-1">{factor.what}</td>
                                <td className="figures p-1 text-right font-semibold">{factor.factor.toFixed(2)}</td>
                                <td className="figures p-1 text-right">
                                    {factor.from.toFixed(2)} to {factor.to.toFixed(2)}
                                </td>
                                <td className="figures p-1 text-right">{factor.tests}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {bench.fit.lacking.length > 0 && (
                <>
                    <p className="font-semibold">Too little to say</p>
                    <ul className="max-w-prose list-disc pl-5 text-[0.95rem]">
                        {bench.fit.lacking.map((says) => (
                            <li key={says}>{says}</li>
                        ))}
                    </ul>
                </>
            )}
        </>
    );
}

const pairs = (rows: number[][], column: number): (readonly [number, number])[] => rows.map((row) => [row[0] ?? 0, row[column] ?? 0] as const);
