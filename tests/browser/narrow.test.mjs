// What narrow screens have room for: every tray, every paper, the work at the bench.
import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, openBrowser, person, press } from './harness.mjs';

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

async function trayOf(page, name, words) {
    await page.goto('/plan');
    await page.fill('#kit-name', name);
    await press(page, () => page.getByRole('button', { name: 'Plan it' }).click());
    await page.fill('#pick-q', words);
    await press(page, () => page.press('#pick-q', 'Enter'));
    await press(page, () => page.locator('.card .row').first().getByRole('button', { name: 'Add' }).click());
    await press(page, () => page.getByRole('button', { name: /Pull it in one round/ }).click());
    await press(page, () => page.keyboard.press('Space'));
}

/** Which of some elements do not lie in their box as a whole. */
const cutOff = (page, box, of) =>
    page.evaluate(
        ([outer, inner]) => {
            const edge = document.querySelector(outer).getBoundingClientRect();
            return [...document.querySelectorAll(inner)]
                .filter((one) => one.getBoundingClientRect().right > edge.right + 0.5 || one.getBoundingClientRect().left < edge.left - 0.5)
                .map((one) => one.textContent.trim().slice(0, 40));
        },
        [box, of],
    );

test('every tray is seen, at every width', async () => {
    const ada = await person(browser, room, 'ada');
    for (const [name, words] of [['Fifth', 'petrel card'], ['Sixth', 'buoy card'], ['Seventh', 'kraft card'], ['Eighth', 'fog card']]) {
        await trayOf(ada, name, words);
    }
    await ada.goto('/plan');
    const many = await ada.locator('.tray').count();
    assert.equal(many, 8);
    for (const width of [1280, 820, 390]) {
        await ada.setViewportSize({ width, height: 844 });
        assert.deepEqual(await cutOff(ada, '.trays', '.tray'), [], `${width}`);
        const small = await ada.locator('.tray').evaluateAll((all) => all.filter((one) => one.offsetWidth < 24 || one.offsetHeight < 44).length);
        assert.equal(small, 0, `${width}: they can be touched`);
    }
});

test('no paper is cut off from its shelf, at any width', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/paper');
    for (const width of [1280, 820, 390]) {
        await ada.setViewportSize({ width, height: 844 });
        assert.deepEqual(await cutOff(ada, '.paper-wall-box', '.paper-wall a'), [], `${width}`);
    }
});

test('the bench on a phone has most of the screen', async () => {
    const ada = await person(browser, room, 'ada', { viewport: { width: 390, height: 844 } });
    await ada.goto('/plan');
    await ada.goto(`${await ada.locator('.kit-tray', { hasText: 'Ferry kiosk gulls' }).locator('.name a').first().getAttribute('href')}/make`);
    const { height } = await ada.locator('main').boundingBox();
    assert.ok(height > 600, `${height} of 844`);
});

test('a white sheet is seen on the cutting table', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/plan');
    const kit = await ada.locator('.kit-tray', { hasText: 'Ferry kiosk gulls' }).locator('.name a').first().getAttribute('href');
    await ada.goto(`${kit}/cut`);
    await ada.fill('textarea', '9 panels 4 × 5 1/4 Gull cardstock 12 × 12');
    await press(ada, () => ada.getByRole('button', { name: 'Plan the cuts' }).click());
    await press(ada, () => ada.getByRole('button', { name: /Pull them/ }).click());
    while (/\/pull/.test(ada.url()) && (await ada.locator('.round').count())) await press(ada, () => ada.keyboard.press('Space'));
    await ada.goto(`${kit}/cut`);
    const strokes = await ada
        .locator('.sheet-drawing .sheet-edge')
        .evaluateAll((all) => all.map((one) => [getComputedStyle(one).stroke, getComputedStyle(document.body).backgroundColor]));
    assert.ok(strokes.length > 0);
    for (const [stroke, ground] of strokes) {
        assert.notEqual(stroke, 'none');
        assert.notEqual(stroke, ground);
    }
});
