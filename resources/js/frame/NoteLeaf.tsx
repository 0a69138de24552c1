import { useQuery } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import { Link } from 'react-router';
import { api, type Build, type Finding, type FindingInFull, type FoundRemedy, type WeighedVitals } from '../api/client';
import { useOpenBuild } from './useBuild';
import { Button } from '../ui/Button';
import { useNotices } from '../ui/Notices';
import { Peg } from '../ui/Peg';
import { Dialog } from '../ui/Dialog';
import { MeasureEntry } from './MeasureEntry';
import { differing } from './VitalsLine';

export const NoteLeafContext = createContext<(key: string) => void>(() => undefined);

/** Opens the leaf of one finding by its key. */
export const useNoteLeaf = () => useContext(NoteLeafContext);

/** One finding in full: its sentence, the working, and the fixes with what each would change. */
export function NoteLeaf({ noteKey, onClose }: { noteKey: string | null; onClose: () => void }) {
    const { build } = useOpenBuild();
    const finding = build.appraisal.findings.find((one) => one.key === noteKey);
    return (
        <Dialog
            open={noteKey !== null && finding !== undefined}
            onClose={onClose}
            title={
                finding === undefined ? (
                    ''
                ) : (
                    <span className="flex items-center gap-3">
                        <Peg verdict={finding.verdict} size={30} named />
                        <Link to={`/rules/${finding.rule}`} className="figures text-sm font-normal text-pen underline" title="What this rule checks, and why">
                            {finding.rule}
                        </Link>
                    </span>
                )
            }
        >
            {finding !== undefined && <Note finding={finding} onClose={onClose} />}
        </Dialog>
    );
}

