import clsx from 'clsx';
import type { SelectHTMLAttributes } from 'react';

/** The browser's own list: it works with every keyboard, reader and phone. */
export function Select<T extends string>({
    label,
    options,
    className,
    ...rest
}: { label: string; options: readonly (readonly [T, string])[] } & SelectHTMLAttributes<HTMLSelectElement>) {
    return (
        <select {...rest} aria-label={label} className={clsx('min-h-9 rounded-sm border border-line bg-leaf px-1 text-ink hover:border-edge', className)}>
            {options.map(([value, words]) => (
                <option key={value} value={value}>
                    {words}
                </option>
            ))}
        </select>
    );
}
