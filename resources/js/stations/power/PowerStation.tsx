import { useQuery } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { Link, useSearchParams } from 'react-router';
import { api, type Power, type PowerSource } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { MarginNotes } from '../../frame/Margin';
import { MeasureEntry } from '../../frame/MeasureEntry';
import { number } from '../../ui/format';
import { LeafTabs } from '../../ui/LeafTabs';
import { Charge } from './Charge';
import { HowSure } from './HowSure';
import { Rails } from './Rails';
import { RunLeaf } from './RunLeaf';
import { Sizing } from './Sizing';
import { Profiles } from './Profiles';

const leaves = [
    ['rails', 'Rails'],
    ['run', 'From full to dark'],
    ['sure', 'How sure'],
    ['charge', 'Charge'],
    ['sizing', 'Which pack'],
    ['profiles', 'Ways of playing'],
] as const;

/** The power of the build: who feeds whom, how long it lasts and why it ends, how it is charged, which pack would do. */
export default function PowerStation() {
    const { build } = useOpenBuild();
    const [asked, setAsked] = useSearchParams();
    const leaf = asked.get('leaf') ?? 'rails';
    const profile = Number(asked.get('profile') ?? '0');
    const celsius = asked.get('celsius') ?? '';
    const power = useQuery({
        queryKey: ['power', build.id, build.version, profile, celsius],
        queryFn: () => api.get<Power>(`/builds/${build.id}/power?profile=${profile}${celsius === '' ? '' : `&celsius=${encodeURIComponent(celsius)}`}`),
        placeholderData: (before) => before,
    });
    const ask = (more: Record<string, string>) => {
        const next = new URLSearchParams(asked);
        Object.entries(more).forEach(([key, value]) => (value === '' ? next.delete(key) : next.set(key, value)));
        setAsked(next, { replace: true });
    };
    const report = power.data;
    return (
        <main className="px-4 sm:px-6">
            <div className="mb-2 flex flex-wrap items-center gap-x-5 gap-y-2">
                <h2 className="text-xl">Power</h2>
                {report !== undefined && report.sources.length > 0 && (
                    <>
                        <div className="flex flex-wrap gap-1.5" role="group" aria-label="Way of playing">
                            {report.profiles.map((one, index) => (
                                <button
                                    key={one.name}
                                    type="button"
                                    aria-pressed={index === report.profile}
                                    onClick={() => ask({ profile: index === 0 ? '' : String(index) })}
                                    className={`min-h-9 rounded-sm border px-2.5 ${index === report.profile ? 'border-ink bg-ink font-semibold text-paper' : 'border-edge bg-leaf hover:border-pen hover:text-pen'}`}
                                >
                                    {one.name}
                                </button>
                            ))}
                        </div>
                        <label className="flex items-center gap-2 text-sm">
                            Air
                            <select
                                className="figures min-h-9 rounded-sm border border-line bg-leaf px-1"
                                value={celsius}
                                onChange={(event) => ask({ celsius: event.target.value })}
                            >
                                <option value="">as in the brief</option>
                                {[-10, 0, 10, 20, 30].map((one) => (
                                    <option key={one} value={one}>
                                        {one} °C
                                    </option>
                                ))}
                            </select>
                        </label>
                    </>
                )}
            </div>
            <Tabs.Root value={leaf} onValueChange={(value) => ask({ leaf: value })}>
                <LeafTabs label="Leaves of Power" leaves={leaves} />
                <Tabs.Content value={leaf} tabIndex={-1}>
                    {power.isError && <p role="alert">{power.error.message}</p>}
                    {report !== undefined && leaf === 'profiles' && <Profiles report={report} />}
                    {report !== undefined && leaf !== 'profiles' && report.sources.length === 0 && <NoSource />}
                    {report !== undefined && leaf !== 'profiles' && report.sources.length > 0 && (
                        <>
                            {leaf === 'rails' &&
                                report.sources.map((source, index) => (
                                    <Rails
                                        key={source.line}
                                        source={source}
                                        notes={index === report.sources.length - 1 ? <Notes curves={report.curves} /> : null}
                                    />
                                ))}
                            {leaf !== 'rails' && (
                                <div className="grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_17rem]">
                                    <div className="min-w-0">
                                        {leaf === 'run' && packs(report).map((source) => <RunLeaf key={source.line} source={source} report={report} />)}
                                        {leaf === 'sure' && (
                                            <HowSure
                                                key={`${build.version} ${profile} ${celsius}`}
                                                profile={profile}
                                                celsius={celsius}
                                                open={packs(report)[0]?.run != null}
                                            />
                                        )}
                                        {leaf === 'charge' && packs(report).map((source) => <Charge key={source.line} source={source} />)}
                                        {leaf === 'sizing' && (
                                            <Sizing profile={profile} celsius={celsius} wanted={report.wantedHours} open={packs(report)[0]?.run != null} />
                                        )}
                                        {packs(report).length === 0 && (
                                            <p className="dot-grid border border-dashed border-edge p-6">
                                                Nothing here is powered by a pack: it plays as long as its plug is in.
                                            </p>
                                        )}
                                    </div>
                                    <Notes curves={report.curves} />
                                </div>
                            )}
                            <OpenFigures sources={report.sources} />
                        </>
                    )}
                </Tabs.Content>
            </Tabs.Root>
        </main>
    );
}

