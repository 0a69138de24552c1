import { useState } from 'react';
import { api, Problem, type Build, type SecondHand } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { capital, runTime } from '../../ui/format';
import { useNotices } from '../../ui/Notices';
import { Peg } from '../../ui/Peg';

interface Props {
    find: SecondHand;
    price: string;
    text: string;
    line: string;
    photo: string | null;
}

/** Whether the find would do, what it is worth, what is unknown about it, and what to look at before paying. */
export function FindAnswer({ find, ...rest }: Props) {
    const lists = [
        ['What clashes', find.clashes],
        ['What would be tight', find.tight],
        ['What nobody knows yet', find.unknown],
        ['Look at this before you pay', find.look],
    ] as const;
    return (
        <article aria-label="Whether it would do">
            <p className="flex items-center gap-3 text-xl font-semibold">
                <Peg verdict={find.verdict} />
                {find.verdict === 'fits' || find.verdict === 'tight' ? 'It would do' : find.verdict === 'unmeasured' ? 'Nobody can say yet' : 'It would not do'}
            </p>
            {find.says !== '' && <p className="mt-1">{find.says}</p>}
            <Worth find={find} />
            <Figures find={find} />
            {lists.map(
                ([title, sentences]) =>
                    sentences.length > 0 && (
                        <section key={title} className="mt-4">
                            <h3 className="font-semibold">{title}</h3>
                            <ul className="list-disc pl-5">
                                {sentences.map((one) => (
                                    <li key={one}>{one}</li>
                                ))}
                            </ul>
                        </section>
                    ),
            )}
            <p className="mt-4 text-sm text-pencil">
                {find.read.length === 0
                    ? 'No figure was read from what you typed; the verdict goes by the name alone.'
                    : `Read: ${find.read.map((one) => `${one.label} ${one.says}`).join('; ')}.`}
            </p>
            <Bought find={find} {...rest} />
        </article>
    );
}

function Worth({ find }: { find: SecondHand }) {
    return (
        <section className="mt-4 border border-edge bg-leaf px-3 py-2">
            <p className="text-lg">
                {find.worth === null ? (
                    'What it is worth cannot be told: no price of the planned part is known, and the brief has no budget.'
                ) : (
                    <>
                        Worth at most <span className="figures font-semibold">{`${find.worth} ${find.currency}`}</span>
                    </>
                )}
            </p>
            <table className="w-full text-sm">
                <caption className="sr-only">How the highest price comes about</caption>
                <tbody>
                    {find.because.map((row) => (
                        <tr key={row.says}>
                            <th scope="row" className="text-left font-normal">
                                {row.says}
                            </th>
                            <td className="figures text-right">{row.amount}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </section>
    );
}

function Figures({ find }: { find: SecondHand }) {
    const rows = [
        ['cost', `${find.before.cost.amount} ${find.before.cost.currency}`, `${find.vitals.cost.amount} ${find.vitals.cost.currency}`],
        ['run time', runTime(find.before.runTime), runTime(find.vitals.runTime)],
        ['clashes', String(find.before.clashes), String(find.vitals.clashes)],
        ['unmeasured', String(find.before.unmeasured), String(find.vitals.unmeasured)],
    ].filter(([, before, after]) => before !== after);
    if (rows.length === 0) return <p className="mt-2 text-sm text-pencil">It would leave the vitals as they are.</p>;
    return (
        <table className="mt-3 text-sm">
            <caption className="text-left font-semibold">What it would change</caption>
            <tbody>
                {rows.map(([what, before, after]) => (
                    <tr key={what}>
                        <th scope="row" className="pr-4 text-left font-normal">
                            {capital(what ?? '')}
                        </th>
                        <td className="figures pr-2 text-pencil">{before}</td>
                        <td className="figures font-semibold">→ {after}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

/** It is paid: the find becomes a part of one's own and takes the place, at the price that was paid. */
function Bought({ find, price, text, line, photo }: Props) {
    const { edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [complaint, setComplaint] = useState<string | null>(null);
    const take = async () => {
        const answer = await edit((path, version) =>
            api.post<Build>(`${path}/found`, { version, line, text, ...(price.trim() === '' ? {} : { price }), ...(photo === null ? {} : { photo }) }),
        );
        if (answer instanceof Problem) {
            setComplaint(Object.values(answer.fields)[0]?.[0] ?? answer.message);
            return;
        }
        notices.say(`${find.name} is a part of yours now and stands on the list.`);
    };
    return (
        <div className="mt-4">
            <Button disabled={busy} className="min-h-12" onClick={() => void take()}>
                I bought it: put it in the place of {find.place}
            </Button>
            {complaint !== null && (
                <p role="alert" className="text-clash">
                    {complaint}
                </p>
            )}
        </div>
    );
}
