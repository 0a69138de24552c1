import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** A new account with a copy of a demo build, so that each test has its own data. Answers the build's address. */
export async function withBuild(page: Page, demo: 'refuge' | 'thimble' | 'barge'): Promise<string> {
    const name = `b${Date.now()}${Math.floor(Math.random() * 1e6)}`;
    await page.goto('/register');
    await page.getByLabel('What should we call you?').fill('A builder');
    await page.getByLabel('E-mail').fill(`${name}@example.test`);
    await page.getByLabel('Password').fill('a long enough one');
    await page.getByRole('button', { name: 'Make the account' }).click();
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
