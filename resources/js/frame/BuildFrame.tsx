import { useQueryClient } from '@tanstack/react-query';
import { Suspense, useEffect, useMemo, useState } from 'react';
import { Link, NavLink, Outlet, useNavigate, useParams } from 'react-router';
import { api, Problem, type Build } from '../api/client';
import { OpenBuildContext, useBuildQuery, useEdit } from './useBuild';
import { Button } from '../ui/Button';
import { turnLight } from '../ui/light';
import { useNotices } from '../ui/Notices';
import { PageTrouble } from '../ui/PageTrouble';
import { Peg } from '../ui/Peg';
import { useShortcuts } from '../ui/useShortcuts';
import { NoteLeaf, NoteLeafContext } from './NoteLeaf';
import { Interview } from './Interview';
import { Shortcuts } from './Shortcuts';
import { VitalsLine } from './VitalsLine';

/** The stations in the order people work, and the key of each. */
const stations = [
    ['brief', 'Brief', '1'],
    ['parts', 'Parts', '2'],
    ['power', 'Power', '3'],
    ['fit', 'Fit', '4'],
    ['checks', 'Checks', '5'],
    ['buy', 'Buy', '6'],
    ['build', 'Build', '7'],
    ['bench', 'Bench', '8'],
] as const;

/** The frame that every station shares: name, vitals, page and index tabs. */
export function BuildFrame() {
    const { id = '' } = useParams();
    const query = useBuildQuery(id);
    const { edit, before, busy } = useEdit(id);
    const [openNote, setOpenNote] = useState<string | null>(null);
    const [showKeys, setShowKeys] = useState(false);
    const [asking, setAsking] = useState(false);
    const go = useNavigate();
    const cache = useQueryClient();
    const notices = useNotices();
    const build = query.data;

    useEffect(() => {
        if (build !== undefined) document.title = `${build.name} · Pocket Plot`;
    }, [build]);

    const keys = useMemo<Record<string, () => void>>(() => {
        const to = (station: string) => () => void go(`/builds/${id}/${station}`);
        return {
            '?': () => setShowKeys(true),
            1: to('brief'),
            2: to('parts'),
            3: to('power'),
            4: to('fit'),
            5: to('checks'),
            6: to('buy'),
            7: to('build'),
            8: to('bench'),
            q: () => setAsking(true),
            m: () => void go(`/builds/${id}/checks?leaf=measure`),
            g: () => void go(`/builds/${id}/checks?leaf=grid`),
            h: () => void go('/'),
            l: turnLight,
            n: () => {
                const first = cache.getQueryData<Build>(['build', id])?.appraisal.findings.find((finding) => finding.verdict !== 'fits');
                if (first !== undefined) setOpenNote(first.key);
            },
            u: () => {
                const removed = cache.getQueryData<Build>(['build', id])?.removed[0];
                if (removed === undefined) notices.say('Nothing was removed.');
                else void edit((path, version) => api.post<Build>(`${path}/lines/${removed.id}/restore`, { version }));
            },
        };
    }, [cache, edit, go, id, notices]);
    useShortcuts(keys);

    const open = useMemo(() => (build === undefined ? null : { build, before: before.current, edit, busy }), [before, build, busy, edit]);

    if (query.isPending) return <p className="p-8 text-pencil">Opening the page …</p>;
    if (query.isError || open === null || build === undefined) {
        return (
            <main className="mx-auto max-w-xl p-8">
                <h1 className="mb-2 text-2xl">This page cannot be opened</h1>
                <p className="mb-4">{query.error?.message}</p>
                {query.error instanceof Problem && query.error.problems.length > 0 && (
                    <ul className="mb-4 list-disc pl-5">
                        {query.error.lines.map((problem) => (
                            <li key={problem}>{problem}</li>
                        ))}
                    </ul>
                )}
                <div className="flex flex-wrap gap-3">
                    {query.error instanceof Problem && query.error.code === 'unreadable' && (
                        <a className="self-center font-semibold text-pen underline" href={`/api/builds/${id}/file`} download>
                            Export
                        </a>
                    )}
                    <Button look="pen" onClick={() => void query.refetch()}>
                        Try again
                    </Button>
                    <Link className="self-center text-pen underline" to="/">
                        Back to your builds
                    </Link>
                </div>
            </main>
        );
    }
    return (
        <OpenBuildContext value={open}>
            <NoteLeafContext value={setOpenNote}>
                <div className="mx-auto flex min-h-screen max-w-[84rem] flex-col lg:flex-row lg:pt-3">
                    <div className="min-w-0 flex-1 bg-paper pb-24 shadow-md lg:rounded-t-sm lg:pb-10">
                        <header className="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pt-3 sm:px-6 print:hidden">
                            <Link to="/" className="font-head font-semibold text-pen hover:underline max-sm:mr-auto" title="Your builds (h)">
                                ← Builds
                            </Link>
                            <h1 className="min-w-0 flex-1 truncate text-2xl max-sm:order-last max-sm:basis-full">{build.name}</h1>
                            <span className="hidden text-sm text-pencil sm:inline" aria-live="polite">
                                {busy ? 'saving …' : `version ${build.version}`}
                            </span>
                            <a className="px-2 py-1 font-semibold text-pen hover:underline" href={`/api/builds/${build.id}/file`} download>
                                Export
                            </a>
                            {(build.appraisal.toMeasure.length > 0 || build.appraisal.toConfirm.length > 0) && (
                                <Button look="bare" className="px-2!" onClick={() => setAsking(true)} title="Be asked what is not known yet (q)">
                                    Ask me
                                </Button>
                            )}
                            <Button look="bare" className="px-2!" onClick={turnLight} title="Day or night (l)">
                                Day / night
                            </Button>
                            <Button look="bare" className="px-2! max-sm:hidden" onClick={() => setShowKeys(true)} title="Shortcuts (?)" aria-label="Shortcuts">
                                ?
                            </Button>
                        </header>
                        <div className="print:hidden">
                            <VitalsLine vitals={build.appraisal.vitals} before={open.before} onNext={setOpenNote} buildId={build.id} />
                        </div>
                        <PageTrouble>
                            <Suspense fallback={<div className="min-h-[60vh]" />}>
                                <Outlet />
                            </Suspense>
                        </PageTrouble>
                    </div>
                    <nav
                        aria-label="Stations"
                        className="fixed inset-x-0 bottom-0 z-20 flex border-t-2 print:hidden border-edge bg-desk lg:sticky lg:top-3 lg:mt-24 lg:h-fit lg:w-28 lg:flex-col lg:gap-2 lg:border-0 lg:bg-transparent"
                    >
                        {stations.map(([station, name, key]) => (
                            <NavLink
                                key={station}
                                to={station}
                                title={`${name} (${key})`}
                                className={({ isActive }) =>
                                    `flex min-w-0 flex-1 flex-col items-start gap-0.5 py-1.5 max-lg:items-center max-sm:px-0.5 sm:px-2 lg:rounded-r-md lg:border lg:border-l-0 lg:px-3 lg:py-2.5 ${
                                        isActive ? 'bg-paper font-semibold text-ink lg:border-edge' : 'bg-desk text-ink hover:bg-leaf lg:border-line'
                                    }`
                                }
                            >
                                <span className="font-head flex items-center gap-1.5 text-[1.05rem] max-sm:flex-col max-sm:gap-0 max-sm:text-[0.82rem]">
                                    <Peg verdict={build.appraisal.tabs[station].verdict} size={17} />
                                    {name}
                                </span>
                                <span className="figures text-xs text-ink max-sm:hidden">{build.appraisal.tabs[station].figure}</span>
                            </NavLink>
                        ))}
                    </nav>
                </div>
                <NoteLeaf noteKey={openNote} onClose={() => setOpenNote(null)} />
                <Shortcuts open={showKeys} onClose={() => setShowKeys(false)} />
                {asking && <Interview onClose={() => setAsking(false)} />}
            </NoteLeafContext>
        </OpenBuildContext>
    );
}
