import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { PageHead } from './PageHead';

/** The frame of the pages that belong to no build. */
export function PageFrame({ title, says, children, tools }: { title: string; says?: ReactNode; children: ReactNode; tools?: ReactNode }) {
    return (
        <div className="mx-auto min-h-screen max-w-6xl bg-paper px-4 py-4 sm:px-8">
            <PageHead />
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

export function BackTo({ to, children }: { to: string; children: ReactNode }) {
    return (
        <Link to={to} className="font-head mb-3 inline-block font-semibold text-pen hover:underline">
            ← {children}
        </Link>
    );
}
