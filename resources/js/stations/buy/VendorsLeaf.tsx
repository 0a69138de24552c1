import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type Vendor } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { date } from '../../ui/format';
import { useNotices } from '../../ui/Notices';
import { VendorForm } from './VendorForm';

/** Who sells, and on which terms. */
export function VendorsLeaf() {
    const { build } = useOpenBuild();
    const cache = useQueryClient();
    const [open, setOpen] = useState<Vendor | 'new' | null>(null);
    const vendors = useQuery({ queryKey: ['vendors'], queryFn: () => api.get<{ vendors: Vendor[] }>('/vendors') });
    const changed = () => {
        setOpen(null);
        // Other terms, other costs: the build is weighed anew.
        for (const key of ['vendors', 'shopping', 'money', 'orders']) void cache.invalidateQueries({ queryKey: [key] });
        void cache.invalidateQueries({ queryKey: ['build', build.id] });
    };
    return (
        <>
            <div className="mb-3 flex flex-wrap items-center justify-between gap-3">
                <p className="max-w-prose text-sm">
                    Post, days, closures, tax and duty decide what a thing really costs and when it is here. What you write down is yours, for all your builds.
                </p>
                <Button look="pen" onClick={() => setOpen('new')}>
                    Write down a vendor
                </Button>
            </div>
            {vendors.isError && <p role="alert">{vendors.error.message}</p>}
            <ul className="grid gap-3 lg:grid-cols-2">
                {vendors.data?.vendors.map((vendor) => (
                    <VendorBox key={`${vendor.id}`} vendor={vendor} onOpen={() => setOpen(vendor)} onRemoved={changed} />
                ))}
            </ul>
            {open !== null && <VendorForm vendor={open === 'new' ? null : open} onClose={() => setOpen(null)} onKept={changed} />}
        </>
    );
}

function VendorBox({ vendor, onOpen, onRemoved }: { vendor: Vendor; onOpen: () => void; onRemoved: () => void }) {
    const notices = useNotices();
    const remove = async () => {
        try {
            await api.remove(`/vendors/${vendor.id}`);
            notices.say(`${vendor.name} is removed. Orders placed there keep its name and money.`);
            onRemoved();
        } catch (error) {
            notices.say(error instanceof Problem ? error.message : 'That did not work.', 'bad');
        }
    };
    return (
        <li className="border border-edge bg-leaf px-3 py-2">
            <div className="flex flex-wrap items-baseline justify-between gap-2">
                <h3 className="text-lg">{vendor.name}</h3>
                <span>
                    <Button look="bare" aria-label={`Change ${vendor.name}`} onClick={onOpen}>
                        {vendor.own ? 'Change' : 'Write my own terms'}
                    </Button>
                    {vendor.own && (
                        <Button look="bare" aria-label={`Remove ${vendor.name}`} onClick={() => void remove()}>
                            Remove
                        </Button>
                    )}
                </span>
            </div>
            <ul className="text-sm">
                {termsInWords(vendor).map((words) => (
                    <li key={words}>{words}</li>
                ))}
            </ul>
            {vendor.note !== '' && <p className="text-sm text-pencil">{vendor.note}</p>}
        </li>
    );
}

function termsInWords({ currency, leadDays, terms, saysPost }: Vendor): string[] {
    const { post, lead, closures = [], leastOrder, taxPercent, dutyPercent, dutyFreeUpTo } = terms;
    const steps = post?.steps ?? [];
    return [
        `${lead?.usual ?? leadDays} days${lead?.least === undefined || lead.most === undefined ? '' : ` (${lead.least} to ${lead.most})`}, prices in ${currency}`,
        saysPost
            ? `post ${steps.map((step) => `${step.price}${step.upToGrams === undefined ? '' : ` up to ${step.upToGrams} g`}`).join(', ')}${post?.freeFrom === undefined ? '' : `, nothing from ${post.freeFrom} on`}`
            : 'post: not known, counted as nothing',
        ...(leastOrder === undefined ? [] : [`least order ${leastOrder}`]),
        ...(taxPercent === undefined ? [] : [`${taxPercent} % tax at the border`]),
        ...(dutyPercent === undefined ? [] : [`${dutyPercent} % duty${dutyFreeUpTo === undefined ? '' : ` above ${dutyFreeUpTo}`}`]),
        ...closures.map((closure) => `closed ${date(closure.from)} to ${date(closure.to)}`),
    ];
}
