import { expect, test, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { expectAccessible, look, vital, withBuild } from './helpers';

for (const leaf of ['places', 'arrange', 'thickness', 'body']) {
    look(`fit?leaf=${leaf} can be read by everyone, and does not run off a phone`, async ({ page, workshop }) => {
        await page.goto(`${workshop.refuge}/fit?leaf=${leaf}`);
        await expect(page.getByRole('tabpanel')).not.toBeEmpty();
        await expectAccessible(page);
        await page.setViewportSize({ width: 390, height: 844 });
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
        await expectAccessible(page);
    });
}

const row = (page: Page, part: string) => page.getByRole('region', { name: 'Table of places' }).getByRole('row').filter({ hasText: part });

const inView = (page: Page, view: string, part: string) => page.getByRole('group', { name: view }).getByRole('button', { name: part });

/** Saves what a link gives; answers its bytes. */
async function saved(page: Page, name: string | RegExp): Promise<Buffer> {
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name }).click()]);
    return readFileSync(await file.path());
}

test('arranges, compares, pins one elsewhere, arranges the rest around it, and saves the body', async ({ page }) => {
    const build = await withBuild(page, 'thimble');
    await page.goto(`${build}/fit?leaf=arrange`);
    await page.getByRole('button', { name: 'Arrange', exact: true }).click();
    const cards = page.getByRole('list', { name: 'Arrangements' }).getByRole('listitem');
    await expect(page.getByText('Done.')).toBeVisible({ timeout: 60_000 });
    // At least the two that really differ, each with its figure and what none could beat.
    expect(await cards.count()).toBeGreaterThanOrEqual(2);
    await expect(cards.filter({ hasText: 'Cells beside the picture' })).toContainText(/mm; (none is below|proved)/);
    await cards.filter({ hasText: 'Wherever it fits best' }).getByRole('button', { name: 'Take this one' }).click();
    await expect(page.getByRole('heading', { name: 'All of it holds' })).toBeVisible();
    await expect(vital(page, 'Size mm')).not.toContainText('≈');

    // The cell is put across the picture and pinned there: it says with whom it clashes, and by how much.
    await row(page, 'Cobnut 500 cell').getByRole('button').click();
    const bar = page.getByRole('region', { name: 'Cobnut 500 cell' });
    await bar.getByLabel('from the face').fill('1');
    await bar.getByRole('button', { name: 'Put it there' }).click();
    await expect(page.getByRole('region', { name: 'What does not hold' })).toContainText(/run into each other by [\d.]+ mm/);
    await expect(page.getByRole('link', { name: /^clash Fit/ })).toBeVisible();
    await bar.getByLabel('from the face').fill('20');
    await bar.getByRole('button', { name: 'Put it there' }).click();
    await expect(row(page, 'Cobnut 500 cell')).toContainText('20.0');
    await bar.getByRole('button', { name: 'Pin it here' }).click();
    await expect(row(page, 'Cobnut 500 cell')).toContainText('pinned');

    await page.getByRole('tab', { name: 'Arrange' }).click();
    await expect(page.getByText('pinned and left where they are: Cobnut 500 cell')).toBeVisible();
    await expect(page.getByText('Found before the last change')).toBeVisible();
    await page.getByRole('button', { name: 'Look once more' }).click();
    await expect(page.getByText('Done.')).toBeVisible({ timeout: 60_000 });
    await cards.first().getByRole('button', { name: 'Take this one' }).click();
    await expect(row(page, 'Cobnut 500 cell')).toContainText(/20\.0.*pinned/);
    await expect(page.getByRole('region', { name: 'What does not hold' })).not.toContainText('run into each other');

    await page.getByRole('tab', { name: 'Body' }).click();
    const stl = await saved(page, 'front half (STL)');
    expect(stl.length).toBe(84 + 50 * stl.readUInt32LE(80));
    expect((await saved(page, /^front$/)).toString()).toContain('This line is 100 mm long');
    expect((await saved(page, /script/)).toString()).toContain('wall = 2;');
});

test('moves a part with the keys and with the pointer, and back after a look elsewhere', async ({ page }) => {
    const build = await withBuild(page, 'thimble');
    await page.goto(`${build}/fit`);
    const cell = inView(page, 'From the front', 'Cobnut 500 cell');
    const first = async () => Number(await row(page, 'Cobnut 500 cell').getByRole('cell').nth(1).innerText());
    const was = await first();
    await cell.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Shift+ArrowLeft');
    await page.keyboard.press('Enter');
    await expect.poll(first).toBeCloseTo(was + 1.9, 5);
    await page.keyboard.press('p');
    await expect(row(page, 'Cobnut 500 cell')).toContainText('pinned');
    await page.keyboard.press('p');
    await expect(row(page, 'Cobnut 500 cell')).toContainText('free');

    // What is cleared by one press comes back by another.
    await page.getByRole('button', { name: 'Take out all that is not pinned' }).click();
    await expect(row(page, 'Cobnut 500 cell')).toContainText('no place yet');
    await page.getByRole('button', { name: 'Put it back as it was' }).click();
    await expect.poll(first).toBeCloseTo(was + 1.9, 5);

    const knob = await inView(page, 'From the front', 'Knob and five buttons strip').boundingBox();
    const beforeDrag = await row(page, 'Knob and five buttons strip').getByRole('cell').nth(2).innerText();
    if (knob === null) throw new Error('the knob is not drawn');
    await page.mouse.move(knob.x + knob.width / 2, knob.y + knob.height - 8);
    await page.mouse.down();
    await page.mouse.move(knob.x + knob.width / 2, knob.y + knob.height + 20, { steps: 8 });
    await page.mouse.up();
    await expect(row(page, 'Knob and five buttons strip').getByRole('cell').nth(2)).not.toHaveText(beforeDrag);
    await page.reload();
    await expect(row(page, 'Knob and five buttons strip').getByRole('cell').nth(2)).not.toHaveText(beforeDrag);
});

test('says what is left out, and reads a size from a drawing', async ({ page }) => {
    const build = await withBuild(page, 'barge');
    await page.goto(`${build}/fit`);
    await expect(page.getByText('Left out, since nobody knows its size')).toContainText('Bollard big-button desk');
    // One triangle of 300 × 120 × 40 mm: an outer box, though no closed body.
    const facet = 'facet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 300 120 0\nvertex 0 120 40\nendloop\nendfacet\n';
    await page.getByLabel('STL file').setInputFiles({ name: 'cut.stl', mimeType: 'model/stl', buffer: Buffer.from(`solid desk\n${facet}`) });
    await expect(page.getByText('The file is cut off after 1 triangles')).toBeVisible();
    await page.getByLabel('STL file').setInputFiles({ name: 'desk.stl', mimeType: 'model/stl', buffer: Buffer.from(`solid desk\n${facet}endsolid desk\n`) });
    await expect(page.getByText('300 × 120 × 40 mm')).toBeVisible();
    await page.getByRole('button', { name: 'Use as its size' }).click();
    await expect(row(page, 'Bollard big-button desk')).toContainText('300.0 × 120.0 × 40.0');
});
