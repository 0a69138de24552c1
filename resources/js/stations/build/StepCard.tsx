import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Plan, Step } from '../../api/client';
import { Button } from '../../ui/Button';
import { date } from '../../ui/format';
import { inputLook } from '../../ui/Field';
import { FileButton } from '../../ui/FileButton';
import { GateFields, isAnswered, type Reads } from './GateFields';
import { LayOut } from './LayOut';
import { smallPhoto } from './smallPhoto';
import { useTimer } from './useTimer';
import type { Outbox, Result } from './useOutbox';
import { titleOf, useNames } from './usePlan';

interface Props {
    step: Step;
    plan: Plan;
    outbox: Outbox;
    onNext: () => void;
    onLater: () => void;
    /** It did not pass: it stays on the bench, with the way to its cause. */
    onFailed: () => void;
}

/** A step as it lies on the bench: what to have ready, the caution, what to do, what has to be read, done or not. */
export function StepCard({ step, plan, outbox, ...on }: Props) {
    const isWaiting = step.state === 'waits' || step.state === 'failed';
    const card = useRef<HTMLElement>(null);
    useEffect(() => {
        // On a phone the step begins at the top; the vitals fold into their line.
        if (window.matchMedia('(max-width: 639px)').matches) card.current?.scrollIntoView({ block: 'start' });
    }, []);
    return (
        <article ref={card} className="scroll-mt-12 border-2 border-ink bg-leaf" data-step={step.id} aria-label={step.title}>
            <header className="border-b border-line px-4 pt-3 pb-2">
                <p className="flex flex-wrap justify-between gap-x-4 text-sm text-pencil">
                    <span>
                        {step.phase}
                        {step.gate !== null && <span className="ml-2 rounded-sm border border-current px-1.5">test</span>}
                    </span>
                    <span className="figures" title={`${step.minutes.least} to ${step.minutes.most} min`}>
                        about {step.minutes.usual} min
                    </span>
                </p>
                <h3 className="text-2xl">{step.title}</h3>
            </header>
            <div className="grid gap-4 px-4 py-4">
                {isWaiting && <Waits step={step} plan={plan} />}
                {step.state === 'again' && (
                    <p className="border-l-4 border-tight pl-3 font-semibold">
                        It was done before with another part ({step.again.join(', ')}), and has to be done again.
                    </p>
                )}
                {step.cautions.map((caution) => (
                    <p key={caution} className="border-l-4 border-clash pl-3">
                        {caution}
                    </p>
                ))}
                {step.cannotBeUndone !== '' && <p className="border-l-4 border-clash pl-3 font-semibold">Cannot be undone: {step.cannotBeUndone}.</p>}
                <LayOut step={step} />
                <p className="text-lg">{step.says}</p>
                {step.text !== '' && <ToCopy text={step.text} />}
                {step.alone !== null && <p className="text-pencil">Goes on by itself after that: {step.alone}. Other steps can be done meanwhile.</p>}
                {step.state === 'done' && <Done step={step} outbox={outbox} />}
                {step.state !== 'done' && step.state !== 'waits' && <Doing step={step} outbox={outbox} {...on} />}
            </div>
        </article>
    );
}

/** Pages that came over a plain network may not write to the clipboard; the text can be marked by hand there. */
async function copy(text: string): Promise<boolean> {
    try {
        await navigator.clipboard.writeText(text);
        return true;
    } catch {
        return false;
    }
}

function ToCopy({ text }: { text: string }) {
    const [copied, setCopied] = useState(false);
    return (
        <div>
            <pre className="overflow-x-auto border border-edge bg-paper p-3 text-sm" tabIndex={0}>
                {text}
            </pre>
            <Button className="mt-1" onClick={() => void copy(text).then(setCopied)}>
                {copied ? 'Copied' : 'Copy the lines'}
            </Button>
        </div>
    );
}

function Waits({ step, plan }: { step: Step; plan: Plan }) {
    const names = useNames();
    return (
        <div className="border-l-4 border-unmeasured pl-3">
            {step.state === 'failed' ? (
                <p>
                    It did not pass.{' '}
                    <Link className="font-semibold text-pen underline" to="?leaf=faults">
                        Find the cause
                    </Link>
                    , mend it, and test again here.
                </p>
            ) : (
                <p className="font-semibold">It cannot be done yet. It waits for:</p>
            )}
            <ul className="list-disc pl-5">
                {step.waitsFor.map((id) => (
                    <li key={id}>
                        {names.line(id)} {names.arrives(id) === null ? '(nobody knows when)' : `(${date(names.arrives(id))})`}
                    </li>
                ))}
                {step.waitsForSteps.map((id) => (
                    <li key={id}>{titleOf(plan.steps, id)}</li>
                ))}
            </ul>
        </div>
    );
}

