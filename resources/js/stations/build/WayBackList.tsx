import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type WayBack } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';

/** What to take back to get at something, asked for when it is wanted. */
export function WayBackList({ about }: { about: { step?: string; line?: string } }) {
    const { build } = useOpenBuild();
    const [open, setOpen] = useState(false);
    const asked = new URLSearchParams(Object.entries(about)).toString();
    const way = useQuery({
        queryKey: ['way-back', build.id, build.version, asked],
        queryFn: () => api.get<WayBack>(`/builds/${build.id}/way-back?${asked}`),
        enabled: open,
    });
    return (
        <div>
            <Button aria-expanded={open} onClick={() => setOpen(!open)}>
                The way back to it
            </Button>
            {open && way.data !== undefined && <Way way={way.data} />}
        </div>
    );
}

/** Steps to take back, the last first; what to test again on the way forward; what cannot be taken back. */
export function Way({ way, onTaken }: { way: WayBack; onTaken?: () => void }) {
    if (way.undo.length === 0) return <p className="text-sm">Nothing has to be taken back: it lies open.</p>;
    return (
        <div className="mt-2 text-sm">
            <ol className="list-decimal pl-6">
                {way.undo.map((step) => (
                    <li key={step.id}>
                        <span className="font-semibold">{step.title}</span>:{' '}
                        {step.undo === 'not at all' ? `cannot be undone (${step.undoSays})` : step.undoSays || `undone ${step.undo}`}
                    </li>
                ))}
            </ol>
            {way.blocked.length > 0 && (
                <p className="border-l-4 border-clash pl-2 font-semibold">
                    {way.blocked.map((step) => step.title).join(', ')} cannot be taken back: behind it something would have to be broken open.
                </p>
            )}
            {way.again.length > 0 && <p>To be passed again on the way forward: {way.again.map((step) => step.title).join(', ')}.</p>}
            {onTaken !== undefined && (
                <Button className="mt-2" onClick={onTaken}>
                    I took {way.undo.length === 1 ? 'it' : `these ${way.undo.length}`} back
                </Button>
            )}
        </div>
    );
}
