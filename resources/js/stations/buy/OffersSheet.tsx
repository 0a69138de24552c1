import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, Problem, type OfferRow } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { dataUrl } from '../../ui/dataUrl';
import { Dialog } from '../../ui/Dialog';
import { inputLook } from '../../ui/Field';
import { useNotices } from '../../ui/Notices';

interface Given {
    text?: string;
    file?: string;
}

type Answer = { rows: OfferRow[]; noted: number };

/** Offers pasted or out of a spreadsheet: what each row would become, and nothing is noted before that is confirmed. */
export function OffersSheet({ onClose, onNoted }: { onClose: () => void; onNoted: () => void }) {
    const { build } = useOpenBuild();
    const notices = useNotices();
    const [text, setText] = useState('');
    const [given, setGiven] = useState<Given | null>(null);
    const preview = useMutation({
        mutationFn: (sheet: Given) => api.post<Answer>(`/builds/${build.id}/offers-sheet`, sheet),
        onMutate: setGiven,
    });
    const take = useMutation({
        mutationFn: () => api.post<Answer>(`/builds/${build.id}/offers-sheet`, { ...given, take: true }),
        onSuccess: ({ noted }) => {
            notices.say(`${noted} ${noted === 1 ? 'offer is' : 'offers are'} noted, seen today.`);
            onNoted();
        },
    });
    const rows = preview.data?.rows ?? [];
    const good = rows.filter((row) => row.part !== null).length;
    const problem = [preview.error, take.error].find((error) => error instanceof Problem);
    return (
        <Dialog
            open
            wide
            onClose={onClose}
            title="Offers from a spreadsheet"
            foot={
                <Button look="pen" disabled={good === 0 || take.isPending} onClick={() => take.mutate()}>
                    {good === 0 ? 'Note them' : `Note ${good} of ${rows.length}`}
                </Button>
            }
        >
            <label className="mb-3 block" data-first>
                <span className="mb-1 block text-sm font-semibold">Rows with part, vendor and price, as copied from a spreadsheet</span>
                <textarea rows={5} className={inputLook} value={text} onChange={(event) => setText(event.target.value)} />
            </label>
            <div className="mb-4 flex flex-wrap items-center gap-4">
                <Button disabled={text.trim() === ''} onClick={() => preview.mutate({ text })}>
                    Read these
                </Button>
                <label className="text-sm">
                    or a file: CSV, ODS or XLSX{' '}
                    <input
                        type="file"
                        accept=".csv,.tsv,.txt,.ods,.xlsx"
                        onChange={(event) => {
                            const file = event.target.files?.[0];
                            void dataUrl(file).then((url) => url !== null && preview.mutate({ file: url.slice(url.indexOf(',') + 1) }));
                        }}
                    />
                </label>
            </div>
            {problem !== undefined && (
                <p role="alert" className="text-clash">
                    {Object.values(problem.fields)[0]?.[0] ?? problem.message}
                </p>
            )}
            {rows.length > 0 && <Rows rows={rows} />}
        </Dialog>
    );
}

function Rows({ rows }: { rows: OfferRow[] }) {
    return (
        <table className="w-full text-sm">
            <thead>
                <tr className="border-b-2 border-ink text-left [&>th]:px-1.5">
                    <th scope="col">Row</th>
                    <th scope="col">Part</th>
                    <th scope="col">Vendor</th>
                    <th scope="col" className="text-right">
                        Price
                    </th>
                    <th scope="col">What becomes of it</th>
                </tr>
            </thead>
            <tbody>
                {rows.map((row) => (
                    <tr key={row.row} className={`border-b border-dotted border-line [&>*]:px-1.5 ${row.part === null ? 'text-pencil' : ''}`}>
                        <td className="figures">{row.row}</td>
                        <th scope="row" className="text-left font-normal">
                            {row.name}
                        </th>
                        <td>{row.vendor}</td>
                        <td className="figures text-right">{row.price}</td>
                        <td>{row.part === null ? row.problem : row.pieces > 1 ? `noted, for ${row.pieces} pieces` : 'noted'}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