function Done({ step, outbox }: { step: Step; outbox: Outbox }) {
    const read = Object.entries(step.read);
    return (
        <div className="flex flex-wrap items-center gap-3">
            <p>
                Done{step.tickedOn === null ? '' : ` ${date(step.tickedOn)}`}.{' '}
                {read
                    .filter(([, value]) => typeof value === 'number')
                    .map(([key, value]) => {
                        const measure = step.gate?.find((one) => one.key === key);
                        return `${measure?.what ?? key}: ${String(value)} ${measure?.unit ?? ''}`;
                    })
                    .join('; ')}
            </p>
            <Button onClick={() => void outbox.write([{ step: step.id, did: 'undone' }])}>Not done after all</Button>
        </div>
    );
}

function Doing({ step, outbox, onNext, onLater, onFailed }: Omit<Props, 'plan'>) {
    const [reads, setReads] = useState<Reads>({});
    const [note, setNote] = useState('');
    const [photo, setPhoto] = useState<string | null>(null);
    const [said, setSaid] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const timer = useTimer(step.id);
    const ready = isAnswered(step, reads);
    const write = async (did: 'done' | 'failed' | 'later') => {
        setBusy(true);
        const minutes = timer.minutes();
        const results: Result[] = await outbox.write([
            {
                step: step.id,
                did,
                read: reads,
                ...(note.trim() === '' ? {} : { note }),
                ...(photo === null ? {} : { photo }),
                ...(minutes === null || did === 'later' ? {} : { minutes }),
            },
        ]);
        if (did !== 'later') timer.stop();
        setBusy(false);
        const answer = results[0];
        if (answer !== undefined && answer.result === 'unread') setSaid(answer.says);
        else if (answer?.result === 'failed') onFailed();
        else if (did === 'later') onLater();
        else onNext();
    };
    return (
        <>
            <GateFields step={step} reads={reads} onChange={setReads} />
            <Aside step={step} timer={timer} note={note} onNote={setNote} photo={photo} onPhoto={setPhoto} onProblem={setSaid} />
            {said !== null && (
                <p role="alert" className="text-clash">
                    {said}
                </p>
            )}
            <div className="grid grid-cols-2 gap-2">
                <Button look="pen" className="col-span-2 min-h-16 text-xl" disabled={busy || !ready} onClick={() => void write('done')}>
                    {step.gate === null ? 'Done' : 'It passes'}
                </Button>
                <Button className="min-h-12" disabled={busy} onClick={() => void write('failed')}>
                    {step.gate === null ? 'It went wrong' : 'It fails'}
                </Button>
                <Button className="min-h-12" disabled={busy} onClick={() => void write('later')}>
                    Later
                </Button>
            </div>
        </>
    );
}

/** The timer, a note and a photograph. */
function Aside({
    step,
    timer,
    note,
    onNote,
    photo,
    onPhoto,
    onProblem,
}: {
    step: Step;
    timer: ReturnType<typeof useTimer>;
    note: string;
    onNote: (note: string) => void;
    photo: string | null;
    onPhoto: (photo: string | null) => void;
    onProblem: (problem: string | null) => void;
}) {
    const choose = async (file: File | undefined) => {
        const made = await smallPhoto(file);
        onProblem(made !== null && 'problem' in made ? made.problem : null);
        if (made !== null && 'photo' in made) onPhoto(made.photo);
    };
    return (
        <div className="grid gap-2">
            <label className="text-sm font-semibold">
                Note
                <textarea
                    rows={2}
                    className={`${inputLook} mt-1`}
                    placeholder={step.note === '' ? 'which wire, which screw, what you saw' : step.note}
                    value={note}
                    onChange={(event) => onNote(event.target.value)}
                />
            </label>
            <div className="flex flex-wrap items-center gap-3">
                <FileButton label="Photograph of this step" accept="image/*" onChosen={(files) => void choose(files[0])}>
                    {photo === null ? 'Photograph' : 'Another photograph'}
                </FileButton>
                {photo !== null && <img src={photo} alt="What was photographed for this step" className="h-14 border border-edge" />}
                <Button onClick={timer.running ? timer.stop : timer.start}>
                    {timer.running ? (
                        <span className="figures">Stop {timer.says}</span>
                    ) : timer.says === '' ? (
                        'Start the clock'
                    ) : (
                        <span className="figures">{timer.says}</span>
                    )}
                </Button>
            </div>
        </div>
    );
}
