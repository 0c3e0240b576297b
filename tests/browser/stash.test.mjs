// A list that somebody has already comes in by the page, and the room is kept safe by a button.
import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
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

const CSV = [
    'Item;Brand;Category;Qty;Location;Size (in)',
    'Storm petrel stamps;Two Bollards;Stamps;1;C1;',
    'Skerry card;Marrowlight Paper;Cardstock;24 sheets;D2;8 1/2 x 11',
    'Kelp ribbon;Oddling;Ribbon;a lot;C4;',
    'Marram twine;Oddling;Ribbon;5 yd;the old tin;',
].join('\r\n');

test('a list is read, its mistakes mended, taken in, and taken out again by one undo', async () => {
    const page = await person(browser, room, 'ada');
    const before = audit(room.data);
    await page.goto('/stores/list');
    await page.setInputFiles('#list-file', { name: 'stash.csv', mimeType: 'text/csv', buffer: Buffer.from(CSV) });
    await press(page, () => page.getByRole('button', { name: 'Read it' }).click());
    assert.equal(audit(room.data).items, before.items, 'nothing is written yet');
    const mend = page.locator('#mend li');
    assert.equal(await mend.count(), 1);
    assert.match(await mend.innerText(), /Kelp ribbon/);
    await page.fill('#mend li input', '3 yd');
    await press(page, () => page.getByRole('button', { name: 'Mend it' }).click());
    assert.equal(await mend.count(), 0);
    assert.match(await page.locator('main').innerText(), /the old tin/, 'a place that nobody knows is asked for');
    await page.fill('#place-1', 'C5');
    await press(page, () => page.getByRole('button', { name: 'Look again' }).click());
    await page.locator('[data-key="space"]').waitFor();
    assert.match(await page.locator('[data-key="space"]').innerText(), /Take 4 things in/);
    await page.locator('h1').click();
    await page.keyboard.press('Space');
    await page.getByText('All of it is in the room.').waitFor();
    const after = audit(room.data);
    assert.deepEqual(after.differences, []);
    assert.equal(after.items, before.items + 4);
    assert.equal(after.movements, before.movements + 4);
    await press(page, () => page.keyboard.press('u'));
    await page.waitForFunction(() => !/All of it is in the room/.test(document.querySelector('main').innerText));
    assert.deepEqual(audit(room.data).differences, []);
    await page.goto('/find?q=skerry');
    assert.doesNotMatch(await page.locator('main').innerText(), /Skerry card/);
    assert.deepEqual(page.complaints, []);
});

test('one press keeps the room safe, and the backup is taken along', async () => {
    const page = await person(browser, room, 'ada');
    await page.goto('/upkeep/safe');
    const before = await page.locator('.backups li').count();
    await page.keyboard.press('Space');
    await page.waitForFunction((many) => document.querySelectorAll('.backups li').length === many + 1, before);
    const [taken] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: /Take it along/ }).first().click()]);
    const zip = readFileSync(await taken.path());
    assert.equal(zip.subarray(0, 2).toString(), 'PK');
    assert.match(taken.suggestedFilename(), /^lottel-.*\.zip$/);
    assert.deepEqual(page.complaints, []);
});
