import { useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, Problem, type Build, type LogPreview } from '../../api/client';
import { useOpenBuild } from '../../api/useBuild';
import { Button } from '../../ui/Button';
import { useNotices } from '../../ui/Notices';
import { big, Labelled } from './Labelled';
import { LogEntry } from './LogEntry';
import { Stand } from './Stand';
import { SweepEntry, type Step } from './SweepEntry';

const kinds = [
    ['sweep', 'Voltage sweep', 'Turn the supply down until it dies.'],
    ['draw', 'Draw', 'Amps in one state of play.'],
    ['run', 'Run test', 'From full until it gives up.'],
    ['charge', 'Charge test', 'From empty to full.'],
    ['temperature', 'Temperature', 'After half an hour at work.'],
    ['dimension', 'Dimension', 'One side, by callipers.'],
] as const;

export type Kind = (typeof kinds)[number][0];

const steps: Record<Kind, string[]> = {
    sweep: ['Set the supply to volts that are known to be good, current limited to a little more than the part draws.', 'Give the panel a picture signal if it can have one: some stay dark without.', 'Go down a step, wait two seconds, press Lit or Dark. Stop well before anything gets hot.'],
    draw: ['Put the meter in the supply lead, on its 10 A range first.', 'Let the console settle in the state for a minute.', 'Read volts at the part and amps in its lead at the same moment.'],
    run: ['Charge full, note the time, play one way without a break.', 'Keep light, volume and air as they are; a meter in the pack’s lead that logs tells far more.', 'Note when and how it ended.'],
    charge: ['Start from an empty pack, console off.', 'Note the time, and the share it started from if it was not empty.', 'Note when the lamp says full.'],
    temperature: ['Run it at a known load for half an hour, closed as it will be.', 'Read with a probe or a thermometer, at the hottest spot.', 'Read the air of the room as well.'],
    dimension: ['Power off.', 'Measure at the tallest spot, sockets and screws included.', 'Measure twice; write the larger.'],
};

/** What can hurt someone at this measurement; none where nothing can. */
const cautions: Partial<Record<Kind, string>> = {
    sweep: 'Both leads off while you change the wiring. Never sweep a part from mains, and nothing above the volts on its sheet.',
    draw: 'A meter set to amps is a short across whatever it touches: only ever in the lead, never across the pack.',
    run: 'Stay with it, and stop when anything smells, swells or gets too hot to hold. Let the protection end it; do not empty bare lithium cells by hand.',
    charge: 'Charge on something that does not burn, with someone near; never a swollen, damaged or frozen cell.',
    temperature: 'Do not touch it to find out. Stop when a cell is warmer than its maker allows.',
};

const stopped = ['went dark', 'picture went', 'restarted', 'warning', 'shut itself down', 'switched off by hand', 'still running'];

