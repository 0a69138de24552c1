import { Link } from 'react-router';
import type { Fit } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { StlIn } from './StlIn';

/** What is wanted before anything can be laid out. */
export function NothingToLay({ fit }: { fit: Fit }) {
    const { build } = useOpenBuild();
    const unsized = build.lines.filter((line) => fit.unsized.includes(line.id));
    return (
        <div className="dot-grid max-w-prose border border-dashed border-edge p-6">
            <p className="mb-2">
                Here the parts lie in their body, to scale: found by the machine in seconds, or moved by hand, with what does not hold shown at once. From that
                come the thickness, templates to cut by, and a first shell to print.
            </p>
            {fit.room === null && (
                <p className="mb-2">
                    {fit.body === null ? 'It needs a body first: ' : 'The body has no room or no wall written down: '}
                    <Link className="font-semibold text-pen underline" to={`/builds/${build.id}/parts`}>
                        {fit.body === null ? 'add a case on Parts' : 'write it down on Parts'}
                    </Link>
                    . A body that is still to be drawn needs only its wall.
                </p>
            )}
            {unsized.length > 0 && (
                <p className="mb-2">
                    No size yet: {unsized.map((line) => line.part.name).join(', ')}. <kbd className="figures border border-edge px-1">q</kbd> asks for them one
                    by one.
                </p>
            )}
            {unsized.length > 0 && <StlIn unsized={unsized.map((line) => line.id)} />}
        </div>
    );
}
