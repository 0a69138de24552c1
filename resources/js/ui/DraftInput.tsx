import clsx from 'clsx';
import type { InputHTMLAttributes } from 'react';
import { useDraft } from './useDraft';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'> {
    label: string;
    stored: string;
    /** Answers a complaint, or null when it was taken. */
    save: (typed: string) => Promise<string | null>;
}

/** A field in a row: saved on leaving it or with Enter, put back with Escape. */
export function DraftInput({ label, stored, save, className, ...rest }: Props) {
    const draft = useDraft(stored, save);
    return (
        <span className="relative inline-block">
            <input
                {...rest}
                aria-label={label}
                aria-invalid={draft.problem !== null}
                title={draft.problem ?? undefined}
                value={draft.value}
                onChange={(event) => draft.change(event.target.value)}
                onBlur={() => void draft.commit()}
                onKeyDown={(event) => {
                    if (event.key === 'Enter') void draft.commit();
                    if (event.key === 'Escape') draft.forget();
                }}
                className={clsx(
                    'min-h-9 rounded-sm border bg-leaf px-1.5 text-ink hover:border-edge',
                    draft.problem === null ? 'border-line' : 'border-2 border-clash',
                    className,
                )}
            />
            {draft.problem !== null && (
                <span
                    role="alert"
                    className="absolute top-full left-0 z-10 mt-1 w-56 rounded-sm border border-clash bg-leaf px-2 py-1 text-sm text-clash shadow-md"
                >
                    {draft.problem}
                </span>
            )}
        </span>
    );
}
