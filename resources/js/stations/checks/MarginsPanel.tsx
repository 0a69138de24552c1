import { useQuery } from '@tanstack/react-query';
import { api, Problem, type Build, type RuleBook } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { DraftInput } from '../../ui/DraftInput';
import { capital } from '../../ui/format';

const shown = (value: number, unit: string) => (unit === 'share' ? `${Number((value * 100).toPrecision(8))} %` : `${value}${unit === '' ? '' : ` ${unit}`}`);

/** How much a careful builder wants to spare. The defaults, and this build’s own where it has some. */
export function MarginsPanel() {
    const { build, edit } = useOpenBuild();
    const book = useQuery({ queryKey: ['rules'], queryFn: () => api.get<RuleBook>('/rules'), staleTime: Infinity });
    const own = build.brief.margins ?? {};
    const save = async (key: string, typed: string): Promise<string | null> => {
        const answer = await edit((path, version) => api.put<Build>(`${path}/margins`, { version, margins: { [key]: typed.trim() === '' ? null : typed } }));
        return answer instanceof Problem ? (answer.about(`margins.${key}`) ?? answer.message) : null;
    };
    return (
        <>
            <p className="mb-3 max-w-prose">Between fits and clash lies tight: it holds, with less to spare than this. Empty means the default.</p>
            <ul className="max-w-4xl border-t border-line">
                {book.data?.margins.map((margin) => {
                    const mine = own[margin.key];
                    return (
                        <li
                            key={margin.key}
                            className="grid items-center gap-x-4 border-b border-dotted border-line py-1.5 sm:grid-cols-[10rem_8rem_minmax(0,1fr)]"
                        >
                            <span className="font-semibold">{capital(margin.key.replace(/-/g, ' '))}</span>
                            <DraftInput
                                label={`Margin: ${margin.key}`}
                                className="figures w-28 text-right"
                                stored={mine === undefined ? '' : shown(mine, margin.unit)}
                                placeholder={shown(margin.house, margin.unit)}
                                save={(typed) => save(margin.key, typed)}
                            />
                            <span className="text-sm text-pencil">{margin.says}</span>
                        </li>
                    );
                })}
            </ul>
        </>
    );
}
