import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, Problem, type Build, type LinePart } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import type { Group } from '../../part-editor/draft';
import { PartForm } from '../../part-editor/PartForm';
import { Clippings } from '../../part-editor/Clippings';
import { PartFigures } from '../../part-editor/PartFigures';
import { Button } from '../../ui/Button';
import { useNotices } from '../../ui/Notices';

/** The build's own copy of a part: what is known of it, and its editor. The library's part stays as it is. */
export default function OwnCopy() {
    const { build, edit } = useOpenBuild();
    const { line: id = '' } = useParams();
    const go = useNavigate();
    const notices = useNotices();
    const [editing, setEditing] = useState(false);
    const line = build.lines.find((one) => one.id === id);
    const copy = useQuery({ queryKey: ['own copy', build.id, id, build.version], queryFn: () => api.get<LinePart>(`/builds/${build.id}/lines/${id}/part`) });
    const save = async (spec: Group): Promise<Problem | null> => {
        const answer = await edit((path, version) => api.put<Build>(`${path}/lines/${id}/part`, { version, part: spec }));
        if (answer instanceof Problem) return answer;
        notices.say("Written into this build's own copy.");
        setEditing(false);
        return null;
    };
    if (line === undefined) return <p className="p-6">This line is not in the build any more.</p>;
    return (
        <main className="px-4 sm:px-6">
            <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
                <div>
                    <h2 className="text-xl">{line.part.name}</h2>
                    <p className="text-pencil">This build’s own copy. What you measure or change here does not touch the library.</p>
                </div>
                {!editing && (
                    <div className="flex gap-3">
                        <Button look="bare" onClick={() => void go(`/builds/${build.id}/parts`)}>
                            Back to the parts
                        </Button>
                        <Button look="pen" onClick={() => setEditing(true)}>
                            Edit
                        </Button>
                    </div>
                )}
            </div>
            {copy.isError && <p role="alert">{copy.error.message}</p>}
            {copy.data !== undefined &&
                (editing ? (
                    <PartForm spec={copy.data.spec} onSave={save} onLeave={() => setEditing(false)} saveWords="Write into this build" />
                ) : (
                    <>
                        <PartFigures sheet={copy.data.sheet} />
                        <Clippings spec={copy.data.spec} />
                    </>
                ))}
        </main>
    );
}
