import type { Finding } from '../api/client';
import { Peg } from '../ui/Peg';
import { useNoteLeaf } from './NoteLeaf';

/** Notes beside the row they concern. What fits is said by the row's own mark alone. */
export function MarginNotes({ findings, label }: { findings: Finding[]; label: string }) {
    const open = useNoteLeaf();
    const open_ = findings.filter((finding) => finding.verdict !== 'fits');
    if (open_.length === 0) return null;
    return (
        <ul aria-label={label} className="grid gap-1">
            {open_.map((finding) => (
                <li key={finding.key}>
                    <button type="button" onClick={() => open(finding.key)} className="group flex w-full items-start gap-1.5 rounded-sm p-1 text-left text-[0.9rem] leading-snug hover:bg-pen-wash" data-finding={finding.key}>
                        <Peg verdict={finding.verdict} size={18} />
                        <span className="line-clamp-3 group-hover:underline">{finding.says}</span>
                    </button>
                </li>
            ))}
        </ul>
    );
}
