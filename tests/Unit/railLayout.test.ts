import { describe, expect, it } from 'vitest';
import type { PowerNode } from '../../resources/js/api/client';
import { cardHigh, cardWide, layOut, railWide } from '../../resources/js/stations/power/railLayout';

const node = (id: string, kind: PowerNode['kind'], parent: string | null, amps = 1): PowerNode => ({
    id,
    parent,
    kind,
    line: id,
    name: id,
    says: '',
    holds: true,
    values: { idle: null, heavy: null, usual: { volts: 5, amps, watts: 5 * amps, lost: 0 } },
    ...({} as Partial<PowerNode>),
});

/** A pack that feeds a lamp and a converter directly, and by its converter a board and a panel. */
const nodes = [
    node('pack', 'source', null),
    node('lamp', 'load', 'pack', 0.2),
    node('five', 'converter', 'pack'),
    node('five:5 V', 'rail', 'five', 0.8),
    node('board', 'load', 'five:5 V', 0.5),
    node('panel', 'load', 'five:5 V', 0.3),
];

describe('the layout of the rails', () => {
    const { cards, buses, wires, wide, high } = layOut(nodes, 'usual');
    const card = (id: string) => cards.find((one) => one.node.id === id) ?? { node: nodes[0], x: NaN, y: NaN };

    it('draws a card for each part and none for a rail', () => {
        expect(cards.map((one) => one.node.id)).toEqual(['pack', 'lamp', 'five', 'board', 'panel']);
        expect(buses.map((one) => one.node.id)).toEqual(['pack', 'five:5 V']);
    });

    it('puts each layer to the right of the one that feeds it', () => {
        expect(card('lamp').x).toBe(card('pack').x + cardWide + railWide);
        expect(card('board').x).toBe(card('five').x + cardWide + railWide);
        expect(card('panel').x).toBe(card('board').x);
    });

    it('keeps cards apart', () => {
        const apart = cards.flatMap((one, index) => cards.slice(index + 1).map((other) => one.x !== other.x || Math.abs(one.y - other.y) >= cardHigh));
        expect(apart).not.toContain(false);
    });

    it('draws a bus over all that hangs on it', () => {
        const bus = buses[1];
        expect(bus?.top).toBeLessThanOrEqual(Math.min(card('board').y, card('panel').y));
        expect(bus?.bottom).toBeGreaterThanOrEqual(Math.max(card('board').y, card('panel').y));
    });

    it('knows what flows in each wire, and how large it is', () => {
        expect(Object.fromEntries(wires.map((wire) => [wire.key, wire.amps]))).toMatchObject({
            'five five:5 V': 0.8,
            'five:5 V panel': 0.3,
            'pack raw lamp': 0.2,
        });
        expect(wide).toBeGreaterThan(3 * cardWide);
        expect(high).toBeGreaterThan(2 * cardHigh);
    });
});
