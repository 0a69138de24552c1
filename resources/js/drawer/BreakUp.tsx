import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type DrawerPiece } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { inputLook } from '../ui/Field';

/** A donor taken apart: each line is a thing that came out of it; "broken" behind it says that it did not survive. */
export function BreakUp({ piece, onClose, onDone }: { piece: DrawerPiece; onClose: () => void; onDone: () => void }) {
    const [text, setText] = useState('');
    const parts = partsOf(text);
    const take = useMutation({ mutationFn: () => api.post<{ id: number }>(`/drawer/${piece.id}/break-up`, { parts }), onSuccess: onDone });
    const whole = parts.filter((part) => !part.broken);
    return (
        <Dialog
            open
            onClose={onClose}
            title={`Take ${piece.name} apart`}
            foot={
                <Button look="pen" disabled={parts.length === 0 || take.isPending} onClick={() => take.mutate()}>
                    {whole.length === 0 ? 'Take it out' : `Take it out and put ${whole.length} in`}
                </Button>
            }
        >
            <label className="block" data-first>
                <span className="mb-1 block text-sm font-semibold">What came out, one thing a line: “2 × loudspeaker 4 ohm”, “charging socket broken”</span>
                <textarea rows={8} className={inputLook} value={text} onChange={(event) => setText(event.target.value)} />
            </label>
            <ul className="mt-3 text-sm">
                {parts.map((part, at) => (
                    <li key={at} className={part.broken ? 'text-pencil line-through' : ''}>
                        {part.quantity} × {part.name}
                    </li>
                ))}
            </ul>
            <p className="mt-4 text-sm text-pencil">
                Unplug it and let it stand before it is opened. What is fed from the mains, and a cell that is swollen or dented, is for somebody qualified.
            </p>
            {take.error instanceof Problem && (
                <p role="alert" className="mt-2 text-clash">
                    {Object.values(take.error.fields)[0]?.[0] ?? take.error.message}
                </p>
            )}
        </Dialog>
    );
}

function partsOf(text: string): { name: string; quantity: number; broken: boolean }[] {
    return text
        .split('\n')
        .map((line) => line.trim())
        .filter((line) => line !== '')
        .map((line) => {
            const counted = /^(\d{1,3})\s*[x×]\s*(.+)$/i.exec(line);
            const name = counted?.[2] ?? line;
            return { name: name.replace(/[\s,:;]*\bbroken$/i, ''), quantity: Number(counted?.[1] ?? 1), broken: /\bbroken$/i.test(name) };
        });
}
