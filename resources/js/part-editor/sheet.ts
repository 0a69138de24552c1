import type { SheetRow } from '../api/client';

/** A spreadsheet as it was chosen or pasted, before anything was read in it. */
export interface GivenSheet {
    name: string;
    file?: string;
    text?: string;
}

/** What the builder decided of a row, where it is not what was proposed. */
export interface Decision {
    take: boolean;
    /** The part that it was matched to is meant. */
    isKnown: boolean;
    role: string;
}

export const decided = (row: SheetRow, own: Partial<Decision> | undefined): Decision => ({
    take: row.leftOut === '',
    isKnown: row.match !== null,
    role: row.role ?? '',
    ...own,
});

/** A row as it is sent: a part that is known, or a new one with what its row says. */
export const asSent = (row: SheetRow, { isKnown, role }: Decision) => ({
    name: row.name,
    part: isKnown && row.match !== null ? row.match.libraryId : null,
    role: role === '' ? null : role,
    quantity: row.quantity,
    price: row.price,
    vendor: row.vendor,
    maker: row.maker,
    link: row.link,
    state: row.state,
    origin: row.origin,
    note: row.note,
    text: row.text,
});

/** The file as base64, which a JSON body can carry. */
export async function fileAsSheet(file: File): Promise<GivenSheet> {
    const url = await new Promise<string>((resolve, reject) => {
        const reader = new FileReader();
        reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '');
        reader.onerror = () => reject(new Error('unreadable'));
        reader.readAsDataURL(file);
    });
    return { name: file.name, file: url.slice(url.indexOf(',') + 1) };
}

/** Whether a pasted text is cells of a spreadsheet: several lines, most of them parted by tabs. */
export function areCells(text: string): boolean {
    const lines = text.split('\n').filter((line) => line.trim() !== '');
    return lines.length > 1 && lines.filter((line) => line.includes('\t')).length > lines.length / 2;
}
