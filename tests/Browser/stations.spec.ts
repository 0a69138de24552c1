import { expect, test } from '@playwright/test';
import { expectAccessible, look, vital, withAccount, withBuild } from './helpers';

for (const station of ['brief', 'parts', 'checks', 'buy', 'build']) {
    for (const light of ['day', 'night'] as const) {
        look(`${station} can be read by everyone, by ${light}`, async ({ page, workshop }) => {
            await page.addInitScript((chosen) => localStorage.setItem('pocketplot.light', chosen), light);
            await page.goto(`${workshop.refuge}/${station}`);
            await expect(page.getByRole('heading', { name: new RegExp(`^${station}$`, 'i'), level: 2 })).toBeVisible();
            await expect(page.locator('html')).toHaveAttribute('data-light', light);
            await expectAccessible(page);
        });
    }
    look(`${station} does not run off a phone`, async ({ page, workshop }) => {
        await page.setViewportSize({ width: 390, height: 844 });
        await page.goto(`${workshop.refuge}/${station}`);
        await expect(page.getByRole('heading', { name: new RegExp(`^${station}$`, 'i'), level: 2 })).toBeVisible();
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
        await expectAccessible(page);
    });
}

test('the brief takes figures as people write them and says which it cannot read', async ({ page }) => {
    await withBuild(page, 'thimble');
    await page.locator('body').press('1');
    await page.getByLabel('Run time on a charge').fill('rather long');
    await page.getByLabel('Largest weight').fill('0,1 kg');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('"rather long" cannot be read as a figure', { exact: false })).toBeVisible();
    await expect(page.getByLabel('Largest weight')).toHaveValue('0,1 kg');
    await page.getByLabel('Run time on a charge').fill('4 h 30 min');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByLabel('Run time on a charge')).toHaveValue('4.5');
    await expect(page.getByLabel('Largest weight')).toHaveValue('100');
    await expect(page.locator('[data-vital="Run time"]')).toContainText('wanted 4.5 h');
});

test('removes a part and puts it back', async ({ page }) => {
    await withBuild(page, 'thimble');
    await page.getByRole('button', { name: 'More for Dunnock beeper' }).click();
    await page.getByRole('menuitem', { name: 'Remove' }).click();
    await expect(page.locator('[data-line="beeper"]')).toHaveCount(0);
    await page.getByRole('button', { name: 'Put it back' }).click();
    await expect(page.locator('[data-line="beeper"]')).toBeVisible();
});

test('keeps a candidate beside a part, chooses it, and swaps by keyboard', async ({ page }) => {
    await withBuild(page, 'refuge');
    await page.getByRole('button', { name: 'More for Sash 7 panel' }).click();
    await page.getByRole('menuitem', { name: 'Choose this one' }).click();
    await expect(vital(page, 'Clashes')).toHaveText('1');
    await page.getByRole('button', { name: 'More for Plover wired paddle' }).click();
    await page.getByRole('menuitem', { name: 'Swap for another' }).click();
    const picker = page.getByRole('dialog');
    await picker.getByRole('combobox', { name: 'Search the library' }).fill('plover six');
    await expect(picker.locator('li[role=option]')).toHaveCount(1);
    await page.keyboard.press('Enter');
    await expect(vital(page, 'Clashes')).toHaveText('0');
    await expect(page.locator('[data-line="paddles"]')).toContainText('Plover six wired paddle');
});

test('buying moves the totals', async ({ page }) => {
    await withBuild(page, 'refuge');
    await page.locator('body').press('6');
    await page.getByRole('tab', { name: 'Money' }).click();
    await expect(page.getByText('The parts come to 176.17 EUR of 290.00 EUR.')).toBeVisible();
    await page.getByRole('tab', { name: 'Line by line' }).click();
    const totals = page.getByRole('table', { name: /Totals/ });
    // 6.80 and 3.90 for post
    await expect(totals.getByRole('row', { name: /Spent/ })).toContainText('10.70');
    await page.getByLabel('State of Rook 9 panel').selectOption('arrived');
    await expect(totals.getByRole('row', { name: /Spent/ })).toContainText('54.70');
    await page.getByLabel('Price of one Rook 9 panel').fill('35 gbp');
    await page.keyboard.press('Enter');
    // 10.70 + 35 GBP × 1.17 = 10.70 + 40.95
    await expect(totals.getByRole('row', { name: /Spent/ })).toContainText('51.65');
});

test('lists its shortcuts, and single keys can be switched off', async ({ page }) => {
    await withBuild(page, 'thimble');
    await page.locator('body').press('?');
    const leaf = page.getByRole('dialog', { name: 'Shortcuts' });
    await expect(leaf).toContainText('Add a part');
    await leaf.getByLabel('Listen to single keys').uncheck();
    await page.keyboard.press('Escape');
    await page.locator('body').press('a');
    await page.locator('body').press('?');
    await expect(page.getByRole('dialog')).toHaveCount(1);
    await expect(leaf).toBeVisible();
});

test('an empty account is told how to begin', async ({ page }) => {
    await withAccount(page, 'Somebody new');
    await expect(page.getByRole('heading', { name: 'No builds yet' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Begin a build' }).first().click();
    await page.getByLabel('Its name').fill('Cobnut');
    await page.getByRole('button', { name: 'Begin with the brief' }).click();
    await expect(page.getByRole('heading', { name: 'Brief', level: 2 })).toBeVisible();
    await page.locator('body').press('2');
    await expect(page.getByRole('heading', { name: 'Begin with the big three' })).toBeVisible();
    await expectAccessible(page);
});
