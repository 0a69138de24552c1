import { Graph, layout, type GraphLabel, type NodeLabel } from '@dagrejs/dagre';
import { max, min } from 'd3-array';
import { link, curveStepBefore } from 'd3-shape';
import type { PowerNode } from '../../api/client';

export type State = 'idle' | 'usual' | 'heavy';

export const cardWide = 184;
export const cardHigh = 56;
export const railWide = 118;
/** From the bus to the cards on it; the name and the figures of the rail stand before the bus. */
const stub = 14;
/** A rail has its name above its wire and its figures below. */
const railHigh = 62;
const edge = 24;

export interface Card {
    node: PowerNode;
    /** Left edge. */
    x: number;
    /** Middle, top to bottom. */
    y: number;
}

export interface Bus {
    node: PowerNode;
    x: number;
    top: number;
    bottom: number;
    /** Height at which its wire comes in. */
    label: number;
}

export interface Wire {
    key: string;
    path: string;
    amps: number;
}

export interface Layout {
    cards: Card[];
    buses: Bus[];
    wires: Wire[];
    wide: number;
    high: number;
}

/** What hangs on a node, rail by rail; raw cells are a rail of their own, without a name. */
function railsBelow(nodes: readonly PowerNode[], node: PowerNode): { id: string; rail: PowerNode; members: PowerNode[] }[] {
    const children = (id: string) => nodes.filter((one) => one.parent === id);
    const rails = children(node.id).filter((child) => child.kind === 'rail');
    const direct = children(node.id).filter((child) => child.kind !== 'rail');
    return [
        ...(direct.length > 0 ? [{ id: `${node.id} raw`, rail: node, members: direct }] : []),
        ...rails.map((rail) => ({ id: rail.id, rail, members: children(rail.id) })),
    ];
}

const elbow = link(curveStepBefore);

/** Places every card and rail: layers from left to right, what hangs together side by side. */
export function layOut(nodes: readonly PowerNode[], state: State): Layout {
    const graph = new Graph<GraphLabel, NodeLabel, object>()
        .setGraph({ rankdir: 'LR', ranksep: 0, nodesep: 16, marginy: edge })
        .setDefaultEdgeLabel(() => ({}));
    const cards = nodes.filter((node) => node.kind !== 'rail');
    const groups = cards.flatMap((card) => railsBelow(nodes, card).map((group) => ({ card, ...group })));
    cards.forEach((node) => graph.setNode(node.id, { width: cardWide, height: cardHigh }));
    groups.forEach(({ id, card, rail, members }) => {
        graph.setNode(id, { width: railWide, height: rail === card ? cardHigh : railHigh });
        graph.setEdge(card.id, id);
        members.forEach((member) => graph.setEdge(id, member.id));
    });
    layout(graph);
    const at = (id: string) => {
        const { x = 0, y = 0 } = graph.node(id);
        return { x, y };
    };
    const flow = (node: PowerNode) => node.values[state]?.amps ?? 0;
    const wires: Wire[] = [];
    const buses = groups.map(({ id, card, rail, members }): Bus => {
        const bus = { x: at(id).x + railWide / 2 - stub, y: at(id).y };
        const from = at(card.id);
        const ends = members.map((member) => at(member.id).y);
        wires.push({
            key: `${card.id} ${id}`,
            path: elbow({ source: [from.x + cardWide / 2, from.y], target: [bus.x, bus.y] }) ?? '',
            amps: flow(rail),
        });
        members.forEach((member, index) =>
            wires.push({ key: `${id} ${member.id}`, path: `M${bus.x},${ends[index]} H${at(member.id).x - cardWide / 2}`, amps: flow(member) }),
        );
        return { node: rail, x: bus.x, top: min([bus.y, ...ends]) ?? bus.y, bottom: max([bus.y, ...ends]) ?? bus.y, label: bus.y };
    });
    return {
        cards: cards.map((node) => ({ node, x: at(node.id).x - cardWide / 2, y: at(node.id).y })),
        buses,
        wires,
        wide: (max(cards, (node) => at(node.id).x) ?? 0) + cardWide / 2 + 2,
        high: (max(cards, (node) => at(node.id).y) ?? 0) + cardHigh / 2 + edge,
    };
}
