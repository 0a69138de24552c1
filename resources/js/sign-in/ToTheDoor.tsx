import { Link } from 'react-router';

/** Below every page before signing in: the way to the one where that is done. */
export function ToTheDoor({ children = 'Back to the door' }: { children?: string }) {
    return (
        <p className="mt-5">
            <Link className="text-pen underline" to="/sign-in">
                {children}
            </Link>
        </p>
    );
}
