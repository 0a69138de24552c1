import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode, type SubmitEvent } from 'react';
import { Link, Navigate, useNavigate, useSearchParams } from 'react-router';
import { api, Problem, type Session } from '../api/client';
import { BrandMark } from '../ui/BrandMark';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { useSession } from './SignedIn';
import { PasswordField } from './PasswordField';
import { ToTheDoor } from './ToTheDoor';

/** What this is, in one look: a page of a build with a clash in its margin, and three sentences. */
function Front({ children }: { children: ReactNode }) {
    const light = document.documentElement.dataset['light'] === 'night' ? 'night' : 'day';
    return (
        <main className="dot-grid flex min-h-screen items-center justify-center bg-desk p-4">
            <div className="grid w-full max-w-6xl rounded-sm border border-edge bg-paper shadow-lg lg:grid-cols-[minmax(0,1fr)_25rem]">
                <section className="border-line p-7 max-lg:order-last max-lg:border-t lg:border-r" aria-label="What this is">
                    <BrandMark className="mb-5 max-lg:hidden" />
                    <h2 className="mb-3 text-2xl">Know before you order whether it goes together</h2>
                    <img
                        src={`/front-${light}.png`}
                        width={948}
                        height={281}
                        className="mb-4 w-full border border-line"
                        alt="A parts list. In its margin: Rook 9 panel needs 9 to 13 V. Ridge LiFePO4 pack, 12 Ah gives 10 to 14.6 V. Wanted: a buck-boost converter."
                    />
                    <p className="max-w-prose">
                        Pocket Plot is a notebook for the console that you build yourself. From the second part on it says what clashes, what is missing and
                        what nobody has measured yet, each with its sum and a way out. Run time, cost, joins, steps and bench readings hang on the same figures,
                        so that a change in one shows in all.
                    </p>
                    <p className="mt-3 max-w-prose text-sm text-pencil">
                        It runs on a machine of your own, for yourself or for a club, and asks no outside service for anything. Everything can be saved in open
                        formats.
                    </p>
                </section>
                <div className="p-7">
                    <BrandMark className="mb-5 lg:hidden" />
                    <h1 className="mb-4 text-2xl">Into the workshop</h1>
                    {children}
                </div>
            </div>
        </main>
    );
}

function Door({ title, children }: { title: string; children: ReactNode }) {
    return (
        <main className="dot-grid flex min-h-screen items-center justify-center bg-desk p-4">
            <div className="w-full max-w-md rounded-sm border border-edge bg-paper p-7 shadow-lg">
                <BrandMark className="mb-5" />
                <h1 className="mb-4 text-2xl">{title}</h1>
                {children}
            </div>
        </main>
    );
}

function useDoor<T>(path: string, then: (answer: T) => void) {
    return useMutation<T, Error, Record<string, string>>({ mutationFn: (body) => api.post<T>(path, body), onSuccess: then });
}

export const goodPassword = '12 characters or more. Three or four words that have nothing to do with each other do well.';

const about = (error: Error | null, field: string) => (error instanceof Problem ? error.about(field) : undefined);

/** What stands at no field of its own: that the key of a letter has run out, or that nothing was taken at all. */
function Complaint({ error }: { error: Error | null }) {
    const said = about(error, 'token') ?? (error instanceof Problem && error.code === 'bad-input' ? undefined : error?.message);
    return said === undefined ? null : (
        <p role="alert" className="mb-3 text-clash">
            {said}
        </p>
    );
}

function useEnter() {
    const cache = useQueryClient();
    const go = useNavigate();
    return (session: Session) => {
        cache.clear();
        cache.setQueryData(['session'], session);
        void go('/');
    };
}

function values(event: SubmitEvent<HTMLFormElement>): Record<string, string> {
    event.preventDefault();
    return Object.fromEntries([...new FormData(event.currentTarget)].map(([name, value]) => [name, typeof value === 'string' ? value : '']));
}

