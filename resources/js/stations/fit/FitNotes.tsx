import { memo } from 'react';
import type { Fit, FitTrouble } from '../../api/client';
import { useNoteLeaf } from '../../frame/NoteLeaf';
import { useOpenBuild } from '../../frame/useBuild';
import { Peg } from '../../ui/Peg';

/** What does not hold, the worst first; choosing one shows its piece. */
export const FitNotes = memo(function FitNotes({ fit, choose }: { fit: Fit; choose: (key: string) => void }) {
    const { build } = useOpenBuild();
    const open = useNoteLeaf();
    const rank = { clash: 0, missing: 1, unmeasured: 1, tight: 2, fits: 3 };
    const troubles = [...fit.troubles].sort((a, b) => rank[a.verdict] - rank[b.verdict]);
    const others = build.appraisal.findings.filter(
        (finding) =>
            finding.family === 'fit' &&
            finding.verdict !== 'fits' &&
            finding.says !== null &&
            !troubles.some((trouble) => trouble.says === finding.says || trouble.verdict === 'unmeasured'),
    );
    if (!fit.pieces.some((piece) => piece.pose !== null)) return null;
    return (
        <section aria-label="What does not hold">
            <h3 className="mb-1 text-lg">{troubles.length + others.length > 0 ? 'What does not hold' : fit.isWhole ? 'All of it holds' : 'Nothing clashes'}</h3>
            {troubles.length + others.length === 0 && (
                <p className="flex items-start gap-2">
                    <Peg verdict={fit.isWhole ? 'fits' : 'unmeasured'} />
                    {fit.isWhole ? 'Every part has its place, clear of all others.' : 'What lies there is clear of each other; something is still left out.'}
                </p>
            )}
            <ul className="grid gap-1">
                {troubles.map((trouble, at) => (
                    <li key={at}>
                        <Note trouble={trouble} choose={choose} />
                    </li>
                ))}
                {others.map((finding) => (
                    <li key={finding.key}>
                        <button
                            type="button"
                            className="flex w-full items-start gap-1.5 px-1 py-0.5 text-left text-[0.9rem] hover:bg-pen-wash"
                            onClick={() => open(finding.key)}
                        >
                            <Peg verdict={finding.verdict} size={18} />
                            {finding.says}
                        </button>
                    </li>
                ))}
            </ul>
        </section>
    );
});

function Note({ trouble, choose }: { trouble: FitTrouble; choose: (key: string) => void }) {
    return (
        <button
            type="button"
            className="flex w-full items-start gap-1.5 px-1 py-0.5 text-left text-[0.9rem] leading-snug hover:bg-pen-wash"
            onClick={() => choose(trouble.piece)}
        >
            <Peg verdict={trouble.verdict} size={18} />
            {trouble.says}
        </button>
    );
}
