import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, openBrowser, person, press } from './harness.mjs';

let room;
let browser;

before(async () => {
    room = await Room.empty();
    browser = await openBrowser();
});
after(async () => {
    await browser?.close();
    room?.close();
});

test('from nothing to a first pulled thing', async () => {
    const nell = await person(browser, room, null);
    let steps = 0;
    const did = async (work) => {
        steps += 1;
        await work();
    };
    await nell.goto('/');
    assert.match(await nell.locator('h1').innerText(), /Your room/);
    await did(() => nell.fill('#begin-room', 'The back room'));
    await did(() => nell.getByLabel('millimetres').check());
    await did(() => nell.fill('#begin-name', 'Nell'));
    await did(() => nell.fill('#begin-login', 'nell'));
    await did(() => nell.fill('#begin-password', 'a-long-password'));
    await did(() => Promise.all([nell.waitForNavigation(), nell.getByRole('button', { name: 'Open the room' }).click()]));
    assert.match(await nell.locator('h1').innerText(), /first piece of furniture/);
    await did(() => press(nell, () => nell.getByRole('button', { name: 'Put it in the room' }).click()));
    assert.equal(await nell.locator('.plate.big span').innerText(), 'B1');
    await did(() => nell.fill('#things-things', 'Lighthouse and gulls\nFair winds; Oddling\nPetrel card; Marrowlight Paper; 24'));
    await did(() => press(nell, () => nell.getByRole('button', { name: 'Put them in' }).click()));
    assert.match(await nell.locator('.said').innerText(), /are in B1 now/);
    await did(() => nell.getByLabel('Choose Lighthouse and gulls').check());
    await did(() => press(nell, () => nell.getByRole('button', { name: 'Take out' }).click()));
    assert.match(await nell.locator('h1').innerText(), /On the bench/);
    assert.equal(steps, 11);
    const report = audit(room.data);
    assert.deepEqual([report.movements, report.differences], [4, []]);
    assert.deepEqual(nell.complaints, []);
    await nell.goto('/stores');
    assert.equal(await nell.locator('.beside a.place').count(), 6);
});
