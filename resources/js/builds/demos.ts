/** The builds that ship with the application: slug, name, what each is. */
export const demos = [
    ['refuge', 'Refuge', 'A two-player lap console in a toolbox, for a hut without mains. Full of things to settle.'],
    ['thimble', 'Thimble', 'A clip-on puzzle pocket with a knob. Clean.'],
    ['barge', 'Barge', 'Very large buttons for a day centre. Half measured.'],
] as const;
