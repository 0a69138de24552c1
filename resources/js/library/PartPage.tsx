import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, type PartPage as PartAnswer } from '../api/client';
import { roleWords } from '../ui/words';
import { Button } from '../ui/Button';
import { useNotices } from '../ui/Notices';
import { BackTo, PageFrame } from '../ui/PageFrame';
import { Clippings } from '../part-editor/Clippings';
import { PartFigures } from '../part-editor/PartFigures';
import { MergePart } from './MergePart';
import { PartFiles } from './PartFiles';
import { PartHistory } from './PartHistory';

/** One part of the library in full. */
export default function PartPage() {
    const { part: id = '' } = useParams();
    const go = useNavigate();
    const cache = useQueryClient();
    const notices = useNotices();
    const found = useQuery({ queryKey: ['part', id], queryFn: () => api.get<PartAnswer>(`/parts/${id}`) });
    const failed = (error: Error) => notices.say(error.message, 'bad');
    const copy = useMutation({
        mutationFn: () => api.post<PartAnswer>(`/parts/${id}/copy`),
        onSuccess: (copied) => {
            void cache.invalidateQueries({ queryKey: ['library'] });
            void go(`/library/${copied.libraryId}/edit`);
        },
        onError: failed,
    });
    const remove = useMutation({
        mutationFn: () => api.remove(`/parts/${id}`),
        onSuccess: () => {
            void cache.invalidateQueries({ queryKey: ['library'] });
            notices.say('The part was taken out of your library. Builds keep their own copies.', 'good', {
                words: 'Put it back',
                run: () => void api.post<PartAnswer>(`/parts/${id}/restore`).then(() => cache.invalidateQueries({ queryKey: ['library'] }), failed),
            });
            void go('/library');
        },
        onError: failed,
    });
    const [merging, setMerging] = useState(false);
    const page = found.data;
    useEffect(() => {
        if (page !== undefined) document.title = `${page.part.name} · Pocket Plot`;
    }, [page]);
    if (page === undefined)
        return <PageFrame title={found.isError ? 'This part cannot be opened' : '…'}>{found.isError && <p role="alert">{found.error.message}</p>}</PageFrame>;
    return (
        <PageFrame
            title={page.part.name}
            says={[roleWords[page.part.role], page.part.maker, page.part.summary].filter((text) => text !== '').join(' · ')}
            tools={
                <>
                    {page.own && (
                        <Button look="bare" onClick={() => remove.mutate()}>
                            Take out
                        </Button>
                    )}
                    {page.own && <Button onClick={() => setMerging(true)}>Merge</Button>}
                    <Button onClick={() => copy.mutate()}>Copy and adjust</Button>
                    {page.own && (
                        <Button look="pen" onClick={() => void go(`/library/${id}/edit`)}>
                            Edit
                        </Button>
                    )}
                </>
            }
        >
            <BackTo to="/library">Library</BackTo>
            {page.part.cautions.map((caution) => (
                <p key={caution} className="mb-3 border-l-4 border-clash pl-3">
                    {caution}
                </p>
            ))}
            <PartFigures sheet={page.sheet} />
            {page.own && <PartFiles page={page} />}
            <Clippings spec={page.spec} />
            <section className="mb-5">
                <h2 className="mb-1 border-b border-ink text-lg">Can be had at</h2>
                {page.part.offers.length === 0 && <p className="text-pencil">No price is known yet.</p>}
                <ul>
                    {page.part.offers.map((offer) => (
                        <li key={offer.vendor}>
                            {offer.vendor}:{' '}
                            <span className="figures font-semibold">
                                {offer.price.amount} {offer.price.currency}
                            </span>
                            , about {offer.leadDays} days
                        </li>
                    ))}
                </ul>
            </section>
            <section className="mb-5">
                <h2 className="mb-1 border-b border-ink text-lg">Used in</h2>
                {page.usedIn.length === 0 && <p className="text-pencil">None of your builds.</p>}
                <ul>
                    {page.usedIn.map((build) => (
                        <li key={build.id}>
                            <Link className="text-pen underline" to={`/builds/${build.id}/parts`}>
                                {build.name}
                            </Link>
                        </li>
                    ))}
                </ul>
            </section>
            {page.own && <PartHistory page={page} />}
            {merging && <MergePart page={page} onClose={() => setMerging(false)} />}
        </PageFrame>
    );
}