/** The margin: what was found about power, worst first. */
function Notes({ curves }: { curves: string }) {
    const { build } = useOpenBuild();
    const notes = build.appraisal.findings.filter((finding) => finding.station === 'power');
    return (
        <aside aria-label="Notes on power" className="min-w-0 xl:border-l xl:border-line xl:pl-5">
            <MarginNotes findings={notes} label="Notes on power" />
            {notes.every((finding) => finding.verdict === 'fits') && <p className="text-sm text-pencil">Nothing to remark on power.</p>}
            <p className="mt-4 text-xs text-pencil">Cells behave as in {curves}; the part’s own figures outrank them.</p>
        </aside>
    );
}

const packs = (report: Power): PowerSource[] => report.sources.filter((source) => source.isPack);

function NoSource() {
    const { build } = useOpenBuild();
    return (
        <div className="dot-grid rounded-sm border border-dashed border-edge p-6">
            <h3 className="mb-2 text-lg">Nothing gives power yet</h3>
            <p className="max-w-prose">
                A pack or a wall supply, and one part that draws from it, make the first rail. Then the run from full to dark is worked out step by step: who
                gives up first, when and why.{' '}
                <Link className="font-semibold text-pen underline" to={`/builds/${build.id}/parts`}>
                    Add parts
                </Link>
            </p>
        </div>
    );
}

/** What nobody knows yet, with the way to find it out right here. */
function OpenFigures({ sources }: { sources: PowerSource[] }) {
    const { build } = useOpenBuild();
    const missing = sources.flatMap((source) => source.missing);
    const assumed = sources.flatMap((source) => source.assumed);
    if (missing.length + assumed.length === 0) return null;
    return (
        <section className="mt-6 border-t-2 border-ink pt-3" aria-label="Open figures">
            <h3 className="mb-1 text-lg">{missing.length > 0 ? 'What has to be measured first' : 'Worked out with a careful figure'}</h3>
            <ul className="grid gap-4 lg:grid-cols-2">
                {[...missing, ...assumed].slice(0, 8).map((gap) => {
                    const open = build.appraisal.toMeasure.find((one) => one.line === gap.line && one.figure === gap.figure);
                    return (
                        <li key={`${gap.line} ${gap.figure}`}>
                            <p className="font-semibold first-letter:uppercase">
                                {gap.says}
                                {assumed.includes(gap) && <span className="font-normal text-pencil"> (something stands in)</span>}
                            </p>
                            <p className="text-sm">{gap.how}</p>
                            {open !== undefined && <MeasureEntry open={open} />}
                        </li>
                    );
                })}
            </ul>
            {missing.length + assumed.length > 8 && (
                <p className="mt-2 text-sm text-pencil">and {number(missing.length + assumed.length - 8)} more, on Checks under Measure next.</p>
            )}
        </section>
    );
}
