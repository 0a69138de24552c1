import { useId, useState } from 'react';
import { inputLook } from '../ui/Field';

interface PasswordFieldProps {
    label: string;
    name: string;
    autoComplete: 'current-password' | 'new-password';
    problem?: string | undefined;
    hint?: string;
}

/** Letters from which a password of several words is long enough to be left alone. */
const calmAt = 24;

type Length = 'too short' | 'short' | 'long enough' | 'good and long';

/** How far along the length of a password is; whether it is a common one, only the application knows. */
const lengthOf = (text: string): Length =>
    text.length < 12 ? 'too short' : text.length < 16 ? 'short' : text.length < calmAt ? 'long enough' : 'good and long';

/** A password that can be looked at while it is written, and that says how long it is when it is a new one. */
export function PasswordField({ label, name, autoComplete, problem, hint }: PasswordFieldProps) {
    const id = useId();
    const [shown, setShown] = useState(false);
    const [text, setText] = useState('');
    const said = problem ?? hint;
    return (
        <div>
            <label htmlFor={id} className="mb-1 block text-sm font-semibold">
                {label}
            </label>
            <div className="flex">
                <input
                    id={id}
                    name={name}
                    type={shown ? 'text' : 'password'}
                    autoComplete={autoComplete}
                    required
                    maxLength={200}
                    value={text}
                    onChange={(event) => setText(event.target.value)}
                    aria-invalid={problem !== undefined}
                    aria-describedby={said === undefined ? undefined : `${id}-said`}
                    className={`${inputLook} rounded-r-none ${problem === undefined ? '' : 'border-2 border-clash!'}`}
                />
                <button
                    type="button"
                    className="rounded-r-sm border border-l-0 border-edge bg-leaf px-3 text-sm text-pen hover:underline"
                    aria-pressed={shown}
                    onClick={() => setShown(!shown)}
                >
                    {shown ? 'Hide' : 'Show'}
                </button>
            </div>
            {autoComplete === 'new-password' && text !== '' && (
                <p className="mt-1 flex items-center gap-2 text-sm" role="status">
                    <span aria-hidden="true" className="h-1.5 flex-1 overflow-hidden rounded-full bg-line">
                        <span className="block h-full bg-pen" style={{ width: `${Math.min(100, (text.length / calmAt) * 100)}%` }} />
                    </span>
                    {lengthOf(text)}
                </p>
            )}
            {said !== undefined && (
                <p id={`${id}-said`} className={`mt-1 text-sm ${problem === undefined ? 'text-pencil' : 'text-clash'}`}>
                    {said}
                </p>
            )}
        </div>
    );
}
