import { useQuery } from '@tanstack/react-query';
import { Navigate, Outlet } from 'react-router';
import { api, type Session } from '../api/client';

export const useSession = () => useQuery({ queryKey: ['session'], queryFn: () => api.get<Session>('/session'), staleTime: Infinity });

/** Lets only the signed-in through. */
export function SignedIn() {
    const session = useSession();
    if (session.isPending) return null;
    if (session.isError) return <p className="p-8">{session.error.message}</p>;
    return session.data.user === null ? <Navigate to="/sign-in" replace /> : <Outlet />;
}
