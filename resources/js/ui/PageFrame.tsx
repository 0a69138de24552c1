import type { ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { Button } from './Button';
import { turnLight } from './light';

const pages = [
    ['/', 'Builds'],
    ['/library', 'Library'],
    ['/rules', 'Rules'],
] as const;

/** The frame of the pages that belong to no build. */
export function PageFrame({ title, says, children, tools }: { title: string; says?: ReactNode; children: ReactNode; tools?: ReactNode }) {
    return (
        <div className="mx-auto min-h-screen max-w-6xl bg-paper px-4 py-4 sm:px-8">
            <header className="mb-5 flex flex-wrap items-center justify-between gap-3">
                <Places />
                <Button look="bare" onClick={turnLight}>
                    Day / night
                </Button>
            </header>
            <main>
                <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
                    <div>
                        <h1 className="text-3xl">{title}</h1>
                        {says !== undefined && <p className="text-pencil">{says}</p>}
                    </div>
                    {tools !== undefined && <div className="flex flex-wrap items-center gap-3">{tools}</div>}
                </div>
                {children}
            </main>
        </div>
    );
}

export function Places() {
    return (
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
    );
}

export function BackTo({ to, children }: { to: string; children: ReactNode }) {
    return (
        <Link to={to} className="font-head mb-3 inline-block font-semibold text-pen hover:underline">
            ← {children}
        </Link>
    );
}
