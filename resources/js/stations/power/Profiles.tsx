import { useState } from 'react';
import { api, Problem, type Build, type Power } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { inputLook } from '../../ui/Field';
import { asNumber } from '../../ui/format';
import { useNotices } from '../../ui/Notices';

const shares = ['off', 'idle', 'usual', 'heavy'] as const;
const settings = ['brightness', 'volume', 'fan'] as const;
type Draft = { name: string; radio: boolean | null } & Record<(typeof shares)[number] | (typeof settings)[number], string>;

const typed = (share: number | null): string => (share === null ? '' : String(Number((share * 100).toPrecision(6))));

const draftOf = (profile: Power['profiles'][number]): Draft => ({
    name: profile.name,
    off: profile.off === 0 ? '' : typed(profile.off),
    idle: typed(profile.idle),
    usual: typed(profile.usual),
    heavy: typed(profile.heavy),
    brightness: typed(profile.brightness),
    volume: typed(profile.volume),
    fan: typed(profile.fan),
    radio: profile.radio,
});

const same = (one: Draft[], other: Draft[]): boolean => JSON.stringify(one) === JSON.stringify(other);

/** Drafts of what is kept: they follow it while nothing was typed, and stay as they are when something was. */
function useDrafts(kept: Draft[]) {
    const [drafts, setDrafts] = useState(kept);
    const [from, setFrom] = useState(kept);
    const [isSaved, setIsSaved] = useState(false);
    const hasMoved = !same(kept, from);
    const follow = () => {
        setFrom(kept);
        setDrafts(kept);
        setIsSaved(false);
    };
    if (hasMoved && (isSaved || same(drafts, from) || same(drafts, kept))) follow();
    const write = (next: Draft[]) => {
        setDrafts(next);
        setIsSaved(false);
    };
    return { drafts, hasMoved, follow, write, saved: () => setIsSaved(true) };
}

/** How the console is played: shares of the time, light, sound, fan, radio. The first way is the one that counts. */
export function Profiles({ report }: { report: Power }) {
    const { edit, busy } = useOpenBuild();
    const notices = useNotices();
    const { drafts, hasMoved, follow, write, saved } = useDrafts(report.profiles.map(draftOf));
    const [problem, setProblem] = useState<Problem | null>(null);
    const change = (index: number, more: Partial<Draft>) => write(drafts.map((draft, at) => (at === index ? { ...draft, ...more } : draft)));
    const save = async (profiles: Draft[]) => {
        const answer = await edit((path, version) =>
            api.put<Build>(`${path}/profiles`, {
                version,
                profiles: profiles.map(({ radio, ...rest }) => ({
                    ...Object.fromEntries(Object.entries(rest).filter(([, value]) => value.trim() !== '')),
                    ...(radio === null ? {} : { radio }),
                })),
            }),
        );
        setProblem(answer instanceof Problem ? answer : null);
        if (answer instanceof Problem) return;
        saved();
        notices.say('Kept. The run time goes by the first way; the band spans them all.');
    };
    const sum = (draft: Draft) => shares.reduce((all, share) => all + (asNumber(draft[share]) || 0), 0);
    return (
        <form
            onSubmit={(event) => {
                event.preventDefault();
                void save(drafts);
            }}
        >
            <p className="mb-3 max-w-prose">
                Which share of the time it idles, plays, or works at its worst. Light, volume and fan outrank the state for the parts they concern; left empty,
                those parts go by the state.
                {report.profilesAreDefaults && ' These three are ours; name your own and only they count.'}
            </p>
            {hasMoved && (
                <p role="status" className="mb-3 flex flex-wrap items-center gap-3 border-l-4 border-tight pl-3">
                    These ways were changed elsewhere meanwhile. What you typed stays; saving it takes their place.
                    <Button onClick={follow}>Take theirs</Button>
                </p>
            )}
            <ul className="grid gap-4">
                {drafts.map((draft, index) => {
                    const complaints = [...shares, ...settings, 'name'].flatMap((field) => problem?.fields[`profiles.${index}.${field}`] ?? []);
                    return (
                        <li key={index} className="border-t-2 border-ink pt-2">
                            <div className="flex flex-wrap items-end gap-3">
                                <label className="min-w-52 flex-1 text-sm font-semibold">
                                    {index === 0 ? 'The way that counts' : 'Way of playing'}
                                    <input className={inputLook} value={draft.name} onChange={(event) => change(index, { name: event.target.value })} />
                                </label>
                                {shares.map((share) => (
                                    <Percent key={share} label={share} value={draft[share]} onChange={(value) => change(index, { [share]: value })} />
                                ))}
                                <span className={`figures pb-2 text-sm font-semibold ${Math.abs(sum(draft) - 100) > 0.5 ? 'text-clash' : 'text-pencil'}`}>
                                    = {Number(sum(draft).toPrecision(4))} %
                                </span>
                            </div>
                            <div className="mt-2 flex flex-wrap items-end gap-3">
                                {settings.map((setting) => (
                                    <Percent
                                        key={setting}
                                        label={{ brightness: 'brightness', volume: 'volume', fan: 'fan speed' }[setting]}
                                        value={draft[setting]}
                                        onChange={(value) => change(index, { [setting]: value })}
                                    />
                                ))}
                                <label className="text-sm">
                                    add-on radio
                                    <select
                                        className={inputLook}
                                        value={draft.radio === null ? '' : draft.radio ? 'on' : 'off'}
                                        onChange={(event) => change(index, { radio: event.target.value === '' ? null : event.target.value === 'on' })}
                                    >
                                        <option value="">as in the state</option>
                                        <option value="on">on</option>
                                        <option value="off">off</option>
                                    </select>
                                </label>
                                <span className="ml-auto flex gap-1">
                                    {index > 0 && (
                                        <Button look="bare" onClick={() => write([draft, ...drafts.filter((_, at) => at !== index)])}>
                                            Let this count
                                        </Button>
                                    )}
                                    {drafts.length > 1 && (
                                        <Button look="bare" aria-label={`Drop ${draft.name}`} onClick={() => write(drafts.filter((_, at) => at !== index))}>
                                            Drop
                                        </Button>
                                    )}
                                </span>
                            </div>
                            {complaints.length > 0 && (
                                <p role="alert" className="mt-1 text-sm text-clash">
                                    {complaints.join(' ')}
                                </p>
                            )}
                        </li>
                    );
                })}
            </ul>
            <div className="mt-4 flex flex-wrap gap-3 border-t border-line pt-3">
                <Button type="submit" look="pen" disabled={busy}>
                    Save
                </Button>
                {drafts.length < 8 && (
                    <Button
                        onClick={() =>
                            write([...drafts, { name: '', off: '', idle: '20', usual: '60', heavy: '20', brightness: '', volume: '', fan: '', radio: null }])
                        }
                    >
                        Another way
                    </Button>
                )}
                {!report.profilesAreDefaults && (
                    <Button look="bare" disabled={busy} onClick={() => void save([])}>
                        Back to the defaults
                    </Button>
                )}
            </div>
        </form>
    );
}

function Percent({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
    return (
        <label className="w-24 text-sm">
            {label}
            <span className="flex items-center gap-1">
                <input className={`${inputLook} figures text-right`} inputMode="decimal" value={value} onChange={(event) => onChange(event.target.value)} />%
            </span>
        </label>
    );
}
