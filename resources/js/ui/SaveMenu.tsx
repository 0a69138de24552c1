import { DropdownMenu } from 'radix-ui';

const formats = [
    ['xlsx', 'XLSX spreadsheet'],
    ['ods', 'ODS spreadsheet'],
    ['csv', 'CSV table'],
] as const;

/** Saves a list as one of the formats that spreadsheets read; `path` is its address without the ending, `query` what is asked of it. */
export function SaveMenu({
    label,
    path,
    more = [],
    query = '',
}: {
    label: string;
    path: string;
    query?: string;
    more?: readonly (readonly [string, string])[];
}) {
    return (
        <DropdownMenu.Root>
            <DropdownMenu.Trigger className="min-h-9 rounded-sm px-1 font-semibold text-pen hover:underline">{label} ▾</DropdownMenu.Trigger>
            <DropdownMenu.Portal>
                <DropdownMenu.Content align="end" className="z-20 min-w-52 rounded-sm border border-edge bg-leaf p-1 shadow-lg">
                    {[...formats.map(([ending, words]) => [`${path}.${ending}${query === '' ? '' : `?${query}`}`, words] as const), ...more].map(
                        ([address, words]) => (
                            <DropdownMenu.Item key={address} asChild>
                                <a className="block cursor-pointer rounded-sm px-3 py-2 data-highlighted:bg-pen-wash" href={address} download>
                                    {words}
                                </a>
                            </DropdownMenu.Item>
                        ),
                    )}
                </DropdownMenu.Content>
            </DropdownMenu.Portal>
        </DropdownMenu.Root>
    );
}
