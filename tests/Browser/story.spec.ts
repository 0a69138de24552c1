import { expect, test } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { expectAccessible, vital, withKey } from './helpers';

test('from the demo door to a second build with the same appraisal', async ({ page }) => {
    const problems: string[] = [];
    page.on('pageerror', (error) => problems.push(error.message));
    page.on('console', (message) => {
        if (message.type() === 'error') problems.push(message.text());
    });

    // In by the demo door; a copy keeps the demo itself as it is, so that the story can be told again.
    await page.goto(withKey());
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Look around the demo workshop' }).click();
    await page.getByRole('link', { name: 'Refuge', exact: true }).first().waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Begin a build' }).click();
    await page.getByRole('button', { name: /A copy of Refuge/ }).click();
    await expect(page.getByRole('heading', { name: 'Refuge', level: 1 })).toBeVisible();

    // A clash stands in the margin beside its part, with its working.
    await expect(vital(page, 'Clashes')).toHaveText('2');
    const costBefore = await vital(page, 'Cost').innerText();
    const note = page.getByRole('list', { name: 'Notes on Rook 9 panel' }).getByRole('button').first();
    await expect(note).toContainText('Rook 9 panel needs 9 to 13 V. Ridge LiFePO4 pack, 12 Ah gives 10 to 14.6 V.');
    await note.click();
    const leaf = page.getByRole('dialog');
    await expect(leaf.getByRole('row', { name: /Ridge LiFePO4 pack, 12 Ah gives/ })).toContainText('10 to 14.6 V');
    await expect(leaf).toContainText('-1.6 V at the high end');
    await expect(leaf.getByRole('button', { name: 'Add Sluice 12 V buck-boost, 3 A' })).toBeVisible();
    await expectAccessible(page);

    // One press settles it; the vitals move with the same answer.
    await leaf.getByRole('button', { name: 'Add Sluice 12 V buck-boost, 3 A' }).click();
    await expect(leaf).toBeHidden();
    await expect(vital(page, 'Clashes')).toHaveText('1');
    await expect(page.locator('[data-vital="Clashes"]')).toContainText('was 2');
    await expect(vital(page, 'Cost')).not.toHaveText(costBefore);
    await expect(page.locator('[data-finding="power.supply-window/panel"]')).toHaveCount(0);
    await expect(page.getByText('Sluice 12 V buck-boost, 3 A', { exact: true })).toBeVisible();

    // A part by keyboard alone.
    await page.locator('body').press('a');
    const picker = page.getByRole('dialog', { name: 'Add a part' });
    await picker.getByLabel('Role').selectOption('cooling');
    await picker.getByRole('combobox', { name: 'Search the library' }).focus();
    await page.keyboard.type('fin');
    await expect(picker.locator('li[role=option]')).toHaveCount(1);
    await page.keyboard.press('Enter');
    await expect(picker).toBeHidden();
    await expect(page.locator('[data-line="cooling"]')).toContainText('Fin heatsink');

    // A step ticked.
    await page.locator('body').press('7');
    await expect(page.getByRole('heading', { name: 'Build', exact: true })).toBeVisible();
    const card = page.getByRole('article');
    const lies = (await card.getAttribute('data-step')) ?? '';
    for (const yes of await card.getByRole('button', { name: 'Yes' }).all()) await yes.click();
    for (const figure of await card.locator('fieldset input[inputmode="decimal"]').all()) await figure.fill('5 V');
    await card.getByRole('button', { name: /^(Done|It passes)$/ }).click();
    await page.getByRole('tab', { name: 'Plan' }).click();
    await page.getByText('2 steps done').click();
    await expect(page.locator(`li[data-step="${lies}"]`)).toContainText('done');
    await expect(page.locator('li[data-step="charge/pack"]')).toContainText('Waits for Flotsam solar charge board');

    // Out as a file, in again as a new build.
    const vitalsBefore = await page.getByRole('region', { name: 'Vitals' }).locator('dd:first-of-type').allInnerTexts();
    const download = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Export' }).click();
    const file = await (await download).path();
    expect((await readFile(file, 'utf8')).startsWith('{\n    "format": "pocketplot-build"')).toBe(true);
    await page.locator('body').press('h');
    await page.getByRole('button', { name: 'Begin a build' }).click();
    await page
        .getByLabel('A file that ends in .pocketplot.json')
        .setInputFiles({ name: 'refuge.pocketplot.json', mimeType: 'application/json', buffer: await readFile(file) });
    await expect(page.getByText('20 lines will be taken, 1 clashes')).toBeVisible();
    await page.getByRole('button', { name: 'Take it as a new build' }).click();
    await expect(page.getByRole('heading', { name: 'Parts', exact: true })).toBeVisible();
    await expect(vital(page, 'Clashes')).toHaveText('1');
    expect(await page.getByRole('region', { name: 'Vitals' }).locator('dd:first-of-type').allInnerTexts()).toEqual(vitalsBefore);

    expect(problems).toEqual([]);
});
