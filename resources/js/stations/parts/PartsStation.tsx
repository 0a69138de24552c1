import { DropdownMenu } from 'radix-ui';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, type Build, type Finding, type Line, type Role } from '../../api/client';
import { useFits } from '../../frame/useFits';
import { useOpenBuild } from '../../frame/useBuild';
import { MarginNotes } from '../../frame/Margin';
import { Button } from '../../ui/Button';
import { DraftInput } from '../../ui/DraftInput';
import { useNotices } from '../../ui/Notices';
import { Peg, markOf } from '../../ui/Peg';
import { Select } from '../../ui/Select';
import { useShortcuts } from '../../ui/useShortcuts';
import { useLineEdit } from '../../frame/useLineEdit';
import { origins, roles, roleWords, states } from '../../ui/words';
import { OwnParts } from './OwnParts';
import { Picker, type Place } from './Picker';

/** The bill of materials, with every finding in the margin beside the line it concerns. */
export default function PartsStation() {
    const { build } = useOpenBuild();
    const [place, setPlace] = useState<Place | null>(null);
    const keys = useMemo(() => ({ a: () => setPlace({ role: null, swap: null, beside: null }) }), []);
    useShortcuts(keys);
    const { findings } = build.appraisal;
    const ofWhole = findings.filter((finding) => finding.ofWhole);
    const beside = (line: Line) => findings.filter((finding) => finding.lines[0] === line.id && !ofWhole.includes(finding));
    const groups = roles.map(([role]) => ({ role, lines: build.lines.filter((line) => line.role === role) })).filter((group) => group.lines.length > 0);
    const fits = findings.filter((finding) => finding.verdict === 'fits');
    return (
        <main>
            <div className="flex flex-wrap items-center justify-between gap-3 px-4 pb-2 sm:px-6">
                <h2 className="text-xl">Parts</h2>
                <div className="flex items-center gap-3">
                    <a className="font-semibold text-pen hover:underline" href={`/api/builds/${build.id}/parts.csv`} download>
                        Save as CSV
                    </a>
                    <Button look="pen" onClick={() => setPlace({ role: null, swap: null, beside: null })} title="Add a part (a)">
                        Add a part
                    </Button>
                </div>
            </div>
            {ofWhole.some((finding) => finding.verdict !== 'fits') && (
                <div className="mx-4 mb-2 border border-dashed border-edge p-2 sm:mx-6">
                    <MarginNotes findings={ofWhole} label="About the whole build" />
                </div>
            )}
            {build.lines.length === 0 && <EmptyParts onPick={(role) => setPlace({ role, swap: null, beside: null })} />}
            {groups.map(({ role, lines }) => (
                <section key={role} aria-label={roleWords[role]}>
                    {lines.map((line, index) => (
                        <PartLine
                            key={line.id}
                            line={line}
                            first={index === 0}
                            findings={beside(line)}
                            concerned={findings.filter((finding) => finding.lines.includes(line.id))}
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

function PartLine({
    line,
    first,
    findings,
    concerned,
    onPlace,
}: {
    line: Line;
    first: boolean;
    findings: Finding[];
    concerned: Finding[];
    onPlace: (place: Place) => void;
}) {
    const { edit, build } = useOpenBuild();
    const notices = useNotices();
    const go = useNavigate();
    const save = useLineEdit(line.id);
    const verdict = markOf(concerned);
    const shared = build.lines.filter((other) => other.slot === line.slot).length > 1;
    const remove = async () => {
        const answer = await edit((path, version) => api.remove<Build>(`${path}/lines/${line.id}`, { version }));
        if (!(answer instanceof Error)) {
            notices.say(`${line.part.name} was removed.`, 'good', {
                words: 'Put it back',
                run: () => void edit((path, version) => api.post<Build>(`${path}/lines/${line.id}/restore`, { version })),
            });
        }
    };
    return (
        <div className={`grid lg:grid-cols-[minmax(0,1fr)_19rem] ${first ? 'border-t border-line' : 'border-t border-dotted border-line'}`} data-line={line.id}>
            <div className="flex flex-wrap items-start gap-x-2 gap-y-1 py-2 pr-3 pl-4 sm:pl-6">
                <span
                    className={`font-head w-28 shrink-0 pt-1.5 max-sm:w-full max-sm:pt-0 text-[0.95rem] text-pencil ${first ? '' : 'max-sm:hidden sm:invisible'}`}
                >
                    {roleWords[line.role]}
                </span>
                <span className="w-6 pt-1.5">{line.chosen ? <Peg verdict={verdict} /> : <span className="block pl-1.5 text-pencil">◦</span>}</span>
                <span className="min-w-44 flex-1 pt-1">
                    <span className={`block leading-tight font-semibold ${line.chosen ? '' : 'text-pencil italic'}`}>
                        <Link className="inline-block min-h-6 hover:underline" to={`/builds/${build.id}/lines/${line.id}/part`} title="What is known of it">
                            {line.part.name}
                        </Link>
                        {!line.chosen && <span className="font-normal"> (candidate)</span>}
                    </span>
                    {line.part.keyFigures !== '' && <span className="block text-[0.8rem] leading-snug text-pencil tabular-nums">{line.part.keyFigures}</span>}
                    <NoteField line={line} />
                </span>
                <span className="flex flex-wrap items-center gap-1">
                    <DraftInput
                        label={`Quantity of ${line.part.name}`}
                        stored={String(line.quantity)}
                        inputMode="numeric"
                        className="figures w-11 text-right max-sm:w-9"
                        save={(typed) => save({ quantity: typed.trim() === '' ? null : Number(typed) })}
                    />
                    <Select
                        label={`State of ${line.part.name}`}
                        options={states}
                        value={line.state}
                        onChange={(event) => void save({ state: event.target.value })}
                        className="w-[5.6rem] max-sm:w-[5.2rem]"
                    />
                    <Select
                        label={`Where ${line.part.name} comes from`}
                        options={origins}
                        value={line.origin}
                        onChange={(event) => void save({ origin: event.target.value })}
                        className="w-[5.4rem] max-sm:w-[4.9rem]"
                    />
                    <DraftInput
                        label={`Price of one ${line.part.name}`}
                        stored={line.price === null ? '' : `${line.price.amount} ${line.price.currency}`}
                        placeholder={
                            line.origin === 'buy' || line.origin === 'print'
                                ? line.listPrice === null
                                    ? 'price?'
                                    : `${line.listPrice.amount} ${line.listPrice.currency}`
                                : 'free'
                        }
                        className="figures w-[6.6rem] text-right max-sm:w-[6.3rem]"
                        save={(typed) => save({ price: typed })}
                    />
                    <DropdownMenu.Root>
                        <DropdownMenu.Trigger className="min-h-9 min-w-9 rounded-sm text-pencil hover:text-pen" aria-label={`More for ${line.part.name}`}>
                            ⋯
                        </DropdownMenu.Trigger>
                        <DropdownMenu.Portal>
                            <DropdownMenu.Content
                                align="end"
                                className="z-20 min-w-52 rounded-sm border border-edge bg-leaf p-1 shadow-lg [&>*]:cursor-pointer [&>*]:rounded-sm [&>*]:px-3 [&>*]:py-2 [&>*]:data-highlighted:bg-pen-wash"
                            >
                                {shared && !line.chosen && (
                                    <DropdownMenu.Item
                                        onSelect={() => void edit((path, version) => api.post<Build>(`${path}/lines/${line.id}/choose`, { version }))}
                                    >
                                        Choose this one
                                    </DropdownMenu.Item>
                                )}
                                <DropdownMenu.Item onSelect={() => onPlace({ role: line.role, swap: line.id, beside: null })}>
                                    Swap for another …
                                </DropdownMenu.Item>
                                <DropdownMenu.Item onSelect={() => onPlace({ role: line.role, swap: null, beside: line.id })}>
                                    Keep another candidate beside it …
                                </DropdownMenu.Item>
                                <DropdownMenu.Item onSelect={() => void go(`/builds/${build.id}/lines/${line.id}/part`)}>Open the part …</DropdownMenu.Item>
                                <DropdownMenu.Item onSelect={() => void remove()}>Remove</DropdownMenu.Item>
                            </DropdownMenu.Content>
                        </DropdownMenu.Portal>
                    </DropdownMenu.Root>
                </span>
            </div>
            <div className="px-4 pb-1.5 max-lg:pl-12 lg:border-l-[3px] lg:border-double lg:border-clash/45 lg:px-3 lg:py-1.5">
                <MarginNotes brief findings={line.chosen ? findings : []} label={`Notes on ${line.part.name}`} />
            </div>
        </div>
    );
}

function NoteField({ line }: { line: Line }) {
    const save = useLineEdit(line.id);
    return (
        <span className="[&_input]:w-full [&>span]:w-full">
            <DraftInput
                label={`Note on ${line.part.name}`}
                stored={line.note}
                placeholder={line.part.maker === '' ? 'note' : line.part.maker}
                className="min-h-6! border-transparent! bg-transparent! px-0! py-0! text-[0.9rem] text-pencil hover:border-b-line! focus:bg-leaf!"
                save={(note) => save({ note })}
            />
            {(line.place !== '' || line.part.role === 'material') && (
                <DraftInput
                    label={`Place of ${line.part.name}`}
                    stored={line.place}
                    placeholder="place in the body"
                    className="min-h-6! border-transparent! bg-transparent! px-0! py-0! text-[0.9rem] text-pencil hover:border-b-line! focus:bg-leaf!"
                    save={(place) => save({ place })}
                />
            )}
        </span>
    );
}

function WhatFits({ fits }: { fits: Finding[] }) {
    const [isOpen, setIsOpen] = useState(false);
    return (
        <details className="mx-4 mt-4 sm:mx-6" onToggle={(event) => setIsOpen(event.currentTarget.open)}>
            <summary className="flex cursor-pointer items-center gap-2 text-pencil">
                <Peg verdict="fits" size={18} /> {fits.length} things were checked and fit
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
