import { useState, type ReactNode } from 'react';
import { api, Problem, type Brief, type Build, type GamesClass } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { Field, inputLook } from '../../ui/Field';
import { capital } from '../../ui/format';
import { useNotices } from '../../ui/Notices';
import { Select } from '../../ui/Select';
import { useVocabulary } from '../../ui/useVocabulary';

interface Draft {
    name: string;
    purpose: string;
    runTimeHours: string;
    budget: string;
    currency: string;
    lengthMm: string;
    widthMm: string;
    heightMm: string;
    largestMassG: string;
    gamesGb: string;
    eveningMinutes: string;
    games: GamesClass[];
    skills: string[];
    tools: string[];
    consumables: string[];
    readyMade: string;
    playWhileCharging: string;
    rights: string;
    roomC: string;
    mustHaves: string;
}

const yesNo = (value: boolean | undefined) => (value === undefined ? '' : value ? 'yes' : 'no');
const answered = (value: string) => (value === '' ? null : value === 'yes');
const answers = [
    ['', 'not said'],
    ['yes', 'yes'],
    ['no', 'no'],
] as const;

const text = (value: number | undefined) => (value === undefined ? '' : String(value));

function draftOf(build: Build): Draft {
    const brief: Brief = build.brief;
    return {
        name: build.name,
        purpose: brief.purpose ?? '',
        runTimeHours: text(brief.runTimeHours),
        budget: brief.budget === undefined ? '' : `${brief.budget.amount} ${brief.budget.currency}`,
        currency: brief.currency ?? brief.budget?.currency ?? 'EUR',
        lengthMm: text(brief.largestMm?.lengthMm),
        widthMm: text(brief.largestMm?.widthMm),
        heightMm: text(brief.largestMm?.heightMm),
        largestMassG: text(brief.largestMassG),
        gamesGb: text(brief.gamesGb),
        eveningMinutes: text(brief.eveningMinutes ?? 120),
        games: brief.games ?? [],
        skills: brief.skills ?? [],
        tools: brief.tools ?? [],
        consumables: brief.consumables ?? [],
        readyMade: brief.readyMade === undefined ? '' : `${brief.readyMade.amount} ${brief.readyMade.currency}`,
        playWhileCharging: yesNo(brief.playWhileCharging),
        rights: yesNo(brief.rights),
        roomC: text(brief.roomC),
        mustHaves: (brief.mustHaves ?? []).join('\n'),
    };
}

