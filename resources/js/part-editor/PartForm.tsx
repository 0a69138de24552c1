import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type Facets } from '../api/client';
import { useVocabulary } from '../ui/useVocabulary';
import { roles } from '../ui/words';
import { Button } from '../ui/Button';
import { Field } from '../ui/Field';
import { Select } from '../ui/Select';
import { facetsShown, isGroup, plain, tidy, type Group, type Raw } from './draft';
import { FieldGrid, FieldInput, Groups } from './FieldInput';
import { FittingIt } from './FittingIt';
import { PasteText } from './PasteText';

const sits = [
    ['inside', 'inside the body'],
    ['face', 'in one of its faces'],
    ['outside', 'outside, on a lead'],
    ['nowhere', 'nowhere (a tool, a material)'],
] as const;

/** Edits a part. Shows the facets that its role needs; others can be added. Nothing typed is lost by a refused save. */
export function PartForm({
    spec,
    onSave,
    onLeave,
    saveWords,
}: {
    spec: Group;
    onSave: (spec: Group) => Promise<Problem | null>;
    onLeave: () => void;
    saveWords: string;
}) {
    const [draft, setDraft] = useState<Group>(spec);
    const [problem, setProblem] = useState<Problem | null>(null);
    const [busy, setBusy] = useState(false);
    const vocabulary = useVocabulary();
    const facets = useQuery({ queryKey: ['facets'], queryFn: () => api.get<Facets>('/facets'), staleTime: Infinity });
    const text = (key: string) => (typeof draft[key] === 'string' ? draft[key] : '');
    const set = (change: Group) => setDraft((before) => ({ ...before, ...change }));
    const held = isGroup(draft.facets) ? draft.facets : {};
    const setFacet = (name: string, value: Raw) => set({ facets: { ...held, [name]: value } });
    const problems = problem?.lines ?? [];
    const role = text('role') === '' ? 'board' : text('role');
    const shown = facets.data === undefined ? [] : facetsShown(facets.data, role, draft);
    const save = async () => {
        setBusy(true);
        const tidied = tidy(draft, ['facets', 'logicV']);
        const answer = isGroup(tidied) ? await onSave({ ...tidied, name: text('name'), role, facets: tidied.facets ?? {} }) : null;
        setBusy(false);
        setProblem(answer);
        if (answer !== null) window.scrollTo({ top: 0 });
    };
    return (
        <form
            noValidate
            onSubmit={(event) => {
                event.preventDefault();
                void save();
            }}
        >
            <div className="sticky top-0 z-10 -mx-1 mb-4 flex flex-wrap items-center justify-end gap-3 bg-paper px-1 py-2">
                {problem !== null && (
                    <p role="alert" className="min-w-0 flex-1 text-clash">
                        {problem.code === 'bad-file'
                            ? `${problems.length} ${problems.length === 1 ? 'field' : 'fields'} cannot be taken; see the marked ones.`
                            : problem.message}
                    </p>
                )}
                <Button look="bare" onClick={onLeave}>
                    Cancel
                </Button>
                <Button type="submit" look="pen" disabled={busy}>
                    {saveWords}
                </Button>
            </div>
            {problems.length > 0 && (
                <ul className="mb-4 list-disc border-l-4 border-clash pl-8 text-sm">
                    {problems.map((one) => (
                        <li key={one}>{one}</li>
                    ))}
                </ul>
            )}
            <datalist id="connectors">
                {(vocabulary.data?.connectors ?? []).map((one) => (
                    <option key={one} value={one} />
                ))}
            </datalist>
            <PasteText draft={draft} role={role} isNew={text('name') === ''} onTaken={setDraft} />
            <div className="mb-6 grid gap-x-6 gap-y-3 sm:grid-cols-2">
                <Field
                    label="Name"
                    value={text('name')}
                    problem={problem?.about('part.name') ?? problem?.at('name')}
                    onChange={(event) => set({ name: event.target.value })}
                />
                <label>
                    <span className="mb-1 block text-sm font-semibold">What it is for</span>
                    <Select
                        label="What it is for"
                        className="w-full border-edge!"
                        value={role}
                        options={roles.map(([value, name]) => [value as string, name] as const)}
                        onChange={(event) => set({ role: event.target.value })}
                    />
                </label>
                <Field label="Maker" value={text('maker')} onChange={(event) => set({ maker: event.target.value })} />
                <label>
                    <span className="mb-1 block text-sm font-semibold">Sits</span>
                    <Select
                        label="Sits"
                        className="w-full border-edge!"
                        value={text('sits') === '' ? 'inside' : text('sits')}
                        options={sits}
                        onChange={(event) => set({ sits: event.target.value })}
                    />
                </label>
                <Field className="sm:col-span-2" label="In a few words" value={text('summary')} onChange={(event) => set({ summary: event.target.value })} />
                <Field
                    className="sm:col-span-2"
                    label="Seen at"
                    inputMode="url"
                    placeholder="https://…"
                    value={text('link')}
                    onChange={(event) => set({ link: event.target.value })}
                />
                <label className="flex min-h-9 items-center gap-2 sm:col-span-2">
                    <input
                        type="checkbox"
                        className="size-5 accent-pen"
                        checked={draft.wanted === true}
                        onChange={(event) => set({ wanted: event.target.checked ? true : null })}
                    />
                    Wanted: not found yet, the figures say what it must be
                </label>
            </div>
            {facets.data?.facets
                .filter((facet) => shown.includes(facet.facet))
                .sort((a, b) => shown.indexOf(a.facet) - shown.indexOf(b.facet))
                .map((facet) => {
                    const value = held[facet.facet];
                    const [single] = facet.fields;
                    return (
                        <details key={facet.facet} className="mb-3 border-t border-ink" open={value !== undefined || facet.facet === 'size'}>
                            <summary className="font-head cursor-pointer py-1.5 text-lg font-semibold">{facet.label}</summary>
                            {facet.many ? (
                                <Groups
                                    label={facet.label}
                                    fields={facet.fields}
                                    groups={Array.isArray(value) ? value.filter(isGroup) : []}
                                    path={`facets/${facet.facet}`}
                                    problem={problem}
                                    change={(groups) => setFacet(facet.facet, groups)}
                                />
                            ) : single?.field === '' ? (
                                <FieldInput
                                    field={single}
                                    value={value}
                                    path={`facets/${facet.facet}`}
                                    problem={problem}
                                    change={(now) => setFacet(facet.facet, now)}
                                />
                            ) : (
                                <FieldGrid
                                    fields={facet.fields}
                                    group={isGroup(value) ? value : {}}
                                    path={`facets/${facet.facet}`}
                                    problem={problem}
                                    change={(group) => setFacet(facet.facet, group)}
                                />
                            )}
                        </details>
                    );
                })}
            <div className="mb-6 border-t border-ink pt-2">
                <Select
                    label="Describe something else about it"
                    className="border-edge!"
                    value=""
                    options={[
                        ['', 'Describe something else about it …'] as const,
                        ...(facets.data?.facets ?? []).filter((facet) => !shown.includes(facet.facet)).map((facet) => [facet.facet, facet.label] as const),
                    ]}
                    onChange={(event) => {
                        const facet = facets.data?.facets.find((one) => one.facet === event.target.value);
                        if (facet !== undefined)
                            setFacet(facet.facet, facet.many ? [{}] : facet.fields[0]?.field === '' ? (facet.fields[0].kind === 'words' ? [] : '') : {});
                    }}
                />
            </div>
            <FittingIt draft={draft} set={set} problem={problem} />
            <Offers
                value={draft.offers}
                change={(offers) => set({ offers })}
                packetOf={typeof draft.packetOf === 'number' ? draft.packetOf : 1}
                setPacket={(packetOf) => set({ packetOf })}
            />
        </form>
    );
}

