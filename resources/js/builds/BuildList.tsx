import { keepPreviousData, useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query';
import { DropdownMenu } from 'radix-ui';
import { useDeferredValue, useRef, useState, type ChangeEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, Problem, type Build, type BuildCard, type ImportPreview, type Vitals } from '../api/client';
import { useSession } from '../sign-in/SignedIn';
import { PageHead } from '../ui/PageHead';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { capital, finish, number, runTime } from '../ui/format';
import { useNotices } from '../ui/Notices';
import { Peg } from '../ui/Peg';
import { Dialog } from '../ui/Dialog';
import { DemoList } from './DemoList';
import { FirstPage } from './FirstPage';

/** All of one's builds, and the ways to begin another. */
export function BuildList() {
    const cache = useQueryClient();
    const notices = useNotices();
    const session = useSession();
    const [words, setWords] = useState('');
    const sought = useDeferredValue(words.trim());
    const builds = useInfiniteQuery({
        queryKey: ['builds', sought],
        queryFn: ({ pageParam }) => api.get<{ total: number; builds: BuildCard[] }>(`/builds?from=${pageParam}&q=${encodeURIComponent(sought)}`),
        initialPageParam: 0,
        getNextPageParam: (last, pages) => {
            const shown = pages.reduce((sum, page) => sum + page.builds.length, 0);
            return last.builds.length === 0 || shown >= last.total ? undefined : shown;
        },
        placeholderData: keepPreviousData,
    });
    // A build that was touched meanwhile may come twice, once a page.
    const cards = [...new Map((builds.data?.pages ?? []).flatMap((page) => page.builds).map((card) => [card.id, card])).values()];
    const total = builds.data?.pages[0]?.total ?? 0;
    const [starting, setStarting] = useState(false);
    const refresh = () => cache.invalidateQueries({ queryKey: ['builds'] });
    const failed = (error: Error) => notices.say(error.message, 'bad');
    const restore = useMutation({ mutationFn: (id: string) => api.post<{ id: string }>(`/builds/${id}/restore`), onSuccess: refresh, onError: failed });
    const discard = useMutation({
        mutationFn: ({ card, leave }: { card: BuildCard; leave: boolean }) => api.remove<{ id: string }>(`/builds/${card.id}`, { leave }),
        onSuccess: (_, { card, leave }) => {
            void refresh();
            notices.say(leave ? `${card.name} was put away; what it had lies in the drawer.` : `${card.name} was put away.`, 'good', {
                words: 'Take it out again',
                run: () => restore.mutate(card.id),
            });
        },
        onError: failed,
    });

    return (
        <div className="mx-auto min-h-screen max-w-6xl bg-paper px-4 py-5 sm:px-8">
            <PageHead />
            <main>
                <div className="mb-5 flex flex-wrap items-end justify-between gap-3">
                    <div>
                        <h1 className="text-3xl">Your builds</h1>
                        <p className="text-pencil">{session.data?.user?.name}</p>
                    </div>
                    <Button look="pen" onClick={() => setStarting(true)}>
                        Begin a build
                    </Button>
                </div>
                {builds.isError && <p role="alert">{builds.error.message}</p>}
                {(total > fewBuilds || words !== '') && (
                    <div className="mb-5 flex flex-wrap items-end gap-x-4 gap-y-2">
                        <Field
                            label="Search name and purpose"
                            type="search"
                            className="w-full max-w-sm"
                            value={words}
                            onChange={(event) => setWords(event.target.value)}
                        />
                        <p className="pb-1.5 text-pencil" role="status">
                            {sought === '' ? `${total} builds` : total === 0 ? 'No build has all these words.' : `${total} found`}
                        </p>
                    </div>
                )}
                {builds.data !== undefined && total === 0 && words === '' && sought === '' && <FirstPage onBrief={() => setStarting(true)} />}
                <ul className="grid gap-5 md:grid-cols-2 lg:grid-cols-3">
                    {cards.map((card) => (
                        <li
                            key={card.id}
                            className="relative flex flex-col rounded-sm border border-line bg-leaf p-5 shadow-sm focus-within:border-pen hover:border-pen"
                        >
                            <div className="mb-2 flex items-start justify-between gap-2">
                                <h2 className="text-xl">
                                    <Link className="after:absolute after:inset-0" to={`/builds/${card.id}/parts`}>
                                        {card.name}
                                    </Link>
                                </h2>
                                {card.verdict !== null && <Peg verdict={card.verdict} size={24} named />}
                            </div>
                            {card.vitals === null ? <Unreadable card={card} /> : <Sums card={card} vitals={card.vitals} />}
                            <DropdownMenu.Root>
                                <DropdownMenu.Trigger
                                    className="absolute right-3 bottom-3 z-10 min-h-9 min-w-9 rounded-sm text-pencil hover:text-pen"
                                    aria-label={`More for ${card.name}`}
                                >
                                    ⋯
                                </DropdownMenu.Trigger>
                                <DropdownMenu.Portal>
                                    <DropdownMenu.Content className="z-20 rounded-sm border border-edge bg-leaf p-1 shadow-lg" align="end">
                                        <DropdownMenu.Item asChild className="block cursor-pointer rounded-sm px-3 py-2 data-highlighted:bg-pen-wash">
                                            <a href={`/api/builds/${card.id}/file`} download>
                                                Save as a file
                                            </a>
                                        </DropdownMenu.Item>
                                        <DropdownMenu.Item
                                            className="cursor-pointer rounded-sm px-3 py-2 data-highlighted:bg-pen-wash"
                                            onSelect={() => discard.mutate({ card, leave: false })}
                                        >
                                            Put away
                                        </DropdownMenu.Item>
                                        <DropdownMenu.Item
                                            className="cursor-pointer rounded-sm px-3 py-2 data-highlighted:bg-pen-wash"
                                            onSelect={() => discard.mutate({ card, leave: true })}
                                        >
                                            Put away, its parts into the drawer
                                        </DropdownMenu.Item>
                                    </DropdownMenu.Content>
                                </DropdownMenu.Portal>
                            </DropdownMenu.Root>
                        </li>
                    ))}
                </ul>
                {builds.hasNextPage && (
                    <p className="mt-6 text-center">
                        <Button onClick={() => void builds.fetchNextPage()} disabled={builds.isFetchingNextPage}>
                            Show more ({total - cards.length} left)
                        </Button>
                    </p>
                )}
            </main>
            <Begin open={starting} onClose={() => setStarting(false)} />
        </div>
    );
}

/** A build that the application cannot read: what is wrong, and the way to keep it. */
function Unreadable({ card }: { card: BuildCard }) {
    return (
        <div className="mb-4 border-l-4 border-clash pr-10 pl-3">
            <p className="mb-3">{card.unreadable}</p>
            <a className="relative z-10 font-semibold text-pen underline" href={`/api/builds/${card.id}/file`} download>
                Save {card.name} as a file
            </a>
        </div>
    );
}

/** So many builds are found by looking. */
const fewBuilds = 6;

/** What a card says of a build: what it is for, its vitals, and what to do next. */
function Sums({ card, vitals }: { card: BuildCard; vitals: Vitals }) {
    return (
        <>
            <p className="mb-4 line-clamp-3 min-h-[4.2em] text-pencil">{card.purpose === '' ? 'No purpose written yet.' : card.purpose}</p>
            <dl className="figures mb-4 grid grid-cols-2 gap-x-4 gap-y-1 text-sm [&_dd]:text-right [&_dt]:font-sans">
                {(
                    [
                        ['Cost', `${vitals.cost.amount} ${vitals.cost.currency}`],
                        ['Run time', runTime(vitals.runTime)],
                        ['Clashes', String(vitals.clashes)],
                        ['Missing', String(vitals.missing)],
                        ['Unmeasured', String(vitals.unmeasured)],
                        ['Finished', finish(vitals.finish)],
                        ['Steps left', String(vitals.stepsLeft)],
                    ] as const
                ).map(([what, value]) => (
                    <div key={what} className="col-span-2 flex justify-between border-b border-dotted border-line">
                        <dt className="text-pencil" style={{ fontFamily: 'var(--font-text)', letterSpacing: 0 }}>
                            {what}
                        </dt>
                        <dd>{value}</dd>
                    </div>
                ))}
            </dl>
            {vitals.pencil > 0 && (
                <p className="mb-2 text-sm text-pencil italic">In pencil: {vitals.pencil === 1 ? 'one part is' : `${vitals.pencil} parts are`} typical.</p>
            )}
            <p className="mt-auto line-clamp-2 pr-10 text-sm">
                <span className="font-semibold">Next: </span>
                {vitals.next.says}
            </p>
        </>
    );
}

function Begin({ open, onClose }: { open: boolean; onClose: () => void }) {
    const cache = useQueryClient();
    const go = useNavigate();
    const [name, setName] = useState('');
    const opened = (station: string) => (build: Build) => {
        cache.setQueryData(['build', build.id], build);
        void cache.invalidateQueries({ queryKey: ['builds'] });
        void go(`/builds/${build.id}/${station}`);
    };
    const blank = useMutation({ mutationFn: () => api.post<Build>('/builds', { name }), onSuccess: opened('brief') });
    const copy = useMutation({ mutationFn: (demo: string) => api.post<Build>('/builds', { demo }), onSuccess: opened('parts') });
    return (
        <Dialog open={open} onClose={onClose} title="Begin a build">
            <form
                className="mb-7 grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    blank.mutate();
                }}
            >
                <h3 className="text-lg">On a blank page</h3>
                <Field
                    label="Its name"
                    value={name}
                    onChange={(event) => setName(event.target.value)}
                    problem={blank.error instanceof Problem ? (blank.error.about('name') ?? blank.error.message) : undefined}
                />
                <Button type="submit" look="pen" disabled={blank.isPending}>
                    Begin with the brief
                </Button>
            </form>
            <section className="mb-7">
                <h3 className="mb-2 text-lg">From a demo build</h3>
                <DemoList busy={copy.isPending} onPick={(slug) => copy.mutate(slug)} />
                {copy.isError && <p role="alert">{copy.error.message}</p>}
            </section>
            <ImportFile onTaken={opened('parts')} />
        </Dialog>
    );
}

