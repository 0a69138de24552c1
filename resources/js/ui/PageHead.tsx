import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link, NavLink, useNavigate } from 'react-router';
import { api, type Session } from '../api/client';
import { BrandMark } from './BrandMark';
import { Button } from './Button';
import { turnLight } from './light';
import { useNotices } from './Notices';

const pages = [
    ['/', 'Builds'],
    ['/library', 'Library'],
    ['/drawer', 'Drawer'],
    ['/rules', 'Rules'],
] as const;

/** The head of every page that belongs to no build: the name, the places, and the way out. */
export function PageHead() {
    const cache = useQueryClient();
    const go = useNavigate();
    const notices = useNotices();
    const signOut = useMutation({
        mutationFn: () => api.post<Session>('/sign-out'),
        onSuccess: (after) => {
            cache.clear();
            cache.setQueryData(['session'], after);
            void go('/sign-in');
        },
        onError: (error) => notices.say(error.message, 'bad'),
    });
    return (
        <header className="mb-6 flex flex-wrap items-center justify-between gap-3">
            <div className="flex flex-wrap items-center gap-x-8 gap-y-2">
                <BrandMark />
                <nav aria-label="Places" className="font-head flex flex-wrap items-center gap-x-5 gap-y-1 text-lg font-semibold">
                    {pages.map(([to, name]) => (
                        <NavLink
                            key={to}
                            to={to}
                            end={to === '/'}
                            className={({ isActive }) => (isActive ? 'border-b-2 border-pen text-ink' : 'text-pen hover:underline')}
                        >
                            {name}
                        </NavLink>
                    ))}
                </nav>
            </div>
            <div className="flex items-center gap-1">
                <Button look="bare" onClick={turnLight}>
                    Day / night
                </Button>
                <Link className="px-3 py-1 font-semibold text-pen hover:underline" to="/account">
                    Account
                </Link>
                <Button look="bare" onClick={() => signOut.mutate()}>
                    Sign out
                </Button>
            </div>
        </header>
    );
}
