import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api, Problem, problemOf, readingAgain } from '../../resources/js/api/client';

const json = (status: number, body: unknown) => new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });

beforeEach(() => vi.stubGlobal('document', { cookie: 'other=1; XSRF-TOKEN=a%20key%3D' }));
afterEach(() => vi.unstubAllGlobals());

/** Answers one call after the other, and tells what was asked. */
function answering(...answers: (Response | Error)[]) {
    const asked: [string, RequestInit | undefined][] = [];
    vi.stubGlobal('fetch', (url: string, init?: RequestInit) => {
        asked.push([url, init]);
        const answer = answers.shift();
        return answer instanceof Response ? Promise.resolve(answer) : Promise.reject(answer ?? new Error('nobody answers'));
    });
    return asked;
}

describe('a call', () => {
    it('sends JSON with the key of the page', async () => {
        const asked = answering(json(200, { ok: true }));
        expect(await api.post('/builds', { name: 'x' })).toEqual({ ok: true });
        expect(asked[0]?.[0]).toBe('/api/builds');
        expect(asked[0]?.[1]).toMatchObject({
            method: 'POST',
            body: '{"name":"x"}',
            headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': 'a key=' },
        });
    });

    it('that only looks sends neither', async () => {
        const asked = answering(json(200, {}));
        await api.get('/builds');
        expect(asked[0]?.[1]?.headers).toEqual({ Accept: 'application/json' });
    });

    it('goes out once more when the key of the page ran out', async () => {
        const asked = answering(json(419, { code: 'signed-out', message: 'x' }), json(200, {}), json(200, { version: 2 }));
        expect(await api.patch('/builds/1', { version: 1 })).toEqual({ version: 2 });
        expect(asked.map(([url]) => url)).toEqual(['/api/builds/1', '/api/session', '/api/builds/1']);
    });

    it('but not for ever', async () => {
        const ranOut = () => json(419, { code: 'signed-out', message: 'signed out' });
        const asked = answering(ranOut(), json(200, {}), ranOut(), json(200, {}), ranOut());
        await expect(api.patch('/builds/1', {})).rejects.toMatchObject({ code: 'signed-out' });
        expect(asked).toHaveLength(5);
    });

    it('goes out a third time when another call changed the key on the way', async () => {
        answering(json(419, {}), json(200, {}), json(419, {}), json(200, {}), json(200, { version: 2 }));
        expect(await api.patch('/builds/1', {})).toEqual({ version: 2 });
    });

    it('waits for the look that another call began', async () => {
        const asked = answering(json(419, {}), json(419, {}), json(200, {}), json(200, { a: 1 }), json(200, { b: 2 }));
        expect(await Promise.all([api.patch('/builds/1', {}), api.patch('/builds/2', {})])).toEqual([{ a: 1 }, { b: 2 }]);
        expect(asked.map(([url]) => url)).toEqual(['/api/builds/1', '/api/builds/2', '/api/session', '/api/builds/1', '/api/builds/2']);
    });

    it('to nobody says so and keeps what was typed', async () => {
        answering(new TypeError('network'));
        await expect(api.put('/x', {})).rejects.toMatchObject({ code: 'away', message: expect.stringContaining('still here') as string });
    });

    it('answered by something else says the same', async () => {
        answering(new Response('<html>', { status: 200 }));
        await expect(api.get('/x')).rejects.toMatchObject({ code: 'away' });
    });
});

describe('a problem', () => {
    it('keeps fields, problems, the fresh build and the build that cannot be read', async () => {
        const problem = await problemOf(
            json(422, {
                code: 'bad-input',
                message: 'no',
                fields: { name: ['Give a name.', 'And another.'] },
                problems: [
                    { field: 'a/b', wrong: 'is missing', fix: 'write it' },
                    { field: '', wrong: 'All of it.', fix: '' },
                ],
                build: 'id',
            }),
        );
        expect(problem).toBeInstanceOf(Problem);
        expect([
            problem.code,
            problem.message,
            problem.about('name'),
            problem.about('other'),
            problem.lines,
            problem.at('a/b'),
            problem.at('a'),
            problem.build,
            problem.fresh,
        ]).toEqual(['bad-input', 'no', 'Give a name.', undefined, ['a/b: is missing; write it', 'All of it.'], 'is missing; write it', undefined, 'id', null]);
    });
    it('of an answer that is no JSON is that nobody answers', async () => expect((await problemOf(new Response('oops', { status: 502 }))).code).toBe('away'));

    it('says after how long the same may be asked again', async () => {
        const said = JSON.stringify({ code: 'database-away', message: 'In a moment.' });
        const passing = await problemOf(new Response(said, { status: 503, headers: { 'Retry-After': '2' } }));
        expect(passing.retryAfterMs).toBe(2000);
        expect([0, 3, 4].map((failures) => readingAgain.retry(failures, passing))).toEqual([true, true, false]);
        expect(readingAgain.retryDelay(0, passing)).toBe(2000);
        const lasting = await problemOf(new Response(said, { status: 503 }));
        expect(lasting.retryAfterMs).toBeNull();
        expect(readingAgain.retry(0, lasting)).toBe(false);
        expect(readingAgain.retry(0, new Error('of something else'))).toBe(false);
    });
});
