import type { Role } from '../api/client';

export const roles: readonly (readonly [Role, string])[] = [
    ['board', 'Board'],
    ['display', 'Display'],
    ['controls', 'Controls'],
    ['case', 'Case'],
    ['cells', 'Cells'],
    ['charger', 'Charger, inlet'],
    ['regulator', 'Regulator'],
    ['sound', 'Sound'],
    ['storage', 'Storage'],
    ['cooling', 'Cooling'],
    ['switch', 'Switch'],
    ['cable', 'Cable, adapter'],
    ['fastener', 'Fastener'],
    ['material', 'Material'],
    ['tool', 'Tool'],
];

export const roleWords = Object.fromEntries(roles) as Record<Role, string>;

export const states = [
    ['to-find', 'to find'],
    ['chosen', 'chosen'],
    ['ordered', 'ordered'],
    ['arrived', 'arrived'],
    ['tested', 'tested'],
    ['faulty', 'faulty'],
] as const;

export const origins = [
    ['buy', 'buy'],
    ['own', 'own'],
    ['salvage', 'salvage'],
    ['print', 'print'],
    ['gift', 'gift'],
] as const;
