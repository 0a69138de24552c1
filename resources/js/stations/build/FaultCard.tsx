import { useState } from 'react';
import { Link } from 'react-router';
import type { Fault } from '../../api/client';
import { Button } from '../../ui/Button';
import { date } from '../../ui/format';
import { inputLook } from '../../ui/Field';
import { useWork } from './useWork';
import type { Outbox } from './useOutbox';
import { Way } from './WayBackList';

/** One fault: what was seen, what to look at next, the suspects with what speaks for them. */
export function FaultCard({ fault, outbox }: { fault: Fault; outbox: Outbox }) {
    const { tell, busy, complaint } = useWork();
    const isOpen = fault.state !== 'mended';
    return (
        <article className={`border-2 bg-leaf ${isOpen ? 'border-clash' : 'border-line'}`} data-fault={fault.id} aria-label={`Fault: ${fault.title}`}>
            <header className="border-b border-line px-4 py-2">
                <p className="flex flex-wrap justify-between gap-x-4 text-sm text-pencil">
                    <span>
                        {fault.state}
                        {fault.lookAgainOn === null ? '' : `, look again ${date(fault.lookAgainOn)}`}
                    </span>
                    <span>{fault.mendedOn === null ? `since ${date(fault.openedOn)}` : `${date(fault.openedOn)} to ${date(fault.mendedOn)}`}</span>
                </p>
                <h3 className="text-xl">{fault.title}</h3>
                {fault.saw.map((one) => (
                    <p key={one}>{one}</p>
                ))}
                {fault.note !== '' && <p className="text-pencil">“{fault.note}”</p>}
            </header>
            {isOpen && (
                <div className="grid gap-5 px-4 py-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
                    <div>
                        {fault.next === null ? (
                            <p className="mb-4">No further look tells the suspects apart. Begin with the first.</p>
                        ) : (
                            <section className="mb-4 border-2 border-ink p-3" aria-label="Look at this next">
                                <p className="text-sm text-pencil">Look at this next: it halves the suspects best</p>
                                <p className="text-lg font-semibold">{fault.next.what}</p>
                                {fault.next.passes !== '' && <p>Well when: {fault.next.passes}</p>}
                                <div className="mt-2 flex gap-2">
                                    {([true, false] as const).map((well) => (
                                        <Button
                                            key={String(well)}
                                            look={well ? 'pen' : 'plain'}
                                            className="min-h-12 flex-1"
                                            disabled={busy}
                                            onClick={() => void tell('look', { fault: fault.id, key: fault.next?.key, well })}
                                        >
                                            {well ? 'Well' : 'Not well'}
                                        </Button>
                                    ))}
                                </div>
                            </section>
                        )}
                        <Suspects fault={fault} outbox={outbox} />
                    </div>
                    <Aside fault={fault} tell={tell} busy={busy} problem={complaint?.about('lookAgainOn')} />
                </div>
            )}
        </article>
    );
}

function Suspects({ fault, outbox }: { fault: Fault; outbox: Outbox }) {
    const [open, setOpen] = useState<string | null>(fault.suspects[0]?.key ?? null);
    const most = Math.max(0.01, ...fault.suspects.map((one) => one.share));
    return (
        <ol aria-label="Likely causes">
            {fault.suspects.map((suspect) => (
                <li key={suspect.key} className="border-t border-line py-2" data-suspect={suspect.key}>
                    <button
                        type="button"
                        className="flex min-h-10 w-full items-center gap-3 text-left hover:text-pen"
                        aria-expanded={open === suspect.key}
                        onClick={() => setOpen(open === suspect.key ? null : suspect.key)}
                    >
                        <span className="figures w-12 shrink-0 text-right">{Math.round(suspect.share * 100)} %</span>
                        <span className="h-3 w-16 shrink-0 border border-ink max-sm:hidden" aria-hidden="true">
                            <span className="block h-full bg-ink" style={{ width: `${(100 * suspect.share) / most}%` }} />
                        </span>
                        <span className="font-semibold">{suspect.says}</span>
                    </button>
                    {open === suspect.key && (
                        <div className="sm:pl-15">
                            <p className="text-sm text-pencil">{suspect.why.join('; ')}</p>
                            <h4 className="mt-1 text-sm font-semibold">The way back to it</h4>
                            <Way
                                way={suspect.wayBack}
                                onTaken={() =>
                                    void outbox.write(
                                        [...suspect.wayBack.undo, ...suspect.wayBack.again].map((step) => ({
                                            step: step.id,
                                            did: 'undone' as const,
                                            note: `to get at: ${suspect.says}`,
                                        })),
                                    )
                                }
                            />
                        </div>
                    )}
                </li>
            ))}
        </ol>
    );
}

function Aside({ fault, tell, busy, problem }: { fault: Fault; tell: ReturnType<typeof useWork>['tell']; busy: boolean; problem: string | undefined }) {
    const [note, setNote] = useState(fault.note);
    const [again, setAgain] = useState(fault.lookAgainOn ?? '');
    return (
        <div className="grid content-start gap-3">
            {fault.looked.length > 0 && (
                <section>
                    <h4 className="text-sm font-semibold">Looked at</h4>
                    <ul className="text-sm">
                        {fault.looked.map((look) => (
                            <li key={look.key} className="border-t border-dotted border-line py-1">
                                {look.what}: <strong>{look.well ? 'well' : 'not well'}</strong>{' '}
                                <Button look="bare" className="min-h-8!" disabled={busy} onClick={() => void tell('look', { fault: fault.id, key: look.key })}>
                                    Forget it
                                </Button>
                            </li>
                        ))}
                    </ul>
                </section>
            )}
            <label className="text-sm font-semibold">
                What is known of it
                <textarea rows={3} className={`${inputLook} mt-1 font-normal`} value={note} onChange={(event) => setNote(event.target.value)} />
            </label>
            <Button disabled={busy || note === fault.note} onClick={() => void tell('fault', { fault: fault.id, note })}>
                Keep the note
            </Button>
            <label className="text-sm font-semibold">
                It waits on others; look again on
                <input type="date" className={`${inputLook} figures mt-1`} value={again} onChange={(event) => setAgain(event.target.value)} />
            </label>
            {problem !== undefined && (
                <p role="alert" className="text-sm text-clash">
                    {problem}
                </p>
            )}
            <div className="flex flex-wrap gap-2">
                <Button disabled={busy} onClick={() => void tell('fault', { fault: fault.id, state: 'waiting on others', lookAgainOn: again })}>
                    Let it wait
                </Button>
                {fault.state !== 'open' && (
                    <Button disabled={busy} onClick={() => void tell('fault', { fault: fault.id, state: 'open' })}>
                        Take it up
                    </Button>
                )}
            </div>
            <Link className="inline-flex min-h-11 items-center font-semibold text-pen underline" to={`?step=${encodeURIComponent(fault.step)}`}>
                Mended: test again
            </Link>
        </div>
    );
}
