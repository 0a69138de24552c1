import { memo } from 'react';
import type { Fit } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { StlIn } from './StlIn';
import type { useTell } from './useFit';

interface Props {
    fit: Fit;
    telling: ReturnType<typeof useTell>;
    chosen: string | null;
    choose: (key: string | null) => void;
    mayMove: boolean;
}

/** All of it as a table: each piece, where it lies, how far it goes; what has no place and what has no size. */
export const PlacesTable = memo(function PlacesTable({ fit, telling, chosen, choose, mayMove }: Props) {
    const { build } = useOpenBuild();
    const nameOf = (id: string) => build.lines.find((line) => line.id === id)?.part.name ?? id;
    const left = fit.pieces.filter((piece) => piece.pose === null);
    return (
        <section aria-label="Table of places" className="min-w-0">
            <div className="overflow-x-auto">
                <table className="w-full min-w-[34rem] text-sm">
                    <caption className="text-left text-base font-semibold">Places</caption>
                    <thead>
                        <tr className="border-b border-ink text-left">
                            <th className="p-1">part</th>
                            <th className="p-1 text-right">left</th>
                            <th className="p-1 text-right">top</th>
                            <th className="p-1 text-right">face</th>
                            <th className="p-1 text-right">across × down × deep, mm</th>
                            <th className="p-1 pl-4">held</th>
                        </tr>
                    </thead>
                    <tbody>
                        {fit.pieces.map((piece) => (
                            <tr key={piece.key} className={`border-b border-dotted border-line ${chosen === piece.key ? 'bg-pen-wash' : ''}`}>
                                <td className="p-1">
                                    <button
                                        type="button"
                                        className="min-h-6 text-left font-semibold hover:text-pen hover:underline"
                                        onClick={() => choose(piece.key)}
                                    >
                                        {piece.name}
                                    </button>
                                </td>
                                {(['xMm', 'yMm', 'zMm'] as const).map((field) => (
                                    <td key={field} className="figures p-1 text-right">
                                        {piece.pose === null ? '–' : piece.pose[field].toFixed(1)}
                                    </td>
                                ))}
                                <td className="figures p-1 text-right">{(piece.box?.slice(3) ?? piece.sidesMm).map((mm) => mm.toFixed(1)).join(' × ')}</td>
                                <td className="p-1 pl-4">{piece.pose === null ? 'no place yet' : piece.pose.pinned ? 'pinned' : 'free'}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
            {mayMove && fit.pieces.some((piece) => piece.pose !== null) && (
                <p className="mt-1 flex flex-wrap gap-2">
                    <Button look="bare" disabled={telling.busy} onClick={() => void telling.tell('clear', { all: false })}>
                        Take out all that is not pinned
                    </Button>
                </p>
            )}
            {left.length > 0 && <p className="mt-1">Choose what has no place yet, and put it in by its distances; or have it arranged.</p>}
            {fit.inZones.length > 0 && (
                <p className="mt-1">
                    In a room of their own whose place nobody wrote down: {fit.inZones.map(nameOf).join(', ')}. They are held against its size only.
                </p>
            )}
            {fit.soft.length > 0 && (
                <p className="mt-1 text-sm text-pencil">Without a place of its own, but with room kept for it: {fit.soft.map(nameOf).join(', ')}.</p>
            )}
            {fit.unsized.length > 0 && (
                <div className="mt-2">
                    <p>
                        Left out, since nobody knows its size: <strong>{fit.unsized.map(nameOf).join(', ')}</strong>. Press{' '}
                        <kbd className="figures border border-edge px-1">q</kbd> to be asked for it.
                    </p>
                    <StlIn unsized={fit.unsized} />
                </div>
            )}
        </section>
    );
});
