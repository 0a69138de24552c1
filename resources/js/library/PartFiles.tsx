import { useState } from 'react';
import { api, Problem, type PartPage } from '../api/client';
import { Button } from '../ui/Button';
import { dataUrl } from '../ui/dataUrl';
import { FileButton } from '../ui/FileButton';
import { number } from '../ui/format';
import { usePartPage } from './usePartPage';

type File = PartPage['files'][number];

const mostBytes = 6_000_000;

const kinds = 'image/jpeg,image/png,image/webp,image/gif,.pdf,.svg,.dxf,.stl,.step,.stp,.3mf,.txt,.md,.csv';

/** Photographs of a part, and drawings and texts that go with it. */
export function PartFiles({ page }: { page: PartPage }) {
    const { show, failed, notices } = usePartPage();
    const [problem, setProblem] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const path = `/parts/${page.libraryId}/files`;
    const add = async (chosen: readonly globalThis.File[]) => {
        setBusy(true);
        setProblem(null);
        for (const file of chosen) {
            if (file.size > mostBytes) {
                setProblem(`${file.name} has ${number(file.size / 1e6)} MB; choose one of at most 6 MB.`);
                break;
            }
            try {
                show(await api.post<PartPage>(path, { name: file.name, data: (await dataUrl(file)) ?? '' }));
            } catch (error) {
                const said = error instanceof Problem ? Object.values(error.fields)[0]?.[0] : undefined;
                setProblem(`${file.name}: ${said ?? (error instanceof Error ? error.message : 'it could not be read')}`);
                break;
            }
        }
        setBusy(false);
    };
    const remove = (file: File) =>
        void api.remove<PartPage>(`${path}/${file.id}`).then((answer) => {
            show(answer);
            notices.say(`${file.name} was taken away.`, 'good', {
                words: 'Put it back',
                run: () => void api.post<PartPage>(`${path}/${file.id}/restore`).then(show, failed),
            });
        }, failed);
    const photos = page.files.filter((file) => file.isPhoto);
    const others = page.files.filter((file) => !file.isPhoto);
    return (
        <section className="my-5">
            <h2 className="mb-2 border-b border-ink text-lg">Photographs and files</h2>
            {page.files.length === 0 && (
                <p className="mb-2 text-pencil">A photograph of its back, a drawing with the holes, a pin map: they stay with the part.</p>
            )}
            <ul className="mb-2 flex flex-wrap gap-3">
                {photos.map((file) => (
                    <li key={file.id} className="w-40 text-sm">
                        <a href={`/api${path}/${file.id}`} target="_blank" rel="noreferrer">
                            <img
                                className="h-28 w-40 border border-line bg-leaf object-contain"
                                src={`/api${path}/${file.id}`}
                                alt={file.name}
                                loading="lazy"
                            />
                        </a>
                        <span className="flex items-center gap-1">
                            <span className="min-w-0 flex-1 truncate">{file.name}</span>
                            <Remove file={file} remove={remove} />
                        </span>
                    </li>
                ))}
            </ul>
            <ul className="mb-2">
                {others.map((file) => (
                    <li key={file.id} className="flex items-center gap-3 border-b border-dotted border-line">
                        <a className="min-w-0 flex-1 truncate text-pen underline" href={`/api${path}/${file.id}`} download={file.name}>
                            {file.name}
                        </a>
                        <span className="figures text-sm text-pencil">{number(Math.max(1, Math.round(file.bytes / 1000)))} kB</span>
                        <Remove file={file} remove={remove} />
                    </li>
                ))}
            </ul>
            <FileButton label="Add photographs or files" accept={kinds} multiple disabled={busy} onChosen={(files) => void add(files)}>
                {busy ? 'Keeping it …' : 'Add photographs or files'}
            </FileButton>
            {problem !== null && (
                <p role="alert" className="mt-1 text-sm text-clash">
                    {problem}
                </p>
            )}
        </section>
    );
}

function Remove({ file, remove }: { file: File; remove: (file: File) => void }) {
    return (
        <Button look="bare" className="shrink-0 px-1!" aria-label={`Take ${file.name} away`} onClick={() => remove(file)}>
            ✕
        </Button>
    );
}
