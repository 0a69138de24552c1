import { useEffect, useRef, useState } from 'react';
import { api, type Build, type OpenFigure, type PencilFigure } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { capital, date } from '../ui/format';
import { Peg } from '../ui/Peg';
import { Select } from '../ui/Select';
import { MeasureEntry } from './MeasureEntry';
import { useNoteLeaf } from './NoteLeaf';
import { keepPutOff, keyOf, readPutOff, reasons, type PutOff } from './putOff';
import { useOpenBuild } from './useBuild';

/** What is asked of the builder, not of a part. */
const asksOf: Partial<Record<string, string>> = { skills: 'What can you do?', tools: 'Which tools do you have?', consumables: 'What is in your drawer?' };

/** Questions that are asked together, at most. */
const most = 3;

/** The most telling question, and what else is open of the same part: one look at it answers all. */
function together(asked: readonly OpenFigure[]): OpenFigure[] {
    const [first] = asked;
    if (first === undefined) return [];
    const others = asked.filter((one) => one !== first && one.line === first.line && asksOf[one.figure] === undefined);
    return asksOf[first.figure] === undefined ? [first, ...others].slice(0, most) : [first];
}

/** Asks for figures, the most telling first, up to three of one part at a time; what is not known is put off until the panel is opened again. */
export function Interview({ onClose }: { onClose: () => void }) {
    const { build } = useOpenBuild();
    const [later, setLater] = useState<ReadonlySet<string>>(new Set());
    const [begun] = useState(build);
    const { toMeasure } = build.appraisal;
    const [putOffs, setPutOffs] = useState(() => readPutOff(build.id));
    const [leaf, setLeaf] = useState<readonly OpenFigure[]>([]);
    const [typed, setTyped] = useState<ReadonlySet<string>>(new Set());
    const [why, setWhy] = useState<string>('no reason');
    const open = toMeasure.filter((one) => !later.has(keyOf(one)));
    // What was put off before, and why, comes after what was not.
    const asked = [...open.filter((one) => putOffs[keyOf(one)] === undefined), ...open.filter((one) => putOffs[keyOf(one)] !== undefined)];
    // An answer changes what is most telling, and what is asked at all; what somebody is typing beside it must not go away.
    const left = leaf.filter((one) => !later.has(keyOf(one)) && (typed.has(keyOf(one)) || asked.some((other) => keyOf(other) === keyOf(one))));
    const questions = left.length > 0 ? left : together(asked);
    if (left.length === 0 && questions.length > 0) setLeaf(questions);
    const setAside = (one: { line: string; figure: string }) => () => setLater(new Set([...later, keyOf(one)]));
    const pencil = questions.length > 0 ? [] : build.appraisal.toConfirm.filter((one) => !later.has(keyOf(one)));
    const putOff = toMeasure.length - asked.length;
    const list = useRef<HTMLUListElement>(null);
    const first = questions[0] === undefined ? '' : keyOf(questions[0]);
    useEffect(() => list.current?.querySelector<HTMLElement>('input, button')?.focus(), [first]);
    return (
        <Dialog
            open
            onClose={onClose}
            title={
                questions.length > 0
                    ? `${Math.max(asked.length, questions.length)} to ask`
                    : pencil.length > 0
                      ? `${pencil.length} in pencil`
                      : 'Nothing more to ask'
            }
        >
            {pencil[0] !== undefined ? (
                <Confirm figure={pencil[0]} onLater={setAside(pencil[0])} />
            ) : questions.length === 0 ? (
                <p className="mb-5">
                    {putOff === 0
                        ? 'Every figure that a check needs is known.'
                        : `${putOff} ${putOff === 1 ? 'is' : 'are'} put off, and stay unmeasured. Open this again to be asked once more.`}
                </p>
            ) : (
                <>
                    <ul ref={list} data-first className="mb-4 grid gap-6" aria-live="polite">
                        {questions.map((question) => (
                            <Question
                                key={keyOf(question)}
                                question={question}
                                before={putOffs[keyOf(question)]}
                                onTyped={(is) =>
                                    setTyped((all) => new Set([...all].filter((key) => key !== keyOf(question)).concat(is ? [keyOf(question)] : [])))
                                }
                                onLater={() => {
                                    setAside(question)();
                                    const kept = { ...putOffs, [keyOf(question)]: { why, on: new Date().toISOString().slice(0, 10) } };
                                    setPutOffs(keepPutOff(build.id, kept, toMeasure.map(keyOf)));
                                }}
                            />
                        ))}
                    </ul>
                    <p className="mb-6 flex flex-wrap items-center gap-2 text-sm text-pencil">
                        What I put off, I put off because
                        <Select
                            label="Why it is put off"
                            options={reasons.map((one) => [one, one] as const)}
                            value={why}
                            onChange={(event) => setWhy(event.target.value)}
                        />
                    </p>
                </>
            )}
            <Settled begun={begun} build={build} />
        </Dialog>
    );
}

