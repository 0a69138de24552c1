import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, vital, withAccount } from './helpers';

const panel = `🔥 QUOLL 5" IPS panel 800x480, capacitive touch 🔥
✅ Supply 5V DC (micro USB), typical 420 mA, max. 610 mA
✅ micro HDMI in, works with 1920x1080 input
✅ 121 x 76 x 8 mm, 94 g; gross weight 210 g
✅ use our 5V 2A adapter (not included)
only €31.50, shipping €4`;

const paste = (page: Page, text: string) =>
    page.evaluate((pasted) => {
        const clipboardData = new DataTransfer();
        clipboardData.setData('text/plain', pasted);
        document.activeElement?.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
    }, text);

/** A blank page of a new account, at its parts. */
async function blankParts(page: Page): Promise<void> {
    await withAccount(page);
    await page.getByRole('button', { name: 'Begin a build' }).first().click();
    await page.getByLabel('Its name').fill('From scraps');
    await page.getByRole('button', { name: 'Begin with the brief' }).click();
    await page.getByRole('heading', { name: 'Brief', level: 2 }).waitFor();
    await page.getByRole('link', { name: /Parts/ }).last().click();
    await page.getByRole('heading', { name: 'Parts', level: 2 }).waitFor();
}

test('a text pasted into the list becomes a part with the figures that were confirmed', async ({ page }) => {
    await blankParts(page);
    await page.getByLabel('A part of your own, by name').focus();
    await paste(page, panel);
    const leaf = page.getByRole('dialog', { name: 'A part out of a text' });
    await expect(leaf.getByLabel('Name')).toHaveValue('QUOLL 5" IPS panel 800x480');
    await expect(leaf.getByLabel('What it is for')).toHaveValue('display');
    const finds = leaf.getByRole('list', { name: 'What was found' });
    await expect(finds.getByRole('checkbox', { name: /supply window 5 V/ })).toBeChecked();
    await expect(finds.getByRole('checkbox', { name: /diagonal/ })).toBeDisabled();
    await expect(leaf.getByRole('region', { name: /The text/ }).locator('mark', { hasText: '€31.50' })).toBeVisible();
    await expect(leaf.getByRole('region', { name: /The text/ }).locator('mark', { hasText: '1920x1080' })).toHaveCount(0);
    await finds.getByRole('checkbox', { name: /weight 94 g/ }).uncheck();
    await expectAccessible(page);
    await leaf.getByLabel('Name').fill('Quoll 5');
    await leaf.getByRole('button', { name: 'Put it on the list' }).click();
    await expect(leaf).toBeHidden();
    const line = page.locator('[data-line="display"]');
    await expect(line).toContainText('Quoll 5');
    await expect(line).toContainText('800 × 480 · 5 V · 420 to 610 mA · 121 × 76 × 8 mm');
    await expect(line).not.toContainText('94 g');
    await expect(vital(page, 'Cost')).toHaveText('31.50 EUR');
    await page.getByRole('link', { name: 'Quoll 5', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Quoll 5' })).toBeVisible();
});

test('names typed and pasted are enough to begin, and what is not known is asked', async ({ page }) => {
    await blankParts(page);
    const box = page.getByLabel('A part of your own, by name');
    await box.fill('Tolmen X board');
    await box.press('Enter');
    await expect(page.locator('[data-line="board"]')).toContainText('Tolmen X board');
    await expect(box).toHaveValue('');
    await box.fill('A gizmo');
    await box.press('Enter');
    await expect(page.getByText('Choose what "A gizmo" is for', { exact: false })).toBeVisible();
    await expect(box).toHaveValue('A gizmo');
    await box.fill('');
    await paste(page, '- LiPo cell\n- some panel');
    const leaf = page.getByRole('dialog', { name: '2 parts by name' });
    await expect(leaf.getByLabel('What LiPo cell is for')).toHaveValue('cells');
    await leaf.getByRole('button', { name: 'Put them on the list' }).click();
    await expect(page.locator('[data-line="display"]')).toContainText('some panel');

    // What is taken for the text of one part may be several, and the other way round; what was changed about the names stays.
    await expect(leaf).toBeHidden();
    await expect(box).toBeFocused();
    await paste(page, 'A board\n12 V, 60 W');
    await page.getByRole('button', { name: 'Each line is a part of its own' }).click();
    const lines = page.getByRole('dialog', { name: '2 parts by name' });
    await lines.getByLabel('What 12 V, 60 W is for').selectOption('charger');
    await lines.getByLabel('Name 2').fill('Brick, 12 V, 60 W');
    await lines.getByRole('button', { name: 'It is the text of one part' }).click();
    await expect(page.getByRole('dialog', { name: 'A part out of a text' }).getByLabel('Name')).toHaveValue('A board');
    await page.getByRole('button', { name: 'Each line is a part of its own' }).click();
    await expect(lines.getByLabel('Name 2')).toHaveValue('Brick, 12 V, 60 W');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Close', exact: true }).click();

    await box.press('Escape');
    await page.locator('body').press('q');
    const asked = page.getByRole('dialog', { name: /to ask$/ });
    await expect(asked.getByRole('heading', { level: 3 }).first()).toContainText('?');
    await expectAccessible(page);
    const first = asked.locator('[data-question]').first();
    const before = await first.getAttribute('data-question');
    await first.getByRole('button', { name: 'I don’t know; ask me later' }).click();
    await expect(first).not.toHaveAttribute('data-question', before ?? '');
    const window = asked.locator('[data-question="board supply.volts"]');
    while (!(await window.isVisible())) {
        await first.getByRole('button', { name: 'I don’t know; ask me later' }).click();
    }
    // What is asked of the same part stands below, and what is typed there stays while the first is answered.
    const draw = asked.locator('[data-question="board supply.drawMa"]');
    await draw.getByLabel(/I found/).fill('300 to 900 mA');
    await window.getByLabel(/I found/).fill('4.75 to 5.25 V');
    await window.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.locator('[data-line="board"]')).toContainText('4.75 to 5.25 V');
    await expect(window).toBeHidden();
    await expect(draw.getByLabel(/I found/)).toHaveValue('300 to 900 mA');
    await draw.getByLabel(/I found/).press('Enter');
    await expect(page.locator('[data-line="board"]')).toContainText('300 to 900 mA');
});

test('a text pasted into the part editor fills the form, which keeps it', async ({ page }) => {
    await withAccount(page);
    await page.goto('/library/new');
    await page.getByLabel('A listing, a table, a post, your own notes').focus();
    await paste(page, 'LiPo pack 7.4V 2S1P 2200mAh 16.28Wh, XT30 plug\n105 x 34 x 18 mm, 128 g\n17,50 EUR');
    await page.getByRole('button', { name: 'Take the ticked ones' }).click();
    await expect(page.getByLabel('What it is for')).toHaveValue('cells');
    await expect(page.getByLabel('capacity', { exact: true })).toHaveValue('2200 mAh');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByRole('heading', { name: 'LiPo pack 7.4V 2S1P 2200mAh 16.28Wh' })).toBeVisible();
});
