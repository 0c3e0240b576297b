import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, openBrowser, person, press } from './harness.mjs';

// How many presses (clicks, taps, Enter, space) five everyday jobs take; typing is not counted. The figures stand in docs/presses.md.
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

function counter(page) {
    let presses = 0;
    return {
        async click(locator) {
            presses += 1;
            await press(page, () => locator.click());
        },
        async key(key) {
            presses += 1;
            await press(page, () => page.keyboard.press(key));
        },
        async tap(locator) {
            presses += 1;
            await locator.click();
        },
        async enter() {
            presses += 1;
            await page.keyboard.press('Enter');
        },
        count: () => presses,
    };
}

test('nine drawers are described in ten presses', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores?wall=North+wall');
    const by = counter(ada);
    await by.click(ada.locator('.beside a.unit-name[href$="/units/A"]').first());
    const names = ada.locator('input[data-next]');
    for (let drawer = 0; drawer < 9; drawer++) {
        await names.nth(drawer).fill(`shelf ${drawer + 1}`);
        if (drawer < 8) await by.enter();
    }
    assert.equal(await names.nth(8).evaluate((field) => field === document.activeElement), true, 'Enter goes to the next name');
    await by.click(ada.getByRole('button', { name: 'Keep these' }));
    assert.match(await ada.locator('.said').innerText(), /9 places written down/);
    assert.equal(by.count(), 10);
});

test('fifteen new things get their homes in three presses', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/plan');
    const by = counter(ada);
    await by.click(ada.getByRole('link', { name: 'Take things in' }));
    const lines = Array.from({ length: 15 }, (_, n) => `Regatta stamps ${n + 1}; Two Bollards; ; sea`);
    await ada.fill('#things-things', lines.join('\n'));
    await by.click(ada.getByRole('button', { name: 'Look at them' }));
    const homes = await ada.locator('input[name^="home_"]').evaluateAll((fields) => fields.map((field) => field.value));
    assert.equal(homes.filter(Boolean).length, 15, 'each has a home proposed');
    await by.click(ada.getByRole('button', { name: 'Put them in' }));
    assert.match(await ada.locator('.said').innerText(), /15 things are in the room now\./);
    assert.equal(by.count(), 3);
    assert.deepEqual(audit(room.data).differences, []);
});

test('eleven things are pulled, and seven brought home, with a press a stop', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/plan');
    await ada.locator('.kit-tray', { hasText: 'Birthday bunting' }).getByRole('link', { name: 'Go on pulling' }).click();
    await ada.waitForURL(/pull/);
    const by = counter(ada);
    let stops = 0;
    for (; stops < 20 && (await ada.locator('.round-act').count()) > 0; stops++) await by.key('Space');
    await by.key('Space');
    assert.match(ada.url(), /make/);
    assert.equal(by.count(), stops + 1, 'a stop is one press, however much lies in it; one more to the bench');
    assert.ok(stops <= 11);

    await ada.goto('/plan');
    await ada.locator('.kit-tray', { hasText: 'Ferry kiosk gulls' }).getByRole('link', { name: 'To the bench' }).click();
    await ada.waitForURL(/make/);
    const home = counter(ada);
    await home.click(ada.getByRole('button', { name: /rest goes home/ }));
    for (let stop = 0; stop < 7; stop++) {
        for (const tick of await ada.locator('#home [name="cared[]"]:not(:checked)').all()) await home.tap(tick);
        await home.click(ada.locator('.round-act button'));
    }
    assert.ok(home.count() <= 1 + 7 + 7, `${home.count()} presses: the way home, seven stops, and the cares that are to be ticked`);
    assert.deepEqual(audit(room.data).differences, []);
});

test('ten things are filed with a press each', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/take-in');
    await ada.fill('#things-things', Array.from({ length: 10 }, (_, n) => `Heap stamps ${n + 1}; Two Bollards; ; sea`).join('\n'));
    await press(ada, () => ada.getByRole('button', { name: 'Look at them' }).click());
    for (const field of await ada.locator('input[name^="home_"]').all()) await field.fill('');
    await press(ada, () => ada.getByRole('button', { name: 'Put them in' }).click());
    const by = counter(ada);
    await by.click(ada.getByRole('link', { name: 'What has no home yet' }));
    for (let filed = 0; filed < 10; filed++) {
        await by.click(ada.locator('.queue-row', { hasText: 'Heap stamps' }).locator('.proposal').first());
    }
    assert.equal(await ada.locator('.queue-row', { hasText: 'Heap stamps' }).count(), 0);
    assert.equal(by.count(), 11);
    assert.deepEqual(audit(room.data).differences, []);
});
