import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

export const password = 'four calm grey herons';

/** The printed address, whose key opens the demo door and the stand-in mailbox for this browser. */
export const withKey = (path = '/') => `${path}?key=${process.env['POCKETPLOT_DOOR_KEY'] ?? ''}`;

/** A new account, opened with the link of its letter. Answers its address. */
export async function withAccount(page: Page, name = 'A builder'): Promise<string> {
    const email = `b${Date.now()}${Math.floor(Math.random() * 1e6)}@example.test`;
    await page.goto(withKey('/register'));
    await page.getByLabel('What should we call you?').fill(name);
    await page.getByLabel('E-mail').fill(email);
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: 'Make the account' }).click();
    await page.getByRole('link', { name: 'stand-in mailbox' }).click();
    await page.getByRole('listitem').filter({ hasText: email }).getByRole('link').click();
    await page.getByRole('button', { name: 'Open it and come in' }).click();
    await expect(page.getByRole('heading', { name: 'Your builds' })).toBeVisible();
    return email;
}

/** Signs in, to stay signed in on this device. */
export async function signIn(page: Page, email: string, secret = password): Promise<void> {
    await page.goto('/sign-in');
    await page.getByLabel('E-mail').fill(email);
    await page.getByLabel('Password').fill(secret);
    await page.getByLabel('Stay signed in').check();
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: 'Your builds' })).toBeVisible();
}

/** A new account with a copy of a demo build, so that each test has its own data. Answers the build's address. */
export async function withBuild(page: Page, demo: 'refuge' | 'thimble' | 'barge'): Promise<string> {
    await withAccount(page);
    return copyOf(page, demo);
}

/** Begins a copy of a demo build. Answers its address. */
export async function copyOf(page: Page, demo: 'refuge' | 'thimble' | 'barge'): Promise<string> {
    await page.getByRole('button', { name: 'Begin a build' }).first().click();
    await page.getByRole('button', { name: new RegExp(`copy of ${demo}`, 'i') }).click();
    await expect(page.getByRole('heading', { name: 'Parts', exact: true })).toBeVisible();
    return page.url().replace(/\/parts$/, '');
}

/** The figure of one vital as it stands on the page. */
export const vital = (page: Page, what: string) => page.locator(`[data-vital="${what}"] dd`).first();

export async function expectAccessible(page: Page): Promise<void> {
    await page.evaluate(() => Promise.all(document.getAnimations().map((animation) => animation.finished.catch(() => undefined))));
    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
    expect(violations.map(({ id, nodes }) => ({ id, where: nodes.map(({ target, failureSummary }) => `${String(target)} ${failureSummary ?? ''}`) }))).toEqual([]);
}
