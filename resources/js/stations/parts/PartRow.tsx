import { DropdownMenu } from 'radix-ui';
import { useEffect, useRef, useState, type KeyboardEvent, type MouseEvent, type RefObject } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, Problem, type Build, type Finding, type Line } from '../../api/client';
import { MarginNotes } from '../../frame/Margin';
import { useOpenBuild } from '../../frame/useBuild';
import { useLineEdit } from '../../frame/useLineEdit';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { DraftInput } from '../../ui/DraftInput';
import { Field } from '../../ui/Field';
import { useNotices } from '../../ui/Notices';
import { markOf, Peg } from '../../ui/Peg';
import { Select } from '../../ui/Select';
import { origins, roleWords, states } from '../../ui/words';
import type { Place } from './Picker';

/** The field of a line that a click or a key opens it at. */
export type FieldName = 'quantity' | 'state' | 'origin' | 'price' | 'note';

interface RowProps {
    line: Line;
    /** The first of its role, which names it. */
    first: boolean;
    /** Those that stand beside it. */
    findings: Finding[];
    /** Those that have to do with it. */
    concerned: Finding[];
    selected: boolean;
    onSelect: () => void;
    onPlace: (place: Place) => void;
}

const columns = 'sm:grid-cols-[1.2rem_4.8rem_1.5rem_minmax(0,1fr)_auto_1.9rem] xl:grid-cols-[1.2rem_6.2rem_1.5rem_minmax(0,1fr)_auto_1.9rem]';

/** One line of the list: read at a glance, edited once it is opened by a click or with Enter. */
export function PartRow({ line, first, findings, concerned, selected, onSelect, onPlace }: RowProps) {
    const [openAt, setOpenAt] = useState<FieldName | null>(null);
    const row = useRef<HTMLDivElement>(null);
    const saving = useRef<Promise<string | null>>(Promise.resolve(null));
    const close = async () => {
        // What could not be saved stays open.
        if ((await saving.current) !== null || row.current?.querySelector('[aria-invalid="true"]') !== null) return;
        setOpenAt(null);
        row.current.focus();
    };
    const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
        if (event.key === 'Escape' && openAt !== null && !event.defaultPrevented) {
            void close();
            return;
        }
        if (event.target !== row.current) return;
        const rows = [...document.querySelectorAll<HTMLElement>('[data-line]')];
        const to = { ArrowDown: 1, ArrowUp: -1 }[event.key];
        if (to !== undefined) rows[rows.indexOf(row.current) + to]?.focus();
        else if (event.key === 'Enter') setOpenAt('quantity');
        else if (event.key === ' ') onSelect();
        else return;
        event.preventDefault();
    };
    const openNotes = line.chosen ? findings.filter((finding) => finding.verdict !== 'fits') : [];
    return (
        <div
            ref={row}
            role="group"
            aria-label={line.part.name}
            tabIndex={0}
            data-line={line.id}
            onKeyDown={onKeyDown}
            className={`grid lg:grid-cols-[minmax(0,1fr)_17rem] xl:grid-cols-[minmax(0,1fr)_24rem] ${first ? 'border-t border-line' : 'border-t border-dotted border-line'} ${
                selected ? 'bg-pen-wash' : ''
            } focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-pen`}
        >
            <div className={`grid grid-cols-[1.6rem_minmax(0,1fr)_2.2rem] items-start gap-x-2 px-4 py-px sm:pl-3 ${columns}`}>
                <input
                    type="checkbox"
                    className="mt-2 size-4 accent-pen max-sm:hidden"
                    tabIndex={-1}
                    aria-label={`Select ${line.part.name}`}
                    checked={selected}
                    onChange={onSelect}
                />
                <span
                    className={`font-head truncate pt-1 text-[0.9rem] text-pencil max-sm:col-span-3 ${first ? '' : 'max-sm:hidden sm:invisible'}`}
                    title={roleWords[line.role]}
                >
                    {roleWords[line.role]}
                </span>
                <span className="pt-1">
                    {line.chosen ? <Peg verdict={markOf(concerned)} size={19} /> : <span className="block pl-1.5 text-pencil">◦</span>}
                </span>
                <NameAndFigures line={line} />
                {openAt === null ? <Values line={line} onOpen={setOpenAt} /> : <span className="max-sm:hidden" />}
                <More line={line} onPlace={onPlace} />
                {openAt !== null && <Fields line={line} at={openAt} savingRef={saving} onDone={() => void close()} />}
            </div>
            {openNotes.length > 0 && (
                <div className="px-4 pb-1 max-lg:pl-12 lg:border-l-[3px] lg:border-double lg:border-clash/45 lg:px-2 lg:py-px">
                    <MarginNotes findings={openNotes} brief={openAt === null} label={`Notes on ${line.part.name}`} />
                </div>
            )}
        </div>
    );
}

