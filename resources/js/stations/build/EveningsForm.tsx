import { useState, type SyntheticEvent } from 'react';
import type { Plan } from '../../api/client';
import { Dialog } from '../../ui/Dialog';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { date } from '../../ui/format';
import { useWork } from './useWork';

const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** Which evenings are free, and how long they are. */
export function EveningsForm({ plan, onClose }: { plan: Plan; onClose: () => void }) {
    const { tell, busy, complaint } = useWork();
    const [days, setDays] = useState<number[]>(plan.weekdays);
    const [minutes, setMinutes] = useState(String(plan.eveningMinutes));
    const [off, setOff] = useState<string[]>(plan.daysOff);
    const [one, setOne] = useState('');
    const save = async (event: SyntheticEvent) => {
        event.preventDefault();
        const typed = Number(minutes.trim());
        if (await tell('evenings', { weekdays: days, daysOff: off, eveningMinutes: minutes.trim() === '' || Number.isNaN(typed) ? 0 : Math.round(typed) }))
            onClose();
    };
    return (
        <Dialog open onClose={onClose} title="Evenings at the bench">
            <form className="grid gap-4" onSubmit={(event) => void save(event)}>
                <fieldset>
                    <legend className="mb-1 text-sm font-semibold">Free</legend>
                    <div className="flex flex-wrap gap-2">
                        {weekdays.map((name, at) => (
                            <Button
                                key={name}
                                look={days.includes(at + 1) ? 'pen' : 'plain'}
                                aria-pressed={days.includes(at + 1)}
                                className="min-h-11 min-w-14"
                                onClick={() => setDays(days.includes(at + 1) ? days.filter((day) => day !== at + 1) : [...days, at + 1].sort())}
                            >
                                {name}
                            </Button>
                        ))}
                    </div>
                    {complaint?.about('weekdays') !== undefined && (
                        <p role="alert" className="mt-1 text-sm text-clash">
                            {complaint.about('weekdays')}
                        </p>
                    )}
                </fieldset>
                <Field
                    label="Minutes of an evening"
                    inputMode="numeric"
                    value={minutes}
                    problem={complaint?.about('eveningMinutes')}
                    onChange={(event) => setMinutes(event.target.value)}
                />
                <div>
                    <Field
                        label="Days without one"
                        type="date"
                        value={one}
                        problem={complaint?.about('daysOff.0')}
                        onChange={(event) => setOne(event.target.value)}
                    />
                    <Button
                        className="mt-2"
                        disabled={one === ''}
                        onClick={() => {
                            setOff([...new Set([...off, one])].sort());
                            setOne('');
                        }}
                    >
                        Add this day
                    </Button>
                    <ul className="mt-2">
                        {off.map((day) => (
                            <li key={day} className="flex items-center gap-3">
                                {date(day)}
                                <Button look="bare" onClick={() => setOff(off.filter((other) => other !== day))}>
                                    Free again
                                </Button>
                            </li>
                        ))}
                    </ul>
                </div>
                <Button type="submit" look="pen" disabled={busy}>
                    Plan with these
                </Button>
            </form>
        </Dialog>
    );
}
