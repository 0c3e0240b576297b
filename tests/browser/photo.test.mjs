import assert from 'node:assert/strict';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { Room, audit, openBrowser, person, press, root, violations } from './harness.mjs';

// The photo of an open drawer: its things are touched, named and taken in.
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

const DRAWER = join(root, 'demo/pictures/open-drawer.jpg');
const WIDE = 1500;

async function photograph(page, address) {
    await page.goto('/take-in');
    await page.getByLabel('Which place').fill(address);
    await page.getByLabel('Its photo').setInputFiles(DRAWER);
    await press(page, () => page.getByRole('button', { name: 'Take it' }).click());
}

const photo = (page) => page.locator('[data-photo] input');
const spot = async (page, nth) => (await page.locator(`input[name="spot_${nth}"]`).inputValue()).split(', ').map(Number);

async function point(page, x, y) {
    const box = await photo(page).boundingBox();
    const scale = box.width / WIDE;
    return { x: x * scale, y: y * scale, onPage: [box.x + x * scale, box.y + y * scale] };
}

async function touch(page, x, y, name) {
    const position = await point(page, x, y);
    await press(page, () => photo(page).click({ position }));
    await page.keyboard.type(name);
}

test('things are touched on the photo of a drawer, named and taken in', async () => {
    const ada = await person(browser, room, 'ada');
    await photograph(ada, 'F4');
    await touch(ada, 600, 200, 'Deep harbour card; Marrowlight Paper; 12');
    const [left, top, wide, high] = await spot(ada, 0);
    for (const [is, should] of [[left, 31.3], [top, 9.2], [wide, 20], [high, 28.8]]) {
        assert.ok(Math.abs(is - should) < 2, `${is} is about ${should}`);
    }
    const [from, to] = [(await point(ada, 860, 500)).onPage, (await point(ada, 1120, 860)).onPage];
    await press(ada, async () => {
        await ada.mouse.move(...from);
        await ada.mouse.down();
        await ada.mouse.move(...to, { steps: 4 });
        await ada.mouse.up();
    });
    await ada.keyboard.type('Boat dies');
    const drawn = await spot(ada, 1);
    for (const [nth, should] of [57.3, 48.1, 17.3, 34.6].entries()) {
        assert.ok(Math.abs(drawn[nth] - should) < 1, `${drawn[nth]} is about ${should}`);
    }
    assert.equal(await ada.locator('input[name="name_0"]').inputValue(), 'Deep harbour card; Marrowlight Paper; 12', 'what was typed before is still there');
    assert.deepEqual(await violations(ada), []);
    await press(ada, () => ada.getByRole('button', { name: 'Look at them' }).click());
    assert.equal(await ada.getByLabel('Kind, line 2').inputValue(), 'die');
    assert.deepEqual(await violations(ada), []);
    await press(ada, () => ada.getByRole('button', { name: 'Put them in' }).click());
    assert.match(await ada.locator('.said').innerText(), /Deep harbour card and Boat dies are taken from the photo/);
    assert.equal(await ada.locator('.seen-place a').count(), 2);
    assert.deepEqual(await violations(ada), []);
    await press(ada, () => ada.locator('.seen-place a', { hasText: 'Boat dies' }).click());
    assert.equal(await ada.locator('h1').innerText(), 'Boat dies', 'its outline leads to its page');
    assert.deepEqual(audit(room.data).differences, []);
});

test('by keys alone a piece of the photo is marked and moved', async () => {
    const ada = await person(browser, room, 'ada');
    await photograph(ada, 'F6');
    await photo(ada).focus();
    await press(ada, () => ada.keyboard.press('Enter'));
    assert.equal(await ada.evaluate(() => document.activeElement.name), 'name_0');
    await ada.keyboard.type('Cormorant ink');
    await ada.locator('.marks summary').focus();
    await ada.keyboard.press('Enter');
    await ada.locator('input[name="spot_0"]').fill('77, 10, 15, 22');
    await press(ada, () => ada.keyboard.press('Enter'));
    assert.equal(await ada.locator('.marks-drawn .mark-said').count(), 1, 'Enter in a field keeps what is typed and marks no other thing');
    assert.deepEqual(await spot(ada, 0), [77, 10, 15, 22]);
    await press(ada, () => ada.getByRole('button', { name: 'Look at it' }).click());
    assert.match(await ada.getByLabel('Colour, line 1').inputValue(), /^#[0-9a-f]{6}$/, 'its colour is measured');
    await press(ada, () => ada.getByRole('button', { name: 'Put it in' }).click());
    assert.match(await ada.locator('.said').innerText(), /Cormorant ink is taken from the photo/);
});

test('without JavaScript the photo is touched, too', async () => {
    const ada = await person(browser, room, 'ada', { javaScriptEnabled: false });
    await ada.goto('/take-in');
    await ada.getByLabel('Which place').fill('F5');
    await ada.getByLabel('Its photo').setInputFiles(DRAWER);
    await ada.getByRole('button', { name: 'Take it' }).click();
    const box = await photo(ada).boundingBox();
    await photo(ada).click({ position: { x: (600 * box.width) / WIDE, y: (200 * box.width) / WIDE } });
    const [left, top] = await spot(ada, 0);
    assert.ok(Math.abs(left - 31.3) < 2 && Math.abs(top - 9.2) < 2, `${left}, ${top}`);
});
