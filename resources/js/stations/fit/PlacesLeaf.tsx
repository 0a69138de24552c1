import { lazy, Suspense, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import type { Fit, FitPiece } from '../../api/client';
import { Button } from '../../ui/Button';
import { Drawing } from './Drawing';
import { FitNotes } from './FitNotes';
import { HandsNote } from './HandsNote';
import { PieceBar } from './PieceBar';
import { PlacesTable } from './PlacesTable';
import { kindWords, shadeOf } from './shades';
import type { useTell } from './useFit';
import { views, type Place, type View } from './views';

const RoundView = lazy(() => import('./RoundView'));

const byView = Object.fromEntries(views.map((view) => [view.name, view])) as Record<View['name'], View>;

/** Room on paper for the two columns of views, in pixels. */
const paperPx = 560;

export function PlacesLeaf({ fit, telling }: { fit: Fit; telling: ReturnType<typeof useTell> }) {
    const [chosen, setChosen] = useState<string | null>(null);
    // What is moved stands where the hand put it, until the next answer tells where it lies.
    const [held, setHeld] = useState<{ fit: Fit; places: Record<string, Place> }>({ fit, places: {} });
    const overrides = held.fit === fit ? held.places : {};
    const [hands, setHands] = useState(false);
    const wide = useWidth();
    const mayMove = wide >= 640;
    const chosenPiece = fit.pieces.find((piece) => piece.key === chosen) ?? null;
    const extent = extentOf(fit);
    const scale = Math.max(0.6, Math.min(7, (Math.min(paperPx, wide - 48) - 40) / (extent[0] + (wide >= 640 ? extent[2] : 0)), 330 / (extent[1] + 1)));

    const let_ = async (piece: FitPiece, to: Place) => {
        const kept = await telling.tell('put', { line: piece.line, piece: piece.piece, xMm: to[0], yMm: to[1], zMm: to[2] });
        if (!kept) setHeld({ fit, places: {} });
    };
    const onKey = (piece: FitPiece, event: KeyboardEvent) => {
        const on = { line: piece.line, piece: piece.piece };
        const did = { r: ['turn', { ...on, view: 'face' }], p: ['pin', { ...on, pinned: piece.pose?.pinned !== true }], Delete: ['out', on] }[event.key];
        if (event.key === 'Enter' && overrides[piece.key] !== undefined) {
            event.preventDefault();
            void let_(piece, overrides[piece.key] as Place);
        } else if (did !== undefined && mayMove) {
            event.preventDefault();
            event.stopPropagation();
            void telling.tell(did[0] as string, did[1] as Record<string, unknown>);
        }
    };
    const shared = {
        fit,
        scale,
        extent,
        chosen,
        overrides,
        mayMove,
        choose: setChosen,
        onMove: (piece: FitPiece, to: Place) => setHeld({ fit, places: { ...overrides, [piece.key]: to } }),
        onLet: (piece: FitPiece, to: Place) => void let_(piece, to),
        onKey,
        hands,
    };
    const isLaid = fit.pieces.some((piece) => piece.pose !== null);
    return (
        <div className="grid gap-x-6 gap-y-4 xl:grid-cols-[minmax(0,1fr)_21rem]">
            <div className="min-w-0">
                {telling.back !== null && (
                    <p className="mb-2">
                        <Button onClick={telling.back} disabled={telling.busy}>
                            Put it back as it was
                        </Button>
                    </p>
                )}
                {!isLaid && (
                    <p className="mb-3 border-l-4 border-pen bg-pen-wash px-3 py-2">
                        Nothing lies anywhere yet. Let the machine <ArrangeLink />, or put the parts in one by one below.
                    </p>
                )}
                <div className="grid items-start gap-x-5 gap-y-2 sm:grid-cols-[auto_auto] sm:justify-start">
                    <Drawing {...shared} view={byView.face} />
                    <Drawing {...shared} view={byView.side} />
                    <Drawing {...shared} view={byView.end} />
                </div>
                <Legend fit={fit} />
                {chosenPiece !== null && <PieceBar key={chosenPiece.key} piece={chosenPiece} fit={fit} telling={telling} mayMove={mayMove} />}
                {chosenPiece === null && mayMove && isLaid && (
                    <p className="mt-2 text-sm text-pencil">
                        Drag a part, or choose it and use the arrow keys (Shift: a tenth of a millimetre), <kbd>r</kbd> turns it, <kbd>p</kbd> pins it.
                    </p>
                )}
            </div>
            <div className="grid min-w-0 content-start gap-4 xl:row-span-2">
                {isLaid && (
                    <Suspense
                        fallback={<div className="h-64 border border-line bg-leaf p-3 text-sm text-pencil sm:h-72">Unpacking the view in the round …</div>}
                    >
                        <RoundView fit={fit} chosen={chosen} choose={setChosen} />
                    </Suspense>
                )}
                <FitNotes fit={fit} />
                <HandsNote fit={fit} shown={hands} show={setHands} />
            </div>
            <PlacesTable fit={fit} telling={telling} chosen={chosen} choose={setChosen} mayMove={mayMove} />
        </div>
    );
}

function ArrangeLink() {
    return (
        <Link className="font-semibold text-pen underline" to="?leaf=arrange" replace>
            arrange them
        </Link>
    );
}

function Legend({ fit }: { fit: Fit }) {
    const kinds = [...new Set(fit.pieces.filter((piece) => piece.pose !== null).map((piece) => piece.kind))];
    return (
        <ul className="mt-1 flex flex-wrap gap-x-4 gap-y-1 text-sm" aria-label="Shades">
            {kinds.map((kind) => (
                <li key={kind} className="flex items-center gap-1.5">
                    <span className="inline-block size-3.5 border border-ink" style={{ background: shadeOf[kind] }} />
                    {kindWords[kind]}
                </li>
            ))}
        </ul>
    );
}

/** What the drawings go over: the room, and whatever sticks out of it. */
function extentOf(fit: Fit): Place {
    const extent: Place = [40, 30, 10];
    const room = fit.room?.insideMm ?? fit.room?.limitMm ?? [];
    for (const axis of [0, 1, 2] as const) {
        extent[axis] = Math.max(extent[axis], room[axis] ?? 0, ...fit.pieces.map((piece) => (piece.box?.[axis] ?? 0) + (piece.box?.[axis + 3] ?? 0)));
    }
    return extent;
}

function useWidth(): number {
    const [width, setWidth] = useState(() => document.documentElement.clientWidth);
    const frame = useRef(0);
    useEffect(() => {
        const look = () => {
            cancelAnimationFrame(frame.current);
            frame.current = requestAnimationFrame(() => setWidth(document.documentElement.clientWidth));
        };
        window.addEventListener('resize', look);
        return () => window.removeEventListener('resize', look);
    }, []);
    return width;
}
