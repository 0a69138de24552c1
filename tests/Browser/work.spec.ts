import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, look, vital, withAccount, withBuild } from './helpers';

for (const leaf of ['now', 'plan', 'faults', 'record', 'sheet']) {
    look(`build?leaf=${leaf} can be read by everyone, and does not run off a phone`, async ({ page, workshop }) => {
        await page.goto(`${workshop.refuge}/build?leaf=${leaf}`);
        await expect(page.getByRole('tabpanel')).not.toBeEmpty();
        await expectAccessible(page);
        await page.setViewportSize({ width: 390, height: 844 });
        expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
        await expectAccessible(page);
    });
}

/** Writes as the page does, past the page. */
async function ask(page: Page, method: string, path: string, body: object): Promise<void> {
    const answer = await page.evaluate(
        async ({ method, path, body }) => {
            const key = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
            const headers = { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': key };
            return (await fetch(`/api${path}`, { method, headers, body: JSON.stringify(body) })).status;
        },
        { method, path, body },
    );
    expect(answer).toBe(200);
}

/** Thimble with all its parts on the table. */
async function thimbleWithAllParts(page: Page): Promise<string> {
    const build = await withBuild(page, 'thimble');
    const id = build.split('/').pop() ?? '';
    await ask(page, 'PATCH', `/builds/${id}/lines/body`, { version: 1, state: 'arrived' });
    await ask(page, 'PATCH', `/builds/${id}/lines/jumpers`, { version: 2, state: 'arrived' });
    await page.goto(`${build}/build`);
    return build;
}

const card = (page: Page) => page.getByRole('article');

/** Answers what a test asks so that it passes: a figure in the middle of what passes, and yes. */
async function answerWell(page: Page): Promise<void> {
    for (const yes of await card(page).getByRole('button', { name: 'Yes' }).all()) await yes.click();
    for (const input of await card(page).locator('fieldset input[inputmode="decimal"]').all()) {
        const says = await input.locator('xpath=ancestor::label').innerText();
        const numbers = [...says.matchAll(/(\d+(?:\.\d+)?)(?= to |\s*(?:V|mA|°C|h)\b)/g)].map((found) => Number(found[1]));
        const [least = 20, most = null] = numbers;
        const passes = most !== null ? (least + most) / 2 : says.includes('or less') ? least / 2 : least * 1.2;
        await input.fill(`${passes.toFixed(2)} `);
    }
}

/** Does the step that lies there; waits until the next one does. */
async function doIt(page: Page): Promise<string> {
    const step = (await card(page).getAttribute('data-step')) ?? '';
    await answerWell(page);
    await card(page)
        .getByRole('button', { name: /^(Done|It passes)$/ })
        .click();
    await expect(page.locator(`article[data-step="${step}"]`)).toHaveCount(0);
    return step;
}

/** Does one step after the other, until this one lies there. */
async function doUntil(page: Page, step: string): Promise<void> {
    for (let nth = 0; nth < 40; nth++) {
        await expect(card(page)).toBeVisible();
        if ((await card(page).getAttribute('data-step')) === step) return;
        await doIt(page);
    }
    throw new Error(`${step} was never reached`);
}

test('from the first test to the last at phone width: a test fails, the cause is found, the network goes and comes back', async ({ page, context }) => {
    test.slow();
    await page.setViewportSize({ width: 390, height: 844 });
    const build = await thimbleWithAllParts(page);
    await expect(card(page)).toContainText('Lithium cells can burn');
    await card(page).getByRole('checkbox', { name: 'multimeter' }).check();
    await expect(card(page)).toContainText('Lay out first (1 of');
    await expectAccessible(page);
    await doUntil(page, 'test-closed');

    // Closed, and it does not work.
    await answerWell(page);
    await card(page).getByRole('group', { name: 'Picture, sound, every control and charging work' }).getByRole('button', { name: 'No' }).click();
    await card(page).getByLabel('Note').fill('dark since the screws went in');
    await card(page).getByRole('button', { name: 'It passes' }).click();
    await page.getByRole('link', { name: 'Something failed: find the cause' }).click();
    const fault = page.getByRole('article', { name: 'Fault: Test after closing' });
    await expect(fault).toContainText('every control and charging work: no');
    const causes = fault.getByRole('list', { name: 'Likely causes' }).getByRole('listitem');
    await expect(causes.first()).toContainText('Close Clip body, printed');
    const shares = (await fault.locator('[data-suspect] button .figures').allInnerTexts()).map((text) => parseInt(text, 10));
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    await expectAccessible(page);

    // One look halves them; what was looked at can be forgotten again.
    const next = fault.getByRole('region', { name: 'Look at this next' });
    const asked = await next.locator('p').nth(1).innerText();
    await next.getByRole('button', { name: 'Well', exact: true }).click();
    await expect(fault.getByText(`${asked}: well`)).toBeVisible();
    await fault.getByRole('button', { name: 'Forget it' }).click();
    await expect(fault.getByText(`${asked}: well`)).toHaveCount(0);

    // The way back: open it, and what was passed behind it is to be passed again.
    await expect(causes.first()).toContainText('take the screws out');
    await fault.getByRole('button', { name: 'I took it back' }).click();
    await page.getByRole('tab', { name: 'Now' }).click();
    await expect(card(page)).toHaveAttribute('data-step', 'close/body');
    await doIt(page);
    await page.goto(`${build}/build?step=test-closed`);
    await expect(card(page)).toHaveAttribute('data-step', 'test-closed');
    await answerWell(page);
    await card(page).getByRole('button', { name: 'It passes' }).click();
    await page.getByRole('tab', { name: 'Faults' }).click();
    await expect(fault).toContainText('mended');

    // The network goes: two steps are done all the same, and arrive when it is back.
    await page.getByRole('tab', { name: 'Now' }).click();
    await expect(card(page)).toBeVisible();
    await context.setOffline(true);
    const first = await doIt(page);
    await expect(page.getByText('The network is gone. One entry waits', { exact: false })).toBeVisible();
    await doIt(page);
    await expect(page.getByText('2 entries wait on this device', { exact: false })).toBeVisible();
    await expect(page.getByText('Everything is done', { exact: false })).toBeVisible();
    await context.setOffline(false);
    await expect(page.getByText('The network is gone', { exact: false })).toHaveCount(0);
    await page.reload();
    await expect(page.getByText('Everything is done', { exact: false })).toBeVisible();
    await page.getByRole('tab', { name: 'Record' }).click();
    await expect(page.getByRole('listitem').filter({ hasText: 'dark since the screws went in' })).toContainText('did not pass');
    expect(first).not.toBe('');

    // The run is laid beside what was expected.
    await page.goto(`${build}/bench?leaf=readings`);
    await expect(page.getByText('Log one run from full to empty').first()).toBeVisible();
    await expectAccessible(page);
});

test('the plan is moved, added to and shortened, and says what cannot be', async ({ page }) => {
    await thimbleWithAllParts(page);
    await page.getByRole('tab', { name: 'Plan' }).click();
    const rows = page.locator('section li[data-step]');
    const ids = () => rows.evaluateAll((all) => all.map((one) => one.getAttribute('data-step')));
    await expect(rows.first()).toBeVisible();
    // Alt and an arrow move a step past one that nothing links it to.
    const press = page.locator('li[data-step="press/knob"] > button');
    const before = await ids();
    await press.focus();
    await press.press(before.indexOf('press/knob') > before.indexOf('hear/beeper') ? 'Alt+ArrowUp' : 'Alt+ArrowDown');
    await expect(page.getByText('The order is yours', { exact: false })).toBeVisible();
    expect(await ids()).not.toEqual(before);
    await page.getByRole('button', { name: 'Let the order be found again' }).click();
    await expect(page.getByText('The order is yours', { exact: false })).toHaveCount(0);

    // Its links are shown when it is opened.
    await press.click();
    await expect(page.locator('li[data-step="press/knob"]')).toContainText('Comes before');
    await press.click();

    await page.getByRole('button', { name: 'Add a step' }).click();
    const form = page.getByRole('dialog');
    await form.getByLabel('What is to be done').fill('One more wire');
    await form.getByLabel('Minutes', { exact: true }).fill('0');
    await form.getByRole('button', { name: 'Add it' }).click();
    await expect(form.getByText('Write the minutes it takes', { exact: false })).toBeVisible();
    await form.getByLabel('Minutes', { exact: true }).fill('10');
    await form.getByLabel('Comes after', { exact: true }).selectOption({ label: 'Close Clip body, printed' });
    await form.getByLabel('Comes before', { exact: true }).selectOption({ label: 'Ring out every rail before it gets power' });
    await expectAccessible(page);
    await form.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'These steps wait for each other' })).toContainText('One more wire');
    const own = rows.filter({ hasText: 'One more wire' });
    await own.getByRole('button').first().click();
    await own.getByRole('button', { name: 'Take it out' }).click();
    await expect(page.getByRole('alert')).toHaveCount(0);

    // A safety step that is left out stays in sight, with the reason.
    const insulate = page.locator('li[data-step="insulate"]');
    await insulate.getByRole('button').first().click();
    await insulate.getByRole('button', { name: 'Leave it out' }).click();
    await expect(insulate.getByRole('button', { name: 'Leave it out' })).toBeDisabled();
    await insulate.getByLabel('Why Keep bare boards off metal is left out').fill('all of it is plastic');
    await insulate.getByRole('button', { name: 'Leave it out' }).click();
    await expect(page.getByText('Left out: Keep bare boards off metal (“all of it is plastic”)')).toBeVisible();
    await page.getByRole('button', { name: 'Take it up again' }).click();
    await expect(insulate).toBeVisible();

    // Fewer evenings, a later day.
    const finish = await vital(page, 'Finished').innerText();
    await page.getByRole('button', { name: 'Evenings' }).click();
    for (const day of ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sun']) await form.getByRole('button', { name: day }).click();
    await form.getByRole('button', { name: 'Sat' }).click();
    await form.getByRole('button', { name: 'Plan with these' }).click();
    await expect(form.getByText('Leave at least one day of the week free.')).toBeVisible();
    await form.getByRole('button', { name: 'Sat' }).click();
    await form.getByRole('button', { name: 'Plan with these' }).click();
    await expect(vital(page, 'Finished')).not.toHaveText(finish);
    await expect(page.getByRole('region', { name: /^Evening of/ }).first()).toContainText('Saturday');
});

test('a photograph goes along, and what is none is told at once', async ({ page }) => {
    const build = await thimbleWithAllParts(page);
    await page.goto(`${build}/build?step=press%2Fknob`);
    const choose = card(page).getByLabel('Photograph of this step');
    await choose.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
    await expect(card(page).getByRole('alert')).toContainText('no photograph that can be read');
    const png = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
    await choose.setInputFiles({ name: 'strip.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
    await expect(card(page).getByRole('img', { name: 'What was photographed for this step' })).toBeVisible();
    await doIt(page);
    await page.getByRole('tab', { name: 'Record' }).click();
    await expect(page.getByRole('img', { name: 'Photograph: Try every control of Knob and five buttons strip' })).toBeVisible();
});

test('an empty build teaches what will stand there', async ({ page }) => {
    await withAccount(page);
    await page.getByRole('button', { name: 'Begin a build' }).first().click();
    await page.getByLabel('Its name').fill('Nothing yet');
    await page.getByRole('button', { name: 'Begin with the brief' }).click();
    await expect(page.getByRole('heading', { name: 'Brief', exact: true })).toBeVisible();
    await page.locator('body').press('7');
    await expect(page.getByText('No parts, no steps', { exact: false })).toBeVisible();
});
