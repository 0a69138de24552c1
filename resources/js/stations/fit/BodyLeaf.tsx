import { useState } from 'react';
import type { Fit } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { number } from '../../ui/format';

const kinds = { window: 'window', control: 'controls', socket: 'socket', vent: 'air slot', grille: 'grille', screw: 'screw hole' };

/** The body around the arrangement: halves to print, the script to change, each side at 1 : 1; of a given body, what is cut into it. */
export function BodyLeaf({ fit }: { fit: Fit }) {
    const { build } = useOpenBuild();
    const { shell } = fit;
    const [side, setSide] = useState<string | null>(null);
    if (shell === null) {
        return (
            <p className="dot-grid border border-dashed border-edge p-6">
                Once the parts have their places, the body around them can be printed or cut from here.
            </p>
        );
    }
    const path = `/api/builds/${build.id}/fit`;
    const shown = side ?? shell.sides[0] ?? null;
    const link = 'font-semibold text-pen underline';
    return (
        <div className="grid gap-6 lg:grid-cols-[minmax(0,22rem)_minmax(0,1fr)]">
            <div className="grid content-start gap-4">
                {!fit.isWhole && (
                    <p className="border-l-4 border-unmeasured bg-leaf px-3 py-2">Some parts have no place or no size yet: this is a body for the rest.</p>
                )}
                {fit.troubles.some((trouble) => trouble.verdict === 'clash') && (
                    <p className="border-l-4 border-clash bg-leaf px-3 py-2">
                        Some parts clash where they lie. Settle that on Places before anything is printed.
                    </p>
                )}
                {shell.isDrawn && (
                    <section>
                        <h3 className="mb-1 text-lg">To print</h3>
                        <p>
                            Outside <strong className="figures">{shell.outsideMm.map((mm) => number(mm)).join(' × ')} mm</strong>, two halves that meet{' '}
                            <span className="figures">{number(shell.splitMm)} mm</span> behind the face, {shell.posts.length} posts for M2.5 screws in melted-in
                            inserts.
                        </p>
                        {shell.postsMissing > 0 && (
                            <p className="mt-1 border-l-4 border-tight bg-leaf px-3 py-2">
                                {shell.postsMissing} of 4 posts find no room between the parts. Move something from a corner, or glue that side.
                            </p>
                        )}
                        <ul className="mt-2 list-disc pl-5">
                            {shell.prints.map((half) => (
                                <li key={half}>
                                    <a className={link} href={`${path}/${half}.stl`} download>
                                        {half.replace('-', ' half, piece ')}
                                        {half.includes('-') ? '' : ' half'} (STL)
                                    </a>
                                </li>
                            ))}
                            <li>
                                <a className={link} href={`${path}/body.scad`} download>
                                    script with named figures (OpenSCAD)
                                </a>
                            </li>
                        </ul>
                        <p className="mt-2 text-sm text-pencil">
                            Sand outside or under suction, with a mask: fine dust harms lungs. Inserts are melted in with a hot iron; air the room. Print a
                            corner first.
                        </p>
                    </section>
                )}
                <section>
                    <h3 className="mb-1 text-lg">Templates, 1 : 1</h3>
                    {shell.sides.length === 0 && <p>Nothing has to be cut into this body.</p>}
                    <ul className="list-disc pl-5">
                        {shell.sides.map((one) => (
                            <li key={one}>
                                <a className={link} href={`${path}/${one}.svg`} download>
                                    {one}
                                </a>
                                {shown !== one && (
                                    <button type="button" className="ml-3 min-h-6 text-pen hover:underline" onClick={() => setSide(one)}>
                                        look
                                    </button>
                                )}
                            </li>
                        ))}
                        {shell.isDrawn && (
                            <li>
                                <a className={link} href={`${path}/sheet.svg`} download>
                                    all sides as one sheet, to fold
                                </a>
                            </li>
                        )}
                    </ul>
                    <p className="mt-1 text-sm text-pencil">Print at 100 %. Each has a line of 100 mm: measure it before you cut.</p>
                </section>
            </div>
            <div className="min-w-0">
                {shown !== null && (
                    <figure>
                        <figcaption className="text-sm text-pencil">{shown}, seen from outside</figcaption>
                        <img
                            className="max-h-96 w-full border border-line bg-white object-contain"
                            src={`${path}/${shown}.svg?v=${build.version}`}
                            alt={`Template of the ${shown}, with its openings`}
                        />
                    </figure>
                )}
                <table className="mt-3 w-full text-sm">
                    <caption className="text-left text-base font-semibold">Openings</caption>
                    <thead>
                        <tr className="border-b border-ink text-left">
                            <th className="p-1">side</th>
                            <th className="p-1">for</th>
                            <th className="p-1 text-right">size, mm</th>
                        </tr>
                    </thead>
                    <tbody>
                        {grouped(shell.cutouts).map(({ cutout, count }, at) => (
                            <tr key={at} className="border-b border-dotted border-line">
                                <td className="p-1">{cutout.side}</td>
                                <td className="p-1">
                                    {kinds[cutout.kind]}: {cutout.name}
                                    {count > 1 && ` (${count})`}
                                </td>
                                <td className="figures p-1 text-right">
                                    {cutout.isRound ? `⌀ ${number(cutout.wide)}` : `${number(cutout.wide)} × ${number(cutout.high)}`}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </div>
        </div>
    );
}

function grouped(cutouts: NonNullable<Fit['shell']>['cutouts']) {
    const groups = new Map<string, { cutout: (typeof cutouts)[number]; count: number }>();
    for (const cutout of cutouts) {
        const key = [cutout.side, cutout.kind, cutout.name, cutout.wide, cutout.high].join(' ');
        const group = groups.get(key);
        if (group === undefined) groups.set(key, { cutout, count: 1 });
        else group.count++;
    }
    return [...groups.values()];
}