function Offers({
    value,
    change,
    packetOf,
    setPacket,
}: {
    value: Raw | undefined;
    change: (offers: Group[]) => void;
    packetOf: number;
    setPacket: (pieces: number | null) => void;
}) {
    const offers = Array.isArray(value) ? value.filter(isGroup) : [];
    const set = (at: number, fields: Group) => change(offers.map((one, index) => (index === at ? { ...one, ...fields } : one)));
    const price = (offer: Group): Group => (isGroup(offer.price) ? offer.price : { amount: '', currency: 'EUR' });
    return (
        <fieldset className="mb-6">
            <legend className="font-head mb-2 w-full border-b border-ink text-lg font-semibold">Can be had at</legend>
            {offers.map((offer, index) => (
                <div key={index} className="mb-2 flex flex-wrap items-end gap-2">
                    <Field
                        className="min-w-44 flex-1"
                        label="Vendor"
                        value={plain(offer.vendor)}
                        onChange={(event) => set(index, { vendor: event.target.value })}
                    />
                    <Field
                        className="w-24"
                        label="Price"
                        inputMode="decimal"
                        value={plain(price(offer).amount)}
                        onChange={(event) => set(index, { price: { ...price(offer), amount: event.target.value.replace(',', '.') } })}
                    />
                    <Field
                        className="w-20"
                        label="In"
                        maxLength={3}
                        value={plain(price(offer).currency)}
                        onChange={(event) => set(index, { price: { ...price(offer), currency: event.target.value.toUpperCase() } })}
                    />
                    <Field
                        className="w-20"
                        label="Days"
                        inputMode="numeric"
                        value={plain(offer.leadDays)}
                        onChange={(event) => set(index, { leadDays: Number(event.target.value.replace(/\D/g, '')) })}
                    />
                    <Button look="bare" onClick={() => change(offers.filter((_, at) => at !== index))}>
                        Take out
                    </Button>
                </div>
            ))}
            <div className="flex flex-wrap items-end gap-4">
                <Button onClick={() => change([...offers, { vendor: '', price: { amount: '', currency: 'EUR' }, leadDays: 7 }])}>Add an offer</Button>
                <Field
                    className="w-40"
                    label="Pieces in a packet"
                    inputMode="numeric"
                    value={String(packetOf)}
                    onChange={(event) => setPacket(event.target.value === '' ? null : Number(event.target.value.replace(/\D/g, '')))}
                />
            </div>
        </fieldset>
    );
}
