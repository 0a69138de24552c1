import { expect, test, type Locator, type Page } from '@playwright/test';
import { vital, withAccount } from './helpers';

/** Six parts as their builder found them described; none of them is on the shelf. */
const texts = {
    board: `Heron S1 single-board computer
runs from 5 V (4.75 to 5.25 V) at its USB-C socket, 600 mA idle, 900 mA in use, 1.3 A at most
mini HDMI out, 2 x USB-A 2.0, microSD slot
85 x 56 x 17 mm, 46 g
EUR 42.00`,
    display: `Sill 7 panel, 1024 x 600, HDMI
Supply: 9 to 15 V DC, barrel jack 5.5/2.1, typ. 450 mA, max 550 mA
165 x 100 x 12 mm, weight 210 g
38,50 EUR`,
    cells: `Flat LiPo 1S1P 3.7 V 6000 mAh
protection built in, discharge up to 6 A, charge up to 3 A
95 x 60 x 9 mm, 112 g, JST-PH 2 mm plug
19.90 EUR`,
    regulator: `Step-up module 5 V 3 A
input 2.9 to 4.5 V, output 5.1 V, 3 A continuous, efficiency 92 %
36 x 17 x 8 mm, 6 g
4,20 EUR`,
    controls: `Lapwing pad, wired USB-A, D-pad, 12 buttons, 2 sticks
5 V, 40 mA
140 x 60 x 25 mm, 95 g
11.00 EUR`,
    case: `Printed shell, two halves, PLA
inside 190 x 120 x 45 mm, wall 2.4 mm, outside 195 x 125 x 50 mm
190 g, 6 EUR of filament`,
};

/** The same six as they would stand in somebody's spreadsheet. */
const sheet = [
    'Item;Qty;Price (EUR);What it says',
    ...Object.values(texts).map((text) => {
        const [name = '', ...rest] = text.split('\n');
        const price = /([\d.,]+) EUR|EUR ([\d.,]+)/.exec(text);
        return [name, '1', price?.[1] ?? price?.[2] ?? '', rest.filter((line) => !line.includes('EUR')).join(', ')].map((cell) => `"${cell}"`).join(';');
    }),
].join('\r\n');

/** What the builder finds out, by what is asked. */
const answers: [RegExp, string][] = [
    [/^peak current/i, '1.4 A'],
    [/^cut-off voltage/i, '2.9 V'],
    [/^sense contacts/i, 'yes'],
    [/^polarity/i, 'yes'],
    [/^behaviour without a picture/i, 'no'],
    [/^device kind/i, 'pad'],
    [/bed/i, '220 x 220 x 250 mm'],
    [/^ready system/i, 'yes'],
    [/^need of a shutdown/i, 'no'],
    [/^opening/i, '10 x 5 mm'],
    [/^continuous output/i, '1.2 A'],
    [/^rating of the socket/i, '2 A'],
    [/^short peak/i, '3.6 A'],
    [/^depth with the plug/i, '30 mm'],
    [/bend/i, '20 mm'],
    [/^air openings/i, '400 mm²'],
    [/^price/i, '3 EUR'],
    [/temperature|warm/i, '80 °C'],
    [/^heat/i, '3 W'],
    [/^wall/i, '2 mm'],
    [/^weight/i, '20 g'],
    [/^charge current/i, '1 A'],
    [/gauge/i, '24 AWG'],
    [/^length/i, '300 mm'],
    [/^size/i, '60 x 12 x 8 mm'],
    [/^driver|^signals/i, 'yes'],
    [/^draw|^current draw/i, '50 mA'],
];

/** A hand that counts: each click and each key is one, a pasted text two. */
class Hand {
    count = 0;

    readonly begun = Date.now();

    constructor(private readonly page: Page) {}

    async press(target: Locator) {
        await target.click();
        this.count++;
    }

    async key(key: string) {
        await this.page.keyboard.press(key);
        this.count++;
    }

    async type(target: Locator, text: string) {
        await this.press(target);
        await target.fill(text);
        this.count += text.length;
    }

    async paste(text: string) {
        await this.page.evaluate((pasted) => {
            const clipboardData = new DataTransfer();
            clipboardData.setData('text/plain', pasted);
            document.activeElement?.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
        }, text);
        this.count += 2;
    }

    /** Says it in the report of the run. */
    note(what: string) {
        test.info().annotations.push({
            type: what,
            description: `${this.count} presses and keys, ${((Date.now() - this.begun) / 1000).toFixed(1)} s of the machine`,
        });
    }
}

const count = async (page: Page, what: string) => Number(await vital(page, what).innerText());

/** What the builder has in a drawer, where the shelf has nothing. */
const drawer: [RegExp, string][] = [[/no lead in the parts list goes/, 'Mini HDMI to HDMI cable, 300 mm']];

/** Opens the worst note and takes its first fix, or what is in the drawer, as long as something clashes or is missing. */
async function mend(page: Page, hand: Hand): Promise<void> {
    while ((await count(page, 'Clashes')) + (await count(page, 'Missing')) > 0) {
        const version = await page.getByText(/^version \d+/).innerText();
        await hand.key('n');
        const leaf = page.getByRole('dialog');
        await expect(leaf.getByRole('heading', { name: 'Fixes' })).toBeVisible();
        await expect(leaf.getByText('Trying the parts', { exact: false })).toBeHidden();
        const fix = leaf.getByRole('listitem').getByRole('button').first();
        if (await fix.isVisible()) {
            await hand.press(fix);
            await expect(leaf).toBeHidden();
        } else {
            const said = await leaf.innerText();
            const own = drawer.find(([pattern]) => pattern.test(said));
            if (own === undefined) throw new Error(`no fix, and nothing in the drawer: ${said}`);
            await hand.key('Escape');
            await hand.type(page.getByLabel('A part of your own, by name'), own[1]);
            await hand.key('Enter');
            await hand.key('Escape');
        }
        await expect(page.getByText(version, { exact: true })).toHaveCount(0);
    }
}

