import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Plan, type RecordEntry } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Field } from '../../ui/Field';
import { date } from '../../ui/format';
import type { Outbox } from './useOutbox';

const didWords: Record<RecordEntry['did'], string> = { done: 'done', failed: 'did not pass', later: 'put off', undone: 'taken back', noted: 'noted' };

/** What happened at the bench, the latest first: for the day when somebody asks what that wire was. */
export function RecordLeaf({ plan }: { plan: Plan; outbox: Outbox }) {
    const { build } = useOpenBuild();
    const [words, setWords] = useState('');
    const record = useQuery({
        queryKey: ['record', build.id, build.version],
        queryFn: () => api.get<{ entries: RecordEntry[] }>(`/builds/${build.id}/record`),
        placeholderData: (before) => before,
    });
    if (record.isError) return <p role="alert">{record.error.message}</p>;
    const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
    const said = (entry: RecordEntry) => [entry.title, entry.note ?? '', ...entry.with].join(' ').toLowerCase();
    const entries = record.data?.entries.filter((entry) => wanted.every((word) => said(entry).includes(word)));
    return (
        <div className="max-w-3xl">
            {(record.data?.entries.length ?? 0) > 4 && (
                <Field
                    label="Look for"
                    placeholder="a part, a wire, a word of a note"
                    className="mb-3"
                    value={words}
                    onChange={(event) => setWords(event.target.value)}
                />
            )}
            {entries?.length === 0 && (
                <p className="dot-grid border border-dashed border-edge p-6">
                    {wanted.length > 0
                        ? 'Nothing of that in the record.'
                        : 'Nothing was done yet. What is done, read, noted and photographed at the bench is kept here, and travels with the file.'}
                </p>
            )}
            <ol>
                {entries?.map((entry) => (
                    <Entry key={entry.id} entry={entry} plan={plan} />
                ))}
            </ol>
        </div>
    );
}

function Entry({ entry, plan }: { entry: RecordEntry; plan: Plan }) {
    const { build } = useOpenBuild();
    const gate = plan.steps.find((step) => step.id === entry.step)?.gate ?? [];
    const read = Object.entries(entry.read).map(([key, value]) => {
        const measure = gate.find((one) => one.key === key);
        return `${measure?.what ?? key}: ${typeof value === 'boolean' ? (value ? 'yes' : 'no') : `${String(value)} ${measure?.unit ?? ''}`}`;
    });
    return (
        <li className="grid gap-x-4 border-t border-line py-2 sm:grid-cols-[7rem_minmax(0,1fr)_auto]">
            <span className="figures text-sm text-pencil">
                {date(entry.on)} {entry.at}
            </span>
            <div>
                <p>
                    <span className="font-semibold">{entry.title}</span>:{' '}
                    <span className={entry.did === 'failed' ? 'font-semibold text-clash' : ''}>{didWords[entry.did]}</span>
                    {entry.minutes !== undefined && <span className="text-pencil"> in {entry.minutes} min</span>}
                </p>
                {entry.note !== undefined && <p>{entry.note}</p>}
                {read.length > 0 && <p className="text-sm text-pencil">{read.join('; ')}</p>}
                {entry.with.length > 0 && <p className="text-sm text-pencil">With {entry.with.join(', ')}</p>}
            </div>
            {entry.photo && (
                <a href={`/api/builds/${build.id}/record/${encodeURIComponent(entry.id)}/photo`} target="_blank" rel="noreferrer">
                    <img
                        src={`/api/builds/${build.id}/record/${encodeURIComponent(entry.id)}/photo`}
                        alt={`Photograph: ${entry.title}`}
                        loading="lazy"
                        className="h-24 border border-edge"
                    />
                </a>
            )}
        </li>
    );
}
