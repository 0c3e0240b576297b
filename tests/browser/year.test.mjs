import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, enter, openBrowser, person, press, said, violations } from './harness.mjs';

// The year: a month planned from birthdays, a card picked and not offered again, a kit that waits in a folder.
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

test('a month is planned from birthdays, by keyboard alone', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await ada.goto('/occasions');
    await ada.locator('summary', { hasText: 'Write a date down' }).focus();
    await ada.keyboard.press('Enter');
    const soon = new Date(Date.now() + 12 * 86400000);
    const written = `${soon.getUTCDate()} ${soon.toLocaleString('en', { month: 'long', timeZone: 'UTC' })} 1990`;
    await ada.fill('#occasion-person', 'Nerys Bollard');
    await ada.fill('#occasion-on', written);
    await enter(ada, ada.getByRole('button', { name: 'Into the year' }));
    assert.match(await said(ada), /Nerys Bollard’s birthday is in the year, next on/);
    const row = ada.locator('.date-row', { hasText: 'Nerys Bollard is' });
    assert.match(await row.innerText(), /to make, begin by/);
    await enter(ada, row.getByRole('button', { name: /Plan a kit/ }));
    assert.match(await said(ada), /is planned, due/);
    await enter(ada, ada.getByRole('link', { name: 'When?' }));
    assert.match(await ada.locator('.year-kit').innerText(), /Takes about .*an estimate/);
    await ada.fill('#kit-time', '1½ h');
    await ada.fill('#kit-drying_days', '1');
    await enter(ada, ada.locator('.year-kit').getByRole('button', { name: 'Write it down' }));
    assert.match(await ada.locator('.year-kit').innerText(), /Takes 1½ h\. Begin (on .* at the latest|now)/);
    assert.ok(await ada.locator('.year-slip.chosen .work-bar, .work-bar').count() > 0);
    assert.deepEqual(await violations(ada), []);
    const slip = ada.locator('.year-slip', { hasText: 'Nerys Bollard' });
    assert.equal(await slip.count(), 1);
    await enter(ada, slip);
    assert.match(await ada.locator('.year-kit h2').innerText(), /Nerys Bollard/);
});

test('a card is picked from the shelf, sent, and not offered to the same person again', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await ada.goto('/occasions');
    const row = ada.locator('.date-row', { hasText: 'Cook of the Petrel' });
    await enter(ada, row.getByRole('link', { name: /from the shelf/ }));
    const best = ada.locator('.choice').first();
    const card = await best.locator('b').innerText();
    assert.match(await best.innerText(), /for birthday/);
    assert.deepEqual(await violations(ada), []);
    await enter(ada, best.getByRole('button', { name: /Keep it for that day/ }));
    assert.match(await said(ada), new RegExp(`One of ${card} is kept for Cook of the Petrel`));
    await ada.goto('/occasions');
    assert.match(await row.innerText(), /kept on the shelf/);
    await enter(ada, row.getByRole('link', { name: 'kept on the shelf' }));
    await enter(ada, ada.locator('.shelf-board a', { hasText: card }));
    await ada.fill('#give-person', 'Cook of the Petrel');
    await ada.selectOption('#give-way', 'sent');
    const value = await ada.locator('#give-date option', { hasText: 'Cook of the Petrel' }).getAttribute('value');
    await ada.selectOption('#give-date', value);
    await enter(ada, ada.getByRole('button', { name: 'It is gone' }));
    assert.match(await said(ada), /sent to Cook of the Petrel/);
    await ada.goto('/occasions');
    assert.match(await row.innerText(), /given/);
    await ada.goto('/shelf');
    await ada.selectOption('#choose-person', { label: 'Cook of the Petrel' });
    await enter(ada, ada.getByRole('button', { name: 'Which card?' }));
    const offered = await ada.locator('.choice b').allInnerTexts();
    assert.ok(offered.length > 0 && !offered.includes(card), offered.join(', '));
    assert.deepEqual(audit(room.data).differences, []);
});

test('a tray is parked in a folder and taken up on another device', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    const ben = await person(browser, room, 'ben', { bypassCSP: true, viewport: { width: 820, height: 1100 } });
    await ada.goto('/plan');
    const kit = await ada.locator('.kit-tray', { hasText: 'Regatta invitations' }).locator('.name a').getAttribute('href');
    await ada.goto(kit);
    await ada.locator('summary', { hasText: 'Park it in a folder' }).press('Enter');
    await ada.fill('#park-home', 'K2');
    await enter(ada, ada.getByRole('button', { name: 'Park it' }));
    assert.match(await said(ada), /“Regatta invitations” waits in folder 2 in K2/);
    assert.equal(await ada.locator('.trays a, .rail a', { hasText: 'Regatta' }).count(), 0, 'its tray is free');
    assert.deepEqual(await violations(ada), []);
    await ben.goto('/plan');
    await press(ben, () => ben.getByRole('button', { name: /Take it up\s*: Regatta/ }).click());
    assert.match(await said(ben), /is on tray 4/);
    await ada.goto(kit);
    assert.equal(await ada.locator('.parked').count(), 0);
    assert.deepEqual(audit(room.data).differences, []);
});
