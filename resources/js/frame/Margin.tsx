import type { Finding } from '../api/client';
import { Peg } from '../ui/Peg';
import { useNoteLeaf } from './NoteLeaf';
import { useOpenBuild } from './useBuild';

/** "2 tight, one unmeasured" */
const others = (rest: Finding[]) =>
    (['unmeasured', 'tight'] as const)
        .map((verdict) => [verdict, rest.filter((finding) => finding.verdict === verdict).length] as const)
        .filter(([, count]) => count > 0)
        .map(([verdict, count]) => `${count === 1 ? 'one' : count} ${verdict}`)
        .join(', ');

export const inPencil = 'In pencil: it rests on the usual figures of a typical part.';

const isFault = (finding: Finding) => finding.verdict === 'clash' || finding.verdict === 'missing';

/**
 * Notes beside the row they concern, in full sentences. What fits is said by the row's own mark alone. In brief, faults all
 * stand there, and of the rest the worst one with the number of the others.
 */
export function MarginNotes({ findings, label, brief = false }: { findings: Finding[]; label: string; brief?: boolean }) {
    const open = useNoteLeaf();
    const { build } = useOpenBuild();
    const notes = findings.filter((finding) => finding.verdict !== 'fits');
    if (notes.length === 0) return null;
    const faults = notes.filter(isFault);
    const shown = brief ? (faults.length > 0 ? faults : notes.slice(0, 1)) : notes;
    const rest = notes.filter((finding) => !shown.includes(finding));
    return (
        <ul aria-label={label} className={`grid ${brief ? 'gap-0' : 'gap-1'}`}>
            {shown.map((finding) => (
                <li key={finding.key}>
                    <button
                        type="button"
                        onClick={() => open(finding.key)}
                        className={`group flex min-h-7 w-full items-start gap-1.5 rounded-sm px-1 py-0.5 text-left hover:bg-pen-wash ${
                            brief ? 'text-[0.8rem] leading-[1.15]' : 'text-[0.9rem] leading-snug'
                        }`}
                        data-finding={finding.key}
                    >
                        <Peg verdict={finding.verdict} size={brief ? 16 : 18} />
                        <span className={`group-hover:underline ${finding.pencil ? 'text-pencil italic' : ''}`} title={finding.pencil ? inPencil : undefined}>
                            {finding.says}
                            {build.needs[finding.key] !== undefined && <span className="text-pencil"> Wanted: {build.needs[finding.key]}.</span>}
                            {finding === shown.at(-1) && rest.length > 0 && <span className="text-pencil no-underline"> And {others(rest)}.</span>}
                        </span>
                    </button>
                </li>
            ))}
        </ul>
    );
}
