import type { Condition, Line, Role, SheetColumn } from '../api/client';

/** The contract says which there are: a role that it has and this list has not, or the other way round, does not compile. */
export const roleWords: Record<Role, string> = {
    board: 'Board',
    display: 'Display',
    controls: 'Controls',
    case: 'Case',
    cells: 'Cells',
    charger: 'Charger, inlet',
    regulator: 'Regulator',
    sound: 'Sound',
    storage: 'Storage',
    cooling: 'Cooling',
    switch: 'Switch',
    cable: 'Cable, adapter',
    fastener: 'Fastener',
    material: 'Material',
    tool: 'Tool',
};

const stateWords: Record<Line['state'], string> = {
    'to-find': 'to find',
    chosen: 'chosen',
    ordered: 'ordered',
    arrived: 'arrived',
    tested: 'tested',
    faulty: 'faulty',
};

const originWords: Record<Line['origin'], string> = { buy: 'buy', own: 'own', salvage: 'salvage', print: 'print', gift: 'gift' };

const columnWords: Record<SheetColumn, string> = {
    name: 'name',
    role: 'what it is for',
    quantity: 'quantity',
    price: 'price of one',
    total: 'price of all',
    currency: 'currency',
    vendor: 'vendor',
    maker: 'maker',
    link: 'link',
    origin: 'where from',
    state: 'state',
    note: 'note',
    figure: 'about the part',
    ignored: 'leave out',
};

export const conditionWords: Record<Condition, string> = { new: 'new', 'used-tested': 'used, tested', 'used-untested': 'used, not tested' };

/** As the choices of a select: value and words, in this order. */
const choices = <Key extends string>(words: Record<Key, string>) => Object.entries(words) as [Key, string][];

export const roles = choices(roleWords);
export const conditions = choices(conditionWords);
export const states = choices(stateWords);
export const origins = choices(originWords);
export const sheetColumns = choices(columnWords);
