import { useRef } from 'react';
import { Button } from '../ui/Button';
import { fileAsSheet, type GivenSheet } from './sheet';

/** Chooses a spreadsheet from this device. */
export function SheetButton({ onGiven }: { onGiven: (sheet: GivenSheet) => void }) {
    const input = useRef<HTMLInputElement>(null);
    return (
        <>
            <input
                ref={input}
                type="file"
                className="sr-only"
                tabIndex={-1}
                aria-label="A spreadsheet: CSV, ODS or XLSX"
                accept=".csv,.tsv,.txt,.ods,.xlsx"
                onChange={(event) => {
                    const file = event.target.files?.[0];
                    if (file !== undefined) void fileAsSheet(file).then(onGiven);
                    event.target.value = '';
                }}
            />
            <Button onClick={() => input.current?.click()}>From a spreadsheet</Button>
        </>
    );
}
