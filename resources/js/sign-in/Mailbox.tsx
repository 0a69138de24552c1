import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, type Letter } from '../api/client';
import { Button } from '../ui/Button';
import { ToTheDoor } from './ToTheDoor';

/** The stand-in mailbox: in demo mode every letter the application sends lands here. */
export function Mailbox() {
    // A letter may be written a moment after its page has answered.
    const letters = useQuery({ queryKey: ['mailbox'], queryFn: () => api.get<{ letters: Letter[] }>('/mailbox'), refetchInterval: 3000 });
    return (
        <main className="mx-auto min-h-screen max-w-3xl bg-paper p-6">
            <p className="mb-1 inline-block rounded-sm border border-dashed border-edge px-2 text-sm text-pencil">stand-in: no mail leaves this machine</p>
            <div className="mb-5 flex items-baseline justify-between gap-4">
                <h1 className="text-2xl">Mailbox</h1>
                <Button onClick={() => void letters.refetch()}>Look again</Button>
            </div>
            {letters.isError && <p role="alert">{letters.error.message}</p>}
            {letters.data?.letters.length === 0 && <p className="text-pencil">No letters yet. Ask for a new password, and it lands here.</p>}
            <ul className="grid gap-4">
                {letters.data?.letters.map((letter) => (
                    <li key={letter.id} className="border border-line bg-leaf p-4">
                        <h2 className="text-lg">{letter.subject}</h2>
                        <p className="mb-2 text-sm text-pencil">to {letter.recipient}</p>
                        <p className="break-words whitespace-pre-wrap">
                            {letter.body.split(/(https?:\/\/\S+)/).map((piece, index) => {
                                if (!piece.startsWith('http')) return piece;
                                const url = new URL(piece);
                                return (
                                    <Link key={index} className="break-all text-pen underline" to={`${url.pathname}${url.search}`}>
                                        {piece}
                                    </Link>
                                );
                            })}
                        </p>
                    </li>
                ))}
            </ul>
            <ToTheDoor />
        </main>
    );
}
