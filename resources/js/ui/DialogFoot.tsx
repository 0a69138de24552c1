import type { ReactNode } from 'react';

/** The foot of a leaf: what it is about to do on the right, and beside it what went wrong. */
export function DialogFoot({ problem, children }: { problem: string | null; children: ReactNode }) {
    return (
        <div className="flex flex-wrap items-center justify-end gap-3">
            {problem !== null && (
                <p role="alert" className="min-w-0 flex-1 text-sm text-clash">
                    {problem}
                </p>
            )}
            {children}
        </div>
    );
}