/** What the build is for and what it may take; everything else is held against it. */
export default function BriefStation() {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const vocabulary = useVocabulary();
    const [typed, setTyped] = useState<Partial<Draft>>({});
    const [problem, setProblem] = useState<Problem | null>(null);
    const draft: Draft = { ...draftOf(build), ...typed };
    const set = (change: Partial<Draft>) => setTyped((before) => ({ ...before, ...change }));
    const dirty = Object.keys(typed).length > 0;
    const field = (name: Exclude<keyof Draft, 'games' | 'skills' | 'tools' | 'consumables'>, path = `brief.${name}`) => ({
        value: draft[name],
        onChange: (event: { target: { value: string } }) => set({ [name]: event.target.value }),
        problem: problem?.about(path),
    });
    const save = async () => {
        const answer = await edit((path, version) =>
            api.put<Build>(`${path}/brief`, {
                version,
                name: draft.name,
                brief: {
                    purpose: draft.purpose,
                    runTimeHours: draft.runTimeHours,
                    budget: draft.budget,
                    currency: draft.currency.trim().toUpperCase(),
                    largestMm: { lengthMm: draft.lengthMm, widthMm: draft.widthMm, heightMm: draft.heightMm },
                    largestMassG: draft.largestMassG,
                    gamesGb: draft.gamesGb,
                    eveningMinutes: draft.eveningMinutes,
                    games: draft.games,
                    // Nobody has said yet is not the same as none: only a touched list is written.
                    skills: typed.skills ?? build.brief.skills ?? null,
                    tools: typed.tools ?? build.brief.tools ?? null,
                    consumables: typed.consumables ?? build.brief.consumables ?? null,
                    readyMade: draft.readyMade,
                    playWhileCharging: answered(draft.playWhileCharging),
                    rights: answered(draft.rights),
                    roomC: draft.roomC,
                    mustHaves: draft.mustHaves
                        .split('\n')
                        .map((line) => line.trim())
                        .filter((line) => line !== ''),
                },
            }),
        );
        if (answer instanceof Problem) {
            setProblem(answer);
        } else {
            setProblem(null);
            setTyped({});
            notices.say('The brief is written.');
        }
    };
    const gamesProblem = Object.entries(problem?.fields ?? {}).find(([name]) => name.startsWith('brief.games.'))?.[1][0];
    return (
        <main className="px-4 sm:px-6">
            <form
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    void save();
                }}
            >
                <div className="sticky top-0 z-10 -mx-4 mb-3 flex flex-wrap items-center justify-between gap-3 bg-paper px-4 py-2 sm:-mx-6 sm:px-6">
                    <h2 className="text-xl">Brief</h2>
                    <div className="flex items-center gap-3">
                        {dirty && <span className="text-pencil">not written yet</span>}
                        {dirty && (
                            <Button
                                look="bare"
                                onClick={() => {
                                    setTyped({});
                                    setProblem(null);
                                }}
                            >
                                Put back
                            </Button>
                        )}
                        <Button type="submit" look="pen" disabled={busy || !dirty}>
                            Save
                        </Button>
                    </div>
                </div>
                {problem !== null && (
                    <p role="alert" className="mb-3 text-clash">
                        {problem.message}
                    </p>
                )}
                <div className="grid gap-x-8 gap-y-6 lg:grid-cols-2">
                    <Group title="What it is for">
                        <Field label="Name" {...field('name', 'name')} />
                        <div>
                            <label className="mb-1 block text-sm font-semibold" htmlFor="purpose">
                                Purpose, and what the last one got wrong
                            </label>
                            <textarea
                                id="purpose"
                                rows={4}
                                className={inputLook}
                                value={draft.purpose}
                                onChange={(event) => set({ purpose: event.target.value })}
                                aria-invalid={problem?.about('brief.purpose') !== undefined}
                            />
                            {problem?.about('brief.purpose') !== undefined && <p className="text-sm text-clash">{problem.about('brief.purpose')}</p>}
                        </div>
                        <div>
                            <label className="mb-1 block text-sm font-semibold" htmlFor="must-haves">
                                Must have, one a line
                            </label>
                            <textarea
                                id="must-haves"
                                rows={3}
                                className={inputLook}
                                value={draft.mustHaves}
                                onChange={(event) => set({ mustHaves: event.target.value })}
                            />
                        </div>
                    </Group>
                    <Group title="What it may take">
                        <div className="grid grid-cols-2 gap-3">
                            <Field label="Run time on a charge" hint="4.5, or 4 h 30 min" {...field('runTimeHours')} />
                            <Field label="Largest weight" hint="g, kg, oz or lb" {...field('largestMassG')} />
                            <Field
                                label="Budget"
                                hint="260, or 220 GBP"
                                {...field('budget')}
                                problem={problem?.about('brief.budget') ?? problem?.about('brief.budget.amount')}
                            />
                            <Field label="Currency" hint="three letters" maxLength={3} {...field('currency')} />
                        </div>
                        <div className="grid grid-cols-3 gap-3">
                            <Field label="Length" hint="mm, cm or in" {...field('lengthMm', 'brief.largestMm.lengthMm')} />
                            <Field label="Width" {...field('widthMm', 'brief.largestMm.widthMm')} />
                            <Field label="Thickness" {...field('heightMm', 'brief.largestMm.heightMm')} />
                        </div>
                        <div className="grid grid-cols-2 gap-3">
                            <Field label="Room for games" hint="GB, MB or TB" {...field('gamesGb')} />
                            <Field label="A workshop evening" hint="minutes, or 2 h" {...field('eveningMinutes')} />
                        </div>
                    </Group>
                    <Group title="Games" wide>
                        <GamesTable games={draft.games} onChange={(games) => set({ games })} classes={vocabulary.data?.gamesClasses ?? []} />
                        {gamesProblem !== undefined && (
                            <p role="alert" className="text-clash">
                                {gamesProblem}
                            </p>
                        )}
                    </Group>
                    <Ticks title="You can" words={vocabulary.data?.skills ?? []} chosen={draft.skills} onChange={(skills) => set({ skills })} />
                    <Ticks title="On your bench" words={vocabulary.data?.tools ?? []} chosen={draft.tools} onChange={(tools) => set({ tools })} />
                    <Ticks
                        title="In your drawer"
                        words={vocabulary.data?.consumables ?? []}
                        chosen={draft.consumables}
                        onChange={(consumables) => set({ consumables })}
                    />
                    <Group title="Besides">
                        <div className="grid grid-cols-2 gap-3">
                            <Field
                                label="A ready-made one costs"
                                hint="to lay beside it"
                                {...field('readyMade')}
                                problem={problem?.about('brief.readyMade') ?? problem?.about('brief.readyMade.amount')}
                            />
                            <Field label="Room it is used in" hint="°C, 25 if empty" {...field('roomC')} />
                            <Answer
                                label="Play while it charges"
                                value={draft.playWhileCharging}
                                onChange={(playWhileCharging) => set({ playWhileCharging })}
                            />
                            <Answer label="I have the right to use the games" value={draft.rights} onChange={(rights) => set({ rights })} />
                        </div>
                    </Group>
                </div>
            </form>
        </main>
    );
}

