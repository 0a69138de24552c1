import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Verdict, Vitals, WeighedVitals } from '../api/client';
import { date, finish, mass, number, runTime, size } from '../ui/format';
import { Peg } from '../ui/Peg';

interface Vital {
    what: string;
    show: (vitals: Vitals) => string;
    target: (vitals: Vitals) => string;
    verdict?: (vitals: Vitals) => Verdict;
}

export const vitals: Vital[] = [
    {
        what: 'Cost',
        show: (v) => `${v.cost.amount} ${v.cost.currency}`,
        target: (v) => (v.cost.target === null ? 'no budget' : `of ${v.cost.target}`),
        verdict: (v) => v.cost.verdict,
    },
    {
        what: 'Run time',
        show: (v) => runTime(v.runTime),
        target: (v) => (v.runTime.targetHours === null ? 'none wanted' : `wanted ${number(v.runTime.targetHours)} h`),
        verdict: (v) => v.runTime.verdict,
    },
    {
        what: 'Size mm',
        show: (v) => size(v.size),
        target: (v) => (v.size.targetMm === null ? 'any' : `in ${v.size.targetMm.join('×')}`),
        verdict: (v) => v.size.verdict,
    },
    {
        what: 'Weight',
        show: (v) => mass(v.mass),
        target: (v) =>
            v.mass.targetGrams === null ? 'any' : `of ${v.mass.targetGrams >= 1000 ? `${number(v.mass.targetGrams / 1000)} kg` : `${v.mass.targetGrams} g`}`,
        verdict: (v) => v.mass.verdict,
    },
    { what: 'Clashes', show: (v) => String(v.clashes), target: () => 'to mend', verdict: (v) => (v.clashes > 0 ? 'clash' : 'fits') },
    { what: 'Missing', show: (v) => String(v.missing), target: () => 'to add', verdict: (v) => (v.missing > 0 ? 'missing' : 'fits') },
    { what: 'Unmeasured', show: (v) => String(v.unmeasured), target: () => 'to measure', verdict: (v) => (v.unmeasured > 0 ? 'unmeasured' : 'fits') },
    {
        what: 'Finished',
        show: (v) => finish(v.finish),
        target: (v) => (v.finish.undated > 0 ? `${v.finish.undated} undated` : v.finish.on === null ? 'no parts yet' : 'earliest'),
    },
];

/** What typical parts have a share in. */
const pencilled: readonly string[] = ['Cost', 'Run time', 'Size mm', 'Weight'];

/** What differs between two sets of vitals, as people read them; of the day nothing is said while it is being worked out. */
export function differing(before: Vitals, weighed: Vitals | WeighedVitals): { what: string; was: string; is: string; verdict: Verdict | undefined }[] {
    const after = { ...before, ...weighed, finish: weighed.finish ?? before.finish };
    return vitals
        .map((vital) => ({ what: vital.what, was: vital.show(before), is: vital.show(after), verdict: vital.verdict?.(after) }))
        .filter(({ was, is }) => was !== is);
}

/** On the phone, the vitals in one line that stays while the page moves. */
function Folded({ vitals: now }: { vitals: Vitals }) {
    const counts = (
        [
            ['clash', now.clashes],
            ['missing', now.missing],
            ['unmeasured', now.unmeasured],
        ] as const
    ).filter(([, count]) => count > 0);
    return (
        <p
            aria-hidden="true"
            className="figures fixed inset-x-0 top-0 z-20 flex items-center gap-3 overflow-hidden border-b-2 border-ink bg-paper px-4 py-1.5 text-[0.85rem] whitespace-nowrap sm:hidden"
        >
            <span className="font-semibold">{runTime(now.runTime).split(' (')[0]}</span>
            <span>
                {now.cost.amount} {now.cost.currency}
            </span>
            {counts.map(([verdict, count]) => (
                <span key={verdict} className="flex items-center gap-1">
                    <Peg verdict={verdict} size={15} /> {count}
                </span>
            ))}
            {counts.length === 0 && <Peg verdict="fits" size={15} />}
        </p>
    );
}

