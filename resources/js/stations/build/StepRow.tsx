import clsx from 'clsx';
import { useState, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import type { Plan, Step } from '../../api/client';
import { Button } from '../../ui/Button';
import { date } from '../../ui/format';
import { StepDetails } from './StepDetails';
import { titleOf, useNames } from './usePlan';

export type Tell = (did: string, more?: Record<string, unknown>) => Promise<boolean>;

const stateWords: Record<Step['state'], string> = { done: 'done', again: 'once more', open: 'can be done', waits: 'waits', failed: 'did not pass' };

interface Props {
    step: Step;
    plan: Plan;
    number: number;
    /** On the chain that decides the last day. */
    decides: boolean;
    tell: Tell;
    onMove: (id: string, by: -1 | 1) => void;
    onPlace: (id: string, before: string) => void;
    canMoveUp: boolean;
    canMoveDown: boolean;
}

/** One step in the plan. Alt and an arrow move it; it can be dragged onto another, too. */
export function StepRow(props: Props) {
    const { step, plan, number, decides, onMove, onPlace, canMoveUp, canMoveDown } = props;
    const [open, setOpen] = useState(false);
    const names = useNames();
    const isOpen = step.state !== 'done';
    const hear = (event: KeyboardEvent) => {
        if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
        event.preventDefault();
        if (event.key === 'ArrowUp' ? canMoveUp : canMoveDown) onMove(step.id, event.key === 'ArrowUp' ? -1 : 1);
    };
    return (
        <li
            className={clsx(decides ? 'border-l-[6px] border-l-ink pl-2' : 'pl-3.5')}
            data-step={step.id}
            draggable={isOpen}
            onDragStart={(event) => event.dataTransfer.setData('text/plain', step.id)}
            onDragOver={(event) => isOpen && event.preventDefault()}
            onDrop={(event) => {
                event.preventDefault();
                const from = event.dataTransfer.getData('text/plain');
                if (from !== '' && from !== step.id) onPlace(from, step.id);
            }}
        >
            <button
                type="button"
                aria-expanded={open}
                className={clsx('flex min-h-10 w-full flex-wrap items-baseline gap-x-3 py-1.5 text-left hover:text-pen', !isOpen && 'text-pencil')}
                onClick={() => setOpen(!open)}
                onKeyDown={hear}
            >
                <span className="figures w-6 shrink-0 text-right text-sm text-pencil">{number}</span>
                <span className={clsx('min-w-0 flex-1 max-sm:basis-[calc(100%-3rem)]', isOpen ? 'font-semibold' : 'line-through')}>{step.title}</span>
                {step.gate !== null && <span className="rounded-sm border border-current px-1.5 text-sm">test</span>}
                {step.isSafety && <span className="text-sm">safety</span>}
                <span className="text-sm text-pencil">{step.setup}</span>
                <span className="figures w-16 shrink-0 text-right text-sm text-pencil">{isOpen ? `${step.minutes.usual} min` : date(step.tickedOn)}</span>
                <span
                    className={clsx(
                        'w-24 shrink-0 text-right text-sm',
                        step.state === 'failed' && 'font-semibold text-clash',
                        step.state === 'open' && 'font-semibold text-fits',
                    )}
                >
                    {stateWords[step.state]}
                </span>
            </button>
            {step.state === 'waits' && (step.waitsFor.length > 0 || open) && (
                <p className="pb-1 pl-9 text-sm">
                    Waits for {[...step.waitsFor.map(names.line), ...(open ? step.waitsForSteps.map((id) => titleOf(plan.steps, id)) : [])].join(', ')}
                </p>
            )}
            {open && (
                <div className="pb-3 pl-9">
                    <div className="mb-2 flex flex-wrap gap-2">
                        <Link className="inline-flex min-h-9 items-center font-semibold text-pen underline" to={`?step=${encodeURIComponent(step.id)}`}>
                            {isOpen ? 'Do it now' : 'See it'}
                        </Link>
                        {isOpen && (
                            <>
                                <Button disabled={!canMoveUp} onClick={() => onMove(step.id, -1)} title="Alt and arrow up">
                                    Earlier
                                </Button>
                                <Button disabled={!canMoveDown} onClick={() => onMove(step.id, 1)} title="Alt and arrow down">
                                    Later
                                </Button>
                            </>
                        )}
                    </div>
                    <StepDetails step={step} plan={plan} tell={props.tell} />
                </div>
            )}
            {/* What comes after a test waits for it: a bar across the plan. */}
            <div aria-hidden="true" className={step.gate !== null && isOpen ? 'h-1.5 border-y-2 border-edge' : 'border-b border-line'} />
        </li>
    );
}
