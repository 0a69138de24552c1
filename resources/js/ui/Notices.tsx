import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { Button } from './Button';

interface Notice {
    id: number;
    words: string;
    kind: 'good' | 'bad';
    action?: { words: string; run: () => void };
}

interface Notices {
    say: (words: string, kind?: Notice['kind'], action?: Notice['action']) => void;
}

const Context = createContext<Notices>({ say: () => undefined });

export const useNotices = () => useContext(Context);

let last = 0;

/** Slips of paper at the foot of the page. They stay until put away or until the next one. */
export function NoticeBoard({ children }: { children: ReactNode }) {
    const [notices, setNotices] = useState<Notice[]>([]);
    const putAway = useCallback((id: number) => setNotices((all) => all.filter((one) => one.id !== id)), []);
    const say = useCallback<Notices['say']>((words, kind = 'good', action) => {
        const notice: Notice = { id: ++last, words, kind, ...(action === undefined ? {} : { action }) };
        setNotices((all) => [...all.filter((one) => one.kind !== kind), notice]);
    }, []);
    const value = useMemo(() => ({ say }), [say]);
    return (
        <Context.Provider value={value}>
            {children}
            <div
                className="pointer-events-none fixed inset-x-0 bottom-16 z-50 flex flex-col items-center gap-2 px-3 lg:bottom-4"
                role="status"
                aria-live="polite"
            >
                {notices.map((notice) => (
                    <div
                        key={notice.id}
                        className={`pointer-events-auto flex max-w-xl items-center gap-3 rounded-sm border-2 bg-leaf px-4 py-2 shadow-lg ${notice.kind === 'bad' ? 'border-clash' : 'border-ink'}`}
                    >
                        <p>{notice.words}</p>
                        {notice.action !== undefined && (
                            <Button
                                look="bare"
                                className="shrink-0 whitespace-nowrap"
                                onClick={() => {
                                    notice.action?.run();
                                    putAway(notice.id);
                                }}
                            >
                                {notice.action.words}
                            </Button>
                        )}
                        <Button look="bare" aria-label="Put this notice away" onClick={() => putAway(notice.id)}>
                            ✕
                        </Button>
                    </div>
                ))}
            </div>
        </Context.Provider>
    );
}
