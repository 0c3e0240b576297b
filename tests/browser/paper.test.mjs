import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, openBrowser, person, press } from './harness.mjs';

// Paper: a piece is asked for and put on a list; scraps are kept one after the other.
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

test('a piece is asked for, seen in its scrap, lit in the room and put on a list', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/plan');
    await press(ada, () => ada.getByRole('link', { name: 'Paper', exact: true }).click());
    await ada.keyboard.type('4 x 5 1/4');
    await ada.getByLabel('Of which colour').fill('Petrel');
    await press(ada, () => ada.keyboard.press('Enter'));
    assert.equal(await ada.locator('.piece-says').innerText(), 'Yes, without a new sheet.');
    assert.match(await ada.locator('.piece-answers li').first().innerText(), /J7\s+4¼ × 6\s+Petrel scrap/);
    assert.ok((await ada.locator('.room-view.beside .lit').count()) >= 2, 'where they could come from is lit');
    const [wanted, whole] = await ada.evaluate(() =>
        ['.wanted', '.piece-drawing'].map((part) => document.querySelector(`.piece-answers li ${part}`).getBoundingClientRect().width));
    assert.ok(wanted < whole, 'the piece lies in it');
    await ada.getByLabel('for', { exact: true }).selectOption({ label: 'Condolence, blue' });
    await press(ada, () => ada.locator('.piece-answers button').first().click());
    assert.match(await ada.locator('main').innerText(), /Petrel scrap 4 1\/4 × 6/);
    assert.deepEqual(ada.complaints, []);
    assert.deepEqual(audit(room.data).differences, []);
});

test('a colour is touched, and three scraps of it are kept in a row', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/paper');
    await press(ada, () => ada.locator('.paper-wall a', { hasText: 'Buoy' }).first().click());
    assert.equal(await ada.getByLabel('Of which colour').inputValue(), 'Buoy');
    for (const size of ['3 x 5', '3 x 5', '2 1/2 x 9']) {
        await ada.getByLabel('Size', { exact: true }).fill(size);
        await press(ada, () => ada.keyboard.press('Enter'));
        assert.match(await ada.locator('.said').innerText(), /Buoy scrap .* is in J2 now/);
        assert.equal(await ada.evaluate(() => document.activeElement.name), 'scrap_size', 'ready for the next one');
    }
    await press(ada, () => ada.getByRole('button', { name: '4 × 4' }).click());
    assert.match(await ada.locator('.said').innerText(), /Buoy scrap 4 × 4 is in J2 now/);
    await press(ada, () => ada.getByRole('button', { name: 'Undo' }).click());
    await ada.goto('/find?q=Buoy+scrap');
    const found = await ada.locator('main').innerText();
    assert.match(found, /Buoy scrap 3 × 5/);
    assert.doesNotMatch(found, /Buoy scrap 4 × 4/);
    assert.deepEqual(audit(room.data).differences, []);
});

test('two kinds are weighed in a row with Enter alone', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/paper/weigh');
    await press(ada, () => ada.locator('.weigh-list a', { hasText: 'Petrel cardstock 12 × 12' }).click());
    await ada.locator('summary', { hasText: 'The stand-in for a real scale' }).click();
    await ada.getByLabel('Lay on it, in grams').fill('241');
    await press(ada, () => ada.keyboard.press('Enter'));
    assert.equal(await ada.locator('.scale-plate span').innerText(), '241 g');
    assert.match(await ada.locator('.lead').innerText(), /^About 12 sheets|^12 sheets/);
    assert.equal(await ada.evaluate(() => document.activeElement.name), 'sheets', 'Enter writes it down');
    await press(ada, () => ada.keyboard.press('Enter'));
    assert.match(await ada.locator('.said').innerText(), /Petrel cardstock 12 × 12 in H1: 12 sheets as weighed, 1 more than the log believed/);
    const next = await ada.locator('.round-thing h2').innerText();
    assert.notEqual(next.trim(), 'Petrel cardstock 12 × 12');
    await press(ada, () => ada.keyboard.press('Enter'));
    assert.match(await ada.locator('.said').innerText(), new RegExp(next.trim()));
    assert.deepEqual(ada.complaints, []);
    assert.deepEqual(audit(room.data).differences, []);
});
