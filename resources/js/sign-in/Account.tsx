import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type SubmitEvent } from 'react';
import { useNavigate } from 'react-router';
import { api, Problem, type Session } from '../api/client';
import { PageFrame } from '../ui/PageFrame';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { useNotices } from '../ui/Notices';
import { goodPassword } from './SignInPages';
import { useSession } from './SignedIn';
import { PasswordField } from './PasswordField';

/** One's own account: another password, and an end to every session there is. */
export default function Account() {
    const session = useSession();
    const user = session.data?.user;
    return (
        <PageFrame title="Your account" says={user === undefined || user === null ? undefined : `${user.name}, ${user.email}`}>
            {user != null && <HomeCurrency now={user.homeCurrency} />}
            {user?.isDemo === true ? (
                <p className="max-w-prose">The demo builder has no password. Make an account of your own to keep what you build.</p>
            ) : (
                <div className="grid gap-10 md:grid-cols-2">
                    <AnotherPassword />
                    <div className="grid content-start gap-10">
                        <Everywhere />
                        <ThrowAway />
                    </div>
                </div>
            )}
        </PageFrame>
    );
}

/** The currency in which new builds are reckoned. */
function HomeCurrency({ now }: { now: string }) {
    const cache = useQueryClient();
    const notices = useNotices();
    const change = useMutation<Session, Error, string>({
        mutationFn: (currency) => api.put<Session>('/home-currency', { currency }),
        onSuccess: (after) => {
            cache.setQueryData(['session'], after);
            notices.say('New builds are reckoned in this currency. Those that there are keep theirs; their briefs say it.');
        },
    });
    const send = (event: SubmitEvent<HTMLFormElement>) => {
        event.preventDefault();
        const typed = new FormData(event.currentTarget).get('currency');
        change.mutate(typeof typed === 'string' ? typed.trim().toUpperCase() : '');
    };
    return (
        <form onSubmit={send} className="mb-8 flex max-w-md flex-wrap items-start gap-3">
            <Field
                label="Home currency, three letters"
                name="currency"
                defaultValue={now}
                className="w-52"
                problem={change.error instanceof Problem ? (change.error.about('currency') ?? change.error.message) : undefined}
            />
            <Button type="submit" className="mt-6" disabled={change.isPending}>
                Save
            </Button>
        </form>
    );
}

function AnotherPassword() {
    const cache = useQueryClient();
    const notices = useNotices();
    const [round, setRound] = useState(0);
    const change = useMutation<Session, Error, Record<string, FormDataEntryValue>>({
        mutationFn: (body) => api.put<Session>('/password', body),
        onSuccess: (after) => {
            cache.setQueryData(['session'], after);
            setRound((before) => before + 1);
            notices.say('The new password holds. Every other device was signed out.');
        },
    });
    const about = (field: string) => (change.error instanceof Problem ? change.error.about(field) : undefined);
    const send = (event: SubmitEvent<HTMLFormElement>) => {
        event.preventDefault();
        change.mutate(Object.fromEntries(new FormData(event.currentTarget)));
    };
    return (
        <section>
            <h2 className="mb-3 text-xl">Another password</h2>
            <form key={round} onSubmit={send} className="grid max-w-md gap-4">
                {change.error !== null && about('current') === undefined && about('password') === undefined && (
                    <p role="alert" className="text-clash">
                        {change.error.message}
                    </p>
                )}
                <PasswordField label="The password that holds now" name="current" autoComplete="current-password" problem={about('current')} />
                <PasswordField label="New password" name="password" autoComplete="new-password" hint={goodPassword} problem={about('password')} />
                <Button type="submit" look="pen" disabled={change.isPending}>
                    Change it
                </Button>
            </form>
        </section>
    );
}

function Everywhere() {
    const cache = useQueryClient();
    const go = useNavigate();
    const notices = useNotices();
    const leave = useMutation({
        mutationFn: () => api.post<Session>('/sign-out-everywhere'),
        onSuccess: (after) => {
            cache.clear();
            cache.setQueryData(['session'], after);
            void go('/sign-in');
        },
        onError: (error: Error) => notices.say(error.message, 'bad'),
    });
    return (
        <section>
            <h2 className="mb-3 text-xl">Sign out everywhere</h2>
            <p className="mb-4 max-w-prose">
                Ends every session of this account, here and on every other device, also where it was to stay signed in. For a lost phone, or a machine that
                others use.
            </p>
            <Button onClick={() => leave.mutate()} disabled={leave.isPending}>
                Sign out everywhere
            </Button>
        </section>
    );
}

function ThrowAway() {
    const cache = useQueryClient();
    const go = useNavigate();
    const [sure, setSure] = useState(false);
    const away = useMutation<Session, Error, Record<string, FormDataEntryValue>>({
        mutationFn: (body) => api.remove<Session>('/account', body),
        onSuccess: (after) => {
            cache.clear();
            cache.setQueryData(['session'], after);
            void go('/sign-in');
        },
    });
    const send = (event: SubmitEvent<HTMLFormElement>) => {
        event.preventDefault();
        away.mutate(Object.fromEntries(new FormData(event.currentTarget)));
    };
    return (
        <section>
            <h2 className="mb-3 text-xl">Throw the account away</h2>
            <p className="mb-4 max-w-prose">
                With every build, part and photograph in it, also what was put away. It cannot be taken back: save as files what you want to keep.
            </p>
            {sure ? (
                <form onSubmit={send} className="grid max-w-md gap-4">
                    <PasswordField
                        label="Your password"
                        name="password"
                        autoComplete="current-password"
                        problem={away.error instanceof Problem ? (away.error.about('password') ?? away.error.message) : away.error?.message}
                    />
                    <div className="flex gap-3">
                        <Button type="submit" className="border-clash! text-clash!" disabled={away.isPending}>
                            Throw it away for good
                        </Button>
                        <Button onClick={() => setSure(false)}>Cancel</Button>
                    </div>
                </form>
            ) : (
                <Button onClick={() => setSure(true)}>Throw it away …</Button>
            )}
        </section>
    );
}