export function SignIn() {
    const session = useSession();
    const enter = useEnter();
    const door = useDoor<Session>('/sign-in', enter);
    const demo = useDoor<Session>('/demo-door', enter);
    if (session.data?.user) return <Navigate to="/" replace />;
    return (
        <Front>
            {session.data?.demoDoor === true && (
                <div className="mb-6 border-b border-line pb-6">
                    <Button look="pen" className="min-h-12 w-full text-lg" onClick={() => demo.mutate({})} disabled={demo.isPending}>
                        Look around the demo workshop
                    </Button>
                    <p className="mt-2 text-sm text-pencil">No account needed. This door exists only on this machine, in demo mode.</p>
                    <Complaint error={demo.error} />
                </div>
            )}
            {session.data?.demoMode === true && !session.data.demoDoor && (
                <p className="mb-6 border-b border-line pb-6">
                    The demo workshop needs no account: open the whole address that <code>bin/start</code> printed, with the key at its end.
                </p>
            )}
            <form onSubmit={(event) => door.mutate(values(event))} className="grid gap-4">
                <Complaint error={door.error} />
                <Field label="E-mail" name="email" type="email" autoComplete="username" required problem={about(door.error, 'email')} />
                <PasswordField label="Password" name="password" autoComplete="current-password" problem={about(door.error, 'password')} />
                <label className="flex min-h-9 items-center gap-2">
                    <input type="checkbox" name="remember" value="1" className="size-5 accent-pen" />
                    Stay signed in on this device for thirty days
                </label>
                <Button type="submit" look={session.data?.demoDoor === true ? 'plain' : 'pen'} disabled={door.isPending}>
                    Sign in
                </Button>
            </form>
            <p className="mt-5 flex flex-wrap justify-between gap-3 text-pen">
                <Link className="underline" to="/register">
                    Make an account
                </Link>
                <Link className="underline" to="/forgot-password">
                    Forgotten the password?
                </Link>
            </p>
        </Front>
    );
}

/** What the server says of a letter on its way; in demo mode with the way to where it lands. */
function LetterSent({ message }: { message: string }) {
    const session = useSession();
    return (
        <p role="status">
            {message}
            {session.data?.demoDoor === true && (
                <>
                    {' '}
                    In demo mode letters land in the{' '}
                    <Link className="text-pen underline" to="/mailbox">
                        stand-in mailbox
                    </Link>
                    .
                </>
            )}
        </p>
    );
}

export function Register() {
    const door = useDoor<{ message: string }>('/register', () => undefined);
    return (
        <Door title="Make an account">
            {door.isSuccess ? (
                <LetterSent message={door.data.message} />
            ) : (
                <form onSubmit={(event) => door.mutate(values(event))} className="grid gap-4" noValidate>
                    <Complaint error={door.error} />
                    <Field label="What should we call you?" name="name" autoComplete="name" required problem={about(door.error, 'name')} />
                    <Field
                        label="E-mail"
                        name="email"
                        type="email"
                        autoComplete="username"
                        required
                        hint="A letter comes to it; its link opens the account."
                        problem={about(door.error, 'email')}
                    />
                    <PasswordField label="Password" name="password" autoComplete="new-password" hint={goodPassword} problem={about(door.error, 'password')} />
                    <Button type="submit" look="pen" disabled={door.isPending}>
                        Make the account
                    </Button>
                </form>
            )}
            <ToTheDoor>Sign in instead</ToTheDoor>
        </Door>
    );
}

/** Where the link in the letter leads. A press opens the account, not the link alone: mail programs look at links by themselves. */
export function OpenAccount() {
    const [query] = useSearchParams();
    const door = useDoor<Session>('/open-account', useEnter());
    return (
        <Door title="Open your account">
            <form onSubmit={(event) => door.mutate(values(event))} className="grid gap-4">
                <Complaint error={door.error} />
                <input type="hidden" name="token" value={query.get('token') ?? ''} />
                <Button type="submit" look="pen" className="min-h-12 text-lg" disabled={door.isPending}>
                    Open it and come in
                </Button>
            </form>
            <ToTheDoor>Sign in instead</ToTheDoor>
        </Door>
    );
}

export function AskForPassword() {
    const door = useDoor<{ message: string }>('/forgot-password', () => undefined);
    return (
        <Door title="A new password">
            {door.isSuccess ? (
                <LetterSent message={door.data.message} />
            ) : (
                <form onSubmit={(event) => door.mutate(values(event))} className="grid gap-4">
                    <Complaint error={door.error} />
                    <Field label="E-mail of your account" name="email" type="email" autoComplete="username" required problem={about(door.error, 'email')} />
                    <Button type="submit" look="pen" disabled={door.isPending}>
                        Send me a letter
                    </Button>
                </form>
            )}
            <ToTheDoor />
        </Door>
    );
}

export function NewPassword() {
    const [query] = useSearchParams();
    const [done, setDone] = useState(false);
    const door = useDoor<{ message: string }>('/new-password', () => setDone(true));
    return (
        <Door title="Set a new password">
            {done ? (
                <p role="status">
                    The new password holds, and every other device is signed out.{' '}
                    <Link className="text-pen underline" to="/sign-in">
                        Sign in with it.
                    </Link>
                </p>
            ) : (
                <form onSubmit={(event) => door.mutate(values(event))} className="grid gap-4">
                    <Complaint error={door.error} />
                    <input type="hidden" name="token" value={query.get('token') ?? ''} />
                    <input type="hidden" name="email" value={query.get('email') ?? ''} />
                    <PasswordField
                        label="New password"
                        name="password"
                        autoComplete="new-password"
                        hint={goodPassword}
                        problem={about(door.error, 'password')}
                    />
                    <Button type="submit" look="pen" disabled={door.isPending}>
                        Set it
                    </Button>
                </form>
            )}
        </Door>
    );
}
