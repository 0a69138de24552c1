import { useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, Problem, type Bench, type Build, type LogPreview } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { useNotices } from '../../ui/Notices';
import { useVocabulary } from '../../ui/useVocabulary';
import { cautions, inputs, kinds, steps, wanted, type Kind } from './kinds';
import { big, Choice, Labelled } from './Labelled';
import { LogEntry } from './LogEntry';
import { Stand } from './Stand';
import { SweepEntry, type Step } from './SweepEntry';

/** Guided entry: choose what is measured, follow three lines, write it down. */
export function Measure({ profiles, sweeps, onWritten }: { profiles: string[]; sweeps: Bench['sweeps']; onWritten: () => void }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const vocabulary = useVocabulary();
    const [asked] = useSearchParams();
    const [kind, setKind] = useState<Kind>(kinds.find(([one]) => one === asked.get('kind'))?.[0] ?? 'draw');
    const lines = build.lines.filter((line) => line.chosen && (kind !== 'run' && kind !== 'charge' ? true : line.role === 'cells'));
    const usual = { sweep: 'display', draw: 'board', run: 'cells', charge: 'cells', temperature: 'board', dimension: 'board' }[kind];
    const [chosen, setChosen] = useState<string | null>(null);
    const line = lines.find((one) => one.id === chosen)?.id ?? lines.find((one) => one.role === usual)?.id ?? lines[0]?.id ?? '';
    const [fields, setFields] = useState<Record<string, string>>({});
    /** Volts that a sweep begins at, as typed, by line. */
    const [begins, setBegins] = useState<Record<string, string>>({});
    const [sweep, setSweep] = useState<Step[]>([]);
    const [log, setLog] = useState<LogPreview | null>(null);
    const [simulated, setSimulated] = useState(false);
    const [photo, setPhoto] = useState<string | null>(null);
    const [problem, setProblem] = useState<Problem | null>(null);
    const form = useRef<HTMLFormElement>(null);
    const begin = sweeps[line];
    const from = begins[line] ?? (begin?.fromV == null ? '' : String(begin.fromV));
    const by = fields['by'] ?? '0.5';
    const set = (more: Record<string, string>) => setFields((before) => ({ ...before, ...more }));
    const about = (field: string) => problem?.about(field) ?? undefined;
    const turn = (next: Kind) => {
        setKind(next);
        setProblem(null);
        setSweep([]);
        setLog(null);
        setSimulated(false);
    };
    const write = async () => {
        const answer = await edit((path, version) =>
            api.post<Build>(`${path}/readings`, {
                version,
                kind,
                line,
                ...Object.fromEntries(Object.entries(fields).filter(([key, value]) => value.trim() !== '' && wanted[kind].includes(key))),
                ...(kind === 'sweep'
                    ? {
                          steps: sweep.map((step) => ({
                              volts: step.volts,
                              lit: step.lit,
                              ...(step.milliamps.trim() === '' ? {} : { milliamps: step.milliamps }),
                          })),
                      }
                    : {}),
                ...(kind === 'draw' && fields['state'] === undefined ? { state: 'usual' } : {}),
                ...(kind === 'run' && fields['profile'] === undefined && profiles[0] !== undefined ? { profile: profiles[0] } : {}),
                ...(log !== null && (kind === 'run' || kind === 'charge') ? { log: log.log } : {}),
                ...(simulated ? { simulated: true, instrument: 'Simulated bench' } : {}),
                ...(photo === null ? {} : { photo }),
            }),
        );
        if (answer instanceof Problem) {
            setProblem(answer);
            return;
        }
        notices.say('Written down. See under Readings what it would move.');
        onWritten();
    };
    if (build.lines.length === 0)
        return <p className="dot-grid border border-dashed border-edge p-6">Nothing to measure yet. Add the first part, then come back with the meter.</p>;
    return (
        <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[16rem_minmax(0,1fr)]">
            <ul className="grid content-start gap-2 max-lg:grid-cols-2">
                {kinds.map(([value, name, says]) => (
                    <li key={value}>
                        <button
                            type="button"
                            aria-pressed={kind === value}
                            onClick={() => turn(value)}
                            className={`w-full rounded-sm border px-3 py-2.5 text-left ${kind === value ? 'border-ink bg-ink text-paper' : 'border-edge bg-leaf hover:border-pen'}`}
                        >
                            <span className="block text-lg leading-tight font-semibold">{name}</span>
                            <span className="block text-sm max-sm:hidden">{says}</span>
                        </button>
                    </li>
                ))}
            </ul>
            <form
                ref={form}
                className="min-w-0"
                onSubmit={(event) => {
                    event.preventDefault();
                    void write();
                }}
            >
                <ol className="mb-3 max-w-prose list-decimal pl-6 text-lg">
                    {steps[kind].map((says) => (
                        <li key={says}>{says}</li>
                    ))}
                </ol>
                {cautions[kind] !== undefined && (
                    <p className="mb-4 max-w-prose border-l-4 border-tight pl-3">
                        {cautions[kind]}{' '}
                        <span className="text-pencil">
                            Makers’ instructions and local rules come first; mains and doubtful packs are for a qualified person.
                        </span>
                    </p>
                )}
                <div className="mb-4 flex flex-wrap items-end gap-4">
                    <Choice
                        className="min-w-64 flex-1"
                        label={kind === 'run' || kind === 'charge' ? 'Pack' : 'Part'}
                        value={line}
                        options={lines.map((one) => [one.id, one.part.name])}
                        onChange={setChosen}
                    />
                    {kind === 'draw' && (
                        <Choice
                            label="What it was doing"
                            value={fields['state'] ?? 'usual'}
                            options={same(['off', 'idle', 'usual', 'heavy', 'start-up'])}
                            onChange={(state) => set({ state })}
                        />
                    )}
                    {kind === 'run' && (
                        <Choice
                            label="Played as"
                            value={fields['profile'] ?? profiles[0] ?? ''}
                            options={same(profiles)}
                            onChange={(profile) => set({ profile })}
                        />
                    )}
                    {kind === 'dimension' && (
                        <Choice
                            label="Side"
                            value={fields['figure'] ?? ''}
                            options={[
                                ['', 'choose'],
                                ['lengthMm', 'length'],
                                ['widthMm', 'width'],
                                ['heightMm', 'height, tallest spot'],
                            ]}
                            onChange={(figure) => set({ figure })}
                            problem={about('figure')}
                        />
                    )}
                    {inputs[kind].map(([field, label, hint]) => (
                        <Labelled key={field} label={label} problem={about(field)}>
                            {(id) => (
                                <input
                                    id={id}
                                    className={`${big} figures w-40`}
                                    placeholder={hint}
                                    value={fields[field] ?? ''}
                                    aria-invalid={about(field) !== undefined}
                                    onChange={(event) => set({ [field]: event.target.value })}
                                />
                            )}
                        </Labelled>
                    ))}
                    {kind === 'run' && (
                        <Choice
                            label="Why it stopped"
                            value={fields['stopped'] ?? ''}
                            options={[['', 'choose'], ...same(vocabulary.data?.stopped ?? [])]}
                            onChange={(why) => set({ stopped: why })}
                            problem={about('stopped')}
                        />
                    )}
                </div>
                {kind === 'sweep' && (
                    <SweepEntry
                        steps={sweep}
                        onSteps={setSweep}
                        from={from}
                        by={by}
                        mostV={begin?.mostV ?? null}
                        signal={fields['signal'] ?? ''}
                        onFrom={(volts) => setBegins({ ...begins, [line]: volts })}
                        set={set}
                        problem={problem}
                    />
                )}
                {(kind === 'run' || kind === 'charge') && (
                    <LogEntry
                        log={log}
                        onLog={(read) => {
                            setLog(read);
                            if (read?.hours != null) set({ hours: `${read.hours.toFixed(3)} h` });
                        }}
                    />
                )}
                <Stand
                    key={kind}
                    kind={kind}
                    line={line}
                    fields={{ ...fields, from, by }}
                    profiles={profiles}
                    onStart={() => {
                        setSimulated(true);
                        setSweep([]);
                    }}
                    onStep={(step) => {
                        if (step.lit !== undefined && step.volts !== undefined)
                            setSweep((before) => [...before, { volts: String(step.volts), milliamps: String(step.milliamps ?? ''), lit: step.lit === true }]);
                        else if (kind === 'draw' && step.milliamps !== undefined) set({ volts: `${step.volts ?? ''} V`, milliamps: `${step.milliamps} mA` });
                    }}
                    onRun={(read, why) => {
                        setLog(read);
                        set({ hours: `${(read.hours ?? 0).toFixed(3)} h`, stopped: why });
                    }}
                />
                <details className="mb-4">
                    <summary className="min-h-9 cursor-pointer text-pencil">Instrument, conditions, note, photograph</summary>
                    <div className="mt-2 flex flex-wrap gap-4">
                        {[
                            ['takenOn', 'Day', 'today', 'date'],
                            ['instrument', 'Instrument', 'name of the meter', 'text'],
                            ['conditions', 'Conditions', 'body open, 21 °C …', 'text'],
                            ['note', 'Note', '', 'text'],
                        ].map(([field = '', label = '', hint, type]) => (
                            <Labelled key={field} label={label} problem={about(field)}>
                                {(id) => (
                                    <input
                                        id={id}
                                        type={type}
                                        className={big}
                                        placeholder={hint}
                                        value={fields[field] ?? ''}
                                        onChange={(event) => set({ [field]: event.target.value })}
                                    />
                                )}
                            </Labelled>
                        ))}
                        <Labelled label="Photograph" problem={about('photo')}>
                            {(id) => (
                                <input
                                    id={id}
                                    type="file"
                                    accept="image/*"
                                    className={`${big} py-2.5`}
                                    onChange={(event) => void dataUrl(event.target.files?.[0]).then(setPhoto)}
                                />
                            )}
                        </Labelled>
                    </div>
                </details>
                {problem !== null && (
                    <p role="alert" className="mb-2 text-clash">
                        {[...new Set(Object.values(problem.fields).flat())].join(' ') || problem.message}
                    </p>
                )}
                <Button type="submit" look="pen" className="min-h-12! px-6! text-lg" disabled={busy || line === '' || (kind === 'sweep' && sweep.length === 0)}>
                    Write it down
                </Button>
                {simulated && <span className="ml-3 rounded-sm border border-dashed border-edge px-2 py-1 text-sm">simulated: it will be marked so</span>}
            </form>
        </div>
    );
}

const same = (words: readonly string[]): [string, string][] => words.map((word) => [word, word]);

function dataUrl(file: File | undefined): Promise<string | null> {
    if (file === undefined) return Promise.resolve(null);
    return new Promise((resolve) => {
        const reader = new FileReader();
        reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : null);
        reader.onerror = () => resolve(null);
        reader.readAsDataURL(file);
    });
}
