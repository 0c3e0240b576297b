// The connection goes in the middle of a round: it is said at once, the tap waits, and is sent once when the room answers again.
import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, openBrowser, person, press } from './harness.mjs';

let room;
let browser;

before(async () => {
    room = await Room.demo();
    browser = await openBrowser();
});
after(async () => {
    await browser?.close();
    room?.close();
});

const movements = () => audit(room.data).movements;
const unsent = (page) => page.locator('.unsent');

/** A kit with a few things to pull, at the first stop of its round. */
async function round(page, name, things) {
    await page.goto('/plan');
    await page.fill('#kit-name', name);
    await press(page, () => page.getByRole('button', { name: 'Plan it' }).click());
    for (const words of things) {
        await page.fill('#pick-q', words);
        await press(page, () => page.press('#pick-q', 'Enter'));
        await press(page, () => page.locator('.card .row').first().getByRole('button', { name: 'Add' }).click());
    }
    await press(page, () => page.getByRole('button', { name: /Pull it in one round/ }).click());
}

test('a tap without a connection waits, is shown, outlives the page, and is sent once', async () => {
    const ada = await person(browser, room, 'ada');
    await round(ada, 'Without a wire', ['foam squares black', 'petrel card']);
    const before = movements();
    await ada.context().setOffline(true);
    await ada.keyboard.press('Space');
    await unsent(ada).waitFor();
    assert.match(await unsent(ada).innerText(), /connection to the room is gone. Not sent yet/);
    assert.match(await unsent(ada).locator('li').innerText(), /Got it|Take|taken|got/i, 'what was pressed is named');
    await ada.keyboard.press('Space');
    await ada.waitForTimeout(500);
    assert.equal(await unsent(ada).locator('li').count(), 1, 'pressed twice, it waits once');
    assert.equal(movements(), before);
    await ada.waitForTimeout(3500);
    assert.equal(movements(), before, 'nothing gets through');
    await ada.context().setOffline(false);
    await unsent(ada).waitFor({ state: 'detached' });
    assert.equal(movements(), before + 1);
    await ada.waitForTimeout(4000);
    assert.equal(movements(), before + 1, 'once');
    assert.match(await ada.locator('main').innerText(), /Without a wire/, 'the page goes on');

    await ada.context().setOffline(true);
    await ada.keyboard.press('Space');
    await unsent(ada).waitFor();
    const address = ada.url();
    await ada.route('**/*', (route) => (route.request().method() === 'POST' ? route.abort('connectionrefused') : route.continue()));
    await ada.context().setOffline(false);
    await ada.goto(address);
    await unsent(ada).waitFor();
    assert.equal(movements(), before + 1, 'shown after the page was loaded anew, and still not sent');
    await ada.unroute('**/*');
    await unsent(ada).waitFor({ state: 'detached' });
    assert.equal(movements(), before + 2);
});

test('a tap whose answer is lost on its way back is written once', async () => {
    const ada = await person(browser, room, 'ada');
    await round(ada, 'Lost answers', ['buoy card', 'gull card']);
    const before = movements();
    let lost = 0;
    await ada.route('**/*', async (route) => {
        if (route.request().method() !== 'POST' || lost > 0) return route.continue();
        lost += 1;
        await route.fetch({ maxRedirects: 0 });
        return route.abort('connectionreset');
    });
    await ada.keyboard.press('Space');
    await unsent(ada).waitFor();
    assert.equal(movements(), before + 1, 'the room has written it, but the page cannot know');
    await unsent(ada).waitFor({ state: 'detached' });
    await ada.waitForTimeout(1000);
    assert.equal(lost, 1);
    assert.equal(movements(), before + 1);
    assert.deepEqual(audit(room.data).differences, []);
});

test('whoever has gone on to another page meanwhile stays there, and is told', async () => {
    const ada = await person(browser, room, 'ada');
    await round(ada, 'Gone elsewhere', ['kraft card', 'fog card']);
    const before = movements();
    await ada.route('**/*', (route) => (route.request().method() === 'POST' ? route.abort('connectionrefused') : route.continue()));
    await ada.keyboard.press('Space');
    await unsent(ada).waitFor();
    await ada.goto('/log');
    await unsent(ada).waitFor();
    await ada.unroute('**/*');
    await ada.locator('.sent').waitFor();
    assert.equal(new URL(ada.url()).pathname, '/log');
    assert.equal(await unsent(ada).count(), 0);
    assert.equal(movements(), before + 1);
    await ada.getByRole('link', { name: 'Go on there' }).click();
    await ada.waitForURL(/\/kits\/\d+/);
});

test('what the room says no to when it is back is told, and let be; another person’s taps are not sent', async () => {
    const ada = await person(browser, room, 'ada');
    await round(ada, 'Too late', ['rope card', 'herring card']);
    const kit = new URL(ada.url()).pathname.match(/\/kits\/\d+/)[0];
    await ada.context().setOffline(true);
    await ada.keyboard.press('Space');
    await unsent(ada).waitFor();
    const ben = await person(browser, room, 'ben');
    await ben.goto(`${kit}/pull`);
    await press(ben, () => ben.keyboard.press('Space'));
    const before = movements();
    await ada.context().setOffline(false);
    await ada.waitForFunction(() => /Not done/.test(document.querySelector('.unsent')?.textContent ?? ''));
    assert.match(await unsent(ada).innerText(), /settled already|taken/);
    assert.equal(movements(), before);
    await unsent(ada).getByRole('button', { name: 'Let it be' }).click();
    await unsent(ada).waitFor({ state: 'detached' });

    const tap = { id: crypto.randomUUID(), who: '99', path: '/plan', body: '', says: 'Got it' };
    await ada.evaluate((one) => localStorage.setItem('lottel-unsent', JSON.stringify([one])), tap);
    await ada.reload();
    await ada.waitForTimeout(3500);
    assert.equal(await unsent(ada).count(), 0);
    assert.equal(await ada.evaluate(() => JSON.parse(localStorage.getItem('lottel-unsent')).length), 1, 'it waits for whom it belongs to');
});

test('Lottel can be put on a home screen', async () => {
    const page = await person(browser, room, null);
    await page.goto('/sign-in');
    const manifest = await (await page.request.get(await page.locator('link[rel=manifest]').getAttribute('href'))).json();
    assert.deepEqual([manifest.display, manifest.start_url, manifest.scope], ['standalone', '/', '/']);
    for (const icon of manifest.icons) {
        const png = await (await page.request.get(icon.src)).body();
        const side = png.readUInt32BE(16);
        assert.equal(icon.sizes, `${side}x${png.readUInt32BE(20)}`, icon.src);
    }
    assert.deepEqual(page.complaints, []);
});
