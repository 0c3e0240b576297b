import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, openBrowser, person, press, violations } from './harness.mjs';

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

const tickOf = (page, name) => page.locator('.lying li', { hasText: name }).locator('[name="items[]"]');
const lies = (page, name) => page.locator('.lying-name', { hasText: name }).count();

test('what is ticked goes where one touches the room, and back with an undo', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await ada.goto('/stores/places/C3');
    assert.equal(await ada.locator('.chosen-bar').isVisible(), false, 'nothing is chosen yet');
    await tickOf(ada, 'Loose rope').check();
    await tickOf(ada, 'Quay steps').check();
    assert.equal(await ada.locator('.chosen-count').innerText(), '2 chosen');
    assert.deepEqual(await violations(ada), []);
    await press(ada, () => ada.locator('.beside a.place[data-address="C4"]').click());
    assert.match(await ada.locator('.said').innerText(), /Loose rope and Quay steps are in C4 now/);
    assert.equal(new URL(ada.url()).pathname, '/stores/places/C3', 'one stays where one chose');
    assert.equal(await lies(ada, 'Loose rope'), 0);
    await press(ada, () => ada.getByRole('button', { name: 'Undo' }).click());
    await ada.goto('/stores/places/C3');
    assert.equal(await lies(ada, 'Loose rope'), 1);
    assert.deepEqual(audit(room.data).differences, []);
    assert.deepEqual(ada.complaints, []);
});

test('a thing is pulled to its new place with the mouse', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores/places/C3');
    await press(ada, () => ada.locator('.lying li', { hasText: 'Puffin parade' }).dragTo(ada.locator('.beside a.place[data-address="A4"]')));
    assert.match(await ada.locator('.said').innerText(), /Puffin parade is in A4 now/);
    assert.deepEqual(audit(room.data).differences, []);
});

test('a touch on the room opens a place as ever while nothing is ticked', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores/places/C3');
    await tickOf(ada, 'Oars crossed').check();
    await tickOf(ada, 'Oars crossed').uncheck();
    await press(ada, () => ada.locator('.beside a.place[data-address="A4"]').click());
    assert.equal(new URL(ada.url()).pathname, '/stores/places/A4');
});

test('without JavaScript the same is typed, and results of a search are put on a list', async () => {
    const ben = await person(browser, room, 'ben', { javaScriptEnabled: false });
    await ben.goto('/find?q=felt+gulls');
    await ben.locator('main [name="items[]"]').first().check();
    await Promise.all([ben.waitForNavigation(), ben.getByRole('button', { name: 'On its list' }).click()]);
    assert.match(await ben.locator('.said').innerText(), /Felt gulls is on the list of “.+”/);
    assert.deepEqual(audit(room.data).differences, []);
});
