import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, Problem, type Build } from '../api/client';
import { handOver } from '../part-editor/handoff';
import type { GivenSheet } from '../part-editor/sheet';
import { SheetButton } from '../part-editor/SheetButton';
import { Button } from '../ui/Button';
import { Field, inputLook } from '../ui/Field';
import { DemoList } from './DemoList';

/** Where nobody has begun yet: four ways to begin, each one step from the first verdict. */
export function FirstPage({ onBrief }: { onBrief: () => void }) {
    const cache = useQueryClient();
    const go = useNavigate();
    const id = useId();
    const [name, setName] = useState('');
    const [list, setList] = useState('');
    const begin = useMutation({
        mutationFn: ({ body }: { body: { name: string } | { demo: string }; given: { pasted?: string; sheet?: GivenSheet } }) =>
            api.post<Build>('/builds', body),
        onSuccess: (build, { given }) => {
            handOver(given);
            cache.setQueryData(['build', build.id], build);
            void cache.invalidateQueries({ queryKey: ['builds'] });
            void go(`/builds/${build.id}/parts`);
        },
    });
    const called = (other: string) => (name.trim() === '' ? other : name.trim()).slice(0, 120);
    return (
        <div className="grid gap-6 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
            <form
                className="dot-grid rounded-sm border border-dashed border-edge p-6"
                onSubmit={(event) => {
                    event.preventDefault();
                    begin.mutate({ body: { name: called('My first build') }, given: { pasted: list } });
                }}
            >
                <h2 className="mb-1 text-xl">No builds yet</h2>
                <p className="mb-4 max-w-prose">
                    Write down what you have, as you know it. Names are enough; from the second part on, Pocket Plot says what clashes, what is missing, and
                    which figure to find out first.
                </p>
                <Field
                    label="What the build is called"
                    value={name}
                    maxLength={120}
                    placeholder="My first build"
                    onChange={(event) => setName(event.target.value)}
                />
                <label htmlFor={id} className="mt-3 mb-1 block text-sm font-semibold">
                    Its parts, one a line; or the text of a listing
                </label>
                <textarea
                    id={id}
                    rows={6}
                    className={inputLook}
                    placeholder={'single-board computer, 5 V\n5 inch HDMI panel\nLiPo cell 3.7 V 5000 mAh'}
                    value={list}
                    onChange={(event) => setList(event.target.value)}
                />
                {begin.error instanceof Problem && (
                    <p role="alert" className="mt-2 text-clash">
                        {begin.error.about('name') ?? begin.error.message}
                    </p>
                )}
                <div className="mt-3 flex flex-wrap items-center gap-3">
                    <Button type="submit" look="pen" disabled={begin.isPending || list.trim() === ''}>
                        Look through them
                    </Button>
                    <SheetButton onGiven={(sheet) => begin.mutate({ body: { name: called(sheet.name.replace(/\.\w+$/, '')) }, given: { sheet } })} />
                    <Button look="bare" onClick={onBrief}>
                        Begin with the brief instead
                    </Button>
                </div>
            </form>
            <section aria-label="Demo builds">
                <h2 className="mb-2 text-lg">Or look at one first</h2>
                <DemoList busy={begin.isPending} onPick={(demo) => begin.mutate({ body: { demo }, given: {} })} />
            </section>
        </div>
    );
}
