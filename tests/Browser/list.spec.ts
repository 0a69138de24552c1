import { expect, test } from '@playwright/test';
import { editLine, expectAccessible, vital, withAccount, withBuild } from './helpers';

const sheet = [
    'My handheld, third try;;;;;',
    'Item;Qty;Price;Where;Status;Weight (g)',
    'Brook 5V 4A buck;1;€ 7,50;Cellmart;ordered;',
    'Flat LiPo cell 3.7 V 5000 mAh;2;€ 14,50;Cellmart;here;98',
    'Wooden owl;1;3;drawer;perhaps;',
    'Total;;36,50;;;',
].join('\r\n');

test('the list is read at a glance, and goes by the keyboard', async ({ page }) => {
    await withBuild(page, 'refuge');
    const rows = page.locator('[data-line]');
    await expect(rows.first()).toBeVisible();
    await expectAccessible(page);
    await rows.nth(0).focus();
    await page.keyboard.press('ArrowDown');
    await expect(rows.nth(1)).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('Quantity of Rook 9 panel')).toBeFocused();
    await expectAccessible(page);
    await page.getByLabel('Note on Rook 9 panel').fill('ask for the matt one');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await expect(page.getByLabel('Quantity of Rook 9 panel')).toBeHidden();
    await expect(rows.nth(1)).toBeFocused();
    await expect(rows.nth(1)).toContainText('ask for the matt one');
    // What cannot be saved stays open.
    await editLine(page, 'Rook 9 panel');
    await page.getByLabel('Quantity of Rook 9 panel').fill('0');
    await page.getByRole('button', { name: 'Done' }).click();
    await expect(page.getByRole('alert')).toContainText('whole number from 1');
    await expect(page.getByLabel('Quantity of Rook 9 panel')).toHaveValue('0');
});

test('several lines are changed, removed and put back together', async ({ page }) => {
    await withBuild(page, 'refuge');
    await page.locator('[data-line="board"]').focus();
    await page.keyboard.press(' ');
    await page.getByLabel('Select Rook 9 panel').check();
    await expect(page.getByText('2 lines selected')).toBeVisible();
    await page.getByLabel('State of all selected').selectOption('ordered');
    await expect(page.locator('[data-line="board"]')).toContainText('ordered');
    await page.getByLabel('Vendor of all selected').fill('Cellmart');
    await page.keyboard.press('Enter');
    await expect(page.getByText('version 3')).toBeVisible();
    await page.getByRole('button', { name: 'Remove' }).click();
    await expect(page.locator('[data-line="board"]')).toHaveCount(0);
    await page.getByRole('button', { name: 'Put them back' }).click();
    await expect(page.locator('[data-line="board"]')).toBeVisible();
});

test('a spreadsheet is looked through row by row before it is put on the list', async ({ page }) => {
    await withBuild(page, 'thimble');
    await page.getByLabel('A spreadsheet: CSV, ODS or XLSX').setInputFiles({ name: 'third-try.csv', mimeType: 'text/csv', buffer: Buffer.from(sheet) });
    const leaf = page.getByRole('dialog', { name: 'third-try.csv' });
    await expect(leaf.getByText('3 parts: 1 known already, 2 new')).toBeVisible();
    await expect(leaf.getByLabel('Which part Brook 5V 4A buck is')).toContainText('shelf: Brook 5 V buck, 4 A');
    await expect(leaf.getByText('"perhaps" is no state that is known; it goes into the note.')).toBeVisible();
    await expect(leaf.getByText('weight 98 g')).toBeVisible();
    await expectAccessible(page);
    // A column that is left out says nothing of the part any more.
    await leaf.getByLabel('What Weight (g) holds').selectOption('ignored');
    await expect(leaf.getByText('weight 98 g')).toHaveCount(0);
    const put = leaf.getByRole('button', { name: /^Put 3 rows/ });
    await expect(put).toBeDisabled();
    await leaf.getByLabel('What Wooden owl is for').selectOption('material');
    await put.click();
    await expect(leaf).toBeHidden();
    await expect(page.locator('[data-line]').filter({ hasText: 'Flat LiPo cell 3.7 V 5000 mAh' })).toContainText('2 ×');
    await expect(vital(page, 'Missing')).not.toHaveText('');
});

test('a file that is no spreadsheet is refused in words', async ({ page }) => {
    await withBuild(page, 'thimble');
    await page
        .getByLabel('A spreadsheet: CSV, ODS or XLSX')
        .setInputFiles({ name: 'owl.xlsx', mimeType: 'image/png', buffer: Buffer.from('\x89PNG\r\n\x1a\n\0\0', 'latin1') });
    await expect(page.getByRole('dialog', { name: 'owl.xlsx' }).getByRole('alert')).toContainText('This is no spreadsheet');
});

test('a typical part stands in pencil until the builder has one and confirms its figures', async ({ page }) => {
    await withBuild(page, 'thimble');
    await page.locator('body').press('a');
    const picker = page.getByRole('dialog', { name: 'Add a part' });
    await picker.getByLabel('Role').selectOption('cooling');
    await picker.getByLabel('From where').selectOption('typical');
    await picker.getByRole('combobox', { name: 'Search the library' }).fill('fan 5 V');
    await expect(picker.locator('li[role=option]')).toHaveCount(3);
    await picker.getByLabel('In which order').selectOption('price');
    await expectAccessible(page);
    await page.getByRole('combobox', { name: 'Search the library' }).press('Enter');
    const line = page.locator('[data-line="cooling"]');
    await expect(line).toContainText('typical:');
    await line.getByRole('button', { name: /^More for/ }).click();
    await page.getByRole('menuitem', { name: 'I have one now' }).click();
    await page.getByLabel('What it is called').fill('Wren fan');
    await page.getByRole('button', { name: 'It is mine' }).click();
    await expect(line).toContainText('Wren fan');
    await expect(line).not.toContainText('typical:');
    await page.locator('body').press('q');
    const asked = page.getByRole('dialog');
    while (!/in pencil$/.test(await asked.getByRole('heading', { level: 2 }).innerText())) {
        await asked.getByRole('button', { name: 'I don’t know; ask me later' }).first().click();
    }
    const before = await asked.getByRole('heading', { level: 2 }).innerText();
    await asked.getByRole('button', { name: /^Yes, it is/ }).click();
    await expect(asked.getByRole('heading', { level: 2 })).not.toHaveText(before);
});

test('an empty account begins with a list of names', async ({ page }) => {
    await withAccount(page);
    await expectAccessible(page);
    await page.getByLabel('What the build is called').fill('From the drawer');
    await page.getByLabel('Its parts, one a line').fill('Tolmen X board\nLiPo cell 3.7 V 5000 mAh\na gizmo');
    await page.getByRole('button', { name: 'Look through them' }).click();
    const leaf = page.getByRole('dialog', { name: /parts by name$/ });
    await expect(leaf.getByText('capacity 5000 mAh')).toBeVisible();
    await leaf.getByRole('button', { name: 'Leave out a gizmo' }).click();
    await leaf.getByRole('button', { name: 'Put them on the list' }).click();
    await expect(page.locator('[data-line="cells"]')).toContainText('5000 mAh');
    await expect(page.getByRole('heading', { name: 'From the drawer' })).toBeVisible();
});

test('the front page says what this is', async ({ page }) => {
    await page.goto('/sign-in');
    await expect(page.getByRole('heading', { name: 'Know before you order whether it goes together' })).toBeVisible();
    const picture = page.getByRole('img', { name: /^A parts list/ });
    await expect(picture).toBeVisible();
    expect(await picture.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(600);
    await expectAccessible(page);
});
