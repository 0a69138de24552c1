import { useState } from 'react';

/**
 * What is being typed over a stored value. Once saved, or when the stored value changes while
 * nothing is typed, the stored value shows again; what failed to save stays.
 */
export function useDraft(stored: string, save: (typed: string) => Promise<string | null>) {
    const [typed, setTyped] = useState<string | null>(null);
    const [problem, setProblem] = useState<string | null>(null);
    return {
        value: typed ?? stored,
        problem,
        change: setTyped,
        commit: async () => {
            if (typed === null || typed === stored) {
                setTyped(null);
                setProblem(null);
                return;
            }
            const complaint = await save(typed);
            setProblem(complaint);
            if (complaint === null) setTyped(null);
        },
        forget: () => {
            setTyped(null);
            setProblem(null);
        },
    };
}
