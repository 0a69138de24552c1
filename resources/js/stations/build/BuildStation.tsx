import { api, type Build, type Step } from '../../api/client';
import { useSteps } from '../../frame/useAsked';
import { useOpenBuild } from '../../frame/useBuild';
import { capital, date } from '../../ui/format';

/** The steps in their order, made for dirty fingers and read at arm's length. */
export default function BuildStation() {
    const { build } = useOpenBuild();
    const { vitals } = build.appraisal;
    const asked = useSteps();
    const steps = asked.data?.steps ?? [];
    const phases = [...new Set(steps.map((step) => step.phase))];
    return (
        <main className="px-4 sm:px-6">
            <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
                <h2 className="text-xl">Build</h2>
                {steps.length > 0 && (
                    <p className="text-pencil">
                        {steps.length - vitals.stepsLeft} of {steps.length} steps done
                    </p>
                )}
            </div>
            <p className="mb-4 max-w-prose border-l-4 border-tight pl-3 text-[0.95rem]">
                Follow the makers' instructions and your local rules before ours, and leave mains wiring and doubtful packs to a qualified person. A step marked{' '}
                <strong>test</strong> must pass before you go on.
            </p>
            {asked.isError && <p role="alert">{asked.error.message}</p>}
            {asked.isPending && <p className="text-pencil">Putting the steps in order …</p>}
            {asked.data?.steps.length === 0 && (
                <p className="dot-grid border border-dashed border-edge p-6">
                    No parts, no steps. Once there are parts, the steps stand here in the order in which they are best done.
                </p>
            )}
            {phases.map((phase) => (
                <section key={phase} className="mb-6">
                    <h3 className="mb-1 border-b-2 border-ink text-lg">{capital(phase)}</h3>
                    <ol>
                        {steps
                            .filter((step) => step.phase === phase)
                            .map((step) => (
                                <StepLine key={step.id} step={step} number={steps.indexOf(step) + 1} />
                            ))}
                    </ol>
                </section>
            ))}
        </main>
    );
}

function StepLine({ step, number }: { step: Step; number: number }) {
    const { build, edit } = useOpenBuild();
    const name = (id: string) => build.lines.find((line) => line.id === id)?.part.name ?? id;
    const arrives = (id: string) => build.lines.find((line) => line.id === id)?.arrivesOn ?? null;
    const done = step.tickedOn !== null;
    return (
        <li className={`grid border-b border-line lg:grid-cols-[minmax(0,1fr)_19rem] ${done ? 'text-pencil' : ''}`} data-step={step.id}>
            <label className="flex cursor-pointer gap-4 py-3 hover:bg-leaf">
                <input
                    type="checkbox"
                    className="mt-0.5 size-8 shrink-0 accent-pen"
                    checked={done}
                    onChange={(event) => {
                        const ticked = event.target.checked;
                        void edit((path, version) => api.put<Build>(`${path}/ticks`, { version, step: step.id, done: ticked }));
                    }}
                    aria-label={step.title}
                />
                <span className="min-w-0">
                    <span className={`flex flex-wrap items-baseline gap-x-2 text-lg leading-tight font-semibold ${done ? 'line-through' : ''}`}>
                        <span className="figures text-pencil">{number}</span>
                        {step.title}
                        {step.gate && <span className="rounded-sm border border-current px-1.5 text-sm font-normal no-underline">test</span>}
                    </span>
                    <span className="block max-w-prose">{step.says}</span>
                    {!done && step.lines.length > 0 && <span className="block text-sm text-pencil">Lay out: {step.lines.map(name).join(', ')}</span>}
                    {step.cannotBeUndone !== '' && <span className="block text-sm font-semibold">Cannot be undone: {step.cannotBeUndone}.</span>}
                    <span className="block text-sm text-pencil">{done ? `done ${date(step.tickedOn)}` : `about ${step.minutes} min`}</span>
                </span>
            </label>
            <div className="py-2 text-[0.9rem] max-lg:pb-3 max-lg:pl-12 lg:border-l-[3px] lg:border-double lg:border-clash/45 lg:px-3">
                {step.waitsFor.length > 0 && (
                    <p className="mb-1 font-semibold">
                        {done ? 'Ticked, although not here: ' : 'Waits for: '}
                        {step.waitsFor.map((id) => `${name(id)}${arrives(id) === null ? ' (no day known)' : ` (${date(arrives(id))})`}`).join(', ')}
                    </p>
                )}
                {!done &&
                    step.cautions.map((caution) => (
                        <p key={caution} className="mb-1 border-l-4 border-tight pl-2">
                            {caution}
                        </p>
                    ))}
            </div>
        </li>
    );
}
