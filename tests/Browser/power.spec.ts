import { expect, test } from '@playwright/test';
import { expectAccessible, look, vital, withBuild } from './helpers';

const powerLeaves = ['rails', 'run', 'sure', 'charge', 'sizing', 'profiles'];
const benchLeaves = ['measure', 'readings', 'tests'];

for (const light of ['day', 'night'] as const) {
    for (const leaf of [...powerLeaves.map((name) => `power?leaf=${name}`), ...benchLeaves.map((name) => `bench?leaf=${name}`)]) {
        look(`${leaf} can be read by everyone, by ${light}`, async ({ page, workshop }) => {
            await page.addInitScript((chosen) => localStorage.setItem('pocketplot.light', chosen), light);
            await page.goto(`${workshop.refuge}/${leaf}`);
            if (leaf === 'power?leaf=sure') await expect(page.getByRole('heading', { name: 'Depends on' })).toBeVisible();
            await page.waitForLoadState('networkidle');
            await expectAccessible(page);
        });
    }
    for (const kind of ['sweep', 'run']) {
        test(`a simulated ${kind} can be read by everyone, by ${light}`, async ({ page }) => {
            await page.addInitScript((chosen) => localStorage.setItem('pocketplot.light', chosen), light);
            const build = await withBuild(page, 'refuge');
            await page.goto(`${build}/bench?kind=${kind}`);
            await page.getByRole('button', { name: 'Try it with the simulated bench' }).click();
            await expect(page.getByText('simulated: it will be marked so')).toBeVisible();
            if (kind === 'run') await expect(page.getByText('rows taken')).toBeVisible({ timeout: 30_000 });
            else await expect(page.getByRole('button', { name: 'Try it with the simulated bench' })).toBeEnabled({ timeout: 30_000 });
            await expectAccessible(page);
            await page.getByRole('button', { name: 'Write it down' }).click();
            await expect(page.getByRole('tab', { name: /Readings/ })).toHaveAttribute('aria-selected', 'true');
            await expectAccessible(page);
        });
    }
}

for (const address of [...powerLeaves.map((leaf) => `power?leaf=${leaf}`), ...benchLeaves.map((leaf) => `bench?leaf=${leaf}`), 'bench?kind=sweep']) {
    look(`${address} does not run off a phone`, async ({ page, workshop }) => {
        await page.setViewportSize({ width: 390, height: 844 });
        await page.goto(`${workshop.refuge}/${address}`);
        await page.waitForLoadState('networkidle');
        expect(await page.evaluate(() => document.documentElement.scrollWidth), address).toBeLessThanOrEqual(390);
        await expect(page.getByRole('link', { name: /Bench/ })).toBeInViewport();
    });
}

test('the run is read with the arrow keys, and another way of playing ends it sooner', async ({ page }) => {
    const build = await withBuild(page, 'refuge');
    await page.locator('body').press('3');
    await expect(page.getByRole('heading', { name: 'From the pack' })).toBeVisible();
    await page.getByRole('tab', { name: 'From full to dark' }).click();
    await expect(page.getByText('“Two at the table” lasts')).toBeVisible();
    const plot = page.getByRole('slider', { name: /Discharge of Ridge LiFePO4 pack/ });
    await plot.focus();
    for (let press = 0; press < 25; press++) await page.keyboard.press('ArrowRight');
    await expect(plot).toHaveAttribute('aria-valuetext', /^5\.2 hours: volts 12\.\d\d V/);
    await page.getByRole('button', { name: 'A rainy day, all out', exact: true }).click();
    await expect(page.getByText('“A rainy day, all out” lasts')).toBeVisible();
    await expect(page.getByText('As a table').first()).toBeVisible();
    await page.goto(`${build}/power?leaf=rails`);
    await page.getByRole('button', { name: 'Rook 9 panel: clash' }).click();
    await expect(page.getByRole('dialog')).toContainText('Rook 9 panel needs 9 to 13 V');
});

test('ways of playing have to make a whole, and what was typed stays until they do', async ({ page }) => {
    const build = await withBuild(page, 'refuge');
    await page.goto(`${build}/power?leaf=profiles`);
    const before = await vital(page, 'Run time').textContent();
    const heavy = page.getByLabel('heavy').first();
    await heavy.fill('125');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('alert')).toContainText('125 % lies outside 0 to 100 %');
    await heavy.fill('60');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('alert')).toContainText('add up to 135 %');
    await expect(heavy).toHaveValue('60');
    await page.getByLabel('usual').first().fill('25');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(vital(page, 'Run time')).not.toHaveText(before ?? '');
});