function Answer({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
    return (
        <label>
            <span className="mb-1 block text-sm font-semibold">{label}</span>
            <Select label={label} className="w-full border-edge!" value={value} options={answers} onChange={(event) => onChange(event.target.value)} />
        </label>
    );
}

function Group({ title, children, wide = false }: { title: string; children: ReactNode; wide?: boolean }) {
    return (
        <fieldset className={`grid content-start gap-3 ${wide ? 'lg:col-span-2' : ''}`}>
            <legend className="font-head mb-2 w-full border-b border-ink text-lg font-semibold">{title}</legend>
            {children}
        </fieldset>
    );
}

function Ticks({ title, words, chosen, onChange }: { title: string; words: string[]; chosen: string[]; onChange: (chosen: string[]) => void }) {
    const all = [...new Set([...words, ...chosen])];
    return (
        <Group title={title}>
            <div className="grid grid-cols-2 gap-x-4 gap-y-1">
                {all.map((word) => (
                    <label key={word} className="flex min-h-9 items-center gap-2">
                        <input
                            type="checkbox"
                            className="size-5 accent-pen"
                            checked={chosen.includes(word)}
                            onChange={(event) => onChange(event.target.checked ? [...chosen, word] : chosen.filter((one) => one !== word))}
                        />
                        {capital(word)}
                    </label>
                ))}
            </div>
        </Group>
    );
}

const counts = [
    ['players', 'Players'],
    ['dPads', 'D-pads'],
    ['buttons', 'Buttons'],
    ['sticks', 'Sticks'],
    ['knobs', 'Knobs'],
    ['triggers', 'Triggers'],
    ['pictureWidthPx', 'Picture, wide'],
    ['pictureHeightPx', 'Picture, high'],
] as const;

function GamesTable({ games, onChange, classes }: { games: GamesClass[]; onChange: (games: GamesClass[]) => void; classes: GamesClass[] }) {
    const change = (at: number, fields: Partial<GamesClass>) => onChange(games.map((one, index) => (index === at ? { ...one, ...fields } : one)));
    return (
        <>
            {games.length === 0 && <p className="text-pencil">Which games should it play? Add a class, and the controls are held against it.</p>}
            {games.map((one, index) => (
                <div key={index} className="flex flex-wrap items-end gap-2 border-b border-dotted border-line pb-3">
                    <p className="w-48 self-center font-semibold">{capital(one.class)}</p>
                    {counts.map(([name, label]) => (
                        <label key={name} className="text-sm">
                            <span className="block text-pencil">{label}</span>
                            <input
                                className={`${inputLook} figures ${name.startsWith('picture') ? 'w-20!' : 'w-14!'}`}
                                inputMode="numeric"
                                value={String(one[name] ?? 0)}
                                onChange={(event) => change(index, { [name]: Number(event.target.value.replace(/\D/g, '')) })}
                            />
                        </label>
                    ))}
                    <label className="flex min-h-9 items-center gap-2 text-sm">
                        <input
                            type="checkbox"
                            className="size-5 accent-pen"
                            checked={one.touch}
                            onChange={(event) => change(index, { touch: event.target.checked })}
                        />{' '}
                        Touch
                    </label>
                    <Button look="bare" aria-label={`Take out ${one.class} games`} onClick={() => onChange(games.filter((_, other) => other !== index))}>
                        Take out
                    </Button>
                </div>
            ))}
            <div>
                <Select
                    label="Add a class of games"
                    className="border-edge!"
                    value=""
                    options={[['', 'Add a class of games …'] as const, ...classes.map((one) => [one.class, capital(one.class)] as const)]}
                    onChange={(event) => {
                        const found = classes.find((one) => one.class === event.target.value);
                        if (found !== undefined) onChange([...games, { ...found }]);
                    }}
                />
            </div>
        </>
    );
}
