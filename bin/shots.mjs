import { chromium } from '@playwright/test';

const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM,
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
});

const only = process.argv.slice(2);

/** Opens a demo build at a station, does what is asked, takes the picture; of all, or of those named on the command line. */
async function shot(name, build, station, { width = 1280, height = 800, light = 'day', act = async () => {} } = {}) {
    if (only.length > 0 && !only.includes(name)) return;
    const context = await browser.newContext({ viewport: { width, height }, baseURL: process.env.BASE_URL, locale: 'en-GB' });
    const page = await context.newPage();
    await page.addInitScript((chosen) => localStorage.setItem('pocketplot.light', chosen), light);
    await page.goto(`/?key=${process.env.POCKETPLOT_DOOR_KEY}`);
    await page.getByRole('button', { name: 'Look around the demo workshop' }).click();
    const card = page.getByRole('link', { name: build, exact: true });
    await card.waitFor();
    if (station !== null) {
        await card.click();
        await page
            .getByRole('link', { name: new RegExp(`${station}`) })
            .last()
            .click();
        await page.getByRole('heading', { name: station, exact: true, level: 2 }).waitFor();
    }
    await act(page);
    await page.waitForLoadState('networkidle');
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
    await context.close();
    console.log(`docs/screenshots/${name}.png`);
}

/** The picture of the front page: the first rows of a list with what stands in their margin. */
async function front(light) {
    if (only.length > 0 && !only.includes('front')) return;
    const context = await browser.newContext({
        viewport: { width: 1040, height: 800 },
        deviceScaleFactor: 1.5,
        baseURL: process.env.BASE_URL,
        locale: 'en-GB',
    });
    const page = await context.newPage();
    await page.addInitScript((chosen) => localStorage.setItem('pocketplot.light', chosen), light);
    await page.goto(`/?key=${process.env.POCKETPLOT_DOOR_KEY}`);
    await page.getByRole('button', { name: 'Look around the demo workshop' }).click();
    await page.getByRole('link', { name: 'Refuge', exact: true }).click();
    const first = page.locator('[data-line]').first();
    await first.waitFor();
    await page.waitForLoadState('networkidle');
    const { x, y, width } = await first.boundingBox();
    await page.screenshot({ path: `public/front-${light}.png`, clip: { x, y, width, height: 281 } });
    await context.close();
    console.log(`public/front-${light}.png`);
}

await front('day');
await front('night');
await shot('builds', 'Refuge', null);
await shot('parts', 'Refuge', 'Parts');
await shot('brief', 'Refuge', 'Brief');
await shot('buy', 'Refuge', 'Buy');
const workLeaf =
    (name, then = async () => undefined) =>
    async (page) => {
        await page.goto(page.url().replace(/\/build$/, `/build?leaf=${name}`));
        await page.waitForLoadState('networkidle');
        await then(page);
    };
await shot('build', 'Refuge', 'Build', { act: workLeaf('plan') });
const fitLeaf =
    (name, then = async () => undefined) =>
    async (page) => {
        await page.goto(page.url().replace(/\/fit$/, `/fit${name === '' ? '' : `?leaf=${name}`}`));
        await page.waitForLoadState('networkidle');
        await then(page);
    };
await shot('fit', 'Thimble', 'Fit', {
    act: fitLeaf('', async (page) => {
        await page.locator('canvas').waitFor();
        await page.getByRole('slider', { name: 'Lift apart' }).fill('8');
    }),
});
await shot('fit-arrange', 'Thimble', 'Fit', {
    height: 900,
    act: fitLeaf('arrange', async (page) => {
        await page.getByRole('button', { name: 'Arrange', exact: true }).click();
        await page.getByText('Done.').waitFor({ timeout: 60_000 });
    }),
});
await shot('fit-thickness', 'Thimble', 'Fit', { light: 'night', act: fitLeaf('thickness') });
await shot('fit-body', 'Thimble', 'Fit', { act: fitLeaf('body') });
await shot('build-phone', 'Thimble', 'Build', { width: 390, height: 844, light: 'night' });
const buyLeaf =
    (name, then = async () => undefined) =>
    async (page) => {
        await page.goto(page.url().replace(/\/buy.*$/, `/buy?leaf=${name}`));
        await page.waitForLoadState('networkidle');
        await then(page);
    };
await shot('shop-phone', 'Refuge', 'Buy', {
    width: 390,
    height: 844,
    act: buyLeaf('shop', async (page) => {
        await page.getByLabel('What it says on it').fill('Field monitor 7 inch, HDMI in, 1024x600, 9-36 V DC, 450 mA at 12 V, peak 600 mA');
        await page.getByLabel('What they ask for it').fill('15 GBP');
        await page.getByRole('button', { name: 'Would it do?' }).click();
        await page.getByRole('heading', { name: 'Look at this before you pay' }).waitFor();
        await page.getByRole('button', { name: 'Would it do?' }).evaluate((button) => button.scrollIntoView({ block: 'start' }));
    }),
});
const at = (address) => async (page) => page.goto(typeof address === 'string' ? address : address(page.url()));
const leaf = (name) => at((url) => url.replace(/\/checks.*$/, `/checks?leaf=${name}`));
await shot('checks-grid', 'Refuge', 'Checks', {
    act: async (page) => {
        await leaf('grid')(page);
        await page
            .getByRole('button', { name: /: clash$/ })
            .first()
            .click();
    },
});
const powerLeaf =
    (name, then = async () => undefined) =>
    async (page) => {
        await page.goto(page.url().replace(/\/power.*$/, `/power?leaf=${name}`));
        await page.waitForLoadState('networkidle');
        await then(page);
    };
