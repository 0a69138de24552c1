import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useId, useState, type KeyboardEvent } from 'react';
import { api, type Build, type Candidate, type Role } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { EffectList } from '../../frame/NoteLeaf';
import { Button } from '../../ui/Button';
import { inputLook } from '../../ui/Field';
import { useNotices } from '../../ui/Notices';
import { Peg } from '../../ui/Peg';
import { Select } from '../../ui/Select';
import { Dialog } from '../../ui/Dialog';
import { Mine } from '../../ui/Mine';
import { roles, roleWords } from '../../ui/words';

/** Where a part is wanted: a role, in place of a line, or as one more candidate beside a line. */
export interface Place {
    role: Role | null;
    swap: string | null;
    beside: string | null;
}

type From = 'all' | 'typical';

type Sort = 'fit' | 'price' | 'time' | 'weight' | 'size' | 'day';

const sorts: readonly (readonly [Sort, string])[] = [
    ['fit', 'by fit'],
    ['price', 'by price'],
    ['time', 'by run time'],
    ['weight', 'by weight'],
    ['size', 'by thickness'],
    ['day', 'by the day it is finished'],
];

/** The order in which they come is that of fit; what is not known comes last. */
function inOrder(candidates: Candidate[], sort: Sort): Candidate[] {
    if (sort === 'fit') return candidates;
    const by: Record<Exclude<Sort, 'fit'>, (one: Candidate) => number> = {
        // What the whole build then costs, at the door and in one currency.
        price: (one) => (one.part.offers[0] === undefined ? Infinity : Number(one.vitals.cost.amount)),
        time: (one) => -(one.vitals.runTime.usualHours ?? -Infinity),
        weight: (one) => one.vitals.mass.grams,
        size: (one) => Math.min(...one.vitals.size.sidesMm),
        day: (one) => (one.vitals.finish === null || one.vitals.finish.on === null ? Infinity : Date.parse(one.vitals.finish.on)),
    };
    return [...candidates].sort((a, b) => by[sort](a) - by[sort](b));
}

