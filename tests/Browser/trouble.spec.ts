import { expect, test } from '@playwright/test';
import { copyOf, editLine, expectAccessible, signIn, withAccount, withBuild } from './helpers';

test('a stale page says so, shows the fresh build and keeps what was typed', async ({ page, context }) => {
    const build = await withBuild(page, 'thimble');
    const other = await context.newPage();
    await other.goto(`${build}/parts`);
    await editLine(other, 'Cobnut 500 cell');
    await other.getByLabel('Note on Cobnut 500 cell').fill('written elsewhere');
    await other.keyboard.press('Enter');
    await expect(other.getByText('version 2')).toBeVisible();

    await editLine(page, 'Quill micro board');
    await page.getByLabel('Note on Quill micro board').fill('typed here');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status').getByText('changed this build meanwhile', { exact: false })).toBeVisible();
    await expect(page.locator('[data-line]').filter({ hasText: 'Cobnut 500 cell' })).toContainText('written elsewhere');
    await expect(page.getByLabel('Note on Quill micro board')).toHaveValue('typed here');
    await page.getByLabel('Note on Quill micro board').press('Enter');
    await expect(page.getByText('version 3')).toBeVisible();
    await expect(page.getByLabel('Note on Quill micro board')).toHaveValue('typed here');
});

test('an expired session keeps what was typed, and saving goes on after signing in elsewhere', async ({ page, context }) => {
    await withBuild(page, 'thimble');
    const kept = await context.cookies();
    await editLine(page, 'Quill micro board');
    await page.getByLabel('Note on Quill micro board').fill('typed in time');
    await context.clearCookies();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status').getByText('You are signed out', { exact: false })).toBeVisible();
    await expect(page.getByLabel('Note on Quill micro board')).toHaveValue('typed in time');
    await context.addCookies(kept);
    await page.getByLabel('Note on Quill micro board').press('Enter');
    await expect(page.getByText('version 2')).toBeVisible();
});

test('a session that ran out is taken up again without a word where one stays signed in', async ({ page, context }) => {
    const email = await withAccount(page);
    await page.getByRole('button', { name: 'Sign out' }).click();
    // Opening another page at once would break the signing out off.
    await expect(page.getByRole('heading', { name: 'Into the workshop' })).toBeVisible();
    await signIn(page, email);
    await copyOf(page, 'thimble');
    await editLine(page, 'Quill micro board');
    await page.getByLabel('Note on Quill micro board').fill('typed over night');
    // Overwritten in one go: clearing one cookie clears them all for a moment, and a call in that moment is a stranger's.
    const kept = await context.cookies();
    await context.addCookies(kept.filter(({ name }) => ['pocketplot_session', 'XSRF-TOKEN'].includes(name)).map((one) => ({ ...one, value: 'gone' })));
    await page.keyboard.press('Enter');
    await expect(page.getByText('version 2')).toBeVisible();
    await expect(page.getByLabel('Note on Quill micro board')).toHaveValue('typed over night');
});

test('a server that went away keeps what was typed', async ({ page }) => {
    await withBuild(page, 'thimble');
    await page.route('**/api/builds/**', (route) => route.abort());
    await editLine(page, 'Quill micro board');
    await page.getByLabel('Note on Quill micro board').fill('typed anyway');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status').getByText('The application does not answer', { exact: false })).toBeVisible();
    await expect(page.getByLabel('Note on Quill micro board')).toHaveValue('typed anyway');
    await page.unroute('**/api/builds/**');
    await page.getByLabel('Note on Quill micro board').press('Enter');
    await expect(page.getByText('version 2')).toBeVisible();
});

test("a build that is not one's own cannot be opened", async ({ page, browser }) => {
    const build = await withBuild(page, 'thimble');
    const stranger = await browser.newPage();
    await withBuild(stranger, 'thimble');
    await stranger.goto(`${build}/parts`);
    await expect(stranger.getByRole('heading', { name: 'This page cannot be opened' })).toBeVisible();
});

test('a bad file is refused with its reasons', async ({ page }) => {
    await withBuild(page, 'thimble');
    await page.goto('/');
    await page.getByRole('button', { name: 'Begin a build' }).click();
    const chooser = page.getByLabel('A file that ends in .pocketplot.json');
    await chooser.setInputFiles({ name: 'recipe.json', mimeType: 'application/json', buffer: Buffer.from('{"format":"recipe"}') });
    await expect(page.getByRole('alert')).toContainText('not of ours');
    await chooser.setInputFiles({ name: 'huge.json', mimeType: 'application/json', buffer: Buffer.from(' '.repeat(17_000_000)) });
    await expect(page.getByRole('alert')).toContainText('MB');
});

test('a page that cannot be fetched says so in its place, and comes when it is loaded again', async ({ page }) => {
    const build = await withBuild(page, 'thimble');
    await page.route('**/build/assets/PowerStation*', (route) => route.abort());
    await page.route('**/up', (route) => route.abort());
    await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Power' }).click();
    const alert = page.getByRole('alert');
    await expect(alert).toContainText('This page could not be fetched');
    await expect(page.getByRole('heading', { name: 'Thimble' })).toBeVisible();
    await expectAccessible(page);
    // Another station is fetched as ever.
    await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Brief' }).click();
    await expect(page.getByRole('heading', { name: 'Brief', exact: true })).toBeVisible();
    await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Power' }).click();
    await expect(alert).toBeVisible();
    await page.unrouteAll();
    await alert.getByRole('button', { name: 'Load it again' }).click();
    await expect(page.getByRole('heading', { name: 'Power', exact: true })).toBeVisible();
    expect(page.url()).toBe(`${new URL(build, page.url()).href}/power`);
});

test('after an update of the server a page whose parts are gone loads itself anew, once', async ({ page }) => {
    await withBuild(page, 'thimble');
    let asked = 0;
    await page.route('**/build/assets/PowerStation*', (route) => (++asked === 1 ? route.fulfill({ status: 404, body: '' }) : route.fallback()));
    await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Power' }).click();
    await expect(page.getByRole('heading', { name: 'Power', exact: true })).toBeVisible();
    expect(asked).toBe(2);
    // Not over and over where the part stays away.
    await page.route('**/build/assets/BenchStation*', (route) => route.fulfill({ status: 404, body: '' }));
    await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Bench' }).click();
    await expect(page.getByRole('alert')).toContainText('This page could not be fetched');
});
