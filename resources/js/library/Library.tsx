import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { api, Problem, type Facets, type LibraryPart } from '../api/client';
import type { GivenSheet } from '../part-editor/sheet';
import { SheetButton } from '../part-editor/SheetButton';
import { SheetLeaf } from '../part-editor/SheetLeaf';
import { roles, roleWords } from '../ui/words';
import { Button } from '../ui/Button';
import { inputLook } from '../ui/Field';
import { Mine } from '../ui/Mine';
import { useNotices } from '../ui/Notices';
import { SaveMenu } from '../ui/SaveMenu';
import { Select } from '../ui/Select';
import { useShortcuts } from '../ui/useShortcuts';
import { PageFrame } from '../ui/PageFrame';
import { ImportParts } from './ImportParts';

const page = 50;
const most = 4;

const sorts = [
    ['', 'name'],
    ['price', 'price'],
    ['weight', 'weight'],
    ['size', 'size'],
    ['date', 'newest'],
] as const;

/** All parts one can see: the shared shelf and one's own. */
export default function Library() {
    const [asked, setAsked] = useSearchParams();
    const [chosen, setChosen] = useState<LibraryPart[]>([]);
    const [importing, setImporting] = useState(false);
    const [sheet, setSheet] = useState<GivenSheet | null>(null);
    const cache = useQueryClient();
    const notices = useNotices();
    const go = useNavigate();
    const search = useRef<HTMLInputElement>(null);
    const keys = useMemo(() => ({ '/': () => search.current?.focus(), h: () => void go('/') }), [go]);
    useShortcuts(keys);
    useEffect(() => {
        document.title = 'Library · Pocket Plot';
    }, []);
    // Typed words stand on their own: the address follows, and must not swallow a fast hand's letters.
    const [words, setWords] = useState(asked.get('q') ?? '');
    const role = asked.get('role') ?? '';
    const facet = asked.get('facet') ?? '';
    const own = asked.get('own') === '1';
    const typical = asked.get('typical') === '1';
    const sort = asked.get('sort') ?? '';
    const from = Number(asked.get('from') ?? 0);
    const set = (change: Record<string, string>) =>
        setAsked(
            (before) => {
                const after = new URLSearchParams(before);
                for (const [key, value] of Object.entries({ from: '', ...change })) {
                    if (value === '') after.delete(key);
                    else after.set(key, value);
                }
                return after;
            },
            { replace: true },
        );
    const facets = useQuery({ queryKey: ['facets'], queryFn: () => api.get<Facets>('/facets'), staleTime: Infinity });
    const query = new URLSearchParams({
        q: words,
        ...(role === '' ? {} : { role }),
        ...(facet === '' ? {} : { facet }),
        ...(own ? { own: '1' } : {}),
        ...(typical ? { typical: '1' } : {}),
        ...(sort === '' ? {} : { sort }),
        from: String(from),
    }).toString();
    const found = useQuery({
        queryKey: ['library', query],
        queryFn: () => api.get<{ total: number; parts: LibraryPart[] }>(`/parts?${query}`),
        placeholderData: (before) => before,
    });
    const total = found.data?.total ?? 0;
    const tick = (part: LibraryPart) =>
        setChosen((before) =>
            before.some((one) => one.libraryId === part.libraryId) ? before.filter((one) => one.libraryId !== part.libraryId) : [...before, part].slice(-most),
        );
    return (
        <PageFrame
            title="Library"
            says={found.data === undefined ? 'Looking …' : `${total} ${total === 1 ? 'part' : 'parts'}`}
            tools={
                <>
                    <SaveMenu label="Save my parts" path="/api/parts/sheet" more={[['/api/parts/file', 'Pocket Plot file, everything']]} />
                    <Button onClick={() => setImporting(true)}>Import</Button>
                    <SheetButton onGiven={setSheet} />
                    <Button look="pen" onClick={() => void go('/library/new')}>
                        Describe a part
                    </Button>
                </>
            }
        >
            <form role="search" className="mb-3 flex flex-wrap items-end gap-3" onSubmit={(event) => event.preventDefault()}>
                <label className="min-w-56 flex-1">
                    <span className="mb-1 block text-sm font-semibold">Words or figures: “hdmi under 20 mm”, “6 to 9 V” (/)</span>
                    <input
                        ref={search}
                        className={inputLook}
                        type="search"
                        value={words}
                        onChange={(event) => {
                            setWords(event.target.value);
                            set({ q: event.target.value });
                        }}
                    />
                </label>
                <label>
                    <span className="mb-1 block text-sm font-semibold">Role</span>
                    <Select
                        label="Role"
                        value={role}
                        options={[['', 'any'] as const, ...roles.map(([value, name]) => [value as string, name] as const)]}
                        onChange={(event) => set({ role: event.target.value })}
                        className="border-edge!"
                    />
                </label>
                <label>
                    <span className="mb-1 block text-sm font-semibold">Has</span>
                    <Select
                        label="Has"
                        value={facet}
                        options={[['', 'anything'] as const, ...(facets.data?.facets ?? []).map((one) => [one.facet, one.label] as const)]}
                        onChange={(event) => set({ facet: event.target.value })}
                        className="max-w-48 border-edge!"
                    />
                </label>
                <label>
                    <span className="mb-1 block text-sm font-semibold">From</span>
                    <Select
                        label="From"
                        value={typical ? 'typical' : own ? 'own' : ''}
                        options={[['', 'mine and the shelf'] as const, ['own', 'my own only'] as const, ['typical', 'typical, of no maker'] as const]}
                        onChange={(event) => set({ own: event.target.value === 'own' ? '1' : '', typical: event.target.value === 'typical' ? '1' : '' })}
                        className="border-edge!"
                    />
                </label>
                <label>
                    <span className="mb-1 block text-sm font-semibold">By</span>
                    <Select label="By" value={sort} options={sorts} onChange={(event) => set({ sort: event.target.value })} className="border-edge!" />
                </label>
            </form>
            {chosen.length > 0 && (
                <div className="sticky top-0 z-10 mb-3 flex flex-wrap items-center gap-3 border-y border-edge bg-pen-wash px-3 py-2" aria-live="polite">
                    <span className="min-w-0 flex-1">
                        {chosen.length} of {most} to compare: {chosen.map((part) => part.name).join(' · ')}
                    </span>
                    <Button look="bare" onClick={() => setChosen([])}>
                        Let go
                    </Button>
                    <Button look="pen" disabled={chosen.length < 2} onClick={() => void go(`/compare?parts=${chosen.map((part) => part.libraryId).join(',')}`)}>
                        Compare
                    </Button>
                </div>
            )}
            {found.isError && <p role="alert">{found.error.message}</p>}
            {found.data?.parts.length === 0 && <NothingFound own={own} />}
            <ul className="border-t border-line">
                {found.data?.parts.map((part) => (
                    <li key={part.libraryId} className="flex items-start gap-3 border-b border-dotted border-line py-1.5">
                        <input
                            type="checkbox"
                            className="mt-1.5 size-5 shrink-0 accent-pen"
                            aria-label={`Compare ${part.name}`}
                            checked={chosen.some((one) => one.libraryId === part.libraryId)}
                            onChange={() => tick(part)}
                        />
                        <span className="font-head w-28 shrink-0 pt-0.5 text-[0.95rem] text-pencil max-sm:hidden">{roleWords[part.role]}</span>
                        <span className="min-w-0 flex-1">
                            <Link className="font-semibold text-ink hover:text-pen hover:underline" to={`/library/${part.libraryId}`}>
                                {part.name}
                            </Link>
                            {part.typical && <span className="ml-2 rounded-sm border border-dashed border-edge px-1 text-xs text-pencil">typical</span>}
                            {part.own && <Mine />}
                            {part.keyFigures !== '' && <span className="block text-sm tabular-nums">{part.keyFigures}</span>}
                            <span className="block truncate text-sm text-pencil">{[part.maker, part.summary].filter((text) => text !== '').join(' · ')}</span>
                        </span>
                        <span className="figures shrink-0 pt-0.5 text-right text-sm">
                            {part.offers[0] === undefined ? (
                                <span className="text-pencil">no price</span>
                            ) : (
                                `${part.offers[0].price.amount} ${part.offers[0].price.currency}`
                            )}
                        </span>
                    </li>
                ))}
            </ul>
            <Leaves total={total} from={from} onFrom={(next) => set({ from: String(next) })} />
            {sheet !== null && (
                <SheetLeaf
                    given={sheet}
                    into="my parts"
                    onClose={() => setSheet(null)}
                    take={async (rows) => {
                        try {
                            const { added, left } = await api.post<{ added: number; left: number }>('/parts/sheet', { rows });
                            notices.say(`${added} taken in, ${left} known already.`);
                            void cache.invalidateQueries({ queryKey: ['library'] });
                            return null;
                        } catch (error) {
                            return error instanceof Problem ? error : new Problem('broken', 'The page broke while saving. Nothing was taken in.');
                        }
                    }}
                />
            )}
            {importing && <ImportParts onClose={() => setImporting(false)} />}
        </PageFrame>
    );
}

function NothingFound({ own }: { own: boolean }) {
    return (
        <div className="dot-grid rounded-sm border border-dashed border-edge p-6">
            <h2 className="mb-2 text-xl">Nothing of that kind here</h2>
            <p className="max-w-prose">
                {own
                    ? 'A part of your own can be a donor console, a phone, a kit or a single switch. Describe one, or copy one from the shelf and adjust it.'
                    : 'Try fewer words, or describe the part yourself; unknown figures may stay open.'}
            </p>
        </div>
    );
}

/** From leaf to leaf of a long answer. */
function Leaves({ total, from, onFrom }: { total: number; from: number; onFrom: (from: number) => void }) {
    if (total <= page) return null;
    return (
        <nav aria-label="Leaves" className="mt-3 flex items-center gap-4">
            <Button disabled={from === 0} onClick={() => onFrom(Math.max(0, from - page))}>
                Back
            </Button>
            <span className="figures text-sm text-pencil">
                {from + 1} to {Math.min(from + page, total)} of {total}
            </span>
            <Button disabled={from + page >= total} onClick={() => onFrom(from + page)}>
                On
            </Button>
        </nav>
    );
}
