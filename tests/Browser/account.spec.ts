import { expect, test } from '@playwright/test';
import { expectAccessible, password, registerByHand, signIn, withAccount, withBuild, withKey } from './helpers';

test('the demo door opens with the printed address only', async ({ page }) => {
    await page.goto('/');
    await expect(page.getByText('open the whole address that bin/start printed')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Look around the demo workshop' })).toHaveCount(0);
    await expectAccessible(page);
    await page.goto(withKey());
    await expect(page.getByRole('button', { name: 'Look around the demo workshop' })).toBeVisible();
    expect(page.url()).not.toContain('key=');
});

test('a letter sets a new password', async ({ page }) => {
    const email = await registerByHand(page, 'Forgetful');
    await page.getByRole('button', { name: 'Sign out' }).click();
    await page.getByRole('link', { name: 'Forgotten the password?' }).click();
    await page.getByLabel('E-mail of your account').fill(email);
    await page.getByRole('button', { name: 'Send me a letter' }).click();
    await page.getByRole('link', { name: 'stand-in mailbox' }).click();
    await page.getByRole('listitem').filter({ hasText: email }).filter({ hasText: 'new-password' }).getByRole('link').click();
    await page.getByLabel('New password').fill('password12345');
    await page.getByRole('button', { name: 'Set it' }).click();
    await expect(page.getByText('tried first by who guesses')).toBeVisible();
    await page.getByLabel('New password').fill('quite another heron');
    await page.getByRole('button', { name: 'Set it' }).click();
    await page.getByRole('link', { name: 'Sign in with it.' }).click();
    await signIn(page, email, 'quite another heron');
});

test('another password signs every other device out', async ({ page, browser }) => {
    const email = await withAccount(page);
    const phone = await browser.newPage();
    await signIn(phone, email);

    await page.getByRole('link', { name: 'Account' }).click();
    await expectAccessible(page);
    await page.getByLabel('The password that holds now').fill('not this one');
    await page.getByLabel('New password').fill('quite another heron');
    await page.getByRole('button', { name: 'Change it' }).click();
    await expect(page.getByText('This is not the password that holds now.')).toBeVisible();
    await page.getByLabel('The password that holds now').fill(password);
    await page.getByRole('button', { name: 'Change it' }).click();
    await expect(page.getByText('Every other device was signed out')).toBeVisible();
    await page.getByRole('link', { name: 'Builds' }).click();
    await expect(page.getByRole('heading', { name: 'Your builds' })).toBeVisible();

    await phone.reload();
    await expect(phone.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await phone.close();
});

test('signing out everywhere ends this session and the others', async ({ page, browser }) => {
    const email = await withAccount(page);
    const phone = await browser.newPage();
    await signIn(phone, email);
    await phone.getByRole('link', { name: 'Account' }).click();
    await phone.getByRole('button', { name: 'Sign out everywhere' }).click();
    await expect(phone.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await phone.close();
    await page.reload();
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
});

test('an account is thrown away with its password only', async ({ page }) => {
    const email = await withAccount(page);
    await page.getByRole('link', { name: 'Account' }).click();
    await page.getByRole('button', { name: 'Throw it away …' }).click();
    await page.getByLabel('Your password').fill('not this one');
    await page.getByRole('button', { name: 'Throw it away for good' }).click();
    await expect(page.getByText('This is not the password that holds now.')).toBeVisible();
    await page.getByLabel('Your password').fill(password);
    await page.getByRole('button', { name: 'Show' }).last().click();
    await expect(page.getByLabel('Your password')).toHaveAttribute('type', 'text');
    await page.getByRole('button', { name: 'Throw it away for good' }).click();
    await page.getByLabel('E-mail').fill(email);
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByText('Address and password do not belong together')).toBeVisible();
});

test('builds beyond a page are found by more and by searching', async ({ page }) => {
    await withBuild(page, 'thimble');
    // Twenty-six more by the same way as the page goes, without looking at each.
    await page.evaluate(async () => {
        const key = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
        for (let number = 1; number <= 26; number++) {
            await fetch('/api/builds', {
                method: 'POST',
                headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': key },
                body: JSON.stringify({ name: `Slab ${number}` }),
            });
        }
    });
    await page.goto('/');
    await expect(page.getByText('27 builds')).toBeVisible();
    await expect(page.getByRole('link', { name: /^(Slab|Thimble)/ })).toHaveCount(24);
    await page.getByRole('button', { name: 'Show more (3 left)' }).click();
    await expect(page.getByRole('link', { name: /^(Slab|Thimble)/ })).toHaveCount(27);
    await expectAccessible(page);
    await page.getByLabel('Search name and purpose').fill('thim');
    await expect(page.getByText('1 found')).toBeVisible();
    await expect(page.getByRole('link', { name: 'Thimble', exact: true })).toBeVisible();
    await page.getByLabel('Search name and purpose').fill('no such thing');
    await expect(page.getByText('No build has all these words.')).toBeVisible();
});
