import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, withAccount } from './helpers';

/** One red dot, as a PNG. */
const dot = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8DwHwAFBQIAX8jx0gAAAABJRU5ErkJggg==', 'base64');

async function describePart(page: Page, name: string, fields: Record<string, string>): Promise<void> {
    await page.goto('/library/new');
    await page.getByLabel('Name', { exact: true }).fill(name);
    for (const [label, value] of Object.entries(fields)) await page.getByLabel(label, { exact: true }).fill(value);
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

test('a part keeps photographs, files and what its figures were', async ({ page }) => {
    await withAccount(page);
    await describePart(page, 'Heron board', { weight: '46 g', 'Seen at': 'https://shop.example/heron' });
    await expect(page.getByRole('link', { name: 'https://shop.example/heron' })).toBeVisible();
    const add = page.getByLabel('Add photographs or files');
    await add.setInputFiles([
        { name: 'back.png', mimeType: 'image/png', buffer: dot },
        {
            name: 'pins.svg',
            mimeType: 'image/svg+xml',
            buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>document.title = "run"</script></svg>'),
        },
    ]);
    await expect(page.getByRole('img', { name: 'back.png' })).toBeVisible();
    const [saved] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'pins.svg' }).click()]);
    expect(saved.suggestedFilename()).toBe('pins.svg');
    await expectAccessible(page);
    await add.setInputFiles({ name: 'firmware.exe', mimeType: 'application/octet-stream', buffer: dot });
    await expect(page.getByRole('alert')).toContainText('A file that ends in ".exe" is not kept');
    await page.getByRole('button', { name: 'Take pins.svg away' }).click();
    await expect(page.getByRole('link', { name: 'pins.svg' })).toHaveCount(0);
    await page.getByRole('button', { name: 'Put it back' }).click();
    await expect(page.getByRole('link', { name: 'pins.svg' })).toBeVisible();

    await page.getByRole('button', { name: 'Edit' }).click();
    await page.getByLabel('weight', { exact: true }).fill('52 g');
    await page.getByRole('button', { name: 'Keep the change' }).click();
    await expect(page.getByText('changed by hand')).toBeVisible();
    await expect(page.locator('del', { hasText: '46 g' })).toBeVisible();
    await page.getByRole('button', { name: 'Back to before' }).click();
    await expect(page.getByText('put back to what it was', { exact: false })).toBeVisible();
    await expect(page.locator('ins', { hasText: '46 g' })).toBeVisible();

    await page.getByRole('button', { name: 'Take out' }).click();
    await page.getByRole('button', { name: 'Put it back' }).click();
    await page.getByRole('searchbox').fill('Heron');
    await page.getByRole('link', { name: 'Heron board' }).click();
    await expect(page.getByRole('img', { name: 'back.png' })).toBeVisible();
});

test('two parts that are the same become one, and are taken apart again', async ({ page }) => {
    await withAccount(page);
    await describePart(page, 'Heron S1', { weight: '52 g' });
    await describePart(page, 'Heron board', { weight: '46 g' });
    await page.getByRole('button', { name: 'Merge', exact: true }).click();
    await page.getByRole('button', { name: /^Heron S1/ }).click();
    const leaf = page.getByRole('dialog', { name: 'Make one part of both' });
    await expect(leaf.getByRole('group', { name: 'Name' }).getByRole('radio', { name: /^Heron board/ })).toBeChecked();
    await leaf
        .getByRole('group', { name: /weight/ })
        .getByRole('radio', { name: /52 g/ })
        .check();
    await expectAccessible(page);
    await leaf.getByRole('button', { name: 'Merge them' }).click();
    await expect(leaf).toBeHidden();
    await expect(page.getByText('merged with Heron S1')).toBeVisible();
    await expect(page.locator('ins', { hasText: '52 g' })).toBeVisible();
    await page.getByRole('status').getByRole('button', { name: 'Take apart again' }).click();
    await expect(page.getByText('put back to what it was', { exact: false })).toBeVisible();
    await page.getByRole('link', { name: 'Library' }).first().click();
    await page.getByLabel('From', { exact: true }).selectOption('own');
    await expect(page.getByRole('link', { name: 'Heron S1' })).toBeVisible();
});

test('a file of parts says what it would change, and changes what is ticked', async ({ page }) => {
    await withAccount(page);
    await describePart(page, 'Heron board', { weight: '46 g' });
    await page.goto('/library');
    await page.getByRole('button', { name: 'Import', exact: true }).click();
    const part = (id: string, name: string) => ({ id, name, role: 'board', facets: { size: { massG: 60 } } });
    const file = { format: 'pocketplot-library', version: 2, parts: [part('gull', 'Gull board'), part('heron-board', 'Heron board')] };
    const leaf = page.getByRole('dialog', { name: 'Import parts' });
    await leaf
        .getByLabel('A .pocketplot.json file of parts')
        .setInputFiles({ name: 'parts.pocketplot.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(file)) });
    await expect(leaf.locator('del', { hasText: '46 g' })).toBeVisible();
    await expect(leaf.getByRole('button', { name: 'Take 1 in', exact: true })).toBeVisible();
    await leaf.getByRole('checkbox', { name: /Write over Heron board/ }).check();
    await expectAccessible(page);
    await leaf.getByRole('button', { name: 'Take 1 in, write over 1' }).click();
    await expect(page.getByText('1 taken in, 1 written over, 0 left as they were.')).toBeVisible();
});