function NameAndFigures({ line }: { line: Line }) {
    const { build } = useOpenBuild();
    const under = [line.part.typical ? 'typical:' : '', line.part.keyFigures, line.note === '' ? '' : `“${line.note}”`].filter((one) => one !== '').join(' ');
    return (
        <span className="min-w-0">
            <span className={`block truncate text-[0.97rem] leading-[1.15] font-semibold ${line.chosen && !line.part.typical ? '' : 'text-pencil italic'}`}>
                <Link className="hover:underline" to={`/builds/${build.id}/lines/${line.id}/part`} title={`${line.part.name}: what is known of it`}>
                    {line.part.name}
                </Link>
                {!line.chosen && <span className="font-normal"> (candidate)</span>}
            </span>
            {under !== '' && (
                <span className="block truncate text-[0.76rem] leading-[1.1] text-pencil tabular-nums" title={under}>
                    {under}
                </span>
            )}
        </span>
    );
}

const priceOf = (line: Line) => {
    if (line.price !== null) return `${line.price.amount} ${line.price.currency}`;
    if (line.origin !== 'buy' && line.origin !== 'print') return 'free';
    return line.listPrice === null ? 'price?' : `${line.listPrice.amount} ${line.listPrice.currency}`;
};

/** The values of a line, as text; a click on one opens the line there. */
function Values({ line, onOpen }: { line: Line; onOpen: (field: FieldName) => void }) {
    const open = (event: MouseEvent<HTMLButtonElement>) => {
        const field = event.target instanceof HTMLElement ? event.target.closest<HTMLElement>('[data-field]')?.dataset['field'] : undefined;
        onOpen((field ?? 'quantity') as FieldName);
    };
    return (
        <button
            type="button"
            tabIndex={-1}
            onClick={open}
            aria-label={`Edit ${line.part.name}: ${line.quantity}, ${line.state}, ${line.origin}, ${priceOf(line)}`}
            className="figures grid min-h-7 grid-cols-[2.2rem_4.2rem_3.9rem_6rem] items-start rounded-sm pt-1 text-left text-[0.85rem] hover:bg-pen-wash max-sm:order-last max-sm:col-span-2 max-sm:col-start-2"
        >
            <span data-field="quantity" className="pr-2 text-right">
                {line.quantity} ×
            </span>
            <span data-field="state">{states.find(([state]) => state === line.state)?.[1]}</span>
            <span data-field="origin" className="text-pencil">
                {line.origin}
            </span>
            <span data-field="price" className={`text-right ${line.price === null ? 'text-pencil' : ''}`}>
                {priceOf(line)}
            </span>
        </button>
    );
}

/** The fields of an open line, each saved as it is left. */
function Fields({ line, at, savingRef, onDone }: { line: Line; at: FieldName; savingRef: RefObject<Promise<string | null>>; onDone: () => void }) {
    const change = useLineEdit(line.id);
    const save = (fields: Record<string, unknown>) => (savingRef.current = change(fields));
    const box = useRef<HTMLDivElement>(null);
    useEffect(() => box.current?.querySelector<HTMLElement>(`[data-field="${at}"] :is(input, select)`)?.focus(), [at]);
    return (
        <div ref={box} className="col-span-full flex flex-wrap items-center gap-1 pt-1 pb-1.5 sm:pl-[9.8rem]">
            <span data-field="quantity">
                <DraftInput
                    label={`Quantity of ${line.part.name}`}
                    stored={String(line.quantity)}
                    inputMode="numeric"
                    className="figures w-14 text-right"
                    save={(typed) => save({ quantity: typed.trim() === '' ? null : Number(typed) })}
                />
            </span>
            <span data-field="state">
                <Select
                    label={`State of ${line.part.name}`}
                    options={states}
                    value={line.state}
                    onChange={(event) => void save({ state: event.target.value })}
                />
            </span>
            <span data-field="origin">
                <Select
                    label={`Where ${line.part.name} comes from`}
                    options={origins}
                    value={line.origin}
                    onChange={(event) => void save({ origin: event.target.value })}
                />
            </span>
            <span data-field="price">
                <DraftInput
                    label={`Price of one ${line.part.name}`}
                    stored={line.price === null ? '' : `${line.price.amount} ${line.price.currency}`}
                    placeholder={priceOf(line)}
                    className="figures w-[6.8rem] text-right"
                    save={(typed) => save({ price: typed })}
                />
            </span>
            <span data-field="note" className="min-w-32 flex-1 [&_input]:w-full [&>span]:w-full">
                <DraftInput label={`Note on ${line.part.name}`} stored={line.note} placeholder="note" save={(note) => save({ note })} />
            </span>
            <DraftInput
                label={`Place of ${line.part.name}`}
                stored={line.place}
                placeholder="place in the body"
                className="w-32"
                save={(place) => save({ place })}
            />
            <Button look="bare" onClick={onDone} title="Done (Esc)">
                Done
            </Button>
        </div>
    );
}

