import type { Verdict } from '../api/client';

export const verdictWords: Record<Verdict, string> = {
    fits: 'fits',
    tight: 'tight',
    clash: 'clash',
    missing: 'missing',
    unmeasured: 'unmeasured',
};

const inks: Record<Verdict, string> = {
    fits: 'text-fits',
    tight: 'text-tight',
    clash: 'text-clash',
    missing: 'text-missing',
    unmeasured: 'text-unmeasured',
};

/** A peg and its hole: clear inside, touching the ring, across its edge; an empty hole for what is missing, a dashed one for what nobody knows. */
export function Peg({ verdict, size = 20, named = false }: { verdict: Verdict; size?: number; named?: boolean }) {
    const peg = {
        fits: <circle cx="12" cy="12" r="3.6" />,
        tight: <circle cx="15.1" cy="12" r="3.9" />,
        clash: <rect x="13.6" y="8.1" width="10" height="7.8" rx="1" />,
        missing: null,
        unmeasured: null,
    }[verdict];
    return (
        <span className={`inline-flex shrink-0 items-center gap-1.5 ${inks[verdict]}`}>
            <svg width={size} height={size} viewBox="0 0 24 24" role="img" aria-label={verdictWords[verdict]} fill="currentColor">
                <circle
                    cx="12"
                    cy="12"
                    r="8.2"
                    fill="none"
                    stroke="currentColor"
                    strokeWidth="2.2"
                    strokeDasharray={verdict === 'unmeasured' ? '3.4 3.04' : undefined}
                />
                {peg}
            </svg>
            {named && (
                <span aria-hidden="true" className="font-semibold">
                    {verdictWords[verdict]}
                </span>
            )}
        </span>
    );
}

/** Of findings as the application orders them, the worst first: the mark of all of them together. */
export const markOf = (findings: { verdict: Verdict }[]): Verdict => findings[0]?.verdict ?? 'fits';