function Note({ finding, onClose }: { finding: Finding; onClose: () => void }) {
    const { build } = useOpenBuild();
    const full = useQuery({
        queryKey: ['finding', build.id, build.version, finding.key],
        queryFn: () => api.get<FindingInFull>(`/builds/${build.id}/finding?key=${encodeURIComponent(finding.key)}`),
    });
    const working = full.data?.working ?? [];
    const names = finding.lines.map((id) => build.lines.find((line) => line.id === id)?.part.name).filter((name) => name !== undefined);
    return (
        <>
            <p className="mb-4 text-lg leading-snug">{finding.says}</p>
            {full.isPending && <p className="mb-5 min-h-24 text-pencil">Fetching the working …</p>}
            {full.isError && <p role="alert">{full.error.message}</p>}
            {working.length > 0 && (
                <section className="mb-5">
                    <h3 className="mb-1 text-lg">Working</h3>
                    <table className="dot-grid w-full border border-line">
                        <thead className="sr-only">
                            <tr>
                                <th>Figure</th>
                                <th>Value</th>
                                <th>Source</th>
                            </tr>
                        </thead>
                        <tbody>
                            {working.map((line, index) => (
                                <tr key={index} className="border-b border-line last:border-0">
                                    <th scope="row" className="px-2 py-1 text-left font-normal">
                                        {line.label}
                                    </th>
                                    <td className={`figures px-2 py-1 text-right font-semibold ${line.unit === '' ? '' : 'whitespace-nowrap'}`}>
                                        {line.value === null ? 'unknown' : `${line.value} ${line.unit}`}
                                        {line.stated !== undefined && <span className="block text-xs font-normal text-pencil">was {line.stated}</span>}
                                    </td>
                                    <td className="px-2 py-1 text-right text-sm whitespace-nowrap text-pencil">{line.source}</td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                    {full.data !== undefined && full.data.comparison !== '' && <p className="mt-1 text-sm text-pencil">{full.data.comparison}</p>}
                </section>
            )}
            {full.data !== undefined && <Needed finding={full.data} onClose={onClose} />}
            {finding.verdict !== 'fits' && full.data !== undefined && <Remedies finding={full.data} onClose={onClose} />}
            {names.length > 0 && <p className="mt-5 border-t border-line pt-3 text-sm text-pencil">About: {names.join(', ')}</p>}
        </>
    );
}

function Remedies({ finding, onClose }: { finding: FindingInFull; onClose: () => void }) {
    const { build } = useOpenBuild();
    const searched = finding.subject === 'feed' || finding.remedies.some((remedy) => remedy.kind === 'swap' || remedy.kind === 'add');
    const found = useQuery({
        queryKey: ['remedies', build.id, build.version, finding.key],
        queryFn: () => api.get<{ remedies: FoundRemedy[]; trades: FoundRemedy[] }>(`/builds/${build.id}/remedies?finding=${encodeURIComponent(finding.key)}`),
        enabled: searched,
    });
    const byHand = finding.remedies.filter((remedy) => remedy.kind !== 'swap' && remedy.kind !== 'add');
    return (
        <section>
            <h3 className="mb-2 text-lg">Fixes</h3>
            {searched && found.isPending && <p className="min-h-24 text-pencil">Trying the parts of your library …</p>}
            {found.isError && <p role="alert">{found.error.message}</p>}
            {found.data?.remedies.length === 0 && found.data.trades.length === 0 && (
                <p className="mb-3 text-pencil">No single swap, addition, join or figure settles this.</p>
            )}
            <ul className="grid gap-3">
                {found.data?.remedies.map((remedy) => (
                    <Fix key={remedy.does} remedy={remedy} finding={finding} onClose={onClose} />
                ))}
            </ul>
            {found.data !== undefined && found.data.trades.length > 0 && (
                <>
                    <p className={`mb-2 text-pencil ${found.data.remedies.length === 0 ? '' : 'mt-4'}`}>
                        {found.data.remedies.length === 0 ? 'Each of these leaves' : 'These settle it, too, and leave'} something to live with or to find out:
                    </p>
                    <ul className="grid gap-3">
                        {found.data.trades.map((remedy) => (
                            <Fix key={remedy.does} remedy={remedy} finding={finding} onClose={onClose} />
                        ))}
                    </ul>
                </>
            )}
            {byHand.length > 0 && (
                <ul className="mt-3 grid gap-2">
                    {byHand.map((remedy, index) => (
                        <li key={index} className="border-l-4 border-edge pl-3">
                            <span className="text-sm text-pencil">
                                {remedy.kind === 'measure' ? 'Find out' : remedy.kind === 'brief' ? 'In the brief' : 'By hand'}
                            </span>
                            <br />
                            {remedy.says}
                            {remedy.kind === 'measure' && <FindOut build={build} line={remedy.line} figure={remedy.figure} />}
                        </li>
                    ))}
                </ul>
            )}
        </section>
    );
}

const FIX_BUTTONS: Record<FoundRemedy['kind'], string> = {
    add: 'Add',
    swap: 'Take it',
    join: 'Join so',
    wires: 'Wire it so',
    dim: 'Play it so',
    ask: 'Ask for this',
};

/** One fix that was tried: what is done, what becomes of the vitals, and the button that does it whole. */
function Fix({ remedy, finding, onClose }: { remedy: FoundRemedy; finding: FindingInFull; onClose: () => void }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const button = FIX_BUTTONS[remedy.kind];
    const apply = async () => {
        const { libraryId: part, line, role, settles, frees, brightness, hours, with: others } = remedy;
        const answer = await edit((path, version) =>
            api.post<Build>(`${path}/remedy`, { version, part, line, role, settles, frees, brightness, hours, with: others }),
        );
        if (answer instanceof Error) return;
        notices.say(`Done: ${remedy.does}.`);
        onClose();
    };
    return (
        <li className="rounded-sm border border-line bg-leaf p-3">
            <div className="flex items-start justify-between gap-3">
                <p className="font-semibold">{remedy.does}</p>
                <Button
                    look="pen"
                    className="shrink-0"
                    disabled={busy}
                    onClick={() => void apply()}
                    aria-label={remedy.does.startsWith(button) ? remedy.does : `${button}: ${remedy.does}`}
                >
                    {button}
                </Button>
            </div>
            <EffectList before={build} after={remedy.vitals} />
            {remedy.leaves.map((added) => (
                <p key={added.says} className="mt-1 flex gap-1.5 text-sm">
                    <Peg verdict={added.verdict} size={16} /> <span>{added.says}</span>
                </p>
            ))}
            {remedy.leaves.length === 0 && remedy.verdict !== 'fits' && remedy.says !== finding.says && (
                <p className="mt-1 flex gap-1.5 text-sm">
                    <Peg verdict={remedy.verdict} size={16} /> {remedy.says}
                </p>
            )}
        </li>
    );
}

/** What an absent part must be, in figures with their reasons; it can stand on the list until it is found. */
function Needed({ finding, onClose }: { finding: FindingInFull; onClose: () => void }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [need] = finding.needs;
    if (need === undefined) return null;
    const old = build.lines.find((line) => line.id === need.line)?.part.name;
    const put = async () => {
        const answer = await edit((path, version) => api.post<Build>(`${path}/wanted`, { version, finding: finding.key }));
        if (answer instanceof Error) return;
        notices.say(`On the list as wanted: ${need.name}.`);
        onClose();
    };
    return (
        <section className="mb-5">
            <h3 className="mb-1 text-lg">What would do: {need.name}</h3>
            <ul className="mb-2 border-l-4 border-edge pl-3">
                {need.wants.map((want) => (
                    <li key={`${want.what}${want.says}`}>
                        {want.what} <span className="figures font-semibold">{want.says}</span> <span className="text-sm text-pencil">{want.why}</span>
                    </li>
                ))}
            </ul>
            <Button disabled={busy} onClick={() => void put()}>
                {old === undefined ? 'Put it on the list as wanted' : `Want it instead of ${old}`}
            </Button>
        </section>
    );
}

function FindOut({ build, line, figure }: { build: Build; line: string | null; figure: string | null }) {
    const open = build.appraisal.toMeasure.find((one) => one.figure === figure && (one.line === line || !figure.includes('.')));
    return open === undefined ? null : <MeasureEntry open={open} />;
}

/** What a change would do to the vitals, before it is made. */
export function EffectList({ before, after }: { before: Build; after: WeighedVitals }) {
    const changes = differing(before.appraisal.vitals, after);
    if (changes.length === 0) return <p className="figures mt-1 text-sm text-pencil">No vital moves.</p>;
    return (
        <ul className="figures mt-1 flex flex-wrap gap-x-4 text-sm">
            {changes.map(({ what, was, is }) => (
                <li key={what}>
                    <span className="text-pencil">{what} </span>
                    {was} → <strong>{is}</strong>
                </li>
            ))}
        </ul>
    );
}
