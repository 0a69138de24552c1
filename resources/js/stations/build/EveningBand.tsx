import type { ReactNode } from 'react';
import type { Plan } from '../../api/client';
import { date } from '../../ui/format';
import { useNames } from './usePlan';

const weekday = new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: 'UTC' });

/** One evening: its day, what has to be there, what lies on the table, and its steps. */
export function EveningBand({ evening, children }: { evening: Plan['evenings'][number]; children: ReactNode }) {
    const names = useNames();
    const { lines, tools, consumables, places } = evening.layOut;
    return (
        <section className="mb-5" aria-label={`Evening of ${date(evening.on)}`}>
            <h3 className="flex flex-wrap items-baseline justify-between gap-x-4 border-b-2 border-ink text-lg">
                <span>
                    {weekday.format(new Date(`${evening.on}T00:00:00Z`))} {date(evening.on)}
                </span>
                <span className="figures text-sm font-normal text-pencil">{evening.minutes} min</span>
            </h3>
            {evening.arrives.length > 0 && (
                <p className="border-l-4 border-tight pl-2 text-sm">
                    Has to be there:{' '}
                    {evening.arrives.map((id) => `${names.line(id)}${names.arrives(id) === null ? '' : ` (${date(names.arrives(id))})`}`).join(', ')}
                </p>
            )}
            <ol>{children}</ol>
            {evening.beside.length > 0 && <p className="text-sm text-pencil">Beside it: {evening.beside.join('; ')}.</p>}
            <details>
                <summary className="cursor-pointer py-1 text-sm font-semibold text-pen">On the table</summary>
                <p className="text-sm">{[...lines.map(names.line), ...tools, ...consumables, ...places].join(', ') || 'nothing'}</p>
            </details>
        </section>
    );
}
