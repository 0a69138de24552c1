import type { Step } from '../../api/client';
import { Button } from '../../ui/Button';
import { inputLook } from '../../ui/Field';

export type Reads = Record<string, string | boolean>;
type Measure = NonNullable<Step['gate']>[number];

/** Whether all is answered that a gate asks; what it reads is judged by the application. */
export const isAnswered = (step: Step, reads: Reads): boolean => (step.gate ?? []).every((one) => reads[one.key] !== undefined && reads[one.key] !== '');

/** What a test asks: figures to read, with what passes beside them, and plain yes or no. */
export function GateFields({ step, reads, onChange }: { step: Step; reads: Reads; onChange: (reads: Reads) => void }) {
    if (step.gate === null) return null;
    return (
        <fieldset className="border-2 border-ink">
            <legend className="ml-3 px-1 font-semibold">Before going on</legend>
            <ul>
                {step.gate.map((measure) => (
                    <li key={measure.key} className="border-b border-dotted border-line px-3 py-2 last:border-0">
                        {measure.unit === '' ? (
                            <YesNo measure={measure} value={reads[measure.key]} onChange={(value) => onChange({ ...reads, [measure.key]: value })} />
                        ) : (
                            <label className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
                                <span className="min-w-48 flex-1">
                                    {measure.what}
                                    <span className="block text-sm text-pencil">
                                        {measure.passes}
                                        {measure.inPencil && ' (by figures that are usual of its kind)'}
                                    </span>
                                </span>
                                <span className="flex items-center gap-1">
                                    <input
                                        inputMode="decimal"
                                        className={`${inputLook} figures min-h-12! w-28! text-right text-xl`}
                                        value={String(reads[measure.key] ?? '')}
                                        onChange={(event) => onChange({ ...reads, [measure.key]: event.target.value })}
                                    />
                                    <span className="w-8">{measure.unit}</span>
                                </span>
                            </label>
                        )}
                    </li>
                ))}
            </ul>
        </fieldset>
    );
}

function YesNo({ measure, value, onChange }: { measure: Measure; value: string | boolean | undefined; onChange: (value: boolean) => void }) {
    return (
        <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1" role="group" aria-label={measure.what}>
            <span className="min-w-48 flex-1">{measure.what}</span>
            <span className="flex gap-2">
                {([true, false] as const).map((one) => (
                    <Button
                        key={String(one)}
                        look={value === one ? 'pen' : 'plain'}
                        className="min-h-12 min-w-16"
                        aria-pressed={value === one}
                        onClick={() => onChange(one)}
                    >
                        {one ? 'Yes' : 'No'}
                    </Button>
                ))}
            </span>
        </div>
    );
}
