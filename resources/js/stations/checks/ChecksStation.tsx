import { Tabs } from 'radix-ui';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Finding, Verdict } from '../../api/client';
import { useFits } from '../../frame/useFits';
import { useOpenBuild } from '../../frame/useBuild';
import { MarginNotes } from '../../frame/Margin';
import { useNoteLeaf } from '../../frame/NoteLeaf';
import { capital } from '../../ui/format';
import { Peg, verdictWords, markOf } from '../../ui/Peg';
import { Grid } from './Grid';
import { Joins } from './Joins';
import { MarginsPanel } from './MarginsPanel';
import { MeasureNext } from './MeasureNext';
import { SinceLastLook } from './SinceLastLook';

const verdicts: readonly Verdict[] = ['clash', 'missing', 'unmeasured', 'tight', 'fits'];

const leaves = [
    ['part', 'By part'],
    ['family', 'By family'],
    ['verdict', 'By verdict'],
    ['grid', 'Part against part'],
    ['measure', 'Measure next'],
    ['since', 'Since last look'],
    ['joins', 'Joins'],
    ['margins', 'Margins'],
] as const;

/** Everything that was checked, from every side. */
export default function ChecksStation() {
    const { build } = useOpenBuild();
    const [asked, setAsked] = useSearchParams();
    const [hidden, setHidden] = useState<Verdict[]>(['fits']);
    const leaf = asked.get('leaf') ?? 'part';
    const { findings, vitals } = build.appraisal;
    // The summary of what is open is a note like any other, and counts nothing twice.
    const counted: Partial<Record<Verdict, number>> = { clash: vitals.clashes, missing: vitals.missing, unmeasured: vitals.unmeasured };
    const shown = findings.filter((finding) => !hidden.includes(finding.verdict));
    const isList = leaf === 'part' || leaf === 'family' || leaf === 'verdict';
    return (
        <main className="px-4 sm:px-6">
            <div className="mb-2 flex flex-wrap items-center justify-between gap-3">
                <h2 className="text-xl">Checks</h2>
                <div className="flex flex-wrap gap-2" role="group" aria-label="Show">
                    {verdicts.map((verdict) => {
                        const count = counted[verdict] ?? findings.filter((finding) => finding.verdict === verdict).length;
                        const on = !hidden.includes(verdict);
                        return (
                            <button
                                key={verdict}
                                type="button"
                                aria-pressed={on}
                                onClick={() => setHidden(on ? [...hidden, verdict] : hidden.filter((one) => one !== verdict))}
                                className={`flex min-h-9 items-center gap-1.5 rounded-sm border px-2 ${on ? 'border-edge bg-leaf' : 'border-dashed border-line'}`}
                            >
                                <Peg verdict={verdict} size={17} />
                                <span className="figures font-semibold">{count}</span> <span className={on ? '' : 'text-pencil'}>{verdictWords[verdict]}</span>
                            </button>
                        );
                    })}
                </div>
            </div>
            <Tabs.Root value={leaf} onValueChange={(value) => setAsked({ leaf: value }, { replace: true })}>
                <Tabs.List aria-label="Ways to look" className="mb-4 flex flex-wrap gap-x-5 gap-y-1 border-b border-ink">
                    {leaves.map(([value, words]) => (
                        <Tabs.Trigger
                            key={value}
                            value={value}
                            className="-mb-px min-h-9 border-b-[3px] border-transparent font-semibold text-pen data-[state=active]:border-pen data-[state=active]:text-ink"
                        >
                            {words}
                            {value === 'measure' && build.appraisal.toMeasure.length > 0 && (
                                <span className="figures ml-1 text-sm">({build.appraisal.toMeasure.length})</span>
                            )}
                            {value === 'since' && build.since.length > 0 && <span className="figures ml-1 text-sm">({build.since.length})</span>}
                        </Tabs.Trigger>
                    ))}
                </Tabs.List>
                <Tabs.Content value={leaf} tabIndex={-1}>
                    {build.lines.length === 0 && isList && (
                        <p className="dot-grid border border-dashed border-edge p-6">
                            Nothing can be checked yet. Add a board and a panel, and the first notes appear here.
                        </p>
                    )}
                    {isList && build.lines.length > 0 && shown.length === 0 && (
                        <p className="text-pencil">Nothing of what is shown above. Press a mark to show more.</p>
                    )}
                    {leaf === 'part' && <Grouped groups={byPart(shown, build.lines)} />}
                    {leaf === 'family' && <Grouped groups={byFamily(shown)} />}
                    {leaf === 'verdict' && (
                        <Grouped
                            groups={verdicts.map((verdict) => ({
                                name: capital(verdictWords[verdict]),
                                findings: shown.filter((finding) => finding.verdict === verdict),
                            }))}
                        />
                    )}
                    {leaf === 'grid' && <Grid />}
                    {leaf === 'measure' && <MeasureNext />}
                    {leaf === 'since' && <SinceLastLook />}
                    {leaf === 'joins' && <Joins />}
                    {leaf === 'margins' && <MarginsPanel />}
                </Tabs.Content>
            </Tabs.Root>
        </main>
    );
}

interface Group {
    name: string;
    findings: Finding[];
}

function byPart(findings: Finding[], lines: { id: string; part: { name: string } }[]): Group[] {
    return [
        ...lines.map((line) => ({ name: line.part.name, findings: findings.filter((finding) => !finding.ofWhole && finding.lines.includes(line.id)) })),
        { name: 'The whole build', findings: findings.filter((finding) => finding.ofWhole) },
    ];
}

function byFamily(findings: Finding[]): Group[] {
    const families = [...new Set(findings.map((finding) => finding.family))].sort();
    return families.map((family) => ({ name: capital(family), findings: findings.filter((finding) => finding.family === family) }));
}

function Grouped({ groups }: { groups: Group[] }) {
    const full = groups.filter((group) => group.findings.length > 0);
    return (
        <div className="columns-1 gap-8 lg:columns-2">
            {full.map((group) => (
                <section key={group.name} className="mb-5 break-inside-avoid">
                    <h3 className="mb-1 flex items-center gap-2 border-b border-ink text-lg">
                        <Peg verdict={markOf(group.findings)} size={18} /> {group.name}
                    </h3>
                    <MarginNotes findings={group.findings} label={`Notes on ${group.name}`} />
                    {group.findings.some((finding) => finding.verdict === 'fits') && (
                        <Fitting findings={group.findings.filter((finding) => finding.verdict === 'fits')} />
                    )}
                </section>
            ))}
        </div>
    );
}

function Fitting({ findings }: { findings: Finding[] }) {
    const open = useNoteLeaf();
    const says = useFits();
    return (
        <ul className="grid gap-1">
            {findings.map((finding) => (
                <li key={finding.key}>
                    <button
                        type="button"
                        className="flex w-full items-start gap-1.5 rounded-sm p-1 text-left text-[0.9rem] leading-snug text-pencil hover:bg-pen-wash"
                        onClick={() => open(finding.key)}
                    >
                        <Peg verdict="fits" size={16} /> {says(finding)}
                    </button>
                </li>
            ))}
        </ul>
    );
}
