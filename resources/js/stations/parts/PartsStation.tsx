import { useMemo, useState } from 'react';
import type { Finding, Line, Role } from '../../api/client';
import { useFits } from '../../frame/useFits';
import { useOpenBuild } from '../../frame/useBuild';
import { MarginNotes } from '../../frame/Margin';
import { Button } from '../../ui/Button';
import { Peg } from '../../ui/Peg';
import { SaveMenu } from '../../ui/SaveMenu';
import { useShortcuts } from '../../ui/useShortcuts';
import { roles, roleWords } from '../../ui/words';
import { OwnParts } from './OwnParts';
import { PartRow } from './PartRow';
import { Picker, type Place } from './Picker';
import { Selection } from './Selection';

/** The bill of materials, with every finding in the margin beside the line it concerns. */
export default function PartsStation() {
    const { build } = useOpenBuild();
    const [place, setPlace] = useState<Place | null>(null);
    const [selected, setSelected] = useState<string[]>([]);
    const keys = useMemo(() => ({ a: () => setPlace({ role: null, swap: null, beside: null }) }), []);
    useShortcuts(keys);
    const { findings } = build.appraisal;
    const ofWhole = findings.filter((finding) => finding.ofWhole);
    const beside = (line: Line) => findings.filter((finding) => finding.lines[0] === line.id && !ofWhole.includes(finding));
    const groups = roles.map(([role]) => ({ role, lines: build.lines.filter((line) => line.role === role) })).filter((group) => group.lines.length > 0);
    const there = selected.filter((id) => build.lines.some((line) => line.id === id));
    const select = (id: string) => setSelected((before) => (before.includes(id) ? before.filter((one) => one !== id) : [...before, id]));
    const fits = findings.filter((finding) => finding.verdict === 'fits');
    return (
        <main>
            <div className="flex flex-wrap items-start gap-x-4 gap-y-1 px-4 pb-1.5 sm:px-6">
                <h2 className="text-xl">Parts</h2>
                <div className="min-w-60 flex-1 max-lg:order-last max-lg:basis-full">
                    <MarginNotes brief findings={ofWhole} label="About the whole build" />
                </div>
                <div className="ml-auto flex items-center gap-3">
                    <SaveMenu label="Save the list" path={`/api/builds/${build.id}/parts`} />
                    <Button look="pen" onClick={() => setPlace({ role: null, swap: null, beside: null })} title="Add a part (a)">
                        Add a part
                    </Button>
                </div>
            </div>
            {build.lines.length === 0 && <EmptyParts onPick={(role) => setPlace({ role, swap: null, beside: null })} />}
            {there.length > 0 && <Selection lines={there} onClear={() => setSelected([])} />}
            {groups.map(({ role, lines }) => (
                <section key={role} aria-label={roleWords[role]}>
                    {lines.map((line, index) => (
                        <PartRow
                            key={line.id}
                            line={line}
                            first={index === 0}
                            findings={beside(line)}
                            concerned={findings.filter((finding) => finding.lines.includes(line.id))}
                            selected={there.includes(line.id)}
                            onSelect={() => select(line.id)}
                            onPlace={setPlace}
                        />
                    ))}
                </section>
            ))}
            <OwnParts />
            {fits.length > 0 && <WhatFits fits={fits} />}
            {place !== null && <Picker place={place} onClose={() => setPlace(null)} />}
        </main>
    );
}

function EmptyParts({ onPick }: { onPick: (role: Role) => void }) {
    return (
        <div className="dot-grid mx-4 rounded-sm border border-dashed border-edge p-6 sm:mx-6">
            <h3 className="mb-2 text-lg">Begin with the big three</h3>
            <p className="mb-4 max-w-prose">
                Board, display and controls decide the rest. In an upgrade the case often comes first. From the second part on, what does not go together stands
                in the margin.
            </p>
            <div className="flex flex-wrap gap-2">
                {(['board', 'display', 'controls', 'case', 'cells'] as const).map((role) => (
                    <Button key={role} onClick={() => onPick(role)}>
                        {roleWords[role]}
                    </Button>
                ))}
            </div>
        </div>
    );
}

function WhatFits({ fits }: { fits: Finding[] }) {
    const [isOpen, setIsOpen] = useState(false);
    return (
        <details className="mx-4 mt-4 sm:mx-6" onToggle={(event) => setIsOpen(event.currentTarget.open)}>
            <summary className="flex cursor-pointer items-center gap-2 text-pencil">
                <Peg verdict="fits" size={18} /> {fits.length === 1 ? 'One thing was checked and fits' : `${fits.length} things were checked and fit`}
            </summary>
            {isOpen && <FitsList fits={fits} />}
        </details>
    );
}

function FitsList({ fits }: { fits: Finding[] }) {
    const says = useFits();
    return (
        <ul className="mt-2 columns-1 gap-8 text-[0.95rem] md:columns-2">
            {fits.map((finding) => (
                <li key={finding.key} className="mb-1.5 break-inside-avoid">
                    {says(finding)} <code className="figures text-xs text-pencil">{finding.rule}</code>
                </li>
            ))}
        </ul>
    );
}
