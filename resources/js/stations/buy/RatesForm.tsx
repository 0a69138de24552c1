import { useState } from 'react';
import { api, Problem, type Build } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';

/** What foreign money is worth, as the builder knows it. */
export function RatesForm({ onClose }: { onClose: () => void }) {
    const { build, edit, busy } = useOpenBuild();
    const [rows, setRows] = useState(() =>
        [...Object.entries(build.rates.worth), ['', '']].map(([currency, worth]) => ({ currency: currency ?? '', worth: worth ?? '' })),
    );
    const [problem, setProblem] = useState<Problem | null>(null);
    const set = (at: number, more: Partial<(typeof rows)[number]>) => setRows(rows.map((row, index) => (index === at ? { ...row, ...more } : row)));
    const save = async () => {
        const worth = rows.filter((row) => row.currency.trim() !== '').map((row) => ({ ...row, currency: row.currency.trim().toUpperCase() }));
        const answer = await edit((path, version) => api.post<Build>(`${path}/rates`, { version, worth }));
        if (answer instanceof Problem) setProblem(answer);
        else onClose();
    };
    return (
        <Dialog open onClose={onClose} title="Rates">
            <form
                className="grid grid-cols-2 gap-3"
                data-first
                onSubmit={(event) => {
                    event.preventDefault();
                    void save();
                }}
            >
                {rows.map((row, at) => (
                    <div key={at} className="contents">
                        <Field
                            label={at === rows.length - 1 ? 'Another currency' : 'One'}
                            value={row.currency}
                            onChange={(event) => set(at, { currency: event.target.value })}
                            problem={problem?.about(`worth.${at}.currency`)}
                        />
                        <Field
                            label={`is worth, ${build.rates.base}`}
                            inputMode="decimal"
                            value={row.worth}
                            onChange={(event) => set(at, { worth: event.target.value })}
                            problem={problem?.about(`worth.${at}.worth`)}
                        />
                    </div>
                ))}
                {problem !== null && Object.keys(problem.fields).length === 0 && <p role="alert">{problem.message}</p>}
                <Button type="submit" look="pen" className="col-span-2" disabled={busy}>
                    Save, as of today
                </Button>
            </form>
        </Dialog>
    );
}
