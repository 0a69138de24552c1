import { beforeEach, describe, expect, it } from 'vitest';
import type { Plan, Step } from '../../resources/js/api/client';
import { newKey, putIn, refuse, takeOut, waiting } from '../../resources/js/stations/build/outbox';
import { doable, withWaiting } from '../../resources/js/stations/build/overlay';

const link = (from: string, to: string) => ({ from, to, kind: 'needs' as const, why: '' });

const step = (id: string, state: Step['state'], after: string[] = [], waitsFor: string[] = []): Step => ({
    id,
    state,
    waitsFor,
    waitsForSteps: after,
    before: after.map((one) => link(one, id)),
    after: [],
    phase: '',
    title: id,
    says: '',
    lines: [],
    minutes: { least: 1, usual: 1, most: 1 },
    setup: '',
    tools: [],
    lacks: [],
    consumables: [],
    places: [],
    skills: [],
    cautions: [],
    gate: null,
    undo: 'freely',
    undoSays: '',
    cannotBeUndone: '',
    alone: null,
    text: '',
    leaves: '',
    isSafety: false,
    isOwn: false,
    note: '',
    tickedOn: null,
    read: {},
    again: [],
});

const steps = [step('a', 'done'), step('b', 'open', ['a']), step('c', 'waits', ['b']), step('d', 'waits', ['b'], ['panel'])];
const plan = { steps, evenings: [] } as unknown as Plan;

const did = (id: string, what: 'done' | 'failed' | 'undone' | 'later' | 'noted', refused: string | null = null) => ({
    event: { id: `${id} ${what}`, step: id, did: what },
    refused,
});

const states = (entries: ReturnType<typeof did>[]) => Object.fromEntries(withWaiting(plan, entries).steps.map((one) => [one.id, one.state]));

describe('the plan with what waits on this device', () => {
    it.each([
        ['nothing waits', [], { a: 'done', b: 'open', c: 'waits', d: 'waits' }],
        ['a step done opens what waited for it alone', [did('b', 'done')], { a: 'done', b: 'done', c: 'open', d: 'waits' }],
        ['the last word counts', [did('b', 'done'), did('b', 'undone')], { a: 'done', b: 'open', c: 'waits', d: 'waits' }],
        ['a step taken back', [did('a', 'undone')], { a: 'open', b: 'open', c: 'waits', d: 'waits' }],
        ['a step that failed', [did('b', 'failed')], { a: 'done', b: 'failed', c: 'waits', d: 'waits' }],
        ['what was put off or noted changes nothing', [did('b', 'later'), did('c', 'noted')], { a: 'done', b: 'open', c: 'waits', d: 'waits' }],
        ['what was refused does not count', [did('b', 'done', 'too large')], { a: 'done', b: 'open', c: 'waits', d: 'waits' }],
    ])('%s', (_, entries, expected) => {
        expect(states(entries)).toEqual(expected);
    });

    it('takes what is done out of its evening, with its minutes, and leaves no empty evening', () => {
        const evening = (on: string, steps: string[], minutes: number) => ({ on, steps, minutes, arrives: [], beside: [], layOut: {} });
        const dated = { ...plan, evenings: [evening('2026-11-27', ['b', 'c'], 21), evening('2026-11-28', ['d'], 1)] } as unknown as Plan;
        const left = (entries: ReturnType<typeof did>[]) => withWaiting(dated, entries).evenings.map(({ on, steps, minutes }) => [on, steps, minutes]);
        expect(left([])).toEqual([
            ['2026-11-27', ['b', 'c'], 21],
            ['2026-11-28', ['d'], 1],
        ]);
        expect(left([did('b', 'done')])).toEqual([
            ['2026-11-27', ['c'], 20],
            ['2026-11-28', ['d'], 1],
        ]);
        expect(left([did('b', 'done'), did('c', 'done')])).toEqual([['2026-11-28', ['d'], 1]]);
        expect(left([did('b', 'failed')])[0]).toEqual(['2026-11-27', ['b', 'c'], 21]);
    });

    it('offers what can be done now', () => {
        expect(doable(withWaiting(plan, [did('b', 'done')])).map((one) => one.id)).toEqual(['c']);
    });
});

describe('the outbox', () => {
    let kept: Map<string, string>;
    let room: number;
    beforeEach(() => {
        kept = new Map();
        room = 10_000;
        globalThis.localStorage = {
            getItem: (key: string) => kept.get(key) ?? null,
            setItem: (key: string, value: string) => {
                if (value.length > room) throw new Error('full');
                kept.set(key, value);
            },
            removeItem: (key: string) => void kept.delete(key),
        } as unknown as Storage;
    });

    it('keeps entries of each build in their order, until they are taken', () => {
        putIn('one', { id: '1', step: 'a', did: 'done' });
        putIn('one', { id: '2', step: 'b', did: 'done' });
        putIn('two', { id: '3', step: 'a', did: 'done' });
        takeOut('one', ['1']);
        expect(waiting('one').map((one) => one.event.id)).toEqual(['2']);
        expect(waiting('two').map((one) => one.event.id)).toEqual(['3']);
    });

    it('keeps what was refused, with the reason', () => {
        putIn('one', { id: '1', step: 'a', did: 'done' });
        refuse('one', '1', 'no such day');
        expect(waiting('one')[0]?.refused).toBe('no such day');
    });

    it('keeps the rest of an entry where there is no room for its photograph', () => {
        room = 300;
        expect(putIn('one', { id: '1', step: 'a', did: 'done', note: 'the red wire', photo: 'x'.repeat(400) })).toBe(false);
        expect(waiting('one')[0]?.event).toEqual({ id: '1', step: 'a', did: 'done', note: 'the red wire' });
    });

    it('is empty when what was kept cannot be read', () => {
        kept.set('pocketplot.bench.one', '{"half');
        expect(waiting('one')).toEqual([]);
    });

    it('gives each entry a key of its own', () => {
        expect(new Set(Array.from({ length: 200 }, newKey)).size).toBe(200);
    });
});
