import { useQueryClient } from '@tanstack/react-query';
import type { PartPage } from '../api/client';
import { useNotices } from '../ui/Notices';

/** Puts an answer where its page reads it, and says what went wrong. */
export function usePartPage() {
    const cache = useQueryClient();
    const notices = useNotices();
    return {
        show: (page: PartPage) => {
            cache.setQueryData(['part', String(page.libraryId)], page);
            void cache.invalidateQueries({ queryKey: ['library'] });
        },
        failed: (error: Error) => notices.say(error.message, 'bad'),
        notices,
    };
}
