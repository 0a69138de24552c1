import { useState } from 'react';
import { Dialog } from '../ui/Dialog';
import { setShortcutsOff, shortcutsOff } from '../ui/useShortcuts';

const keys = [
    ['1 … 8', 'Brief, Parts, Power, Fit, Checks, Buy, Build, Bench'],
    ['q', 'Be asked what is not known yet'],
    ['m', 'What to measure next'],
    ['g', 'Part against part'],
    ['/', 'Search (in the library)'],
    ['a', 'Add a part (on Parts)'],
    ['n', 'Open the worst note'],
    ['u', 'Put back what was removed last'],
    ['h', 'All your builds'],
    ['l', 'Day or night'],
    ['↑ ↓', 'From line to line (on Parts), or from part to part (in a search)'],
    ['Enter, Space', 'Edit the line, select it (on Parts)'],
    ['↑ ↓ ← →, Shift', 'Move the piece a millimetre, a tenth (on Fit)'],
    ['r, p, Delete', 'Turn the piece, pin or free it, take it out (on Fit)'],
    ['Enter, Esc', 'In a field: save, put back'],
    ['?', 'This list'],
] as const;

export function Shortcuts({ open, onClose }: { open: boolean; onClose: () => void }) {
    const [off, setOff] = useState(shortcutsOff);
    return (
        <Dialog open={open} onClose={onClose} title="Shortcuts">
            <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
                {keys.map(([key, words]) => (
                    <div key={key} className="contents">
                        <dt>
                            <kbd className="figures rounded-sm border border-edge bg-leaf px-2 py-0.5">{key}</kbd>
                        </dt>
                        <dd>{words}</dd>
                    </div>
                ))}
            </dl>
            <label className="mt-6 flex items-center gap-2">
                <input
                    type="checkbox"
                    className="size-5"
                    checked={!off}
                    onChange={(event) => {
                        setShortcutsOff(!event.target.checked);
                        setOff(!event.target.checked);
                    }}
                />
                Listen to single keys
            </label>
        </Dialog>
    );
}