await shot('power', 'Refuge', 'Power');
await shot('discharge-night', 'Thimble', 'Power', {
    light: 'night',
    act: powerLeaf('run', async (page) => {
        const plot = page.getByRole('slider', { name: /Discharge of/ });
        await plot.focus();
        for (let press = 0; press < 30; press++) await page.keyboard.press('ArrowRight');
        await plot.evaluate((element) => element.blur());
    }),
});
await shot('bench', 'Refuge', 'Bench', {
    act: async (page) => {
        await page.goto(page.url().replace(/\/bench.*$/, '/bench?kind=run'));
        await page.getByRole('button', { name: 'Try it with the simulated bench' }).click();
        await page.getByText('rows taken').waitFor();
        await page.getByRole('button', { name: 'Write it down' }).click();
        await page.getByRole('button', { name: 'What would move?' }).waitFor();
        await page.getByRole('tab', { name: 'Against the prediction' }).click();
        await page.getByRole('slider', { name: /Prediction and measurement/ }).waitFor();
        await page.getByRole('button', { name: 'Put this notice away' }).click();
    },
});
await shot('drawer', 'Refuge', null, { act: at('/drawer') });
await shot('library', 'Refuge', null, {
    act: async (page) => {
        await at('/library?role=display')(page);
        await page.getByLabel('Compare Hawkbit 3.5 panel, bare').check();
        await page.getByLabel('Compare Wattle 3.2 panel').check();
        await page.evaluate(() => window.scrollTo(0, 0));
    },
});
/** One call of the API from the page, as the page itself would make it. */
const ask = (page, method, path, body) =>
    page.evaluate(
        async ([method, path, body]) => {
            const key = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
            const headers = { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': key };
            const answer = await fetch(`/api${path}`, { method, headers, ...(body === undefined ? {} : { body: JSON.stringify(body) }) });
            if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
            return answer.json();
        },
        [method, path, body],
    );
const partId = async (page, words) => (await ask(page, 'GET', `/parts?q=${encodeURIComponent(words)}`)).parts[0].libraryId;
const note = async (page, name, words) => {
    await page
        .getByRole('list', { name: `Notes on ${name}` })
        .getByRole('button', { name: words })
        .first()
        .click();
    await page.getByRole('dialog').getByRole('heading', { name: 'Fixes' }).waitFor();
    await page.getByRole('dialog').getByText('Trying the parts', { exact: false }).waitFor({ state: 'hidden' });
    await page.waitForLoadState('networkidle');
};

// The builds that these make stand in the list afterwards: they come last.
const quoll = `🔥 QUOLL 5" IPS panel 800x480, capacitive touch 🔥
Supply 5V DC (micro USB), typical 420 mA, max. 610 mA
micro HDMI in, works with 1920x1080 input
121 x 76 x 8 mm, 94 g; gross weight 210 g
use our 5V 2A adapter (not included)
only €31.50, shipping €4`;
await shot('pasted', 'Refuge', null, {
    act: async (page) => {
        const build = await ask(page, 'POST', '/builds', { name: 'From scraps' });
        await page.goto(`/builds/${build.id}/parts`);
        await page.getByLabel('A part of your own, by name').focus();
        await page.evaluate(
            (text) => {
                const clipboardData = new DataTransfer();
                clipboardData.setData('text/plain', text);
                document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
            },
            quoll.replaceAll('🔥', '★'),
        );
        await page.getByRole('list', { name: 'What was found' }).waitFor();
    },
});
const rows = `My handheld, third try;;;;;;
Item;Qty;Price;Where;Status;Weight (g);Notes
POWER;;;;;;
Brook 5V 4A buck;1;€ 7,50;Cellmart;ordered;;
Flat LiPo cell 3.7 V 5000 mAh;2;€ 14,50;Cellmart;here;98;with JST-PH 2.0 plug
DISPLAY;;;;;;
5 inch HDMI panel 800x480, 5 V 420 mA;1;€ 38,90;Panelhaus;perhaps;120;
Larch D bord;1;55;drawer;;46;
Screws M2.5;a few;;drawer;;;
Total;;€ 133,40;;;;`;
await shot('asked-phone', 'Refuge', null, {
    width: 390,
    height: 844,
    act: async (page) => {
        const build = await ask(page, 'POST', '/builds', { name: 'Six names' });
        const parts = ['My board', 'Some panel', 'LiPo cell', 'Buttons', 'Printed case', '5 V boost'].map((name) => ({ name }));
        await ask(page, 'POST', `/builds/${build.id}/own`, { version: build.version, parts });
        await page.goto(`/builds/${build.id}/parts`);
        await page.getByRole('button', { name: 'Ask me' }).click();
        const asked = page.getByRole('dialog', { name: /to ask$/ });
        const window = asked.locator('[data-question="board supply.volts"]');
        await asked.locator('[data-question]').first().waitFor();
        while (!(await window.isVisible())) {
            await asked.getByRole('button', { name: 'I don’t know; ask me later' }).first().click();
        }
        await window.getByLabel(/I found/).fill('4.75 to 5.25 V');
    },
});
await browser.close();
