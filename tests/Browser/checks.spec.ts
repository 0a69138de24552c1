import { expect, test } from '@playwright/test';
import { expectAccessible, look, vital, withBuild } from './helpers';

const leaves = ['part', 'family', 'verdict', 'grid', 'measure', 'since', 'joins', 'margins'];

for (const leaf of leaves) {
    for (const light of ['day', 'night'] as const) {
        look(`${leaf} of the checks can be read by everyone, by ${light}`, async ({ page, workshop }) => {
            await page.addInitScript((chosen) => localStorage.setItem('pocketplot.light', chosen), light);
            await page.goto(`${workshop.barge}/checks?leaf=${leaf}`);
            await expect(page.getByRole('heading', { name: 'Checks', level: 2 })).toBeVisible();
            await expectAccessible(page);
        });
    }
    look(`${leaf} of the checks does not run off a phone`, async ({ page, workshop }) => {
        await page.setViewportSize({ width: 390, height: 844 });
        await page.goto(`${workshop.refuge}/checks?leaf=${leaf}`);
        await expect(page.getByRole('heading', { name: 'Checks', level: 2 })).toBeVisible();
        expect(await page.evaluate(() => document.documentElement.scrollWidth), leaf).toBeLessThanOrEqual(390);
    });
}

test('a measurement settles what waited for it, and the page says what became better', async ({ page }) => {
    const build = await withBuild(page, 'barge');
    await page.locator('body').press('m');
    const first = page.getByRole('listitem').filter({ hasText: 'Current draw of Slate 10 panel' }).first();
    await first.getByLabel('I found', { exact: false }).fill('rather a lot');
    await first.getByRole('button', { name: 'Write it down' }).click();
    await expect(first.getByRole('alert')).toContainText('cannot be read as a figure');
    await first.getByLabel('I found', { exact: false }).fill('300 / 500 / 0,7 A');
    await first.getByRole('button', { name: 'Write it down' }).click();
    await expect(first.getByRole('alert')).toContainText('rising order');
    await first.getByLabel('I found', { exact: false }).fill('300 / 500 / 700 mA');
    await first.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByRole('heading', { name: 'Current draw of Slate 10 panel' })).toHaveCount(0);
    await page.goto(`${build}/checks?leaf=measure`);
    await page.getByRole('listitem').filter({ hasText: 'Peak current of Slate 10 panel' }).first().getByLabel('I found', { exact: false }).fill('1 A');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Peak current of Slate 10 panel' })).toHaveCount(0);
    await page.getByRole('listitem').filter({ hasText: 'Supply window of Slate 10 panel' }).first().getByLabel('I found', { exact: false }).fill('8 to 15 V');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Supply window of Slate 10 panel' })).toHaveCount(0);
    await page.getByRole('tab', { name: /Since last look/ }).click();
    await expect(page.getByRole('heading', { name: 'Better' })).toBeVisible();
    await page.getByRole('button', { name: 'I have seen this' }).click();
    await expect(page.getByText('Nothing has moved since you last looked.')).toBeVisible();
});

test('the grid leads to the finding, its working, and the page of its rule', async ({ page }) => {
    await withBuild(page, 'refuge');
    await page.locator('body').press('g');
    await page
        .getByRole('button', { name: /: fits$/ })
        .first()
        .click();
    for (const said of await page.getByRole('complementary').getByRole('listitem').all()) await expect(said).toHaveText(/\w+ \w+.*\.$/);
    await page.getByRole('button', { name: 'Ridge LiFePO4 pack, 12 Ah and Rook 9 panel: clash' }).click();
    await page
        .getByRole('complementary')
        .getByRole('button', { name: /Rook 9 panel needs 9 to 13 V/ })
        .click();
    await page.getByRole('dialog').getByRole('link', { name: 'power.supply-window' }).click();
    await expect(page.getByRole('heading', { name: 'A voltage inside the window' })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'How to measure' })).toBeVisible();
    await expectAccessible(page);
});

test('a join is settled, obeyed and taken back', async ({ page }) => {
    const build = await withBuild(page, 'refuge');
    await page.goto(`${build}/checks?leaf=joins`);
    const feeds = page.getByLabel('What powers Rook 9 panel');
    await feeds.selectOption({ label: 'Brook 5 V buck, 4 A, 5 V (4.95 to 5.15 V)' });
    await expect(page.getByText('settled by you')).toBeVisible();
    await page.getByRole('button', { name: 'Take back' }).click();
    await expect(page.getByText('settled by you')).toHaveCount(0);
    await expect(feeds).toHaveValue('pack:pack');
});

test('what is missing is named in figures, stands on the list as wanted, and gives way to a part that was found', async ({ page }) => {
    const build = await withBuild(page, 'refuge');
    await page.goto(`${build}/checks?leaf=verdict`);
    await page
        .getByRole('button', { name: /Nothing tells Larch D board/ })
        .first()
        .click();
    const leaf = page.getByRole('dialog');
    await expect(leaf.getByRole('heading', { name: 'What would do: low-battery warning' })).toBeVisible();
    await expectAccessible(page);
    await leaf.getByRole('button', { name: 'Put it on the list as wanted' }).click();
    await expect(leaf).toHaveCount(0);
    await page
        .getByRole('button', { name: /Still to be found: low-battery warning/ })
        .first()
        .click();
    await leaf
        .getByRole('button', { name: /^Take it: / })
        .first()
        .click();
    await expect(leaf).toHaveCount(0);
    await expect(page.getByRole('button', { name: /Still to be found/ })).toHaveCount(0);
});