/** Answers what is asked until nothing is. */
async function answer(page: Page, hand: Hand): Promise<number> {
    let given = 0;
    await hand.key('q');
    const leaf = page.getByRole('dialog');
    const heading = leaf.getByRole('heading', { level: 3 }).first();
    while (!(await leaf.getByText('Every figure that a check needs is known.').isVisible())) {
        const asked = await heading.innerText();
        // The first of up to three; in pencil there is one.
        const question = (await leaf.locator('[data-question]').count()) > 0 ? leaf.locator('[data-question]').first() : leaf;
        const toTick = question.getByRole('checkbox');
        if (/^(What can you|Which tools|What is in your)/.test(asked)) await expect(toTick.first()).toBeVisible();
        if ((await toTick.count()) > 0) {
            for (const one of ['soldering', 'soldering iron', 'multimeter', 'solder']) {
                const tick = leaf.getByRole('checkbox', { name: one, exact: true });
                if ((await tick.count()) > 0) await hand.press(tick);
            }
            await hand.press(leaf.getByRole('button', { name: 'These' }));
            given++;
            await expect(leaf.getByText(asked, { exact: true })).toHaveCount(0);
            continue;
        }
        const yes = leaf.getByRole('button', { name: /^Yes, it is/ });
        if (await yes.isVisible()) {
            await hand.press(yes);
            given++;
            await expect(leaf.getByText(asked, { exact: true })).toHaveCount(0);
            continue;
        }
        const known = answers.find(([pattern]) => pattern.test(asked));
        if (known === undefined) throw new Error(`nobody thought of: ${asked}`);
        const choice = question.getByRole('button', { name: known[1], exact: true });
        if (await choice.isVisible()) {
            await hand.press(choice);
        } else {
            await hand.type(question.getByLabel(/I found|It costs/), known[1]);
            await hand.key('Enter');
        }
        given++;
        await expect(leaf.getByText(asked, { exact: true })).toHaveCount(0);
    }
    await hand.key('Escape');
    return given;
}

async function settle(page: Page, hand: Hand): Promise<void> {
    await mend(page, hand);
    hand.note('everything mended');
    const given = await answer(page, hand);
    await mend(page, hand);
    await expect(vital(page, 'Clashes')).toHaveText('0');
    await expect(vital(page, 'Missing')).toHaveText('0');
    await expect(vital(page, 'Unmeasured')).toHaveText('0');
    await expect(vital(page, 'Run time')).toContainText(/\d h/);
    hand.note(`full appraisal, with ${given} answers`);
}

test('from an empty account to a full appraisal: six texts, the first clash, its fix, and what is not known', async ({ page }) => {
    test.slow();
    await withAccount(page);
    const hand = new Hand(page);
    let clashAt = 0;
    for (const [role, text] of Object.entries(texts)) {
        if (role === 'board') {
            const box = page.getByLabel('Its parts, one a line');
            await hand.press(box);
            await box.fill(text);
            hand.count += 2;
            await hand.press(page.getByRole('button', { name: 'Look through them' }));
        } else {
            await hand.press(page.getByLabel('A part of your own, by name'));
            await hand.paste(text);
        }
        const leaf = page.getByRole('dialog');
        await expect(leaf.getByLabel('What it is for')).toHaveValue(role);
        await hand.press(leaf.getByRole('button', { name: 'Put it on the list' }));
        await expect(page.locator(`[data-line="${role}"]`)).toBeVisible();
        if (clashAt === 0 && (await count(page, 'Clashes')) > 0) {
            clashAt = hand.count;
            hand.note('first clash');
        }
    }
    // Four a text: into the box, two to paste, one to put it there; on the first page one more, to look through it.
    expect(hand.count).toBe(4 * 6 + 1);
    expect(clashAt).toBeGreaterThan(0);
    // Out of the box, in which the next text would be pasted.
    await hand.key('Escape');
    await settle(page, hand);
    expect(hand.count).toBeLessThan(240);
});

test('the same from a spreadsheet', async ({ page }) => {
    test.slow();
    await withAccount(page);
    const hand = new Hand(page);
    // The button, and the file in the list of the device.
    await page.getByLabel('A spreadsheet: CSV, ODS or XLSX').setInputFiles({ name: 'six-parts.csv', mimeType: 'text/csv', buffer: Buffer.from(sheet) });
    hand.count += 2;
    const leaf = page.getByRole('dialog', { name: 'six-parts.csv' });
    await expect(leaf.getByText('6 parts: 0 known already, 6 new')).toBeVisible();
    await hand.press(leaf.getByRole('button', { name: 'Put 6 rows into the list' }));
    await expect(page.locator('[data-line="case"]')).toBeVisible();
    await expect(vital(page, 'Clashes')).not.toHaveText('0');
    hand.note('first clash');
    expect(hand.count).toBe(3);
    await settle(page, hand);
    // The same parts as from texts, so as much to answer.
    expect(hand.count).toBeLessThan(240);
});
