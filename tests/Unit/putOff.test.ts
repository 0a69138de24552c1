import { beforeEach, describe, expect, it } from 'vitest';
import { keepPutOff, readPutOff } from '../../resources/js/frame/putOff';

const stored = new Map<string, string>();

describe('what was put off', () => {
    beforeEach(() => {
        stored.clear();
        Object.assign(globalThis, {
            localStorage: { getItem: (key: string) => stored.get(key) ?? null, setItem: (key: string, value: string) => stored.set(key, value) },
        });
    });
    it('is kept with its reason, by build', () => {
        keepPutOff('a', { 'board size': { why: 'I asked its maker', on: '2026-11-26' } }, ['board size']);
        expect(readPutOff('a')).toEqual({ 'board size': { why: 'I asked its maker', on: '2026-11-26' } });
        expect(readPutOff('b')).toEqual({});
    });
    it('is forgotten once it is known', () => {
        expect(keepPutOff('a', { 'board size': { why: 'no reason', on: '2026-11-26' } }, [])).toEqual({});
    });
    it('is nothing where the device kept rubbish', () => {
        stored.set('pocketplot.put-off.a', 'no json');
        expect(readPutOff('a')).toEqual({});
    });
});