test('a join settled past the converter is mended by another join', async ({ page }) => {
    const build = await withBuild(page, 'refuge');
    await page.goto(`${build}/checks?leaf=joins`);
    await page.getByLabel('What powers Larch D board').selectOption('pack:pack');
    await expect(page.getByText('settled by you')).toBeVisible();
    await page.goto(`${build}/checks?leaf=verdict`);
    await page
        .getByRole('button', { name: /Larch D board needs 4.75 to 5.25 V/ })
        .first()
        .click();
    const leaf = page.getByRole('dialog');
    await leaf.getByRole('button', { name: 'Join so: Feed Larch D board from Brook 5 V buck, 4 A (5 V)' }).click();
    await expect(leaf).toHaveCount(0);
    await expect(page.getByRole('button', { name: /Larch D board needs 4.75 to 5.25 V. Ridge/ })).toHaveCount(0);
});

test('margins of the build move verdicts', async ({ page }) => {
    const build = await withBuild(page, 'thimble');
    await page.goto(`${build}/checks?leaf=margins`);
    await page.getByLabel('Margin: supply-volts').fill('2 V');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /tight/ }).locator('.figures')).not.toHaveText('0');
    await page.getByLabel('Margin: supply-volts').fill('');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: /tight/ }).locator('.figures')).toHaveText('0');
});

test('an own part is described, refused, kept, compared and used', async ({ page }) => {
    await withBuild(page, 'refuge');
    await page.goto('/library');
    await expect(page.getByRole('listitem').first()).toBeVisible();
    await page.locator('body').press('/');
    await page.keyboard.type('rook 9');
    await expect(page.getByRole('link', { name: 'Rook 9 wide-range panel' })).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Compare Rook 9 panel').check();
    await page.getByLabel('Compare Rook 9 wide-range panel').check();
    await page.getByRole('button', { name: 'Compare', exact: true }).click();
    const row = page.getByRole('row').filter({ hasText: 'supply window' });
    await expect(row).toHaveAttribute('data-differs', 'true');
    await expect(page.getByText('draw taken at')).toHaveCount(0);
    await page.getByLabel('Show what is alike, too').check();
    await expect(page.getByText('draw taken at')).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Rook 9 panel', exact: true }).click();
    await expect(page.getByRole('link', { name: 'Refuge' })).toBeVisible();
    await page.getByRole('button', { name: 'Copy and adjust' }).click();
    await page.getByLabel('Name', { exact: true }).fill('Kitchen panel');
    const window = page.getByLabel('supply window', { exact: true });
    await window.fill('any');
    await page.getByRole('button', { name: 'Keep the change' }).click();
    await expect(page.getByText('1 field cannot be taken')).toBeVisible();
    await expect(window).toHaveValue('any');
    await window.fill('19 V ± 1');
    await page.getByLabel('peak', { exact: true }).focus();
    await expect(page.getByText('understood: 18 to 20 V')).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Keep the change' }).click();
    await expect(page.getByRole('heading', { name: 'Kitchen panel' })).toBeVisible();
    await expect(page.getByText('18 to 20 V').first()).toBeVisible();
    await page.goto('/library?own=1');
    await expect(page.getByText('1 part', { exact: true })).toBeVisible();
});

test("a build's own copy is edited without touching the library", async ({ page }) => {
    await withBuild(page, 'refuge');
    await page.getByRole('button', { name: 'More for Bittern loudspeaker box' }).click();
    await page.getByRole('menuitem', { name: 'Open the part' }).click();
    await expect(page.getByRole('heading', { name: 'Bittern loudspeaker box' })).toBeVisible();
    await page.getByRole('button', { name: 'Edit' }).click();
    for (const [side, typed] of [
        ['length', '12 cm'],
        ['width', '80 mm'],
        ['height, tallest spot', '6 cm'],
    ] as const) {
        await page.getByLabel(side, { exact: true }).fill(typed);
    }
    await page.getByRole('button', { name: 'Write into this build' }).click();
    await expect(page.getByText('120 mm')).toBeVisible();
    // What waits for the protection of the pack is still open.
    await expect(vital(page, 'Unmeasured')).toHaveText('2');
});

test('an empty account is told how to begin', async ({ page }) => {
    const build = await withBuild(page, 'thimble');
    await page.goto('/');
    await page.getByRole('button', { name: 'Begin a build' }).first().click();
    await page.getByLabel('Name', { exact: false }).first().fill('Nothing yet');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Nothing yet' })).toBeVisible();
    expect(page.url()).not.toContain(build);
    for (const [leaf, words] of [
        ['part', 'Nothing can be checked yet'],
        ['grid', 'Two parts that have to do with each other'],
        ['measure', 'there is nothing to measure'],
        ['joins', 'Nothing is fed yet'],
    ] as const) {
        await page.goto(page.url().replace(/\/(parts|brief|checks).*$/, `/checks?leaf=${leaf}`));
        await expect(page.getByText(words, { exact: false })).toBeVisible();
    }
});
