import type { Arrangement, Fit, FitBox } from '../../api/client';
import { Button } from '../../ui/Button';
import { number } from '../../ui/format';
import { Peg } from '../../ui/Peg';
import { shadeOf } from './shades';
import type { Axis } from './views';

interface Props {
    found: Arrangement;
    fit: Fit;
    isBest: boolean;
    take: () => void;
    busy: boolean;
}

/** One arrangement: seen from the front and from below, its figures, what it costs elsewhere. */
export function ArrangementCard({ found, fit, isBest, take, busy }: Props) {
    const lost = found.lost.map((key) => fit.pieces.find((piece) => piece.key === key)?.name ?? key);
    const size = found.outsideMm ?? found.insideMm;
    return (
        <li className={`grid content-start gap-2 border bg-leaf p-3 ${isBest ? 'border-2 border-pen' : 'border-edge'}`}>
            <h3 className="flex items-center gap-2 text-lg">
                <Peg verdict={found.verdict} size={20} /> {found.says}
            </h3>
            <Sketch found={found} fit={fit} across={0} down={1} label="from the front" />
            <Sketch found={found} fit={fit} across={0} down={2} label="from below" />
            <p className="text-lg">
                <strong className="figures">
                    {number(found.measure)} {found.unit}
                </strong>
                <span className="text-sm">
                    {found.isProved ? '; proved: none is better' : `; none is below ${number(found.bound)}, so at most ${number(found.slack * 100)} % better`}
                </span>
            </p>
            <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-sm">
                <dt>{found.outsideMm === null ? 'Room' : 'Outside'}</dt>
                <dd className="figures">{size.map((mm) => number(mm)).join(' × ')} mm</dd>
                <dt>Decides</dt>
                <dd>
                    {found.decidingSays} <span className="figures">({number(found.deepMm)} mm)</span>
                </dd>
                <dt>Leads</dt>
                <dd>
                    {found.leadMm > 0 ? (
                        <>
                            <span className="figures">{number(found.leadMm)} mm</span> in all, along the axes
                        </>
                    ) : (
                        'no lead is settled yet'
                    )}
                </dd>
                <dt>Hands</dt>
                <dd>
                    {found.out === 0 ? 'controls in reach' : `${found.out} out of reach`}; weight{' '}
                    <span className="figures">{number(found.offShare * 100)} %</span> off the middle
                </dd>
            </dl>
            {lost.length > 0 && <p className="text-clash">No place for {lost.join(', ')}.</p>}
            {found.worst.map((trouble, at) => (
                <p key={at} className="flex items-start gap-1.5 text-sm">
                    <Peg verdict={trouble.verdict} size={16} />
                    {trouble.says}
                </p>
            ))}
            <Button look={isBest ? 'pen' : 'plain'} className="justify-self-start" disabled={busy} onClick={take}>
                Take this one
            </Button>
        </li>
    );
}

function Sketch({ found, fit, across, down, label }: { found: Arrangement; fit: Fit; across: Axis; down: Axis; label: string }) {
    const [wide, high] = [found.insideMm[across] ?? 1, found.insideMm[down] ?? 1];
    const kind = (line: string) => fit.pieces.find((piece) => piece.line === line)?.kind ?? 'other';
    const boxes = found.solids
        .flatMap((solid) => solid.boxes.map((box) => ({ box, kind: kind(solid.line) })))
        .sort((a, b) => (down === 1 ? depth(b.box) - depth(a.box) : (a.box[1] ?? 0) - (b.box[1] ?? 0)));
    return (
        <svg viewBox={`-1 -1 ${wide + 2} ${high + 2}`} className="max-h-40 w-full" role="img" aria-label={`${found.says}, ${label}`}>
            {boxes.map(({ box, kind: shade }, at) => (
                <rect
                    key={at}
                    x={box[across]}
                    y={box[down]}
                    width={box[across + 3]}
                    height={box[down + 3]}
                    fill={shadeOf[shade]}
                    fillOpacity={0.85}
                    stroke="var(--ink)"
                    strokeWidth={wide / 350}
                />
            ))}
            <rect width={wide} height={high} fill="none" stroke="var(--ink)" strokeWidth={wide / 200} />
        </svg>
    );
}

const depth = (box: FitBox) => box[2] ?? 0;
