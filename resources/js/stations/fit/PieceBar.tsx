import { useState } from 'react';
import type { Fit, FitPiece } from '../../api/client';
import { Button } from '../../ui/Button';
import { inputLook } from '../../ui/Field';
import { asNumber } from '../../ui/format';
import type { useTell } from './useFit';

const turns = [
    ['face', 'Turn on the face'],
    ['side', 'Tip up or down'],
    ['end', 'Tip to the side'],
] as const;

/** What can be done with the chosen piece: typed places, turns, pinned or free, out. */
export function PieceBar({ piece, fit, telling, mayMove }: { piece: FitPiece; fit: Fit; telling: ReturnType<typeof useTell>; mayMove: boolean }) {
    const { tell, busy } = telling;
    const on = { line: piece.line, piece: piece.piece };
    const pinned = piece.pose?.pinned === true;
    const split = fit.split.includes(piece.line);
    const pieces = fit.splittable[piece.line];
    return (
        <section aria-label={piece.name} className="mt-2 border border-line bg-leaf px-3 py-2">
            <h3 className="mb-1 text-lg">
                {piece.name} <span className="figures text-sm font-normal text-pencil">{piece.sidesMm.join(' × ')} mm</span>
            </h3>
            {mayMove ? (
                <div className="flex flex-wrap items-end gap-2">
                    <Places key={JSON.stringify(piece.pose)} piece={piece} put={(at) => void tell('put', { ...on, ...at })} disabled={busy || pinned} />
                    {piece.pose !== null &&
                        turns.map(([view, words]) => (
                            <Button key={view} disabled={busy || pinned} onClick={() => void tell('turn', { ...on, view })}>
                                {words}
                            </Button>
                        ))}
                    {piece.pose !== null && (
                        <>
                            <Button aria-pressed={pinned} disabled={busy} onClick={() => void tell('pin', { ...on, pinned: !pinned })}>
                                {pinned ? 'Free it' : 'Pin it here'}
                            </Button>
                            <Button look="bare" disabled={busy} onClick={() => void tell('out', on)}>
                                Take it out
                            </Button>
                        </>
                    )}
                    {pieces !== undefined && (
                        <Button disabled={busy} onClick={() => void tell('split', { line: piece.line, on: !split })}>
                            {split ? 'One pack again' : `Take apart into ${pieces}`}
                        </Button>
                    )}
                </div>
            ) : (
                <p className="figures text-sm">
                    {piece.pose === null
                        ? 'no place yet'
                        : `${piece.pose.xMm} from the left, ${piece.pose.yMm} from the top, ${piece.pose.zMm} from the face, mm`}
                </p>
            )}
            {pieces !== undefined && split && (
                <p className="mt-1 text-sm text-pencil">Only where the maker allows it; leads between cells are soldered by somebody who knows cells.</p>
            )}
        </section>
    );
}

const fields = [
    ['xMm', 'from the left'],
    ['yMm', 'from the top'],
    ['zMm', 'from the face'],
] as const;

function Places({ piece, put, disabled }: { piece: FitPiece; put: (at: Record<string, number>) => void; disabled: boolean }) {
    const [typed, setTyped] = useState(() => fields.map(([field]) => String(piece.pose?.[field] ?? 0)));
    const values = typed.map(asNumber);
    const isBad = values.some((value) => Number.isNaN(value));
    return (
        <form
            className="flex flex-wrap items-end gap-2"
            onSubmit={(event) => {
                event.preventDefault();
                if (!isBad) put(Object.fromEntries(fields.map(([field], at) => [field, values[at] ?? 0])));
            }}
        >
            {fields.map(([field, words], at) => (
                <label key={field} className="text-sm">
                    {words}, mm
                    <input
                        className={`${inputLook} figures block w-24`}
                        inputMode="decimal"
                        value={typed[at]}
                        aria-invalid={Number.isNaN(values[at])}
                        disabled={disabled}
                        onChange={(event) => setTyped(typed.map((one, nth) => (nth === at ? event.target.value : one)))}
                    />
                </label>
            ))}
            <Button type="submit" look="pen" disabled={disabled || isBad}>
                {piece.pose === null ? 'Put it in' : 'Put it there'}
            </Button>
            {isBad && (
                <p role="alert" className="basis-full text-sm text-clash">
                    Write each distance as a number of millimetres.
                </p>
            )}
        </form>
    );
}
