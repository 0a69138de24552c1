import type { Plan } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';

/** Slips to cut out: one for the bag of each part, two for the ends of each wire. */
export function Labels({ plan }: { plan: Plan }) {
    const { build } = useOpenBuild();
    const wires = plan.steps.filter((step) => step.phase === 'wire and mount' && step.setup === 'iron');
    const parts = build.lines.filter((line) => line.chosen && line.role !== 'tool');
    return (
        <section className="mt-5">
            <h4 className="text-lg font-semibold">Labels</h4>
            <ul className="grid grid-cols-2 sm:grid-cols-3 print:grid-cols-3">
                {parts.map((line) => (
                    <li key={line.id} className="break-inside-avoid border border-dashed border-edge p-2">
                        <span className="block font-semibold">{line.part.name}</span>
                        <span className="text-sm">
                            {line.quantity > 1 ? `${line.quantity} × ` : ''}
                            {build.name}
                            {line.place === '' ? '' : `, ${line.place}`}
                        </span>
                    </li>
                ))}
                {wires.flatMap((step) =>
                    (['one end', 'other end'] as const).map((end) => (
                        <li key={`${step.id} ${end}`} className="break-inside-avoid border border-dashed border-edge p-2">
                            <span className="figures">wire {plan.steps.indexOf(step) + 1}</span> <span className="text-sm">{end}</span>
                            <span className="block text-sm">{step.title}</span>
                        </li>
                    )),
                )}
            </ul>
        </section>
    );
}
