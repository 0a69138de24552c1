import { api, type Build, type Verdict } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { useNoteLeaf } from '../../frame/NoteLeaf';
import { Button } from '../../ui/Button';
import { Peg } from '../../ui/Peg';

/** What became better and worse since the builder last said "seen". */
export function SinceLastLook() {
    const { build, edit, busy } = useOpenBuild();
    const worse = build.since.filter((change) => !change.better);
    const better = build.since.filter((change) => change.better);
    return (
        <div>
            <div className="mb-4 flex flex-wrap items-center gap-4">
                <p className="max-w-prose">
                    {build.since.length === 0
                        ? 'Nothing has moved since you last looked.'
                        : 'Changes are told against your last look. Press when you have seen them.'}
                </p>
                <Button look="pen" disabled={busy} onClick={() => void edit((path, version) => api.post<Build>(`${path}/look`, { version }))}>
                    I have seen this
                </Button>
            </div>
            <div className="grid gap-8 lg:grid-cols-2">
                <Changes title="Worse" changes={worse} />
                <Changes title="Better" changes={better} />
            </div>
        </div>
    );
}

function Changes({ title, changes }: { title: string; changes: Build['since'] }) {
    const open = useNoteLeaf();
    if (changes.length === 0) return null;
    return (
        <section>
            <h3 className="mb-1 border-b border-ink text-lg">{title}</h3>
            <ul>
                {changes.map((change) => (
                    <li key={change.key} className="flex items-start gap-2 border-b border-dotted border-line py-1.5">
                        <span className="flex shrink-0 items-center gap-1 pt-0.5">
                            <Was verdict={change.was} />
                            <span aria-hidden="true">→</span>
                            <Was verdict={change.is} />
                        </span>
                        {change.is === null ? (
                            <span className="text-[0.95rem]">{change.says}</span>
                        ) : (
                            <button type="button" className="text-left text-[0.95rem] leading-snug hover:underline" onClick={() => open(change.key)}>
                                {change.says}
                            </button>
                        )}
                    </li>
                ))}
            </ul>
        </section>
    );
}

function Was({ verdict }: { verdict: Verdict | null }) {
    return verdict === null ? <span className="w-5 text-center text-pencil">–</span> : <Peg verdict={verdict} size={18} />;
}