interface Asked {
    question: OpenFigure;
    before: PutOff[string] | undefined;
    onLater: () => void;
    /** Something was typed that is not written down yet, or it was written down. */
    onTyped: (is: boolean) => void;
}

function Question({ question, before, onLater, onTyped }: Asked) {
    const { build } = useOpenBuild();
    const part = build.lines.find((line) => line.id === question.line)?.part.name ?? question.line;
    return (
        <li
            data-question={keyOf(question)}
            onInput={({ target }) => target instanceof HTMLInputElement && target.type === 'text' && onTyped(true)}
            onSubmit={() => onTyped(false)}
        >
            <h3 className="mb-1 text-lg">{asksOf[question.figure] ?? `${capital(question.name)} of ${part}?`}</h3>
            <p className="mb-1">
                {question.how}{' '}
                <span className="text-sm text-pencil">
                    {question.findings.length === 1 ? 'One verdict waits for it.' : `${question.findings.length} verdicts wait for it.`}
                </span>
            </p>
            {question.stands !== '' && <p className="mb-1 text-sm text-pencil">{question.stands}</p>}
            <MeasureEntry open={question} />
            <p className="mt-2">
                <Button look="bare" className="px-0!" onClick={onLater}>
                    I don’t know; ask me later
                </Button>
                {before !== undefined && before.why !== 'no reason' && (
                    <span className="ml-3 text-sm text-pencil">
                        put off on {date(before.on)}: {before.why}
                    </span>
                )}
            </p>
        </li>
    );
}

/** A figure that is usual of its kind, or a guess: is it so with this very part? */
function Confirm({ figure, onLater }: { figure: PencilFigure; onLater: () => void }) {
    const { build, edit, busy } = useOpenBuild();
    const part = build.lines.find((line) => line.id === figure.line)?.part;
    const confirm = () =>
        edit((path, version) => api.put<Build>(`${path}/lines/${figure.line}/figures`, { version, figure: figure.figure, typed: figure.says }));
    return (
        <section key={keyOf(figure)} className="mb-6" aria-live="polite">
            <h3 className="mb-1 text-lg">
                {capital(figure.name)} of {part?.name}?
            </h3>
            <p className="mb-3">
                In pencil stands <strong className="figures">{figure.says}</strong>, which is usual of its kind or a guess.
            </p>
            {figure.entry.choices.length === 0 && (
                <Button look="pen" className="mb-3" disabled={busy} onClick={() => void confirm()}>
                    Yes, it is {figure.says}
                </Button>
            )}
            <MeasureEntry open={figure} />
            <Button look="bare" className="mt-3 px-0!" onClick={onLater}>
                I don’t know; ask me later
            </Button>
        </section>
    );
}

/** What the answers have settled since the panel was opened: verdicts that were open, or not there, and now say something. */
function Settled({ begun, build }: { begun: Build; build: Build }) {
    const open = useNoteLeaf();
    const before = new Map(begun.appraisal.findings.map((one) => [one.key, one.verdict]));
    const settled = build.appraisal.findings.filter((one) => {
        const was = before.get(one.key);
        return one.verdict !== 'unmeasured' && one.verdict !== was && (was === 'unmeasured' || was === undefined);
    });
    if (settled.length === 0) return null;
    return (
        <section className="border-t border-ink pt-3">
            <h3 className="mb-2 text-lg">Settled so far</h3>
            <ul className="grid gap-2">
                {settled.map((one) => (
                    <li key={one.key} className="flex gap-2">
                        <Peg verdict={one.verdict} size={18} />
                        <button type="button" className="text-left hover:underline" onClick={() => open(one.key)}>
                            {one.says ?? one.rule}
                        </button>
                    </li>
                ))}
            </ul>
        </section>
    );
}
