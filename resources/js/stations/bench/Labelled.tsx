import { useId, type ReactNode } from 'react';

/** Fields of the bench: large enough for dirty fingers. */
export const big = 'min-h-12 rounded-sm border border-edge bg-leaf px-2 text-lg text-ink';

export function Labelled({
    label,
    problem,
    className,
    children,
}: {
    label: string;
    problem?: string | undefined;
    className?: string;
    children: (id: string) => ReactNode;
}) {
    const id = useId();
    return (
        <div className={className}>
            <label htmlFor={id} className="block font-semibold">
                {label}
            </label>
            {children(id)}
            {problem !== undefined && <p className="max-w-52 text-sm text-clash">{problem}</p>}
        </div>
    );
}

/** One of a few: value and words. */
export function Choice({
    label,
    value,
    options,
    onChange,
    problem,
    className,
}: {
    label: string;
    value: string;
    options: readonly (readonly [string, string])[];
    onChange: (value: string) => void;
    problem?: string | undefined;
    className?: string;
}) {
    return (
        <Labelled label={label} problem={problem} {...(className === undefined ? {} : { className })}>
            {(id) => (
                <select
                    id={id}
                    className={`${big} w-full`}
                    value={value}
                    aria-invalid={problem !== undefined}
                    onChange={(event) => onChange(event.target.value)}
                >
                    {options.map(([one, words]) => (
                        <option key={one} value={one}>
                            {words}
                        </option>
                    ))}
                </select>
            )}
        </Labelled>
    );
}
