import { Link } from 'react-router';
import type { Plan } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import type { Tell } from './StepRow';
import { titleOf, useNames } from './usePlan';

/** What stands in the way of the plan, or beside it: circles, an order that cannot be kept, parts that were replaced, steps left out. */
export function PlanNotes({ plan, tell }: { plan: Plan; tell: Tell }) {
    const { build } = useOpenBuild();
    const names = useNames();
    const title = (id: string) => titleOf(plan.steps, id);
    const { gone, again, orphans } = plan.substitution;
    return (
        <div className="grid gap-2 empty:hidden [&>*]:mb-2">
            {plan.circles.map((circle) => (
                <div key={circle.links.map((link) => link.from).join()} role="alert" className="border-l-4 border-clash pl-3">
                    <p className="font-semibold">These steps wait for each other:</p>
                    <ol className="list-decimal pl-6">
                        {circle.links.map((link) => (
                            <li key={link.from}>
                                {title(link.from)} comes before {title(link.to)} <span className="text-pencil">({link.why})</span>
                            </li>
                        ))}
                    </ol>
                    <p>
                        Until that is settled, “{title(circle.broken.from)}” is not held to come before “{title(circle.broken.to)}”.{' '}
                        {circle.canGiveWay.length > 0 &&
                            `Yours can give way: ${circle.canGiveWay.map((link) => `${title(link.from)} before ${title(link.to)}`).join('; ')}.`}
                    </p>
                </div>
            ))}
            {plan.moved.length > 0 && (
                <div className="border-l-4 border-tight pl-3">
                    <p>Your order could not be kept everywhere:</p>
                    <ul className="list-disc pl-5">
                        {plan.moved.map((one) => (
                            <li key={`${one.step} ${one.before}`}>
                                {title(one.step)} stays before {title(one.before)} <span className="text-pencil">({one.why})</span>
                            </li>
                        ))}
                    </ul>
                </div>
            )}
            {plan.lost.map((one) => (
                <p key={`${one.step} ${one.asks}`} className="border-l-4 border-tight pl-3">
                    “{title(one.step)}” was to come before or after a step that is not there any more.
                </p>
            ))}
            {again.length > 0 && (
                <p className="border-l-4 border-tight pl-3">
                    A part was replaced: to be done again: {again.map((one) => `${title(one.step)} (${one.lines.map(names.line).join(', ')})`).join('; ')}.
                </p>
            )}
            {gone.length > 0 && (
                <p className="border-l-4 border-line pl-3 text-sm text-pencil">
                    Done, and no longer part of the plan: {gone.join(', ')}. The record keeps {gone.length === 1 ? 'it' : 'them'}.
                </p>
            )}
            {orphans.length > 0 && (
                <p className="border-l-4 border-tight pl-3">
                    Left over: {orphans.map((one) => `${one.pieces} × ${one.name}`).join(', ')}.{' '}
                    <Link className="font-semibold text-pen underline" to={`/builds/${build.id}/buy?leaf=orders`}>
                        Into the drawer
                    </Link>
                </p>
            )}
            {plan.dropped.map((one) => (
                <p
                    key={one.id}
                    className={`flex flex-wrap items-center gap-x-3 border-l-4 pl-3 ${one.isSafety ? 'border-clash font-semibold' : 'border-line text-pencil'}`}
                >
                    <span>
                        Left out: {one.title}
                        {one.why === '' ? '' : ` (“${one.why}”)`}
                    </span>
                    <Button look="bare" onClick={() => void tell('take-up', { step: one.id })}>
                        Take it up again
                    </Button>
                </p>
            ))}
        </div>
    );
}
