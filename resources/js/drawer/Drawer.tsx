import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { api, Problem, type DrawerPiece, type Role } from '../api/client';
import { Button } from '../ui/Button';
import { inputLook } from '../ui/Field';
import { useNotices } from '../ui/Notices';
import { PageFrame } from '../ui/PageFrame';
import { Select } from '../ui/Select';
import { conditionWords, roles, roleWords } from '../ui/words';
import { BreakUp } from './BreakUp';
import { PieceForm } from './PieceForm';

const page = 60;

type Leaf = { kind: 'new' } | { kind: 'change' | 'break'; piece: DrawerPiece } | null;

/** What one owns, across builds: where it lies, where it came from, which build has claimed it. */
export default function Drawer() {
    const cache = useQueryClient();
    const [words, setWords] = useState('');
    const [role, setRole] = useState<'' | Role>('');
    const [from, setFrom] = useState(0);
    const [leaf, setLeaf] = useState<Leaf>(null);
    useEffect(() => {
        document.title = 'Drawer · Pocket Plot';
    }, []);
    const query = new URLSearchParams({ q: words, role, from: String(from) }).toString();
    const found = useQuery({
        queryKey: ['drawer', query],
        queryFn: () => api.get<{ total: number; pieces: DrawerPiece[] }>(`/drawer?${query}`),
        placeholderData: (before) => before,
    });
    const changed = () => {
        setLeaf(null);
        void cache.invalidateQueries({ queryKey: ['drawer'] });
    };
    const total = found.data?.total ?? 0;
    const isBare = words === '' && role === '';
    return (
        <PageFrame
            title="Drawer"
            says={found.data === undefined ? 'Looking …' : `${total} ${total === 1 ? 'kind' : 'kinds'} of things`}
            tools={
                <Button look="pen" onClick={() => setLeaf({ kind: 'new' })}>
                    Put something in
                </Button>
            }
        >
            <form role="search" className="mb-3 flex flex-wrap items-end gap-3" onSubmit={(event) => event.preventDefault()}>
                <label className="min-w-56 flex-1">
                    <span className="mb-1 block text-sm font-semibold">Name, place, where it came from</span>
                    <input
                        className={inputLook}
                        type="search"
                        value={words}
                        onChange={(event) => {
                            setWords(event.target.value);
                            setFrom(0);
                        }}
                    />
                </label>
                <label>
                    <span className="mb-1 block text-sm font-semibold">Role</span>
                    <Select
                        label="Role"
                        value={role}
                        options={[['', 'any'] as const, ...roles]}
                        onChange={(event) => {
                            setRole(event.target.value as '' | Role);
                            setFrom(0);
                        }}
                    />
                </label>
            </form>
            {found.isError && <p role="alert">{found.error.message}</p>}
            {total === 0 && found.data !== undefined && (
                <p className="dot-grid border border-dashed border-edge p-6">
                    {isBare
                        ? 'The drawer is empty. Write down what lies around: spares, what came out of an old device, what a friend gave you. Each build then says what of it would do, and nothing is bought twice.'
                        : 'Nothing in the drawer goes by that.'}
                </p>
            )}
            <ul className="border-t border-line">
                {found.data?.pieces.map((piece) => (
                    <Piece key={piece.id} piece={piece} onLeaf={setLeaf} onChanged={changed} />
                ))}
            </ul>
            {total > page && (
                <div className="mt-3 flex gap-3">
                    <Button disabled={from === 0} onClick={() => setFrom(Math.max(0, from - page))}>
                        Before
                    </Button>
                    <Button disabled={from + page >= total} onClick={() => setFrom(from + page)}>
                        More
                    </Button>
                </div>
            )}
            {(leaf?.kind === 'new' || leaf?.kind === 'change') && (
                <PieceForm piece={leaf.kind === 'change' ? leaf.piece : null} onClose={() => setLeaf(null)} onKept={changed} />
            )}
            {leaf?.kind === 'break' && <BreakUp piece={leaf.piece} onClose={() => setLeaf(null)} onDone={changed} />}
        </PageFrame>
    );
}

const originWords: Record<DrawerPiece['origin'], string> = { bought: 'bought', salvaged: 'salvaged', gift: 'a gift', sample: 'a sample' };

function Piece({ piece, onLeaf, onChanged }: { piece: DrawerPiece; onLeaf: (leaf: Leaf) => void; onChanged: () => void }) {
    const notices = useNotices();
    const about = [
        conditionWords[piece.condition],
        `${originWords[piece.origin]}${piece.cameFrom === '' ? '' : `, ${piece.cameFrom}`}`,
        ...(piece.value === null ? [] : [`worth ${piece.value.amount} ${piece.value.currency} each`]),
    ].join('; ');
    const takeOut = async () => {
        try {
            await api.remove(`/drawer/${piece.id}`);
            notices.say(`${piece.name} is taken out.`, 'good', {
                words: 'Put it back',
                run: () => void api.post(`/drawer/${piece.id}/restore`).then(onChanged),
            });
            onChanged();
        } catch (error) {
            notices.say(error instanceof Problem ? (Object.values(error.fields)[0]?.[0] ?? error.message) : 'That did not work.', 'bad');
        }
    };
    return (
        <li className="flex flex-wrap items-start gap-x-4 gap-y-1 border-b border-line py-2" data-piece={piece.id}>
            <span className="figures w-16 text-right text-lg font-semibold">
                {piece.left}
                {piece.left !== piece.quantity && <span className="text-sm font-normal text-pencil"> of {piece.quantity}</span>}
            </span>
            {piece.hasPhoto && (
                <a href={`/api/drawer/${piece.id}/photo`} target="_blank" rel="noreferrer">
                    <img
                        className="size-14 border border-line object-cover"
                        src={`/api/drawer/${piece.id}/photo?v=${piece.version}`}
                        alt={`${piece.name}, as it lies there`}
                    />
                </a>
            )}
            <span className="min-w-52 flex-1">
                <span className="font-semibold">{piece.name}</span> <span className="text-sm text-pencil">{roleWords[piece.role]}</span>
                <span className="block text-sm text-pencil">{about}</span>
                {piece.note !== '' && <span className="block text-sm">{piece.note}</span>}
                {piece.claims.map((claim) => (
                    <span key={claim.build} className="block text-sm">
                        {claim.quantity} for{' '}
                        <Link className="font-semibold text-pen hover:underline" to={`/builds/${claim.build}/buy`}>
                            {claim.name}
                        </Link>
                    </span>
                ))}
            </span>
            <span className="text-sm max-sm:w-full max-sm:pl-20 sm:w-48">{piece.place}</span>
            <span className="flex max-sm:pl-17">
                <Button look="bare" aria-label={`Change ${piece.name}`} onClick={() => onLeaf({ kind: 'change', piece })}>
                    Change
                </Button>
                <Button look="bare" aria-label={`Take ${piece.name} apart`} onClick={() => onLeaf({ kind: 'break', piece })}>
                    Take apart
                </Button>
                <Button look="bare" aria-label={`Take ${piece.name} out`} onClick={() => void takeOut()}>
                    Take out
                </Button>
            </span>
        </li>
    );
}
