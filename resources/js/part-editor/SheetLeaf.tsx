import { useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, Problem, type SheetColumn, type SheetPreview, type SheetRow } from '../api/client';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';
import { DialogFoot } from '../ui/DialogFoot';
import { Select } from '../ui/Select';
import { roles, roleWords, sheetColumns } from '../ui/words';
import { FoundFigures } from './FoundFigures';
import { asSent, decided, type Decision, type GivenSheet } from './sheet';

export type SentRow = ReturnType<typeof asSent>;

const roleOptions = [['', 'choose …'] as const, ...roles.map(([value, name]) => [value as string, name] as const)];

/** A spreadsheet, row by row, before anything is taken of it: what its columns hold, what each row would become, what is left out and why. */
export function SheetLeaf({
    given,
    into,
    take,
    onClose,
}: {
    given: GivenSheet;
    /** What the button says they are put into: "the list". */
    into: string;
    take: (rows: SentRow[]) => Promise<Problem | null>;
    onClose: () => void;
}) {
    const id = useId();
    const [asked, setAsked] = useState<{ sheet?: string; columns?: SheetColumn[] }>({});
    const [own, setOwn] = useState<Record<number, Partial<Decision>>>({});
    const [refused, setRefused] = useState<string | null>(null);
    const [saving, setSaving] = useState(false);
    const found = useQuery({
        queryKey: ['sheet', id, asked],
        queryFn: () => api.post<SheetPreview>('/sheets', { ...(given.file === undefined ? { text: given.text } : { file: given.file }), ...asked }),
        placeholderData: (before) => before,
        gcTime: 0,
        staleTime: Infinity,
        retry: false,
    });
    const preview = found.data ?? null;
    const unread = found.error instanceof Problem ? (found.error.about('file') ?? found.error.message) : null;
    const problem = unread ?? refused;
    const busy = found.isFetching || saving;
    const rows = preview?.rows.filter((row) => row.leftOut === '') ?? [];
    const ticked = rows.filter((row) => decided(row, own[row.row]).take);
    const open = ticked.filter((row) => !decided(row, own[row.row]).isKnown && decided(row, own[row.row]).role === '');
    const decide = (row: SheetRow, change: Partial<Decision>) => setOwn((before) => ({ ...before, [row.row]: { ...before[row.row], ...change } }));
    const put = async () => {
        setSaving(true);
        const answer = await take(ticked.map((row) => asSent(row, decided(row, own[row.row]))));
        setSaving(false);
        setRefused(answer === null ? null : (Object.values(answer.fields)[0]?.[0] ?? answer.lines[0] ?? answer.message));
        if (answer === null) onClose();
    };
    return (
        <Dialog
            open
            wide
            onClose={onClose}
            title={given.name}
            foot={
                <DialogFoot problem={problem}>
                    {open.length > 0 && (
                        <p className="text-sm text-pencil">Say what {open.length === 1 ? `"${open[0]?.name ?? ''}" is` : `${open.length} of them are`} for.</p>
                    )}
                    <Button look="pen" disabled={busy || ticked.length === 0 || open.length > 0} onClick={() => void put()}>
                        Put {ticked.length} {ticked.length === 1 ? 'row' : 'rows'} into {into}
                    </Button>
                </DialogFoot>
            }
        >
            {preview === null && problem === null && <p className="text-pencil">Reading the sheet …</p>}
            {preview !== null && (
                <>
                    <Columns preview={preview} busy={busy} read={setAsked} />
                    {preview.remarks.map((remark) => (
                        <p key={remark} className="mb-2 text-sm text-pencil">
                            {remark}
                        </p>
                    ))}
                    <p className="mb-1 font-semibold">{counted(rows)}</p>
                    <ul className="mb-4 border-t border-line" aria-label="Rows">
                        {rows.map((row) => (
                            <Row key={row.row} row={row} decision={decided(row, own[row.row])} decide={(change) => decide(row, change)} />
                        ))}
                    </ul>
                    <LeftOut rows={preview.rows.filter((row) => row.leftOut !== '')} />
                </>
            )}
        </Dialog>
    );
}

const counted = (rows: SheetRow[]) => {
    const known = rows.filter((row) => row.match !== null).length;
    return `${rows.length} ${rows.length === 1 ? 'part' : 'parts'}: ${known} known already, ${rows.length - known} new. Nothing counts before you put it there.`;
};

