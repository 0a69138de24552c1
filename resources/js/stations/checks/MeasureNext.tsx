import { useOpenBuild } from '../../frame/useBuild';
import { MeasureEntry } from '../../frame/MeasureEntry';
import { useNoteLeaf } from '../../frame/NoteLeaf';
import { keyOf } from '../../frame/putOff';
import { capital } from '../../ui/format';

/** The open figures, the one that settles most first, each with how to find it out without harm. */
export function MeasureNext() {
    const { build } = useOpenBuild();
    const open = useNoteLeaf();
    const { toMeasure, findings } = build.appraisal;
    const nameOf = (id: string) => build.lines.find((line) => line.id === id)?.part.name ?? id;
    if (toMeasure.length === 0) {
        return (
            <p className="dot-grid border border-dashed border-edge p-6">
                {build.lines.length === 0
                    ? 'The parts list is empty; there is nothing to measure.'
                    : 'Nothing is open: every figure that a check needs is known.'}
            </p>
        );
    }
    return (
        <ol className="max-w-4xl">
            {toMeasure.map((figure, index) => (
                <li key={keyOf(figure)} className="grid gap-x-5 border-t border-line py-3 sm:grid-cols-[3.5rem_minmax(0,1fr)]">
                    <p className="figures text-3xl leading-none font-semibold text-unmeasured" aria-hidden="true">
                        {index + 1}
                    </p>
                    <div>
                        <h3 className="text-lg">
                            {capital(figure.name)} of {nameOf(figure.line)}
                        </h3>
                        <p className="mb-1 max-w-prose">{figure.how}</p>
                        {figure.stands !== '' && <p className="mb-1 max-w-prose text-pencil">{figure.stands}</p>}
                        <details className="mb-1">
                            <summary className="cursor-pointer text-pencil">
                                {figure.findings.length === 1 ? 'One verdict waits for it' : `${figure.findings.length} verdicts wait for it`}
                            </summary>
                            <ul className="list-disc pl-6 text-sm">
                                {findings
                                    .filter((finding) => figure.findings.includes(finding.key))
                                    .map((finding) => (
                                        <li key={finding.key}>
                                            <button type="button" className="text-left hover:underline" onClick={() => open(finding.key)}>
                                                {finding.says} <code className="figures text-xs text-pencil">{finding.rule}</code>
                                            </button>
                                        </li>
                                    ))}
                            </ul>
                        </details>
                        <MeasureEntry open={figure} />
                    </div>
                </li>
            ))}
        </ol>
    );
}
