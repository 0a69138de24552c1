import { Dialog as RadixDialog } from 'radix-ui';
import { useRef, type ReactNode } from 'react';

const focusable = 'input, select, textarea, button, a';

/** A loose leaf laid over the page: from the right edge, or in the middle. What is marked data-first, or the first field in it, is where the hands begin. */
export function Dialog({
    open,
    onClose,
    title,
    children,
    wide = false,
    foot,
}: {
    open: boolean;
    onClose: () => void;
    title: ReactNode;
    children: ReactNode;
    wide?: boolean;
    foot?: ReactNode;
}) {
    // A leaf opened by a key or a paste has no button of its own to go back to.
    const before = useRef<Element | null>(null);
    return (
        <RadixDialog.Root open={open} onOpenChange={(now) => !now && onClose()}>
            <RadixDialog.Portal>
                <RadixDialog.Overlay className="fixed inset-0 z-30 bg-black/45" />
                <RadixDialog.Content
                    aria-describedby={undefined}
                    onOpenAutoFocus={(event) => {
                        before.current = document.activeElement;
                        const first = event.currentTarget instanceof HTMLElement ? event.currentTarget.querySelector<HTMLElement>('[data-first]') : null;
                        const toFocus = first?.matches(focusable) === true ? first : first?.querySelector<HTMLElement>(focusable);
                        if (toFocus instanceof HTMLElement) {
                            event.preventDefault();
                            toFocus.focus();
                        }
                    }}
                    onCloseAutoFocus={(event) => {
                        event.preventDefault();
                        if (before.current instanceof HTMLElement && before.current.isConnected) before.current.focus();
                    }}
                    className={`fixed z-40 flex flex-col bg-paper shadow-2xl ${
                        wide
                            ? 'inset-x-0 top-[4vh] mx-auto h-[92vh] w-[min(64rem,96vw)] rounded-sm border border-edge'
                            : 'inset-y-0 right-0 w-[min(34rem,100vw)] border-l-4 border-pen'
                    }`}
                >
                    <div className="flex items-start justify-between gap-4 border-b border-line px-5 pt-4 pb-3">
                        <RadixDialog.Title className="text-xl">{title}</RadixDialog.Title>
                        <RadixDialog.Close className="min-h-9 min-w-9 rounded-sm text-lg text-pencil hover:text-pen" aria-label="Close">
                            ✕
                        </RadixDialog.Close>
                    </div>
                    <div className="min-h-0 flex-1 overflow-y-auto px-5 py-4" tabIndex={-1}>
                        {children}
                    </div>
                    {foot !== undefined && <div className="border-t border-line bg-leaf px-5 py-3">{foot}</div>}
                </RadixDialog.Content>
            </RadixDialog.Portal>
        </RadixDialog.Root>
    );
}
