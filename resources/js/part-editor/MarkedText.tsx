import type { ClippingProposal } from '../api/client';

/** A pasted text with what was found in it marked where it stands. */
export function MarkedText({ text, proposals, taken }: { text: string; proposals: ClippingProposal[]; taken: ReadonlySet<number> }) {
    // Places count whole signs, not halves of them.
    const signs = Array.from(text);
    const pieces: React.ReactNode[] = [];
    let at = 0;
    for (const one of [...proposals].sort((a, b) => a.start - b.start || b.end - a.end)) {
        if (one.start < at) continue;
        pieces.push(signs.slice(at, one.start).join(''));
        pieces.push(
            <mark
                key={one.id}
                title={`${one.label}: ${one.says}`}
                className={`rounded-sm px-0.5 text-ink ${taken.has(one.id) ? 'bg-pen-wash underline decoration-pen decoration-2' : 'bg-transparent underline decoration-edge decoration-dotted'}`}
            >
                {signs.slice(one.start, one.end).join('')}
            </mark>,
        );
        at = one.end;
    }
    pieces.push(signs.slice(at).join(''));
    return (
        <div
            tabIndex={0}
            aria-label="The text, with what was found marked"
            role="region"
            className="dot-grid max-h-80 overflow-auto border border-line p-3 text-sm break-words whitespace-pre-wrap"
        >
            {pieces}
        </div>
    );
}