function More({ line, onPlace }: { line: Line; onPlace: (place: Place) => void }) {
    const { edit, build } = useOpenBuild();
    const notices = useNotices();
    const go = useNavigate();
    const [having, setHaving] = useState(false);
    const shared = build.lines.filter((other) => other.slot === line.slot).length > 1;
    const remove = async () => {
        const answer = await edit((path, version) => api.remove<Build>(`${path}/lines/${line.id}`, { version }));
        if (answer instanceof Error) return;
        notices.say(`${line.part.name} was removed.`, 'good', {
            words: 'Put it back',
            run: () => void edit((path, version) => api.post<Build>(`${path}/lines/${line.id}/restore`, { version })),
        });
    };
    return (
        <>
            <DropdownMenu.Root>
                <DropdownMenu.Trigger className="min-h-7 min-w-8 rounded-sm leading-none text-pencil hover:text-pen" aria-label={`More for ${line.part.name}`}>
                    ⋯
                </DropdownMenu.Trigger>
                <DropdownMenu.Portal>
                    <DropdownMenu.Content
                        align="end"
                        className="z-20 min-w-52 rounded-sm border border-edge bg-leaf p-1 shadow-lg [&>*]:cursor-pointer [&>*]:rounded-sm [&>*]:px-3 [&>*]:py-2 [&>*]:data-highlighted:bg-pen-wash"
                    >
                        {shared && !line.chosen && (
                            <DropdownMenu.Item onSelect={() => void edit((path, version) => api.post<Build>(`${path}/lines/${line.id}/choose`, { version }))}>
                                Choose this one
                            </DropdownMenu.Item>
                        )}
                        {line.part.typical && <DropdownMenu.Item onSelect={() => setHaving(true)}>I have one now …</DropdownMenu.Item>}
                        <DropdownMenu.Item onSelect={() => onPlace({ role: line.role, swap: line.id, beside: null })}>Swap for another …</DropdownMenu.Item>
                        <DropdownMenu.Item onSelect={() => onPlace({ role: line.role, swap: null, beside: line.id })}>
                            Keep another candidate beside it …
                        </DropdownMenu.Item>
                        <DropdownMenu.Item onSelect={() => void go(`/builds/${build.id}/lines/${line.id}/part`)}>Open the part …</DropdownMenu.Item>
                        <DropdownMenu.Item onSelect={() => void remove()}>Remove</DropdownMenu.Item>
                    </DropdownMenu.Content>
                </DropdownMenu.Portal>
            </DropdownMenu.Root>
            {having && <HaveOne line={line} onClose={() => setHaving(false)} />}
        </>
    );
}

/** A typical part becomes the one that lies on the bench; its figures are asked for, one by one, by "Ask me". */
function HaveOne({ line, onClose }: { line: Line; onClose: () => void }) {
    const { edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [name, setName] = useState('');
    const [problem, setProblem] = useState<string | undefined>(undefined);
    const take = async () => {
        const answer = await edit((path, version) => api.post<Build>(`${path}/lines/${line.id}/mine`, { version, name: name.trim() }));
        if (answer instanceof Problem) {
            setProblem(answer.about('name') ?? answer.message);
            return;
        }
        notices.say(`${name.trim()} is yours. Its figures are still the usual ones: "Ask me" goes through them.`);
        onClose();
    };
    return (
        <Dialog open onClose={onClose} title="The one that you have">
            <form
                className="grid gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    void take();
                }}
            >
                <p>
                    It takes the place of “{line.part.name}”, with the usual figures in pencil until you confirm each of them. It goes into your library, too.
                </p>
                <Field label="What it is called" value={name} maxLength={120} data-first problem={problem} onChange={(event) => setName(event.target.value)} />
                <Button type="submit" look="pen" disabled={busy || name.trim() === ''}>
                    It is mine
                </Button>
            </form>
        </Dialog>
    );
}
