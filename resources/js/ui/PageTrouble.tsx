import { useEffect, type ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { useLocation } from 'react-router';
import { Button } from './Button';

/** Seconds within which a page loaded anew by itself is not loaded anew once more. */
const ONCE_WITHIN_S = 30;
const LOADED_ANEW = 'pocketplot.loaded-anew';

/** Whether a part of the application could not be fetched, in the words of the browsers. */
const isUnfetched = (error: unknown) =>
    error instanceof Error && /dynamically imported module|importing a module script|module script failed|preload css/i.test(error.message);

/** After an update the parts of the old version are gone from the server, while the server is there: the page is loaded anew then, once. */
async function loadAnewAfterUpdate(): Promise<void> {
    if (Date.now() - Number(sessionStorage.getItem(LOADED_ANEW) ?? 0) < ONCE_WITHIN_S * 1000) return;
    const isThere = await fetch('/up').then(
        (answer) => answer.ok,
        () => false,
    );
    if (!isThere) return;
    sessionStorage.setItem(LOADED_ANEW, String(Date.now()));
    window.location.reload();
}

function Trouble({ error }: FallbackProps) {
    const unfetched = isUnfetched(error);
    useEffect(() => {
        if (unfetched) void loadAnewAfterUpdate();
    }, [unfetched]);
    return (
        <main className="m-4 max-w-xl border-l-4 border-clash bg-leaf p-4 sm:m-6" role="alert">
            <h2 className="mb-2 text-xl">{unfetched ? 'This page could not be fetched' : 'This page broke off'}</h2>
            <p className="mb-4">
                {unfetched
                    ? 'The server is away, or it was just updated. Everything that was acknowledged is kept.'
                    : 'That is a fault of ours. Everything that was acknowledged is kept.'}
            </p>
            {!unfetched && error instanceof Error && <p className="figures mb-4 text-sm text-pencil">{error.message}</p>}
            <Button look="pen" onClick={() => window.location.reload()}>
                Load it again
            </Button>
        </main>
    );
}

/** Pages within it that break off or cannot be fetched say so in their place; another address begins anew. */
export function PageTrouble({ children }: { children: ReactNode }) {
    const { pathname } = useLocation();
    return (
        <ErrorBoundary FallbackComponent={Trouble} resetKeys={[pathname]}>
            {children}
        </ErrorBoundary>
    );
}