/** Every part for a place, each with its verdict against this build and what it would do to the vitals. */
export function Picker({ place, onClose }: { place: Place; onClose: () => void }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [role, setRole] = useState<Role>(place.role ?? firstMissing(build));
    const [words, setWords] = useState('');
    const [at, setAt] = useState(0);
    const [from, setFrom] = useState<From>('all');
    const [sort, setSort] = useState<Sort>('fit');
    const [isHiding, setIsHiding] = useState(false);
    const typical = from === 'typical';
    const list = useId();
    const asked = useDeferredValue(words);
    const weighedAgainst = place.swap ?? place.beside;
    const weighed = (more: Record<string, string>) =>
        api.get<{ candidates: Candidate[] }>(
            `/builds/${build.id}/candidates?${new URLSearchParams({ role, ...(weighedAgainst === null ? {} : { swap: weighedAgainst }), ...more }).toString()}`,
        );
    const byDay = sort === 'day';
    const query = useQuery({
        queryKey: ['candidates', build.id, build.version, role, weighedAgainst, asked, typical, byDay],
        queryFn: () => weighed({ q: asked, ...(typical ? { typical: '1' } : {}), ...(byDay ? { days: '1' } : {}) }),
        placeholderData: keepPreviousData,
    });
    const all = query.data?.candidates ?? [];
    const candidates = inOrder(all, sort).filter((one) => !isHiding || one.verdict !== 'clash');
    const active = candidates[Math.min(at, candidates.length - 1)];
    // A day takes a plan: of the whole list it is only asked when that is the order, else of the part that is looked at.
    const day = useQuery({
        queryKey: ['candidate', build.id, build.version, role, weighedAgainst, active?.libraryId],
        queryFn: () => weighed({ only: String(active?.libraryId), days: '1' }),
        enabled: active !== undefined && active.vitals.finish === null,
    });
    const against = build.lines.find((line) => line.id === weighedAgainst);

    const take = async (candidate: Candidate | undefined) => {
        if (candidate === undefined || busy) return;
        const answer = await edit((path, version) =>
            place.swap === null
                ? api.post<Build>(`${path}/lines`, { version, part: candidate.libraryId, role, ...(place.beside === null ? {} : { beside: place.beside }) })
                : api.post<Build>(`${path}/lines/${place.swap}/swap`, { version, part: candidate.libraryId }),
        );
        if (answer instanceof Error) return;
        notices.say(place.swap === null ? `${candidate.part.name} was added.` : `${candidate.part.name} took the place.`);
        onClose();
    };
    const move = (event: KeyboardEvent) => {
        const by = { ArrowDown: 1, ArrowUp: -1, PageDown: 8, PageUp: -8 }[event.key];
        if (by !== undefined) {
            event.preventDefault();
            const next = Math.max(0, Math.min(candidates.length - 1, at + by));
            setAt(next);
            document.getElementById(`${list}-${next}`)?.scrollIntoView({ block: 'nearest' });
        }
        if (event.key === 'Enter') {
            event.preventDefault();
            void take(active);
        }
    };
    const verb = place.swap !== null ? 'Take' : place.beside !== null ? 'Keep' : 'Add';
    return (
        <Dialog
            open
            onClose={onClose}
            wide
            title={
                against === undefined ? 'Add a part' : place.swap !== null ? `Instead of ${against.part.name}` : `Another candidate beside ${against.part.name}`
            }
            foot={
                <div className="flex min-h-14 flex-wrap items-center justify-between gap-3">
                    <div className="min-w-0 flex-1 max-sm:basis-full">
                        {active !== undefined && (
                            <>
                                <p className="font-semibold">{active.part.name}</p>
                                <EffectList
                                    before={build}
                                    after={{ ...active.vitals, finish: active.vitals.finish ?? day.data?.candidates[0]?.vitals.finish ?? null }}
                                />
                            </>
                        )}
                    </div>
                    <Button look="pen" className="min-h-11 max-w-full max-sm:w-full" disabled={active === undefined || busy} onClick={() => void take(active)}>
                        <span className="truncate">
                            {verb} {active?.part.name}
                        </span>
                    </Button>
                </div>
            }
        >
            <div className="mb-3 flex flex-wrap gap-2">
                {place.role === null && (
                    <Select
                        label="Role"
                        options={roles}
                        value={role}
                        onChange={(event) => {
                            setRole(event.target.value as Role);
                            setAt(0);
                        }}
                        className="border-edge! max-sm:min-w-32 max-sm:flex-1"
                    />
                )}
                <input
                    role="combobox"
                    aria-expanded="true"
                    aria-controls={list}
                    aria-activedescendant={active === undefined ? undefined : `${list}-${candidates.indexOf(active)}`}
                    aria-label="Search the library"
                    data-first
                    className={`${inputLook} min-w-48 flex-1`}
                    placeholder={`${roleWords[role]} parts: words or figures, “under 20 mm”`}
                    value={words}
                    onChange={(event) => {
                        setWords(event.target.value);
                        setAt(0);
                    }}
                    onKeyDown={move}
                />
                <Select
                    label="From where"
                    options={[['all', 'mine and the shelf'] as const, ['typical', 'typical parts'] as const]}
                    value={from}
                    onChange={(event) => {
                        setFrom(event.target.value as From);
                        setAt(0);
                    }}
                    className="border-edge! max-sm:min-w-32 max-sm:flex-1"
                />
                <Select
                    label="In which order"
                    options={sorts}
                    value={sort}
                    onChange={(event) => setSort(event.target.value as Sort)}
                    className="border-edge! max-sm:min-w-32 max-sm:flex-1"
                />
                <label className="flex min-h-9 items-center gap-2 max-sm:basis-full">
                    <input type="checkbox" className="size-5 accent-pen" checked={isHiding} onChange={(event) => setIsHiding(event.target.checked)} /> Hide what
                    clashes
                </label>
            </div>
            {query.isError && <p role="alert">{query.error.message}</p>}
            {query.isPending && <p className="text-pencil">Weighing the parts against this build …</p>}
            {query.isSuccess && candidates.length === 0 && (
                <p className="text-pencil">{all.length > 0 ? 'All of them clash.' : 'No part of this role has these words. Try fewer, or another role.'}</p>
            )}
            <ul role="listbox" id={list} aria-label={`${roleWords[role]} parts`}>
                {candidates.map((candidate, index) => (
                    <li
                        key={candidate.libraryId}
                        id={`${list}-${index}`}
                        role="option"
                        aria-selected={candidate === active}
                        onClick={() => setAt(index)}
                        onDoubleClick={() => void take(candidate)}
                        className={`grid cursor-pointer grid-cols-[1.6rem_minmax(0,1fr)_auto] items-start gap-x-3 border-b border-line px-2 py-2 ${candidate === active ? 'bg-pen-wash outline-2 -outline-offset-2 outline-pen' : 'hover:bg-leaf'}`}
                    >
                        <span className="pt-0.5">
                            <Peg verdict={candidate.verdict} />
                        </span>
                        <span>
                            <span className="font-semibold">{candidate.part.name}</span>{' '}
                            <span className="text-sm text-pencil">
                                {candidate.inUse ? 'in its place now' : candidate.part.typical ? 'typical' : candidate.part.maker}
                            </span>
                            {candidate.own && <Mine />}
                            {candidate.part.keyFigures !== '' && <span className="block text-sm tabular-nums">{candidate.part.keyFigures}</span>}
                            <span className="block text-sm text-pencil">{candidate.part.summary}</span>
                            {candidate.settles.map((one) => (
                                <span key={one} className="block text-sm">
                                    <strong>Settles:</strong> {one}
                                </span>
                            ))}
                            {candidate.verdict !== 'fits' && <span className="block text-sm">{candidate.says}</span>}
                        </span>
                        <span className="figures text-right text-sm">
                            {candidate.part.offers[0] === undefined
                                ? 'no offer'
                                : `${candidate.part.offers[0].price.amount} ${candidate.part.offers[0].price.currency}`}
                            <span className="block text-xs text-pencil">
                                clashes {build.appraisal.vitals.clashes} → {candidate.vitals.clashes}
                            </span>
                        </span>
                    </li>
                ))}
            </ul>
        </Dialog>
    );
}

function firstMissing(build: Build): Role {
    return (['board', 'display', 'controls', 'case', 'cells'] as const).find((role) => !build.lines.some((line) => line.role === role)) ?? 'regulator';
}
