import { useState } from 'react';
import { api, Problem, type LogPreview } from '../../api/client';
import { Plot } from '../../ui/plot/Plot';
import { hours } from '../../ui/electric';
import { big, Labelled } from './Labelled';

/** A meter's own log, read before it is kept: what was understood, and what was left out, line by line. */
export function LogEntry({ log, onLog }: { log: LogPreview | null; onLog: (log: LogPreview | null) => void }) {
    const [problem, setProblem] = useState<string | null>(null);
    const [reading, setReading] = useState(false);
    const read = async (file: File | undefined) => {
        if (file === undefined) return;
        setReading(true);
        setProblem(null);
        try {
            onLog(await api.post<LogPreview>('/logs/preview', { text: await file.text() }));
        } catch (error) {
            setProblem(error instanceof Problem ? (error.about('text') ?? error.message) : 'This file cannot be read.');
        }
        setReading(false);
    };
    return (
        <div className="mb-4">
            <Labelled label="Log of a meter (time, volts, amps), if there is one">
                {(id) => (
                    <input
                        id={id}
                        type="file"
                        accept=".csv,.txt,.tsv,text/*"
                        className={`${big} max-w-full py-2.5`}
                        onChange={(event) => void read(event.target.files?.[0])}
                    />
                )}
            </Labelled>
            {reading && <p role="status">reading …</p>}
            {problem !== null && (
                <p role="alert" className="text-clash">
                    {problem}
                </p>
            )}
            {log !== null && <LogShown log={log} />}
        </div>
    );
}

function LogShown({ log }: { log: LogPreview }) {
    return (
        <div className="mt-2">
            <p>
                <strong className="figures">{log.taken}</strong> of {log.read} rows taken{log.understood.length > 0 && `: ${log.understood.join(', ')}`}. In all{' '}
                {hours(log.hours)}, {Math.round(log.milliampHours ?? 0)} mAh, {(log.wattHours ?? 0).toFixed(2)} Wh.
            </p>
            {log.troubles.length > 0 && (
                <details className="my-1">
                    <summary className="min-h-6 cursor-pointer">
                        {log.troubles.length + log.notListed} {log.troubles.length + log.notListed === 1 ? 'row was' : 'rows were'} left out or doubtful
                    </summary>
                    <ul className="max-h-48 overflow-auto pl-5 text-sm" tabIndex={0} aria-label="Troubles of the log">
                        {log.troubles.map((trouble) => (
                            <li key={`${trouble.line} ${trouble.says}`} className="list-disc">
                                line {trouble.line}: {trouble.says}
                            </li>
                        ))}
                        {log.notListed > 0 && <li>and {log.notListed} more of the kind</li>}
                    </ul>
                </details>
            )}
            <Plot
                label="The log"
                series={[
                    { name: 'volts', unit: 'V', side: 'left', line: 'solid', strong: true, points: log.log.map((row) => [(row[0] ?? 0) / 3600, row[1] ?? 0]) },
                    { name: 'amps', unit: 'A', side: 'right', line: 'dashed', digits: 3, points: log.log.map((row) => [(row[0] ?? 0) / 3600, row[2] ?? 0]) },
                ]}
            />
        </div>
    );
}