test('what is typed about ways of playing outlives an edit made elsewhere', async ({ page, context }) => {
    const build = await withBuild(page, 'refuge');
    await page.goto(`${build}/power?leaf=profiles`);
    const first = page.getByLabel('The way that counts');
    await first.fill('Three at the table');
    const other = await context.newPage();
    await other.goto(`${build}/power?leaf=profiles`);
    await other.getByLabel('The way that counts').fill('Nobody at the table');
    await other.getByRole('button', { name: 'Save' }).click();
    await expect(other.getByText('Kept. The run time goes by the first way')).toBeVisible();
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('changed this build meanwhile', { exact: false })).toBeVisible();
    await expect(page.getByText('These ways were changed elsewhere meanwhile', { exact: false })).toBeVisible();
    await expect(first).toHaveValue('Three at the table');
    await page.getByRole('button', { name: 'Take theirs' }).click();
    await expect(first).toHaveValue('Nobody at the table');
    await first.fill('Three at the table');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Kept. The run time goes by the first way')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Three at the table', exact: true })).toBeVisible();
});

test('a pack is found for the wish and taken', async ({ page }) => {
    const build = await withBuild(page, 'thimble');
    await page.goto(`${build}/power?leaf=sizing`);
    await expect(page.getByRole('heading', { name: /^Longest in \d+ cm³, which the body leaves$/ })).toBeVisible();
    await page.getByLabel('It should last').fill('soon');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByText('cannot be read as a figure')).toBeVisible();
    await page.getByLabel('It should last').fill('8 h');
    await page.getByLabel('Room for the pack, cm³').fill('13');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await expect(page.getByRole('heading', { name: 'Packs that last 8 h' })).toBeVisible();
    await expect(page.getByRole('heading', { name: 'Longest in 13 cm³', exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Take Cobnut 800 cell' }).click();
    await expect(page.getByRole('region', { name: 'Packs' }).getByText('in use')).toBeVisible();
    await expect(vital(page, 'Run time')).toHaveText(/8\.8/);
});

test('a draw is metered, shows what it would move, and then counts', async ({ page }) => {
    const build = await withBuild(page, 'refuge');
    await page.locator('body').press('8');
    await page.getByLabel('Volts at the part').fill('5 V');
    await page.getByLabel('Amps in its lead').fill('rather a lot');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByRole('alert')).toContainText('cannot be read as a figure');
    await page.getByLabel('Amps in its lead').fill('1,4 A');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByText('usual: 1400 mA at 5 V, 7 W')).toBeVisible();
    await page.getByRole('button', { name: 'What would move?' }).click();
    await expect(page.getByRole('region', { name: 'What would move' })).toContainText('Run time');
    const before = await vital(page, 'Run time').textContent();
    await page.getByRole('button', { name: 'Let it count' }).click();
    await expect(vital(page, 'Run time')).not.toHaveText(before ?? '');
    await page.goto(`${build}/lines/board/part`);
    await expect(page.getByText(/measured/).first()).toBeVisible();
});

test('a sweep by hand asks about the picture signal, and a log is read line by line', async ({ page }) => {
    const build = await withBuild(page, 'refuge');
    await page.goto(`${build}/bench?kind=sweep`);
    await page.getByLabel('From, V').fill('19');
    await expect(page.getByRole('alert')).toContainText('Its sheet allows 13.0 V at most');
    await page.getByLabel('From, V').fill('12,5');
    await expect(page.getByRole('alert')).toBeHidden();
    for (let step = 0; step < 3; step++) await page.getByRole('button', { name: 'Dark' }).click();
    await expect(page.getByRole('list', { name: 'Steps so far' })).toContainText('11.5 V dark');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByText('Did the panel have a picture signal?', { exact: false })).toBeVisible();
    await page.goto(`${build}/bench?kind=run`);
    const rows = Array.from({ length: 40 }, (_, index) => `${index * 15};${(13.2 - index * 0.05).toFixed(2).replace('.', ',')};0,95`);
    rows[7] = '105;OVER;0,95';
    await page
        .getByLabel('Log of a meter', { exact: false })
        .setInputFiles({ name: 'meter.csv', mimeType: 'text/csv', buffer: Buffer.from(`Time (min);Volts;Amps\n${rows.join('\n')}\n`) });
    await expect(page.getByText('39 of 40 rows taken', { exact: false })).toBeVisible();
    await page.getByText('1 row was left out or doubtful').click();
    await expect(page.getByText('line 9: the volts "OVER" cannot be read as a figure')).toBeVisible();
    await page.getByLabel('Why it stopped').selectOption('went dark');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByRole('tab', { name: /Readings/ })).toHaveAttribute('aria-selected', 'true');
    await page.getByRole('tab', { name: 'Against the prediction' }).click();
    await expect(page.getByText('measured ÷ predicted')).toBeVisible();
    // A second one that ran half as long cannot be true beside it.
    await page.goto(`${build}/bench?kind=run`);
    await page.getByLabel('It ran for').fill('4 h');
    await page.getByLabel('Why it stopped').selectOption('went dark');
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByRole('tab', { name: /Readings/ })).toHaveAttribute('aria-selected', 'true');
    await page.getByRole('tab', { name: 'Against the prediction' }).click();
    await expect(page.getByRole('heading', { name: 'Not all of this can be true' })).toBeVisible();
    await expect(page.getByText('One measurement tells them apart.')).toBeVisible();
    await expectAccessible(page);
});