/** As core/src/File/Format.php has it. */
const mostBytes = 16_000_000;

function ImportFile({ onTaken }: { onTaken: (build: Build) => void }) {
    const [text, setText] = useState('');
    const [tooLarge, setTooLarge] = useState<number | null>(null);
    const chooser = useRef<HTMLInputElement>(null);
    const preview = useMutation({ mutationFn: (content: string) => api.post<ImportPreview>('/imports/preview', { text: content }) });
    const take = useMutation({ mutationFn: () => api.post<Build>('/imports', { text }), onSuccess: onTaken });
    const error = preview.error ?? take.error;
    const choose = async (event: ChangeEvent<HTMLInputElement>) => {
        const file = event.target.files?.[0];
        if (file === undefined) return;
        take.reset();
        setTooLarge(file.size > mostBytes ? file.size : null);
        if (file.size > mostBytes) {
            preview.reset();
            return;
        }
        const content = await file.text();
        setText(content);
        preview.mutate(content);
    };
    return (
        <section>
            <h3 className="mb-2 text-lg">From a file</h3>
            <label className="mb-1 block text-sm font-semibold" htmlFor="build-file">
                A file that ends in .pocketplot.json
            </label>
            <input
                ref={chooser}
                id="build-file"
                type="file"
                accept=".json,application/json"
                onChange={(event) => void choose(event)}
                className="mb-3 block w-full"
            />
            {tooLarge !== null && (
                <p role="alert" className="mb-3 border-l-4 border-clash pl-3">
                    The file has {number(tooLarge / 1e6)} MB; at most {mostBytes / 1e6} MB are read. Nothing was changed.
                </p>
            )}
            {error !== null && (
                <div role="alert" className="mb-3 border-l-4 border-clash pl-3">
                    <p>{error.message}</p>
                    {error instanceof Problem && (
                        <ul className="list-disc pl-5 text-sm">
                            {[...error.lines, ...Object.values(error.fields).flat()].map((problem) => (
                                <li key={problem}>{problem}</li>
                            ))}
                        </ul>
                    )}
                </div>
            )}
            {preview.isSuccess && (
                <div className="rounded-sm border border-line bg-leaf p-3">
                    <p className="mb-1 flex items-center justify-between gap-2">
                        <span className="font-semibold">{preview.data.name}</span>
                        <Peg verdict={preview.data.verdict} named />
                    </p>
                    <details className="mb-2">
                        <summary>
                            {preview.data.lines.length} lines will be taken, {preview.data.vitals.clashes} clashes, {preview.data.vitals.missing} missing,{' '}
                            {preview.data.vitals.unmeasured} unmeasured
                        </summary>
                        <ul className="mt-1 list-disc pl-5 text-sm">
                            {preview.data.lines.map((line) => (
                                <li key={line.id}>
                                    {capital(line.role)}: {line.name}
                                </li>
                            ))}
                        </ul>
                    </details>
                    {preview.data.unused.length > 0 && <p className="mb-2 text-sm">Not taken, since no line uses them: {preview.data.unused.join(', ')}.</p>}
                    {preview.data.kept.length > 0 && (
                        <p className="mb-2 text-sm">Kept although this version does not know them: {preview.data.kept.join(', ')}.</p>
                    )}
                    <Button look="pen" onClick={() => take.mutate()} disabled={take.isPending}>
                        Take it as a new build
                    </Button>
                </div>
            )}
        </section>
    );
}
