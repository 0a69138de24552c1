import type { Finding, Verdict } from '../api/client';
import { Peg } from '../ui/Peg';
import { useNoteLeaf } from './NoteLeaf';
import { useOpenBuild } from './useBuild';

/** Lines that a note takes in brief, by how much it matters. */
const clamps: Record<Verdict, string> = {
    clash: 'line-clamp-4',
    missing: 'line-clamp-4',
    unmeasured: 'line-clamp-2',
    tight: 'line-clamp-1',
    fits: 'line-clamp-1',
};

/** Notes beside the row they concern. What fits is said by the row's own mark alone; in brief, what is only tight takes one line. */
export function MarginNotes({ findings, label, brief = false }: { findings: Finding[]; label: string; brief?: boolean }) {
    const open = useNoteLeaf();
    const { build } = useOpenBuild();
    const open_ = findings.filter((finding) => finding.verdict !== 'fits');
    if (open_.length === 0) return null;
    return (
        <ul aria-label={label} className={`grid ${brief ? 'gap-0' : 'gap-1'}`}>
            {open_.map((finding) => (
                <li key={finding.key}>
                    <button
                        type="button"
                        onClick={() => open(finding.key)}
                        className="group flex min-h-7 w-full items-start gap-1.5 rounded-sm px-1 py-0.5 text-left text-[0.9rem] leading-snug hover:bg-pen-wash"
                        data-finding={finding.key}
                    >
                        <Peg verdict={finding.verdict} size={18} />
                        <span
                            className={`group-hover:underline ${brief ? clamps[finding.verdict] : 'line-clamp-4'}`}
                            title={[finding.says, build.needs[finding.key]].filter(Boolean).join(' Wanted: ')}
                        >
                            {finding.says}
                            {build.needs[finding.key] !== undefined && <span className="text-pencil"> Wanted: {build.needs[finding.key]}.</span>}
                        </span>
                    </button>
                </li>
            ))}
        </ul>
    );
}
