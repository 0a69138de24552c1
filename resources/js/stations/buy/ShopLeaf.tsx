import { useMutation } from '@tanstack/react-query';
import { useState, type SyntheticEvent } from 'react';
import { api, Problem, type Line, type SecondHand } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { dataUrl } from '../../ui/dataUrl';
import { Field, inputLook } from '../../ui/Field';
import { roleWords } from '../../ui/words';
import { FindAnswer } from './FindAnswer';

const isOpen = (line: Line) => line.chosen && line.origin === 'buy' && ['to-find', 'chosen', 'faulty'].includes(line.state);

/** In front of a shelf of used things: type what you see and what it costs, read whether it would do and what it is worth. */
export function ShopLeaf() {
    const { build } = useOpenBuild();
    const places = build.lines.filter(isOpen);
    const others = build.lines.filter((line) => line.chosen && !isOpen(line));
    const [line, setLine] = useState(places[0]?.id ?? others[0]?.id ?? '');
    const [text, setText] = useState('');
    const [price, setPrice] = useState('');
    const [photo, setPhoto] = useState<string | null>(null);
    const judge = useMutation({
        mutationFn: () => api.post<SecondHand>(`/builds/${build.id}/find`, { line, text, ...(price.trim() === '' ? {} : { price }) }),
    });
    const problem = judge.error instanceof Problem ? judge.error : null;
    if (line === '')
        return <p className="dot-grid border border-dashed border-edge p-6">Put on the list first what you are looking for, if only by its name.</p>;
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        judge.mutate();
    };
    return (
        <div className="grid gap-6 lg:grid-cols-[24rem_minmax(0,1fr)]">
            <form className="grid content-start gap-3" onSubmit={submit}>
                <label className="text-sm font-semibold">
                    For
                    <select className={`${inputLook} mt-1 min-h-12!`} value={line} onChange={(event) => setLine(event.target.value)}>
                        {[
                            ['still to be bought', places],
                            ['in place of what is there', others],
                        ].map(([label, lines]) =>
                            (lines as Line[]).length === 0 ? null : (
                                <optgroup key={label as string} label={label as string}>
                                    {(lines as Line[]).map((one) => (
                                        <option key={one.id} value={one.id}>
                                            {roleWords[one.role]}: {one.part.name}
                                        </option>
                                    ))}
                                </optgroup>
                            ),
                        )}
                    </select>
                </label>
                <div>
                    <label htmlFor="seen" className="text-sm font-semibold">
                        What it says on it
                    </label>
                    <textarea
                        id="seen"
                        rows={4}
                        className={`${inputLook} mt-1`}
                        placeholder="7 inch panel 1024x600, HDMI, 12 V 0.5 A"
                        value={text}
                        aria-invalid={problem?.about('text') !== undefined}
                        onChange={(event) => setText(event.target.value)}
                    />
                    {problem?.about('text') !== undefined && (
                        <p role="alert" className="text-sm text-clash">
                            {problem.about('text')}
                        </p>
                    )}
                </div>
                <Field
                    label="What they ask for it"
                    inputMode="decimal"
                    placeholder={`12 or 12 ${build.appraisal.costs.currency}`}
                    value={price}
                    onChange={(event) => setPrice(event.target.value)}
                    problem={problem?.about('price') ?? problem?.about('price.amount')}
                />
                <label className="text-sm font-semibold">
                    A photograph of it, kept with the part once you have bought it
                    <input
                        type="file"
                        accept="image/*"
                        capture="environment"
                        className="mt-1 block font-normal"
                        onChange={(event) => void dataUrl(event.target.files?.[0]).then(setPhoto)}
                    />
                </label>
                <Button type="submit" look="pen" className="min-h-12 text-lg" disabled={judge.isPending}>
                    {judge.isPending ? 'Weighing …' : 'Would it do?'}
                </Button>
                {problem !== null && Object.keys(problem.fields).length === 0 && <p role="alert">{problem.message}</p>}
            </form>
            <div aria-live="polite">{judge.data !== undefined && <FindAnswer find={judge.data} price={price} text={text} line={line} photo={photo} />}</div>
        </div>
    );
}
