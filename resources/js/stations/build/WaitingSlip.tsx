import { Button } from '../../ui/Button';
import type { Outbox } from './useOutbox';

/** What was written down and is still on this device only. */
export function WaitingSlip({ outbox }: { outbox: Outbox }) {
    const open = outbox.waiting.filter((one) => one.refused === null);
    const refused = outbox.waiting.filter((one) => one.refused !== null);
    if (refused.length === 0 && outbox.told.length === 0 && (open.length === 0 || !outbox.away)) return null;
    return (
        <div role="status" className="mb-3 border-2 border-tight bg-leaf px-3 py-2 print:hidden">
            {open.length > 0 && outbox.away && (
                <p className="flex flex-wrap items-center gap-x-3">
                    <span>
                        The network is gone. {open.length === 1 ? 'One entry waits' : `${open.length} entries wait`} on this device and goes out by itself when
                        it is back.
                    </span>
                    <Button look="bare" onClick={() => void outbox.send()}>
                        Try now
                    </Button>
                </p>
            )}
            {outbox.told.map((one) => (
                <p key={one.id} className="flex flex-wrap items-center gap-x-3">
                    <span>An entry that waited has arrived: {one.says}</span>
                    <Button look="bare" onClick={() => outbox.hear(one.id)}>
                        Seen
                    </Button>
                </p>
            ))}
            {refused.map((one) => (
                <p key={one.event.id} className="flex flex-wrap items-center gap-x-3">
                    <span>
                        Not taken ({one.event.step}): {one.refused} {one.event.note !== undefined && `Your note: “${one.event.note}”`}
                    </span>
                    <Button look="bare" onClick={() => outbox.forget(one.event.id)}>
                        Let go of it
                    </Button>
                </p>
            ))}
        </div>
    );
}
