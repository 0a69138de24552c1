import { useState } from 'react';
import { api, type Clipping } from '../api/client';
import { Button } from '../ui/Button';
import { useNotices } from '../ui/Notices';
import { ClippingPanel, useClipping } from './ClippingPanel';
import { isGroup, type Group, type Raw } from './draft';

/** Takes figures out of a pasted text into the part that is being described; the text stays with it. */
export function PasteText({ draft, role, isNew, onTaken }: { draft: Group; role: string; isNew: boolean; onTaken: (part: Group) => void }) {
    const clipping = useClipping(draft);
    const notices = useNotices();
    const [open, setOpen] = useState(isNew);
    const { reading, taken, text } = clipping;
    const asked = isNew && reading?.role != null ? reading.role : role;
    const take = async () => {
        const part = isNew ? { ...draft, name: reading?.name ?? '', role: asked } : draft;
        const answer = await api.post<Clipping>('/clippings', { text, role: asked, part, take: [...taken] });
        const read = answer.part as Raw | null;
        if (read === null || !isGroup(read)) return;
        const before = Array.isArray(draft.clippings) ? draft.clippings : [];
        onTaken({ ...read, clippings: [...before, { text, on: new Date().toISOString().slice(0, 10) }] });
        notices.say(`${taken.size} ${taken.size === 1 ? 'find is' : 'finds are'} in the part; look them over and keep it.`);
        setOpen(false);
    };
    return (
        <details className="mb-4 border-t border-ink" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
            <summary className="font-head cursor-pointer py-1.5 text-lg font-semibold">Paste what you have</summary>
            <ClippingPanel clipping={clipping} role={isNew ? null : role} />
            {reading !== null && (
                <Button look="pen" className="mt-3" disabled={taken.size === 0} onClick={() => void take()}>
                    Take the ticked ones
                </Button>
            )}
        </details>
    );
}
