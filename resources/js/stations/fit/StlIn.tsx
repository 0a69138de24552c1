import { useState } from 'react';
import { api, Problem, type LinePart, type StlBox } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { number } from '../../ui/format';
import { Select } from '../../ui/Select';

const mostBytes = 32_000_000;

const units = [
    ['', 'guess'],
    ['mm', 'millimetres'],
    ['in', 'inches'],
    ['m', 'metres'],
] as const;

/** Reads the outer box of a drawing (STL) and offers it as the size of a part; nothing is kept before it is used. */
export function StlIn({ unsized }: { unsized: string[] }) {
    const { build, edit } = useOpenBuild();
    const [file, setFile] = useState<File | null>(null);
    const [unit, setUnit] = useState('');
    const [box, setBox] = useState<StlBox | null>(null);
    const [line, setLine] = useState(unsized[0] ?? '');
    const [problem, setProblem] = useState<string | null>(null);
    const read = async (chosen: File | null, as: string) => {
        setFile(chosen);
        setUnit(as);
        setBox(null);
        setProblem(null);
        if (chosen === null) return;
        if (chosen.size > mostBytes) {
            setProblem('The file is larger than 32 MB. Export it coarser, or type its outer size.');
            return;
        }
        try {
            setBox(await api.upload<StlBox>(`/stl${as === '' ? '' : `?unit=${as}`}`, chosen));
        } catch (error) {
            setProblem(error instanceof Problem ? (error.about('file') ?? error.message) : 'The file could not be read.');
        }
    };
    const use = async () => {
        if (box === null) return;
        const answer = await edit(async (path, version) => {
            const { spec } = await api.get<LinePart>(`${path}/lines/${line}/part`);
            const facets = spec.facets as Record<string, Record<string, unknown>> | undefined;
            const size: Record<string, unknown> = { ...facets?.size };
            for (const [at, field] of (['lengthMm', 'widthMm', 'heightMm'] as const).entries()) size[field] = { value: box.sidesMm[at], source: 'file' };
            return api.put(`${path}/lines/${line}/part`, { version, part: { ...spec, facets: { ...facets, size } } });
        });
        if (answer instanceof Problem) setProblem(answer.message);
        else setBox(null);
    };
    return (
        <fieldset className="mt-2 border border-line px-3 pb-2">
            <legend className="px-1 text-sm font-semibold">Or read its size from a drawing</legend>
            <div className="flex flex-wrap items-end gap-3">
                <label className="text-sm">
                    STL file
                    <input
                        className="block max-w-60"
                        type="file"
                        accept=".stl,model/stl"
                        onChange={(event) => void read(event.target.files?.[0] ?? null, unit)}
                    />
                </label>
                <span className="text-sm">
                    drawn in
                    <br />
                    <Select label="Drawn in" options={units} value={unit} onChange={(event) => void read(file, event.target.value)} />
                </span>
            </div>
            {problem !== null && (
                <p role="alert" className="mt-1 text-clash">
                    {problem}
                </p>
            )}
            {box !== null && (
                <div className="mt-2">
                    <p>
                        <strong className="figures">{box.sidesMm.map((mm) => number(mm)).join(' × ')} mm</strong>, taken as {box.unit};{' '}
                        <span className="figures">{box.triangles}</span> triangles
                        {box.isClosed === false && '; its surface is not closed, so its volume means nothing, its outer box does'}.
                    </p>
                    <p className="mt-1 flex flex-wrap items-end gap-2">
                        <span className="text-sm">
                            This is{' '}
                            <Select
                                label="This is"
                                options={build.lines.map((one) => [one.id, one.part.name] as const)}
                                value={line}
                                onChange={(event) => setLine(event.target.value)}
                            />
                        </span>
                        <Button look="pen" onClick={() => void use()}>
                            Use as its size
                        </Button>
                    </p>
                </div>
            )}
        </fieldset>
    );
}