/** Guided entry: choose what is measured, follow three lines, write it down. */
export function Measure({ ways, onWritten }: { ways: string[]; onWritten: () => void }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [asked] = useSearchParams();
    const [kind, setKind] = useState<Kind>((kinds.find(([one]) => one === asked.get('kind'))?.[0] ?? 'draw'));
    const lines = build.lines.filter((line) => line.chosen && (kind !== 'run' && kind !== 'charge' ? true : line.role === 'cells'));
    const usual = { sweep: 'display', draw: 'board', run: 'cells', charge: 'cells', temperature: 'board', dimension: 'board' }[kind];
    const [chosen, setChosen] = useState<string | null>(null);
    const line = lines.find((one) => one.id === chosen)?.id ?? lines.find((one) => one.role === usual)?.id ?? lines[0]?.id ?? '';
    const [fields, setFields] = useState<Record<string, string>>({});
    const [sweep, setSweep] = useState<Step[]>([]);
    const [log, setLog] = useState<LogPreview | null>(null);
    const [simulated, setSimulated] = useState(false);
    const [photo, setPhoto] = useState<string | null>(null);
    const [problem, setProblem] = useState<Problem | null>(null);
    const form = useRef<HTMLFormElement>(null);
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
                ...(kind === 'sweep' ? { steps: sweep.map((step) => ({ volts: step.volts, lit: step.lit, ...(step.milliamps.trim() === '' ? {} : { milliamps: step.milliamps }) })) } : {}),
                ...(kind === 'draw' && fields['state'] === undefined ? { state: 'usual' } : {}),
                ...(kind === 'run' && fields['profile'] === undefined && ways[0] !== undefined ? { profile: ways[0] } : {}),
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
    if (build.lines.length === 0) return <p className="dot-grid border border-dashed border-edge p-6">Nothing to measure yet. Add the first part, then come back with the meter.</p>;
    return (
        <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[16rem_minmax(0,1fr)]">
            <ul className="grid content-start gap-2 max-lg:grid-cols-2">
                {kinds.map(([value, name, says]) => (
                    <li key={value}>
                        <button type="button" aria-pressed={kind === value} onClick={() => turn(value)} className={`w-full rounded-sm border px-3 py-2.5 text-left ${kind === value ? 'border-ink bg-ink text-paper' : 'border-edge bg-leaf hover:border-pen'}`}>
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
                        {cautions[kind]} <span className="text-pencil">Makers’ instructions and local rules come first; mains and doubtful packs are for a qualified person.</span>
                    </p>
                )}
                <div className="mb-4 flex flex-wrap items-end gap-4">
                    <Labelled label={kind === 'run' || kind === 'charge' ? 'Pack' : 'Part'} className="min-w-64 flex-1">
                        {(id) => (
                            <select id={id} className={`${big} w-full`} value={line} onChange={(event) => setChosen(event.target.value)}>
                                {lines.map((one) => (
                                    <option key={one.id} value={one.id}>
                                        {one.part.name}
                                    </option>
                                ))}
                            </select>
                        )}
                    </Labelled>
                    {kind === 'draw' && (
                        <Labelled label="What it was doing">
                            {(id) => (
                                <select id={id} className={big} value={fields['state'] ?? 'usual'} onChange={(event) => set({ state: event.target.value })}>
                                    {['off', 'idle', 'usual', 'heavy', 'start-up'].map((state) => (
                                        <option key={state}>{state}</option>
                                    ))}
                                </select>
                            )}
                        </Labelled>
                    )}
                    {kind === 'run' && (
                        <Labelled label="Played as">
                            {(id) => (
                                <select id={id} className={big} value={fields['profile'] ?? ways[0] ?? ''} onChange={(event) => set({ profile: event.target.value })}>
                                    {ways.map((way) => (
                                        <option key={way}>{way}</option>
                                    ))}
                                </select>
                            )}
                        </Labelled>
                    )}
                    {kind === 'dimension' && (
                        <Labelled label="Side">
                            {(id) => (
                                <select id={id} className={big} value={fields['figure'] ?? ''} onChange={(event) => set({ figure: event.target.value })}>
                                    <option value="">choose</option>
                                    <option value="lengthMm">length</option>
                                    <option value="widthMm">width</option>
                                    <option value="heightMm">height, tallest spot</option>
                                </select>
                            )}
                        </Labelled>
                    )}
                    {inputs[kind].map(([field, label, hint]) => (
                        <Labelled key={field} label={label} problem={about(field)}>
                            {(id) => <input id={id} className={`${big} figures w-40`} placeholder={hint} value={fields[field] ?? ''} aria-invalid={about(field) !== undefined} onChange={(event) => set({ [field]: event.target.value })} />}
                        </Labelled>
                    ))}
                    {kind === 'run' && (
                        <Labelled label="Why it stopped" problem={about('stopped')}>
                            {(id) => (
                                <select id={id} className={big} value={fields['stopped'] ?? ''} onChange={(event) => set({ stopped: event.target.value })}>
                                    <option value="">choose</option>
                                    {stopped.map((one) => (
                                        <option key={one}>{one}</option>
                                    ))}
                                </select>
                            )}
                        </Labelled>
                    )}
                </div>
                {kind === 'dimension' && about('figure') !== undefined && (
                    <p role="alert" className="mb-2 text-clash">
                        {about('figure')}
                    </p>
                )}
                {kind === 'sweep' && <SweepEntry steps={sweep} onSteps={setSweep} fields={fields} set={set} problem={problem} />}
                {(kind === 'run' || kind === 'charge') && <LogEntry log={log} onLog={(read) => { setLog(read); if (read?.hours != null) set({ hours: `${read.hours.toFixed(3)} h` }); }} />}
                <Stand key={kind} kind={kind} line={line} fields={fields} ways={ways} onStart={() => { setSimulated(true); setSweep([]); }} onStep={(step) => {
                    if (step.lit !== undefined && step.volts !== undefined) setSweep((before) => [...before, { volts: String(step.volts), milliamps: String(step.milliamps ?? ''), lit: step.lit === true }]);
                    else if (kind === 'draw' && step.milliamps !== undefined) set({ volts: `${step.volts ?? ''} V`, milliamps: `${step.milliamps} mA` });
                }} onRun={(read, why) => { setLog(read); set({ hours: `${(read.hours ?? 0).toFixed(3)} h`, stopped: why }); }} />
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
                                {(id) => <input id={id} type={type} className={big} placeholder={hint} value={fields[field] ?? ''} onChange={(event) => set({ [field]: event.target.value })} />}
                            </Labelled>
                        ))}
                        <Labelled label="Photograph" problem={about('photo')}>
                            {(id) => <input id={id} type="file" accept="image/*" className={`${big} py-2.5`} onChange={(event) => void dataUrl(event.target.files?.[0]).then(setPhoto)} />}
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

const inputs: Record<Kind, readonly (readonly [string, string, string])[]> = {
    sweep: [],
    draw: [
        ['volts', 'Volts at the part', '5.02 V'],
        ['milliamps', 'Amps in its lead', '430 mA'],
    ],
    run: [
        ['hours', 'It ran for', '6 h 20 min'],
        ['brightness', 'Brightness, %', 'if it was set'],
        ['airC', 'Air, °C', '21'],
    ],
    charge: [
        ['hours', 'It took', '3 h 10 min'],
        ['fromShare', 'From, %', '0'],
        ['toShare', 'To, %', '100'],
    ],
    temperature: [
        ['celsius', 'The part, °C', '58'],
        ['airC', 'The air, °C', '22'],
        ['volts', 'Volts meanwhile', '5 V'],
        ['milliamps', 'Amps meanwhile', '1.2 A'],
    ],
    dimension: [['value', 'It measures', '17.2 mm']],
};

const common = ['takenOn', 'instrument', 'conditions', 'note'];
const wanted: Record<Kind, string[]> = {
    sweep: [...common, 'signal'],
    draw: [...common, 'state', 'volts', 'milliamps'],
    run: [...common, 'hours', 'brightness', 'airC', 'profile', 'stopped'],
    charge: [...common, 'hours', 'fromShare', 'toShare'],
    temperature: [...common, 'celsius', 'airC', 'volts', 'milliamps'],
    dimension: [...common, 'figure', 'value'],
};

function dataUrl(file: File | undefined): Promise<string | null> {
    if (file === undefined) return Promise.resolve(null);
    return new Promise((resolve) => {
        const reader = new FileReader();
        reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : null);
        reader.onerror = () => resolve(null);
        reader.readAsDataURL(file);
    });
}
