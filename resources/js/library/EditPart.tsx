import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, Problem, type PartPage } from '../api/client';
import { useNotices } from '../ui/Notices';
import type { Group } from '../part-editor/draft';
import { BackTo, PageFrame } from '../ui/PageFrame';
import { PartForm } from '../part-editor/PartForm';

/** A new part of one's own, or a change to one. */
export default function EditPart() {
    const { part: id } = useParams();
    const go = useNavigate();
    const cache = useQueryClient();
    const notices = useNotices();
    const found = useQuery({ queryKey: ['part', id], queryFn: () => api.get<PartPage>(`/parts/${id ?? ''}`), enabled: id !== undefined, staleTime: Infinity });
    useEffect(() => {
        document.title = id === undefined ? 'A new part · Pocket Plot' : 'Edit a part · Pocket Plot';
    }, [id]);
    const save = async (spec: Group): Promise<Problem | null> => {
        try {
            const saved =
                id === undefined
                    ? await api.post<PartPage>('/parts', { part: spec })
                    : await api.put<PartPage>(`/parts/${id}`, { version: found.data?.version, part: spec });
            cache.setQueryData(['part', String(saved.libraryId)], saved);
            void cache.invalidateQueries({ queryKey: ['library'] });
            notices.say(`${saved.part.name} is kept.`);
            void go(`/library/${saved.libraryId}`);
            return null;
        } catch (error) {
            return error instanceof Problem ? error : new Problem('broken', 'The page broke while saving. What you typed is still here.');
        }
    };
    return (
        <PageFrame
            title={id === undefined ? 'A new part' : (found.data?.part.name ?? '…')}
            says="Leave open what you do not know: an honest gap is better than a guess. A guess is fine when it says so."
        >
            <BackTo to={id === undefined ? '/library' : `/library/${id}`}>{id === undefined ? 'Library' : 'The part'}</BackTo>
            {found.isError && <p role="alert">{found.error.message}</p>}
            {(id === undefined || found.data !== undefined) && (
                <PartForm
                    key={id ?? 'new'}
                    spec={id === undefined ? { name: '', role: 'board', facets: {} } : (found.data?.spec as Group)}
                    onSave={save}
                    onLeave={() => void go(id === undefined ? '/library' : `/library/${id}`)}
                    saveWords={id === undefined ? 'Keep it' : 'Keep the change'}
                />
            )}
        </PageFrame>
    );
}
