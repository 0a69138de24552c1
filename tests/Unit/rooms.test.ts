import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, normalize, relative } from 'node:path';
import { describe, expect, it } from 'vitest';

const root = join(import.meta.dirname, '../../resources/js');

/** From the bottom to the top; rooms of one row stand beside each other and know nothing of each other. */
const rows = [
    ['api'],
    ['ui'],
    ['part-editor', 'frame', 'sign-in', 'rules'],
    [
        'library',
        'drawer',
        'builds',
        'stations/brief',
        'stations/parts',
        'stations/power',
        'stations/fit',
        'stations/checks',
        'stations/buy',
        'stations/build',
        'stations/bench',
    ],
    ['main'],
];

const files = (folder: string): string[] =>
    readdirSync(folder).flatMap((name) => {
        const path = join(folder, name);
        return statSync(path).isDirectory() ? files(path) : /\.tsx?$/.test(name) ? [path] : [];
    });

const roomOf = (path: string): string => {
    const steps = relative(root, path).split('/');
    return steps.length === 1 ? 'main' : steps[0] === 'stations' ? steps.slice(0, 2).join('/') : (steps[0] ?? '');
};

const heightOf = (room: string): number => rows.findIndex((row) => row.includes(room));

const arrows = files(root).flatMap((path) =>
    [...readFileSync(path, 'utf8').matchAll(/(?:from|import\()\s*'(\.[^']+)'/g)].map((found) => ({
        from: path,
        to: normalize(join(dirname(path), found[1] ?? '')),
    })),
);

describe('the rooms of the interface', () => {
    it('each has its place', () => {
        expect(
            files(root)
                .map(roomOf)
                .filter((room) => heightOf(room) === -1),
        ).toEqual([]);
        expect(arrows.length).toBeGreaterThan(100);
    });

    it('know only those below them', () => {
        const up = arrows.filter(({ from, to }) => roomOf(from) !== roomOf(to) && heightOf(roomOf(to)) >= heightOf(roomOf(from)));
        expect(up.map(({ from, to }) => `${relative(root, from)} → ${relative(root, to)}`)).toEqual([]);
    });
});
