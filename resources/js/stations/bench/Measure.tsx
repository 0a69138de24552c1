import { useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, Problem, type Bench, type Build, type LogPreview } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { useNotices } from '../../ui/Notices';
import { kinds, wanted, type Kind } from './kinds';
import { Choice } from './Labelled';
import { LogEntry } from './LogEntry';
import { Guidance, KindFields, KindList, Surroundings, type Fields } from './MeasureFields';
import { Stand } from './Stand';
import { SweepEntry, type Step } from './SweepEntry';

/** Guided entry: choose what is measured, follow three lines, write it down. */
export function Measure({ profiles, sweeps, onWritten }: { profiles: string[]; sweeps: Bench['sweeps']; onWritten: () => void }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [asked] = useSearchParams();
    const [kind, setKind] = useState<Kind>(kinds.find(([one]) => one === asked.get('kind'))?.[0] ?? 'draw');
    const lines = build.lines.filter((line) => line.chosen && (kind !== 'run' && kind !== 'charge' ? true : line.role === 'cells'));
    const usual = { sweep: 'display', draw: 'board', run: 'cells', charge: 'cells', temperature: 'board', dimension: 'board', volts: 'regulator' }[kind];
    const [chosen, setChosen] = useState<string | null>(null);
    const line = lines.find((one) => one.id === chosen)?.id ?? lines.find((one) => one.role === usual)?.id ?? lines[0]?.id ?? '';
    const [fields, setFields] = useState<Fields>({});
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
    const set = (more: Fields) => setFields((before) => ({ ...before, ...more }));
    const turn = (next: Kind) => {
        setKind(next);
        setProblem(null);
        setSweep([]);
        setLog(null);
        setSimulated(false);
    };
    const write = async () => {
        const body = { kind, line, ...written(kind, fields, profiles), ...(kind === 'sweep' ? { steps: sweep.map(stepOf) } : {}) };
        const extras = {
            ...(log !== null && (kind === 'run' || kind === 'charge') ? { log: log.log } : {}),
            ...(simulated ? { simulated: true, instrument: 'Simulated bench' } : {}),
            ...(photo === null ? {} : { photo }),
        };
        const answer = await edit((path, version) => api.post<Build>(`${path}/readings`, { version, ...body, ...extras }));
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
            <KindList kind={kind} onTurn={turn} />
            <form
                ref={form}
                className="min-w-0"
                onSubmit={(event) => {
                    event.preventDefault();
                    void write();
                }}
            >
                <Guidance kind={kind} />
                <div className="mb-4 flex flex-wrap items-end gap-4">
                    <Choice
                        className="min-w-64 flex-1"
                        label={kind === 'run' || kind === 'charge' ? 'Pack' : 'Part'}
                        value={line}
                        options={lines.map((one) => [one.id, one.part.name])}
                        onChange={setChosen}
                    />
                    <KindFields kind={kind} profiles={profiles} fields={fields} set={set} problem={problem} />
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
                <Surroundings fields={fields} set={set} problem={problem} onPhoto={setPhoto} />
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

/** The fields that belong to the kind and were filled in; what stands chosen in a list counts untouched, too. */
const written = (kind: Kind, fields: Fields, profiles: string[]): Fields => ({
    ...(kind === 'draw' ? { state: 'usual' } : {}),
    ...(kind === 'run' && profiles[0] !== undefined ? { profile: profiles[0] } : {}),
    ...Object.fromEntries(Object.entries(fields).filter(([key, value]) => value.trim() !== '' && wanted[kind].includes(key))),
});

const stepOf = ({ volts, lit, milliamps }: Step) => ({ volts, lit, ...(milliamps.trim() === '' ? {} : { milliamps }) });
