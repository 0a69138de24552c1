import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Arrangement, Fit } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { Select } from '../../ui/Select';
import { ArrangementCard } from './ArrangementCard';
import type { Looking, useArrange } from './useArrange';
import type { useTell } from './useFit';

const aims = [
    ['thickness', 'as flat as it gets'],
    ['area', 'the smallest face'],
    ['volume', 'the least room'],
    ['outer', 'the shortest sides'],
] as const;

/** For each way: short at first, longer when asked once more; who shares the machine waits meanwhile. */
const quickSeconds = 1;
const longSeconds = 2;

interface Props {
    fit: Fit;
    telling: ReturnType<typeof useTell>;
    arranging: ReturnType<typeof useArrange>;
}

/** The machine arranges: several ways, each with its figures and what no arrangement could beat. */
export function ArrangeLeaf({ fit, telling, arranging }: Props) {
    const { looking, start, stop, isOld } = arranging;
    const [aim, setAim] = useState<Arrangement['aim']>(fit.aim);
    const [seed, setSeed] = useState(1);
    const [, setAsked] = useSearchParams();
    const pinned = fit.pieces.filter((piece) => piece.pose?.pinned === true);
    const take = async (found: Arrangement) => {
        const taken = await telling.tell('take', { poses: found.poses, split: found.split });
        if (taken) setAsked({}, { replace: true });
    };
    const isLooking = looking.state === 'looking';
    return (
        <div>
            <form
                className="mb-4 flex flex-wrap items-end gap-3"
                onSubmit={(event) => {
                    event.preventDefault();
                    setSeed(seed + 1);
                    start(aim, seed === 1 ? quickSeconds : longSeconds, seed);
                }}
            >
                <span>
                    Make it{' '}
                    <Select
                        label="Make it"
                        options={aims}
                        value={aim}
                        onChange={(event) => setAim(event.target.value as Arrangement['aim'])}
                        disabled={isLooking}
                    />
                </span>
                {isLooking ? (
                    <Button onClick={stop}>Stop</Button>
                ) : (
                    <Button type="submit" look="pen">
                        {looking.state === 'idle' ? 'Arrange' : 'Look once more'}
                    </Button>
                )}
                <p className="text-sm text-pencil">
                    {fit.pieces.length} pieces
                    {pinned.length > 0 && `; pinned and left where they are: ${pinned.map((piece) => piece.name).join(', ')}`}.
                    {fit.room?.limitMm.some((mm) => mm === null) === true &&
                        ' The brief names no largest size, so flat alone would mean endless: the least room is looked for.'}
                </p>
            </form>
            {looking.problem !== null && <p role="alert">{looking.problem}</p>}
            {looking.state !== 'idle' && <Progress looking={looking} />}
            {isOld && looking.state !== 'looking' && (
                <p className="mb-3 border-l-4 border-tight bg-leaf px-3 py-2">Found before the last change: look once more.</p>
            )}
            <Nowhere looking={looking} fit={fit} />
            <ul className="grid gap-4 md:grid-cols-2 xl:grid-cols-3" aria-label="Arrangements">
                {looking.found.map((found) => (
                    <ArrangementCard
                        key={found.style}
                        found={found}
                        fit={fit}
                        isBest={found.style === looking.best}
                        take={() => void take(found)}
                        busy={telling.busy}
                    />
                ))}
            </ul>
            <ThinnerNote looking={looking} />
            {looking.state === 'idle' && (
                <p className="dot-grid max-w-prose border border-dashed border-edge p-6">
                    Looks for a place for every part: cells beside the picture, behind it, taken apart into both grips, or wherever they go best. Each answer
                    says how much better any other could be, and which parts decide. Nothing changes before you take one; what you pinned stays where it is.
                </p>
            )}
        </div>
    );
}

function Progress({ looking }: { looking: Looking }) {
    return (
        <ul className="mb-4 grid gap-1 sm:max-w-md" aria-label="Progress">
            {looking.styles.map(({ style, says }) => {
                const same = looking.same[style];
                return (
                    <li key={style} className="grid grid-cols-[1fr_7rem] items-center gap-3 text-sm">
                        <span>
                            {says}
                            {same !== undefined && <span className="text-pencil"> – as “{looking.styles.find((one) => one.style === same)?.says}”</span>}
                        </span>
                        <progress className="h-2.5 w-full" max={1} value={looking.share[style] ?? 0} aria-label={says} />
                    </li>
                );
            })}
            <li aria-live="polite" className="text-sm text-pencil">
                {looking.state === 'looking' ? 'Looking …' : looking.state === 'stopped' ? 'Stopped; what was found so far stands below.' : 'Done.'}
            </li>
        </ul>
    );
}

function Nowhere({ looking, fit }: { looking: Looking; fit: Fit }) {
    if (looking.nowhere.length === 0) return null;
    const names = looking.nowhere.map((key) => fit.pieces.find((piece) => piece.key === key)?.name ?? key);
    return (
        <p role="alert" className="mb-3 border-l-4 border-clash bg-leaf px-3 py-2">
            {names.join(', ')} {names.length === 1 ? 'goes' : 'go'} into this room in no way, however turned. Take a smaller one, or a larger body.
        </p>
    );
}

function ThinnerNote({ looking }: { looking: Looking }) {
    const { build } = useOpenBuild();
    if (looking.thinner.length === 0) return null;
    return (
        <section aria-label="What a thinner part would bring" className="mt-5 max-w-prose">
            <h3 className="mb-1 text-lg">What a thinner part would bring</h3>
            <ul className="list-disc pl-5">
                {looking.thinner.map((one) => (
                    <li key={one.line}>
                        {one.part} ({one.partMm} mm) in place of {build.lines.find((line) => line.id === one.line)?.part.name}:{' '}
                        <span className="figures">
                            {one.fromMm.toFixed(1)} → {one.toMm.toFixed(1)} mm
                        </span>
                        {one.toMm > one.fromMm - 0.05 && ', nothing by itself: something else decides then'}
                    </li>
                ))}
            </ul>
        </section>
    );
}