/** One line at the head of every page. What moved by the last edit shows what it was. */
export function VitalsLine({
    vitals: now,
    before,
    onNext,
    buildId,
}: {
    vitals: Vitals;
    before: Vitals | null;
    onNext: (key: string) => void;
    buildId: string;
}) {
    const { next } = now;
    const whole = useRef<HTMLElement>(null);
    const [isAway, setIsAway] = useState(false);
    useEffect(() => {
        if (whole.current === null) return undefined;
        const watch = new IntersectionObserver(([seen]) => setIsAway(seen !== undefined && !seen.isIntersecting && seen.boundingClientRect.bottom < 1));
        watch.observe(whole.current);
        return () => watch.disconnect();
    }, []);
    const isNote = next.kind === 'settle' || next.kind === 'measure';
    return (
        <section ref={whole} aria-label="Vitals" className="mx-4 my-3 border-y-2 border-ink sm:mx-6">
            {isAway && <Folded vitals={now} />}
            <div className="flex flex-wrap">
                <dl className="grid min-w-0 flex-[6] max-xl:basis-full grid-cols-[1fr_1.2fr_1.1fr] sm:grid-cols-4 xl:grid-cols-[1.05fr_1.45fr_1.1fr_.8fr_.72fr_.72fr_1.02fr_.8fr]">
                    {vitals.map((vital) => {
                        const is = vital.show(now);
                        const was = before === null ? is : vital.show(before);
                        const moved = was !== is;
                        const verdict = vital.verdict?.(now);
                        return (
                            <div key={`${vital.what}${is}`} className={`min-w-0 px-2 py-1.5 ${moved ? 'moved' : ''}`} data-vital={vital.what}>
                                <dt className="flex items-center gap-1 text-sm text-pencil">
                                    {verdict !== undefined && verdict !== 'fits' && <Peg verdict={verdict} size={14} />}
                                    {vital.what}
                                </dt>
                                <dd
                                    className={`figures truncate text-[0.98rem] leading-tight max-sm:text-[0.9rem] max-sm:whitespace-normal font-semibold tracking-[-0.05em]! ${now.pencil > 0 && pencilled.includes(vital.what) ? 'text-pencil italic' : ''}`}
                                    title={
                                        now.pencil > 0 && pencilled.includes(vital.what)
                                            ? `${is}, in pencil: ${now.pencil === 1 ? 'one part is' : `${now.pencil} parts are`} typical`
                                            : is
                                    }
                                >
                                    {is.split(' (')[0]}
                                    {is.includes(' (') && <span className="text-[0.78rem] font-normal"> ({is.split(' (')[1]}</span>}
                                </dd>
                                <dd className="figures truncate text-xs tracking-[-0.05em]! text-pencil">
                                    {moved ? <span className="text-pen">was {was}</span> : vital.target(now)}
                                </dd>
                            </div>
                        );
                    })}
                </dl>
                <div className="min-w-56 flex-[1.7] max-xl:basis-full border-line px-2 py-1.5 max-xl:w-full max-xl:border-t xl:border-l">
                    <p className="text-sm text-pencil">Next</p>
                    <p className="text-[0.95rem] leading-tight">
                        {isNote && next.ref !== null ? (
                            <button
                                type="button"
                                className="line-clamp-2 text-left font-semibold text-pen hover:underline"
                                title={next.says}
                                onClick={() => onNext(next.ref ?? '')}
                            >
                                {next.says}
                            </button>
                        ) : (
                            <Link className="line-clamp-2 font-semibold text-pen hover:underline" title={next.says} to={`/builds/${buildId}/${next.station}`}>
                                {next.says}
                            </Link>
                        )}
                    </p>
                </div>
            </div>
            <p className="sr-only" aria-live="polite">
                {before === null
                    ? ''
                    : differing(before, now)
                          .map(({ what, was, is }) => `${what} was ${was}, is ${is}.`)
                          .join(' ')}
                {now.finish.on === null ? '' : ` ${date(now.finish.on)}`}
            </p>
        </section>
    );
}
