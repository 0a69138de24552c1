import { memo } from 'react';
import type { Fit } from '../../api/client';

const grips = { thin: 'so thin cramps a long game', easy: 'easy to hold', thick: 'too much for a small hand' };

const how = { well: 'in reach', stretch: 'a stretch', out: 'out of reach' };

/** How it lies in two hands: reach of three thumbs, weight, standing. */
export const HandsNote = memo(function HandsNote({ fit, shown, show }: { fit: Fit; shown: boolean; show: (shown: boolean) => void }) {
    const { hands } = fit;
    if (hands === null) return null;
    const inside = fit.room?.insideMm ?? [0, 0, 0];
    const name = (key: string) => fit.pieces.find((piece) => piece.key === key)?.name ?? key;
    return (
        <section aria-label="Hands">
            <h3 className="mb-1 text-lg">Hands</h3>
            {!hands.isHeld && <p className="text-sm">Too large to be held by both ends: it lies on a lap or a desk.</p>}
            {hands.isHeld && hands.reaches.length === 0 && <p className="text-sm">No control has its place yet.</p>}
            {hands.reaches.length > 0 && (
                <>
                    <label className="flex min-h-6 items-center gap-2">
                        <input type="checkbox" className="size-5" checked={shown} onChange={(event) => show(event.target.checked)} />
                        Lay three thumbs over the face
                    </label>
                    <table className="w-full text-sm">
                        <thead>
                            <tr className="border-b border-ink text-left">
                                <th className="p-1">control</th>
                                <th className="p-1">small</th>
                                <th className="p-1">middle</th>
                                <th className="p-1">large</th>
                            </tr>
                        </thead>
                        <tbody>
                            {hands.reaches.map((reach) => (
                                <tr key={`${reach.piece} ${reach.side}`} className="border-b border-dotted border-line align-top">
                                    <td className="p-1">
                                        {name(reach.piece)}, {reach.side} {reach.finger} <span className="figures">{reach.mm.toFixed(0)} mm</span>
                                    </td>
                                    {(['small', 'middle', 'large'] as const).map((size) => (
                                        <td key={size} className={`p-1 ${reach.hands[size] === 'out' ? 'text-clash' : ''}`}>
                                            {how[reach.hands[size]]}
                                        </td>
                                    ))}
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </>
            )}
            {hands.isHeld && (
                <p className="mt-1 text-sm">
                    <span className="figures">{hands.thickMm.toFixed(0)} mm</span> thick in the hand; {grips[hands.grip]}.
                </p>
            )}
            {hands.centreMm !== null && (
                <p className="mt-1 text-sm">
                    Its weight is <span className="figures">{Math.abs((hands.centreMm[0] ?? 0) - (inside[0] ?? 0) / 2).toFixed(0)} mm</span>{' '}
                    {(hands.centreMm[0] ?? 0) < (inside[0] ?? 0) / 2 ? 'left' : 'right'} of the middle
                    {hands.unweighed.length > 0 && `, without ${hands.unweighed.length} parts that nobody weighed`}.
                    {hands.tipsAtDeg !== null && !hands.isHeld && (
                        <>
                            {' '}
                            Stood on its lower edge it tips back beyond <span className="figures">{hands.tipsAtDeg.toFixed(0)}°</span>.
                        </>
                    )}
                </p>
            )}
        </section>
    );
});
