import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, openBrowser, person, press, violations } from './harness.mjs';

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

const inside = (page, view) => page.evaluate((name) => {
    const panel = document.querySelector('.room').getBoundingClientRect();
    const drawing = document.querySelector(`.room-view.${name} svg`).getBoundingClientRect();
    return drawing.top >= panel.top && drawing.bottom <= panel.bottom + 1 && drawing.left >= panel.left - 1 && drawing.right <= panel.right + 1;
}, view);

test('the whole room is in view at 1280 and at 820 pixels, and its outlines on a phone', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    for (const [width, height, view] of [[1280, 800, 'beside'], [820, 1100, 'above'], [390, 844, 'outlines']]) {
        await ada.setViewportSize({ width, height });
        await ada.goto('/stores/places/C3');
        const shown = await ada.locator('.room-view').evaluateAll((views) => views.filter((one) => one.offsetParent).map((one) => one.classList[1]));
        assert.deepEqual(shown, [view]);
        assert.ok(await inside(ada, view), `${view} lies within its panel`);
        assert.equal(await ada.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth), true, `nothing sticks out at ${width}`);
        assert.deepEqual(await violations(ada), []);
    }
    await ada.setViewportSize({ width: 1280, height: 800 });
    assert.equal(await ada.locator('.beside .elevation a.unit-name').count(), 12);
    assert.deepEqual(ada.complaints, []);
});

test('names of units stand clear of each other, in the typeface that their widths were taken from', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    for (const [width, view] of [[1280, 'beside'], [820, 'above']]) {
        await ada.setViewportSize({ width, height: 1000 });
        await ada.goto('/stores');
        await ada.evaluate(() => document.fonts.ready);
        const boxes = await ada.locator(`.${view} .unit-name g`).evaluateAll((names) => names.map((name) => {
            const { left, right, top, bottom } = name.getBoundingClientRect();
            return { left, right, top, bottom, text: name.textContent };
        }));
        assert.equal(boxes.length, 12);
        for (const [at, a] of boxes.entries()) {
            for (const b of boxes.slice(at + 1)) {
                const apart = a.right <= b.left + 0.5 || b.right <= a.left + 0.5 || a.bottom <= b.top + 3 || b.bottom <= a.top + 3;
                assert.ok(apart, `${a.text} and ${b.text} in ${view}`);
            }
        }
    }
});

test('a finger on a drawer that is too small opens its unit large', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true, hasTouch: true, viewport: { width: 820, height: 1100 } });
    await ada.goto('/stores/places/H7');
    await ada.locator('.above a.place[data-address="C2"]').tap();
    const large = ada.locator('#unit-large');
    await large.locator('a.place').first().waitFor();
    assert.match(ada.url(), /H7$/, 'the page stays');
    assert.equal(await large.locator('a.place.small').count(), 0);
    assert.deepEqual(await violations(ada), []);
    await large.locator('a.place[data-address="C2"]').tap();
    await ada.waitForURL(/\/stores\/places\/C2/);
    await ada.setViewportSize({ width: 390, height: 844 });
    await ada.goto('/plan');
    await ada.locator('.outlines a[data-unit="L"]').tap();
    await large.locator('a.place[data-address="L4"]').waitFor();
    await ada.keyboard.press('Escape');
    assert.equal(await large.evaluate((dialog) => dialog.open), false);
    assert.deepEqual(ada.complaints, []);
});

test('the walls of Stores are a press away from each other, and each front leads to its place', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await ada.goto('/stores');
    await ada.locator('.wall-cards a', { hasText: 'South wall' }).click();
    await ada.locator('.wall-large a.place[data-address="J7"]').waitFor();
    assert.deepEqual(await violations(ada), []);
    await ada.locator('.wall-large a.place[data-address="J7"]').click();
    await ada.waitForURL(/\/stores\/places\/J7/);
    assert.deepEqual(ada.complaints, []);
});

test('the drawers of a unit are named with one press each', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores/units/J');
    const names = ada.locator('.names input[data-next]');
    assert.equal(await names.count(), 16);
    await names.nth(12).focus();
    for (const name of ['teal scraps', 'gold scraps', 'silver scraps']) {
        await ada.keyboard.insertText(name);
        await ada.keyboard.press('Enter');
    }
    assert.equal(await ada.evaluate(() => document.activeElement.getAttribute('id')), await names.nth(15).getAttribute('id'));
    await ada.keyboard.insertText('foil scraps');
    await press(ada, () => ada.keyboard.press('Enter'));
    assert.match(await ada.locator('.said').innerText(), /4 places written down/);
    assert.equal(await names.nth(15).inputValue(), 'foil scraps');
    await press(ada, () => ada.locator('.said button').click());
    assert.equal(await names.nth(15).inputValue(), '');
    assert.deepEqual(ada.complaints, []);
});
