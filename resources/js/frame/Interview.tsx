import { useState } from 'react';
import type { Build } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { capital } from '../ui/format';
import { Peg } from '../ui/Peg';
import { MeasureEntry } from './MeasureEntry';
import { useNoteLeaf } from './NoteLeaf';
import { useOpenBuild } from './useBuild';

/** What is asked of the builder, not of a part. */
const asksOf: Partial<Record<string, string>> = { skills: 'What can you do?', tools: 'Which tools do you have?', consumables: 'What is in your drawer?' };

/** Asks for one figure after the other, the most telling first; what is not known is put off until the panel is opened again. */
export function Interview({ onClose }: { onClose: () => void }) {
    const { build } = useOpenBuild();
    const [later, setLater] = useState<ReadonlySet<string>>(new Set());
    const [begun] = useState(build);
    const { toMeasure } = build.appraisal;
    const asked = toMeasure.filter((one) => !later.has(`${one.line} ${one.figure}`));
    const [question] = asked;
    const putOff = toMeasure.length - asked.length;
    return (
        <Dialog open onClose={onClose} title={question === undefined ? 'Nothing more to ask' : `${asked.length} to ask`}>
            {question === undefined ? (
                <p className="mb-5">
                    {putOff === 0
                        ? 'Every figure that a check needs is known.'
                        : `${putOff} ${putOff === 1 ? 'is' : 'are'} put off, and stay unmeasured. Open this again to be asked once more.`}
                </p>
            ) : (
                <section key={`${question.line} ${question.figure}`} className="mb-6" aria-live="polite">
                    <h3 className="mb-1 text-lg">
                        {asksOf[question.figure] ??
                            `${capital(question.name)} of ${build.lines.find((line) => line.id === question.line)?.part.name ?? question.line}?`}
                    </h3>
                    <p className="mb-1">{question.how}</p>
                    <p className="mb-2 text-sm text-pencil">
                        {question.findings.length === 1 ? 'One verdict waits for it.' : `${question.findings.length} verdicts wait for it.`}
                    </p>
                    <MeasureEntry open={question} />
                    <Button look="bare" className="mt-3 px-0!" onClick={() => setLater(new Set([...later, `${question.line} ${question.figure}`]))}>
                        I don’t know; ask me later
                    </Button>
                </section>
            )}
            <Settled begun={begun} build={build} />
        </Dialog>
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
