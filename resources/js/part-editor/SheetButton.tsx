import { FileButton } from '../ui/FileButton';
import { fileAsSheet, type GivenSheet } from './sheet';

/** Chooses a spreadsheet from this device. */
export function SheetButton({ onGiven }: { onGiven: (sheet: GivenSheet) => void }) {
    return (
        <FileButton
            label="A spreadsheet: CSV, ODS or XLSX"
            accept=".csv,.tsv,.txt,.ods,.xlsx"
            onChosen={([file]) => {
                if (file !== undefined) void fileAsSheet(file).then(onGiven);
            }}
        >
            From a spreadsheet
        </FileButton>
    );
}
