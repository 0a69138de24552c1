import { useEffect, useRef, useState } from 'react';
import { api, Problem, type Build, type Clipping } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { ClippingPanel, useClipping } from '../../part-editor/ClippingPanel';
import { FoundFigures } from '../../part-editor/FoundFigures';
import { takeOver } from '../../part-editor/handoff';
import { areCells } from '../../part-editor/sheet';
import { SheetButton } from '../../part-editor/SheetButton';
import { SheetLeaf } from '../../part-editor/SheetLeaf';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { DialogFoot } from '../../ui/DialogFoot';
import { Field, inputLook } from '../../ui/Field';
import { useNotices } from '../../ui/Notices';
import { Select } from '../../ui/Select';
import { roles } from '../../ui/words';

type Named = Clipping['names'][number];

const roleOptions = [['', 'by its name'] as const, ...roles.map(([value, name]) => [value as string, name] as const)];

const complaint = (problem: Problem): string => Object.values(problem.fields)[0]?.[0] ?? problem.message;

/** A part of one's own is one name typed and Enter; what is pasted in several lines is a list of names, or the text of one part. */
export function OwnParts() {
    const { edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [name, setName] = useState('');
    const [role, setRole] = useState('');
    const [given] = useState(takeOver);
    const [pasted, setPasted] = useState(given.pasted);
    const [sheet, setSheet] = useState(given.sheet);
    const [problem, setProblem] = useState<string | null>(null);
    const add = async () => {
        if (name.trim() === '' || busy) return;
        const answer = await edit((path, version) =>
            api.post<Build>(`${path}/own`, { version, parts: [{ name: name.trim(), role: role === '' ? null : role }] }),
        );
        setProblem(answer instanceof Problem ? complaint(answer) : null);
        if (answer instanceof Error) return;
        notices.say(`${name.trim()} is on the list. What is not known of it stands in the margin.`);
        setName('');
    };
    return (
        <form
            className="flex flex-wrap items-center gap-2 border-t border-line px-4 py-3 sm:px-6"
            onSubmit={(event) => {
                event.preventDefault();
                void add();
            }}
        >
            <input
                className={`${inputLook} min-w-60 flex-1`}
                aria-label="A part of your own, by name"
                placeholder="A part of your own: type its name, or paste a text or a list"
                value={name}
                onChange={(event) => setName(event.target.value)}
                onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
                onPaste={(event) => {
                    const text = event.clipboardData.getData('text/plain');
                    if (!/\n./.test(text.trim()) && text.length < 100) return;
                    event.preventDefault();
                    if (areCells(text)) setSheet({ name: 'Pasted cells', text });
                    else setPasted(text);
                }}
            />
            <Select label="What it is for" className="border-edge!" value={role} options={roleOptions} onChange={(event) => setRole(event.target.value)} />
            <Button type="submit" disabled={busy || name.trim() === ''}>
                Put it on the list
            </Button>
            <SheetButton onGiven={setSheet} />
            {problem !== null && (
                <p role="alert" className="basis-full text-sm text-clash">
                    {problem}
                </p>
            )}
            {sheet !== null && (
                <SheetLeaf
                    given={sheet}
                    into="the list"
                    onClose={() => setSheet(null)}
                    take={async (rows) => {
                        const answer = await edit((path, version) => api.post<Build>(`${path}/sheet`, { version, rows }));
                        if (answer instanceof Problem) return answer;
                        notices.say(`${rows.length} ${rows.length === 1 ? 'part is' : 'parts are'} on the list.`);
                        return null;
                    }}
                />
            )}
            {pasted !== null && <Pasted text={pasted} onClose={() => setPasted(null)} />}
        </form>
    );
}

/** What was pasted into the list: one part out of a text, or a part for each name. */
function Pasted({ text, onClose }: { text: string; onClose: () => void }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const clipping = useClipping(null, build.brief.currency);
    const [name, setName] = useState('');
    const [role, setRole] = useState('');
    // What was changed about the names holds until the text is read anew.
    const [changed, setChanged] = useState<{ of: Clipping; names: Named[] } | null>(null);
    const [isList, setIsList] = useState(false);
    const [problem, setProblem] = useState<string | null>(null);
    const { read, reading } = clipping;
    const names = (changed !== null && changed.of === reading ? changed.names : reading?.names) ?? [];
    const begun = useRef(false);
    useEffect(() => {
        if (begun.current) return;
        begun.current = true;
        void read(text, null).then((answer) => {
            if (answer === null) return;
            setName(answer.name);
            setRole(answer.role ?? '');
            setIsList(answer.isList);
        });
    }, [read, text]);
    const open = isList ? names.length === 0 || names.some((one) => one.role === null) : role === '' || name.trim() === '';
    const put = async () => {
        const parts = isList
            ? names.map(({ name: called, role: use }) => ({ name: called, role: use }))
            : [{ name: name.trim(), role, text: clipping.text, take: [...clipping.taken] }];
        const answer = await edit((path, version) => api.post<Build>(`${path}/own`, { version, parts }));
        setProblem(answer instanceof Problem ? complaint(answer) : null);
        if (answer instanceof Error) return;
        notices.say(isList ? `${names.length} parts are on the list.` : `${name.trim()} is on the list, with ${clipping.taken.size} figures.`);
        onClose();
    };
    return (
        <Dialog
            open
            wide
            onClose={onClose}
            title={isList ? `${names.length} parts by name` : 'A part out of a text'}
            foot={
                <DialogFoot problem={problem}>
                    {open && <p className="text-sm text-pencil">{isList ? 'Say what each of them is for.' : 'Give it a name, and say what it is for.'}</p>}
                    {names.length > 1 && (
                        <Button onClick={() => setIsList(!isList)}>{isList ? 'It is the text of one part' : 'Each line is a part of its own'}</Button>
                    )}
                    <Button look="pen" disabled={busy || open} onClick={() => void put()}>
                        Put {isList ? 'them' : 'it'} on the list
                    </Button>
                </DialogFoot>
            }
        >
            {isList ? (
                <NameList names={names} set={(changedTo) => reading !== null && setChanged({ of: reading, names: changedTo })} />
            ) : (
                <>
                    <div className="mb-3 grid gap-x-4 gap-y-2 sm:grid-cols-2">
                        <Field label="Name" value={name} maxLength={120} onChange={(event) => setName(event.target.value)} />
                        <label>
                            <span className="mb-1 block text-sm font-semibold">What it is for</span>
                            <Select
                                label="What it is for"
                                className="w-full border-edge!"
                                value={role}
                                options={[['', 'choose …'] as const, ...roleOptions.slice(1)]}
                                onChange={(event) => {
                                    setRole(event.target.value);
                                    void clipping.read(clipping.text, event.target.value);
                                }}
                            />
                        </label>
                    </div>
                    <ClippingPanel clipping={clipping} role={role === '' ? null : role} />
                </>
            )}
        </Dialog>
    );
}

function NameList({ names, set }: { names: Named[]; set: (names: Named[]) => void }) {
    const change = (at: number, one: Partial<Named>) => set(names.map((before, index) => (index === at ? { ...before, ...one } : before)));
    return (
        <ul className="grid gap-2">
            {names.map((one, index) => (
                <li key={index} className="flex flex-wrap items-center gap-2">
                    <input
                        className={`${inputLook} min-w-48 flex-1`}
                        aria-label={`Name ${index + 1}`}
                        value={one.name}
                        maxLength={120}
                        onChange={(event) => change(index, { name: event.target.value, finds: [] })}
                    />
                    <Select
                        label={`What ${one.name} is for`}
                        className="border-edge!"
                        value={one.role ?? ''}
                        options={[['', 'choose …'] as const, ...roleOptions.slice(1)]}
                        onChange={(event) => change(index, { role: event.target.value === '' ? null : (event.target.value as Named['role']) })}
                    />
                    <Button look="bare" aria-label={`Leave out ${one.name}`} onClick={() => set(names.filter((_, at) => at !== index))}>
                        ✕
                    </Button>
                    <FoundFigures finds={one.finds} className="basis-full" />
                </li>
            ))}
        </ul>
    );
}
