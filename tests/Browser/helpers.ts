import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';

export const password = 'four calm grey herons';

/** The printed address, whose key opens the demo door and the stand-in mailbox for this browser. */
export const withKey = (path = '/') => `${path}?key=${process.env['POCKETPLOT_DOOR_KEY'] ?? ''}`;

/** A new account by the pages, opened with the link of its letter. Answers its address. */
export async function registerByHand(page: Page, name = 'A builder'): Promise<string> {
    const email = someAddress();
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

const someAddress = () => `b${Date.now()}${Math.floor(Math.random() * 1e6)}@example.test`;

/** A new account by the same calls that the pages make, which is quicker. Answers its address. */
export async function withAccount(page: Page, name = 'A builder'): Promise<string> {
    const email = someAddress();
    await page.goto(withKey('/sign-in'));
    await page.evaluate(
        async ({ name, email, password }) => {
            const ask = async (method: string, path: string, body?: object): Promise<{ letters: { recipient: string; body: string }[] }> => {
                const key = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
                const headers = { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': key };
                const answer = await fetch(`/api${path}`, { method, headers, ...(body === undefined ? {} : { body: JSON.stringify(body) }) });
                if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
                return (await answer.json()) as { letters: { recipient: string; body: string }[] };
            };
            await ask('GET', '/session');
            await ask('POST', '/register', { name, email, password });
            // Letters are written when the answer has gone out.
            for (;;) {
                const letter = (await ask('GET', '/mailbox')).letters.find((one) => one.recipient === email);
                const token = /token=([a-f0-9]+)/.exec(letter?.body ?? '')?.[1];
                if (token !== undefined) return ask('POST', '/open-account', { token });
            }
        },
        { name, email, password },
    );
    await page.goto('/');
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
    // A leaf comes a moment after its tab where the machine is slow.
    await page.waitForFunction(() =>
        [...document.querySelectorAll('[role=tab][aria-selected=true][aria-controls]')].every(
            (tab) => document.getElementById(tab.getAttribute('aria-controls') ?? '') !== null,
        ),
    );
    await page.evaluate(() => Promise.all(document.getAnimations().map((animation) => animation.finished.catch(() => undefined))));
    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
    expect(violations.map(({ id, nodes }) => ({ id, where: nodes.map(({ target, failureSummary }) => `${String(target)} ${failureSummary ?? ''}`) }))).toEqual(
        [],
    );
}

type StorageState = Awaited<ReturnType<ReturnType<Page['context']>['storageState']>>;

interface Workshop {
    storage: StorageState;
    refuge: string;
    barge: string;
}

/** One account with two builds for all tests that only look, made once: each looks at one leaf, in a browser of its own. */
export const look = test.extend<object, { workshop: Workshop }>({
    workshop: [
        async ({ browser }, give) => {
            const context = await browser.newContext({ baseURL: process.env['BASE_URL'] ?? 'http://127.0.0.1:8480' });
            const page = await context.newPage();
            const refuge = await withBuild(page, 'refuge');
            await page.goto('/');
            const barge = await copyOf(page, 'barge');
            const storage = await context.storageState();
            await context.close();
            await give({ storage, refuge, barge });
        },
        { scope: 'worker', timeout: 60_000 },
    ],
    storageState: async ({ workshop }, give) => give(workshop.storage),
});

/** Opens a line of the parts list for editing. */
export const editLine = (page: Page, part: string) => page.getByRole('button', { name: `Edit ${part}:` }).click();
