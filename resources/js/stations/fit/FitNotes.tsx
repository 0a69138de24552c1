import { memo } from 'react';
import type { Fit } from '../../api/client';
import { MarginNotes } from '../../frame/Margin';
import { useOpenBuild } from '../../frame/useBuild';
import { Peg } from '../../ui/Peg';

/** What does not hold of the places, the worst first; each note opens with its figures. */
export const FitNotes = memo(function FitNotes({ fit }: { fit: Fit }) {
    const { build } = useOpenBuild();
    const notes = build.appraisal.findings.filter((finding) => finding.station === 'fit' && finding.verdict !== 'fits');
    if (!fit.pieces.some((piece) => piece.pose !== null)) return null;
    return (
        <section aria-label="What does not hold">
            <h3 className="mb-1 text-lg">{notes.length > 0 ? 'What does not hold' : fit.isWhole ? 'All of it holds' : 'Nothing clashes'}</h3>
            {notes.length === 0 && (
                <p className="flex items-start gap-2">
                    <Peg verdict={fit.isWhole ? 'fits' : 'unmeasured'} />
                    {fit.isWhole ? 'Every part has its place, clear of all others.' : 'What lies there is clear of each other; something is still left out.'}
                </p>
            )}
            <MarginNotes findings={notes} label="Notes on the places" />
        </section>
    );
});