/** What each column holds; a wrong guess is put right here, and the rows are read anew. */
function Columns({ preview, busy, read }: { preview: SheetPreview; busy: boolean; read: (asked: { sheet: string; columns?: SheetColumn[] }) => void }) {
    const change = (at: number, kind: SheetColumn) =>
        read({ sheet: preview.sheet, columns: preview.columns.map((column, index) => (index === at ? kind : column.kind)) });
    return (
        <section className="mb-4" aria-label="Columns">
            <div className="mb-2 flex flex-wrap items-center gap-3">
                <p className="text-pencil">
                    {preview.headingRow === null
                        ? 'No headings were found; the columns are told by what is in them.'
                        : `Headings in row ${preview.headingRow}.`}
                </p>
                {preview.sheets.length > 1 && (
                    <Select
                        label="Sheet"
                        className="border-edge!"
                        value={preview.sheet}
                        options={preview.sheets.map((name) => [name, name] as const)}
                        onChange={(event) => read({ sheet: event.target.value })}
                    />
                )}
            </div>
            <ul className="flex gap-2 overflow-x-auto pb-2" tabIndex={0} aria-label="What the columns hold">
                {preview.columns.map((column, at) => (
                    <li key={at} className={`w-36 shrink-0 border border-line p-1.5 ${column.kind === 'ignored' ? 'opacity-70' : 'bg-leaf'}`}>
                        <span className="block truncate text-sm font-semibold" title={column.heading}>
                            {column.heading === '' ? `column ${at + 1}` : column.heading}
                        </span>
                        <Select
                            label={`What ${column.heading === '' ? `column ${at + 1}` : column.heading} holds`}
                            className="w-full"
                            disabled={busy}
                            value={column.kind}
                            options={sheetColumns}
                            onChange={(event) => change(at, event.target.value as SheetColumn)}
                        />
                        <span className="mt-1 block truncate text-xs text-pencil" title={column.sample.join(' · ')}>
                            {column.sample.join(' · ')}
                        </span>
                    </li>
                ))}
            </ul>
        </section>
    );
}

function Row({ row, decision, decide }: { row: SheetRow; decision: Decision; decide: (change: Partial<Decision>) => void }) {
    const told = [
        row.quantity === 1 ? '' : `${row.quantity} pieces`,
        row.price === null ? '' : `${row.price.amount} ${row.price.currency}`.trim(),
        row.state ?? '',
        row.origin ?? '',
        row.vendor,
        row.maker,
    ].filter((one) => one !== '');
    return (
        <li
            className={`grid grid-cols-[auto_minmax(0,1fr)] gap-x-2 border-b border-dotted border-line py-1.5 sm:grid-cols-[auto_minmax(0,1fr)_13rem] ${decision.take ? '' : 'opacity-60'}`}
        >
            <input
                type="checkbox"
                className="mt-1 size-5 accent-pen"
                aria-label={`Take row ${row.row}, ${row.name}`}
                checked={decision.take}
                onChange={(event) => decide({ take: event.target.checked })}
            />
            <div className="min-w-0">
                <p className="font-semibold">
                    <span className="figures mr-2 text-xs font-normal text-pencil">{row.row}</span>
                    {row.name}
                </p>
                {told.length > 0 && <p className="figures text-sm text-pencil">{told.join(' · ')}</p>}
                {!decision.isKnown && <FoundFigures finds={row.finds} />}
                {row.problems.map((problem) => (
                    <p key={problem} className="text-sm text-clash">
                        {problem}
                    </p>
                ))}
            </div>
            <div className="grid content-start gap-1 max-sm:col-start-2">
                {row.match !== null && (
                    <Select
                        label={`Which part ${row.name} is`}
                        className="w-full"
                        value={decision.isKnown ? 'known' : 'new'}
                        options={[['known', `${row.match.isOwn ? 'my' : 'shelf'}: ${row.match.name}`] as const, ['new', 'a new part of my own'] as const]}
                        onChange={(event) => decide({ isKnown: event.target.value === 'known' })}
                    />
                )}
                {!decision.isKnown && (
                    <Select
                        label={`What ${row.name} is for`}
                        className={`w-full ${decision.role === '' && decision.take ? 'border-clash!' : ''}`}
                        value={decision.role}
                        options={roleOptions}
                        onChange={(event) => decide({ role: event.target.value })}
                    />
                )}
                {decision.isKnown && row.role !== null && <span className="text-xs text-pencil">{roleWords[row.role]}</span>}
            </div>
        </li>
    );
}

function LeftOut({ rows }: { rows: SheetRow[] }) {
    if (rows.length === 0) return null;
    return (
        <details>
            <summary className="cursor-pointer text-pencil">
                {rows.length} {rows.length === 1 ? 'row is' : 'rows are'} left out
            </summary>
            <ul className="mt-1 text-sm">
                {rows.map((row) => (
                    <li key={row.row}>
                        <span className="figures text-pencil">row {row.row}</span> {row.name === '' ? '' : `"${row.name}": `}
                        {row.leftOut}
                    </li>
                ))}
            </ul>
        </details>
    );
}
