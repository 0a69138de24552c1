import { useRef, type ReactNode } from 'react';
import { Button } from './Button';

/** A button that lets files of this device be chosen; the same one can be chosen again. */
export function FileButton({
    label,
    accept,
    multiple = false,
    disabled = false,
    onChosen,
    children,
}: {
    /** What is to be chosen. */
    label: string;
    accept: string;
    multiple?: boolean;
    disabled?: boolean;
    onChosen: (files: File[]) => void;
    children: ReactNode;
}) {
    const input = useRef<HTMLInputElement>(null);
    return (
        <>
            <input
                ref={input}
                type="file"
                className="sr-only"
                tabIndex={-1}
                aria-label={label}
                accept={accept}
                multiple={multiple}
                onChange={(event) => {
                    onChosen([...(event.target.files ?? [])]);
                    event.target.value = '';
                }}
            />
            <Button disabled={disabled} onClick={() => input.current?.click()}>
                {children}
            </Button>
        </>
    );
}
