import { demos } from './demos';

/** The builds that ship with the application, each to be taken as a copy. */
export function DemoList({ busy, onPick }: { busy: boolean; onPick: (slug: string) => void }) {
    return (
        <ul className="grid gap-2">
            {demos.map(([slug, title, words]) => (
                <li key={slug}>
                    <button
                        type="button"
                        className="w-full rounded-sm border border-line bg-leaf p-3 text-left hover:border-pen"
                        disabled={busy}
                        onClick={() => onPick(slug)}
                    >
                        <span className="font-semibold">A copy of {title}</span>
                        <span className="block text-sm text-pencil">{words}</span>
                    </button>
                </li>
            ))}
        </ul>
    );
}
