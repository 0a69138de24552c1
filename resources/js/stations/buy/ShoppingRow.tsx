import { useState } from 'react';
import { api, Problem, type Build, type DrawerMatch, type Shopping } from '../../api/client';
import { useOpenBuild } from '../../frame/useBuild';
import { Button } from '../../ui/Button';
import { date } from '../../ui/format';
import { useNotices } from '../../ui/Notices';
import { conditionWords } from '../../ui/words';
import { NoteOffer } from './NoteOffer';

type Row = Shopping['list'][number];

interface Props {
    row: Row;
    home: string;
    matches: DrawerMatch[];
    spare: number;
    onSpare: (count: number) => void;
    onNoted: () => void;
}

/** One thing: how many are needed, owned, on their way; who sells the rest; what of the drawer would do. */
export function ShoppingRow({ row, home, matches, spare, onSpare, onNoted }: Props) {
    const cells = [
        ['needed', row.needed],
        ['at home', row.owned],
        ['on its way', row.awaited],
        ['here', row.here],
        ['to buy', row.toBuy],
    ] as const;
    return (
        <tr
            className="border-b border-line align-top max-md:flex max-md:flex-wrap max-md:gap-x-3 max-md:py-3 [&>*]:px-1.5 [&>*]:py-1.5"
            data-shopping={row.line}
        >
            <th scope="row" className="text-left leading-tight font-semibold max-md:w-full">
                {row.name}
                {row.packetOf > 1 && <span className="block text-sm font-normal text-pencil">packets of {row.packetOf}</span>}
                {row.clash !== null && <span className="mt-1 block border-l-4 border-clash pl-2 text-sm font-normal">{row.clash}</span>}
                <FromDrawer row={row} matches={matches} />
            </th>
            {cells.map(([what, count]) => (
                <td key={what} className={`figures ${count === 0 ? 'text-pencil max-md:hidden' : what === 'to buy' ? 'font-semibold' : ''}`}>
                    <span className="text-sm font-normal text-pencil md:hidden">{what} </span>
                    {count === 0 ? <span aria-label="none">·</span> : count}
                    {what === 'on its way' && row.expectedOn !== null && <span className="block text-sm font-normal text-pencil">{date(row.expectedOn)}</span>}
                </td>
            ))}
            <td>
                {row.toBuy > 0 && (
                    <input
                        aria-label={`Spare pieces of ${row.name}`}
                        inputMode="numeric"
                        className="figures min-h-9 w-12 rounded-sm border border-line bg-leaf px-1.5 text-right"
                        value={spare === 0 ? '' : spare}
                        placeholder="0"
                        onChange={(event) => onSpare(Number(event.target.value.replace(/\D/g, '').slice(0, 3)))}
                    />
                )}
            </td>
            <td className="max-md:w-full">
                <Offers row={row} home={home} />
                {row.worth !== null && (
                    <p className="text-sm text-pencil">
                        Second-hand worth at most <span className="figures">{row.worth}</span>
                    </p>
                )}
                {row.toBuy > 0 && <NoteOffer row={row} onNoted={onNoted} />}
            </td>
        </tr>
    );
}

function Offers({ row, home }: { row: Row; home: string }) {
    if (row.toBuy === 0) return null;
    if (row.offers.length === 0) return <p className="text-sm">Nobody is known to sell it.</p>;
    return (
        <ul className="grid max-w-2xl grid-cols-[4rem_minmax(8rem,1fr)_auto] gap-x-3 text-sm">
            {row.offers.map((offer) => (
                <li key={offer.id} className={`contents ${offer.isOld ? 'text-pencil' : ''}`}>
                    <span className="figures text-right font-semibold">{offer.goods ?? '?'}</span>
                    <span>
                        {offer.vendor}
                        <span className="text-pencil">{aside(offer, home)}</span>
                        {offer.link !== '' && (
                            <>
                                {' '}
                                <a className="text-pen underline" href={offer.link} target="_blank" rel="noreferrer">
                                    listing
                                </a>
                            </>
                        )}
                    </span>
                    <span className="figures">{date(offer.arrives)}</span>
                </li>
            ))}
        </ul>
    );
}

/** Foreign price, state, stock, and that nobody looked for a long time. */
function aside(offer: Row['offers'][number], home: string): string {
    const words = [
        ...(offer.currency === home ? [] : [`${offer.prices[0]?.price ?? ''} ${offer.currency} each`]),
        ...(offer.condition === 'new' ? [] : [conditionWords[offer.condition]]),
        ...(offer.stock === null ? [] : [`${offer.stock} there`]),
        ...(offer.isOld && offer.seenOn !== null ? [`seen ${date(offer.seenOn)}: old, look again`] : []),
    ];
    return words.length === 0 ? '' : `, ${words.join(', ')}`;
}

/** What lies in the drawer and would do: claimed for this build with one press, given back with another. */
function FromDrawer({ row, matches }: { row: Row; matches: DrawerMatch[] }) {
    const { build, edit, busy } = useOpenBuild();
    const notices = useNotices();
    const [all, setAll] = useState(false);
    const [atValue, setAtValue] = useState(false);
    const owned = build.lines.find((line) => line.id === row.line)?.owned ?? 0;
    const send = async (ask: (path: string, version: number) => Promise<Build>) => {
        const answer = await edit(ask);
        if (answer instanceof Problem) notices.say(Object.values(answer.fields)[0]?.[0] ?? answer.message, 'bad');
    };
    if (owned > 0) {
        return (
            <span className="mt-1 block text-sm font-normal">
                {owned} from the drawer{' '}
                <Button look="bare" disabled={busy} onClick={() => void send((path, version) => api.remove<Build>(`${path}/claims/${row.line}`, { version }))}>
                    Give back
                </Button>
            </span>
        );
    }
    const shown = row.toBuy === 0 ? [] : matches.filter((one) => one.same || all);
    const others = row.toBuy === 0 ? 0 : matches.length - shown.length;
    return (
        <span className="block text-sm font-normal">
            {shown.map((piece) => (
                <span key={piece.id} className="mt-1 block border-l-4 border-pen pl-2">
                    In the drawer: {piece.left} × {piece.name}
                    {piece.place === '' ? '' : `, ${piece.place}`}
                    {piece.condition === 'new' ? '' : `, ${conditionWords[piece.condition]}`}{' '}
                    <Button
                        disabled={busy}
                        onClick={() =>
                            void send((path, version) =>
                                api.post<Build>(`${path}/claims`, {
                                    version,
                                    line: row.line,
                                    piece: piece.id,
                                    quantity: Math.min(piece.left, row.toBuy),
                                    atValue,
                                }),
                            )
                        }
                    >
                        Use {Math.min(piece.left, row.toBuy) === 1 ? 'it' : `${Math.min(piece.left, row.toBuy)}`}
                    </Button>
                </span>
            ))}
            {shown.some((piece) => piece.value !== null) && (
                <label className="mt-1 flex items-center gap-2">
                    <input type="checkbox" className="size-4 accent-pen" checked={atValue} onChange={(event) => setAtValue(event.target.checked)} />
                    count it at its value
                </label>
            )}
            {others > 0 && (
                <Button look="bare" className="px-0!" onClick={() => setAll(true)}>
                    {others} other {others === 1 ? 'thing' : 'things'} in the drawer for this
                </Button>
            )}
        </span>
    );
}
