import { useState } from 'react';
import { api, type Build } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { inputLook } from '../../ui/Field';
import { useNotices } from '../../ui/Notices';
import { Select } from '../../ui/Select';
import { states } from '../../ui/words';

/** What can be done with several lines at once. */
export function Selection({ lines, onClear }: { lines: string[]; onClear: () => void }) {
    const { edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [vendor, setVendor] = useState('');
    const many = async (change: Record<string, string>, said: string) => {
        const answer = await edit((path, version) => api.post<Build>(`${path}/lines/many`, { version, lines, ...change }));
        if (answer instanceof Error) return;
        if (change['then'] !== 'remove') {
            notices.say(said);
            return;
        }
        onClear();
        notices.say(said, 'good', {
            words: 'Put them back',
            run: () => void edit((path, version) => api.post<Build>(`${path}/lines/many`, { version, lines, then: 'restore' })),
        });
    };
    const counted = `${lines.length} ${lines.length === 1 ? 'line' : 'lines'}`;
    return (
        <div className="sticky top-0 z-10 flex flex-wrap items-center gap-2 border-y border-edge bg-pen-wash px-4 py-1.5 sm:px-6" aria-live="polite">
            <span className="mr-2 font-semibold">{counted} selected</span>
            <Select
                label="State of all selected"
                className="border-edge!"
                disabled={busy}
                value=""
                options={[['', 'state …'] as const, ...states.map(([value, words]) => [value as string, words] as const)]}
                onChange={(event) => event.target.value !== '' && void many({ then: 'change', state: event.target.value }, `${counted} changed.`)}
            />
            <form
                className="flex gap-1"
                onSubmit={(event) => {
                    event.preventDefault();
                    void many({ then: 'change', vendor }, `${counted} changed.`);
                }}
            >
                <input
                    className={`${inputLook} w-40`}
                    aria-label="Vendor of all selected"
                    placeholder="vendor"
                    maxLength={120}
                    value={vendor}
                    onChange={(event) => setVendor(event.target.value)}
                />
                <Button type="submit" disabled={busy || vendor.trim() === ''}>
                    Set
                </Button>
            </form>
            <Button disabled={busy} onClick={() => void many({ then: 'remove' }, `${counted} removed.`)}>
                Remove
            </Button>
            <Button look="bare" onClick={onClear}>
                Let go
            </Button>
        </div>
    );
}
