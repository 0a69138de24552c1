import type { Plan, Step } from '../../api/client';
import type { Waiting } from './outbox';

type Evening = Plan['evenings'][number];

/** An evening with what is left of it. */
function withoutSteps(plan: Plan, evening: Evening, done: Set<string>): Evening {
    const steps = evening.steps.filter((id) => !done.has(id));
    if (steps.length === evening.steps.length) return evening;
    const spared = plan.steps.filter((step) => done.has(step.id) && evening.steps.includes(step.id)).reduce((sum, step) => sum + step.minutes.usual, 0);
    return { ...evening, steps, minutes: Math.max(0, evening.minutes - spared) };
}

/**
 * The plan as it is once what waits on this device has arrived: ticked steps are done, what only waited for them is open. Gates are
 * judged when they arrive.
 */
export function withWaiting(plan: Plan, waiting: Waiting[]): Plan {
    const last = new Map<string, string>();
    for (const { event, refused } of waiting) if (refused === null) last.set(event.step, event.did);
    if (last.size === 0) return plan;
    const done = new Set(plan.steps.filter((step) => step.state === 'done').map((step) => step.id));
    for (const [step, did] of last) {
        if (did === 'done') done.add(step);
        if (did === 'undone' || did === 'failed') done.delete(step);
    }
    const state = (step: Step): Step['state'] => {
        if (done.has(step.id)) return 'done';
        if (last.get(step.id) === 'failed') return 'failed';
        if (step.state === 'done') return 'open';
        const waits = step.before.some((link) => !done.has(link.from)) || step.waitsFor.length > 0;
        return step.state === 'waits' && !waits ? 'open' : step.state;
    };
    return {
        ...plan,
        steps: plan.steps.map((step) => ({
            ...step,
            state: state(step),
            waitsForSteps: step.before.map((link) => link.from).filter((id) => !done.has(id)),
        })),
        evenings: plan.evenings.map((evening) => withoutSteps(plan, evening, done)).filter((evening) => evening.steps.length > 0),
    };
}

/** Steps that can be done now, in their order. */
export const doable = (plan: Plan): Step[] => plan.steps.filter((step) => step.state === 'open' || step.state === 'again');
