import { api, type PartPage } from '../api/client';
import { Button } from '../ui/Button';
import { date } from '../ui/format';
import { ChangeList } from './ChangeList';
import { usePartPage } from './usePartPage';

type Change = PartPage['history'][number];

/** By what it was changed; the note is the other part's name, or the day that it was put back to. */
const said: Record<Change['how'], (note: string) => string> = {
    editor: () => 'changed by hand',
    file: () => 'written over from a file',
    merge: (name) => `merged with ${name}`,
    back: (day) => `put back to what it was before ${date(day)}`,
};

/** Which figure of a part was what, and when; and the way back to each. */
export function PartHistory({ page }: { page: PartPage }) {
    const { show, failed, notices } = usePartPage();
    const back = (one: Change) =>
        void api.post<PartPage>(`/parts/${page.libraryId}/changes/${one.id}/back`, { version: page.version }).then((answer) => {
            show(answer);
            notices.say(`${answer.part.name} is as it was before ${date(one.on)}.`);
        }, failed);
    return (
        <section>
            <h2 className="mb-1 border-b border-ink text-lg">History</h2>
            <ul>
                {page.history.map((one) => (
                    <li key={one.id} className="border-b border-dotted border-line py-1.5">
                        <span className="flex items-baseline gap-3">
                            <span className="min-w-0 flex-1">
                                {date(one.on)}: {said[one.how](one.note)}
                            </span>
                            <Button look="bare" className="shrink-0 px-1!" onClick={() => back(one)}>
                                {one.how === 'merge' ? 'Take apart again' : 'Back to before'}
                            </Button>
                        </span>
                        <ChangeList changes={one.changes} />
                    </li>
                ))}
                <li className="py-1.5">{date(page.since)}: written down</li>
            </ul>
        </section>
    );
}
