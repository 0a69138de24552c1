import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

const looks = {
    pen: 'border-pen bg-pen text-on-pen hover:opacity-90',
    plain: 'border-edge bg-leaf text-ink hover:border-pen hover:text-pen',
    bare: 'border-transparent bg-transparent text-pen hover:underline',
};

export function Button({ look = 'plain', className, ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { look?: keyof typeof looks }) {
    return (
        <button
            type="button"
            {...rest}
            className={clsx(
                'inline-flex min-h-9 items-center justify-center gap-2 rounded-sm border px-3 py-1 font-semibold disabled:opacity-50',
                looks[look],
                className,
            )}
        />
    );
}
