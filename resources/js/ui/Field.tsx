import clsx from 'clsx';
import { useId, type InputHTMLAttributes, type ReactNode } from 'react';

export const inputLook = 'min-h-9 w-full rounded-sm border border-edge bg-leaf px-2 py-1 text-ink';

interface FieldProps extends InputHTMLAttributes<HTMLInputElement> {
    label: ReactNode;
    hint?: string;
    problem?: string | undefined;
}

export function Field({ label, hint, problem, className, id, ...rest }: FieldProps) {
    const own = useId();
    const name = id ?? own;
    const said = problem ?? hint;
    return (
        <div className={className}>
            <label htmlFor={name} className="mb-1 block text-sm font-semibold">
                {label}
            </label>
            <input
                {...rest}
                id={name}
                aria-invalid={problem !== undefined}
                aria-describedby={said === undefined ? undefined : `${name}-said`}
                className={clsx(inputLook, problem !== undefined && 'border-2 border-clash!')}
            />
            {said !== undefined && (
                <p id={`${name}-said`} className={clsx('mt-1 text-sm', problem === undefined ? 'text-pencil' : 'text-clash')}>
                    {said}
                </p>
            )}
        </div>
    );
}
