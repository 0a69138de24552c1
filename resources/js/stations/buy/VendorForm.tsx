import { useMutation } from '@tanstack/react-query';
import { useState, type SyntheticEvent } from 'react';
import { api, Problem, type Vendor } from '../../api/client';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Field } from '../../ui/Field';

const decimal = (text: string): string | undefined => (text.trim() === '' ? undefined : text.trim().replace(',', '.'));
const whole = (text: string): number | undefined => (text.trim() === '' ? undefined : Number(text));
const share = (text: string): number | undefined => (text.trim() === '' ? undefined : Number(text.replace(',', '.').replace('%', '')));

function draftOf(vendor: Vendor | null) {
    const terms = vendor?.terms ?? {};
    const steps = terms.post?.steps ?? [];
    const light = steps.length > 1 ? steps[0] : undefined;
    return {
        name: vendor?.name ?? '',
        currency: vendor?.currency ?? 'EUR',
        note: vendor?.note ?? '',
        least: String(terms.lead?.least ?? ''),
        usual: String(terms.lead?.usual ?? vendor?.leadDays ?? ''),
        most: String(terms.lead?.most ?? ''),
        post: steps.at(-1)?.price ?? '',
        lightGrams: light?.upToGrams === undefined ? '' : String(light.upToGrams),
        lightPost: light?.price ?? '',
        freeFrom: terms.post?.freeFrom ?? '',
        leastOrder: terms.leastOrder ?? '',
        tax: terms.taxPercent === undefined ? '' : String(terms.taxPercent),
        duty: terms.dutyPercent === undefined ? '' : String(terms.dutyPercent),
        dutyFree: terms.dutyFreeUpTo ?? '',
        closedFrom: terms.closures?.[0]?.from ?? '',
        closedTo: terms.closures?.[0]?.to ?? '',
    };
}

type Draft = ReturnType<typeof draftOf>;

/** The terms as they are sent: what is left empty is not known. */
function bodyOf(draft: Draft, vendor: Vendor | null) {
    const price = decimal(draft.post);
    const light = decimal(draft.lightPost);
    const grams = whole(draft.lightGrams);
    const kept = vendor?.terms.post?.steps ?? [];
    const steps =
        kept.length > 2
            ? [...kept.slice(0, -1), { price: price ?? '0' }]
            : [...(light === undefined || grams === undefined ? [] : [{ upToGrams: grams, price: light }]), ...(price === undefined ? [] : [{ price }])];
    const freeFrom = decimal(draft.freeFrom);
    const closures = [
        ...(draft.closedFrom === '' || draft.closedTo === '' ? [] : [{ from: draft.closedFrom, to: draft.closedTo }]),
        ...(vendor?.terms.closures ?? []).slice(1),
    ];
    return {
        ...(vendor?.own === true ? { version: vendor.version } : {}),
        name: draft.name,
        currency: draft.currency.trim().toUpperCase(),
        note: draft.note,
        lead: { least: whole(draft.least), usual: whole(draft.usual), most: whole(draft.most) },
        ...(steps.length === 0 ? {} : { post: { steps, freeFrom } }),
        closures,
        leastOrder: decimal(draft.leastOrder),
        taxPercent: share(draft.tax),
        dutyPercent: share(draft.duty),
        dutyFreeUpTo: decimal(draft.dutyFree),
    };
}

const fields: readonly (readonly [keyof Draft, string, string, 'text' | 'date'])[] = [
    ['name', 'Name', 'name', 'text'],
    ['currency', 'Currency of its prices', 'currency', 'text'],
    ['usual', 'Days until a parcel is here, usually', 'lead.usual', 'text'],
    ['least', 'at least', 'lead.least', 'text'],
    ['most', 'at most', 'lead', 'text'],
    ['post', 'Post', 'post.steps.0.price', 'text'],
    ['lightGrams', 'Light parcels, up to so many grams', 'post.steps.0.upToGrams', 'text'],
    ['lightPost', 'Post of light parcels', 'post.steps.1.price', 'text'],
    ['freeFrom', 'No post from this sum on', 'post.freeFrom', 'text'],
    ['leastOrder', 'Least order', 'leastOrder', 'text'],
    ['tax', 'Tax at the border, %', 'taxPercent', 'text'],
    ['duty', 'Duty, %', 'dutyPercent', 'text'],
    ['dutyFree', 'No duty up to', 'dutyFreeUpTo', 'text'],
    ['closedFrom', 'Closed from', 'closures.0.from', 'date'],
    ['closedTo', 'Closed to', 'closures.0', 'date'],
];

/** A vendor's terms, as one reads them on its page. */
export function VendorForm({ vendor, onClose, onKept }: { vendor: Vendor | null; onClose: () => void; onKept: () => void }) {
    const [draft, setDraft] = useState(() => draftOf(vendor));
    const keep = useMutation({
        mutationFn: () =>
            vendor?.own === true ? api.put<Vendor>(`/vendors/${vendor.id}`, bodyOf(draft, vendor)) : api.post<Vendor>('/vendors', bodyOf(draft, vendor)),
        onSuccess: onKept,
    });
    const problem = keep.error instanceof Problem ? keep.error : null;
    const about = (path: string) => Object.entries(problem?.fields ?? {}).find(([key]) => key === path)?.[1][0];
    const told = fields.some(([, , path]) => about(path) !== undefined);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        keep.mutate();
    };
    return (
        <Dialog
            open
            onClose={onClose}
            title={vendor === null ? 'A vendor' : vendor.own ? vendor.name : `My own terms of ${vendor.name}`}
            foot={
                <Button type="submit" form="vendor-form" look="pen" disabled={keep.isPending}>
                    Save
                </Button>
            }
        >
            <form id="vendor-form" className="grid grid-cols-2 gap-3" onSubmit={submit} data-first>
                {fields.map(([key, label, path, type]) => (
                    <Field
                        key={key}
                        label={label}
                        type={type}
                        className={key === 'name' ? 'col-span-2' : ''}
                        value={draft[key]}
                        onChange={(event) => setDraft({ ...draft, [key]: event.target.value })}
                        problem={about(path)}
                    />
                ))}
                <Field
                    label="What you think of it"
                    className="col-span-2"
                    value={draft.note}
                    onChange={(event) => setDraft({ ...draft, note: event.target.value })}
                    problem={about('note')}
                />
                <p className="col-span-2 text-sm text-pencil">
                    Sums in its own currency. What is left empty is not known; post that is not known counts as nothing.
                </p>
                {problem !== null && !told && (
                    <p role="alert" className="col-span-2 text-clash">
                        {Object.values(problem.fields)[0]?.[0] ?? problem.message}
                    </p>
                )}
            </form>
        </Dialog>
    );
}
