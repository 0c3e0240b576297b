import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, enter, openBrowser, person, press, said, space, violations } from './harness.mjs';

// Rounds of upkeep in the demo room: things to better homes, a lost thing found, a drawer counted by weighing, two trays put away.
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

const isOver = async (page) => (await page.locator('.finish-line').count()) > 0;

// Presses the one button of each stop until the round is over.
async function walk(page) {
    for (let stop = 0; stop < 40 && !(await isOver(page)); ++stop) {
        for (const tick of await page.locator('.round-act .tick input:not(:checked)').all()) await tick.check();
        await page.locator('body').click({ position: { x: 2, y: 2 } });
        await space(page);
    }
}

async function homeOf(page, name) {
    await page.goto(`/find?q=${encodeURIComponent(name)}`);
    return page.locator('.row', { hasText: name }).first().innerText();
}

test('a re-homing round carries things to better homes, by key alone', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await ada.goto('/upkeep/homes');
    await ada.locator('.slips .slip').first().waitFor();
    assert.ok(await ada.locator('.room-view:visible .arrows .sign').count() > 2, 'the moves are arrows in the room');
    assert.match(await ada.locator('.slip', { hasText: 'Foam squares' }).innerText(), /D6[\s\S]*E2[\s\S]*fetched \d+ times a month[\s\S]*pays back in/);
    assert.deepEqual(await violations(ada), []);
    await ada.locator('.slip', { hasText: 'White A2 panels' }).locator('input').uncheck();
    await ada.locator('body').click({ position: { x: 2, y: 2 } });
    await space(ada);
    assert.match(await ada.locator('.round-track').innerText(), /Re-homing round/);
    assert.match(await ada.locator('.plate').innerText(), /D6/);
    assert.deepEqual(await violations(ada), []);
    await space(ada);
    assert.match(await said(ada), /Foam squares and Photo corners, kraft are in basket 1/);
    await press(ada, () => ada.keyboard.press('u'));
    assert.match(await said(ada), /Foam squares/, 'an undo tells what is back');
    await walk(ada);
    assert.ok(await isOver(ada));
    assert.match(await homeOf(ada, 'Foam squares'), /E2/);
    assert.match(await homeOf(ada, 'White A2 panels'), /D2/, 'what was not ticked stays');
    assert.deepEqual(audit(room.data).differences, []);
    assert.deepEqual(ada.complaints, []);
});

test('a lost thing is looked for where the log points, and found', async () => {
    const ben = await person(browser, room, 'ben', { bypassCSP: true });
    await ben.goto('/upkeep/lost');
    assert.match(await ben.locator('.lost-search').innerText(), /Tide line washi/);
    const chances = await ben.locator('.likely-chance b').allInnerTexts();
    assert.equal(chances.reduce((sum, text) => sum + parseInt(text, 10), 0), 100, 'the chances add up');
    assert.deepEqual(await violations(ben), []);
    await ben.locator('body').click({ position: { x: 2, y: 2 } });
    await space(ben);
    assert.match(await ben.locator('.round-track').innerText(), /Search round/);
    for (let stop = 0; stop < 8; ++stop) {
        if (/A12/.test(await ben.locator('.plate').innerText())) break;
        await space(ben);
    }
    assert.match(await ben.locator('.plate').innerText(), /A12/, 'beside its home');
    assert.deepEqual(await violations(ben), []);
    await enter(ben, ben.getByRole('button', { name: /Found it/ }));
    assert.match(await said(ben), /Tide line washi is found, in A12/);
    assert.match(await ben.locator('.plate').innerText(), /A11/, 'it goes home on the same round');
    await space(ben);
    assert.ok(await isOver(ben));
    await ben.goto('/upkeep/lost');
    assert.doesNotMatch(await ben.locator('main').innerText(), /Tide line washi/);
    assert.deepEqual(audit(room.data).differences, []);
    assert.deepEqual(ben.complaints, []);
});

test('a drawer is counted by weighing', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await ada.goto('/upkeep/counts');
    assert.match(await ada.locator('.accuracy').innerText(), /in six months \d+ %/);
    assert.deepEqual(await violations(ada), []);
    await ada.goto('/paper/weigh');
    const grams = ada.locator('input[name=grams]').first();
    if (!(await grams.isVisible())) await ada.locator('summary', { hasText: /stand/i }).first().click();
    await grams.fill('60');
    await press(ada, () => grams.press('Enter'));
    await ada.goto('/stores/places/D2/count');
    const row = ada.locator('.row', { hasText: 'White A2 top-fold bases' });
    await enter(ada, row.getByRole('button', { name: /Weigh/ }));
    assert.match(await row.innerText(), /60 g on the scale/);
    const weighed = await row.locator('input.quantity').inputValue();
    assert.match(weighed, /^\d+$/, 'the scale has filled the line in');
    assert.match(await row.innerText(), /than the log says: why\?/);
    assert.deepEqual(await violations(ada), []);
    await enter(ada, ada.getByRole('button', { name: /All else is as the log says/ }));
    assert.match(await ada.locator('.problem').innerText(), /One thing differs from the log/);
    assert.equal(await row.locator('input.quantity').inputValue(), weighed, 'nothing typed is lost');
    await row.locator('select').selectOption({ index: 1 });
    await enter(ada, ada.getByRole('button', { name: /All else is as the log says/ }));
    assert.match(await said(ada), /D2 is counted: 1 line of \d+ put right/);
    assert.deepEqual(audit(room.data).differences, []);
    assert.deepEqual(ada.complaints, []);
});

test('what lies about on two trays goes home in one round', async () => {
    const ben = await person(browser, room, 'ben', { viewport: { width: 820, height: 1100 }, bypassCSP: true });
    await ben.goto('/upkeep/lying');
    assert.deepEqual(await violations(ben), []);
    await ben.locator('.row', { hasText: 'Birthday bunting cards' }).locator('input').check();
    await ben.locator('body').click({ position: { x: 2, y: 2 } });
    await space(ben);
    assert.match(await ben.locator('.round-track').innerText(), /Put-away round/);
    await walk(ben);
    assert.ok(await isOver(ben));
    assert.match(await ben.locator('.finish-line').innerText(), /Birthday bunting cards: what is left on its tray/);
    assert.deepEqual(audit(room.data).differences, []);
    assert.deepEqual(ben.complaints, []);
});

test('a shopping trip: what is due, what it may cost, and home with it', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await ada.goto('/upkeep/stocks');
    const row = ada.locator('.stocks .row', { hasText: 'White A2 panels' });
    assert.match(await row.innerText(), /\d+ left[\s\S]*a week[\s\S]*order now/);
    assert.ok((await row.locator('svg.stock').count()) === 1);
    await row.locator('summary').click();
    await row.getByLabel('Always keep').fill('many');
    await press(ada, () => row.getByRole('button', { name: 'Write it down' }).click());
    assert.ok((await row.locator('.field-error').innerText()).length > 3, 'told beside its field');
    await row.getByLabel('Always keep').fill('20');
    await row.getByLabel('Buy below').fill('1.00');
    await row.getByLabel('for so much').fill('100');
    await press(ada, () => row.getByRole('button', { name: 'Write it down' }).click());
    assert.match(await said(ada), /what is kept of White A2 panels/);
    assert.deepEqual(await violations(ada), []);
    await ada.goto('/upkeep/shopping');
    const line = ada.locator('.shopping .row', { hasText: 'White A2 panels' });
    assert.match(await line.innerText(), /above what you pay/);
    assert.match(await line.innerText(), /You have one like it already/);
    await line.locator('input.quantity').first().fill('120');
    await line.locator('input[name=price]').fill('14.40');
    await press(ada, () => line.getByRole('button', { name: /Bought/ }).click());
    assert.match(await said(ada), /120 of White A2 panels in D2, for 14.40/);
    assert.equal(await line.count(), 0, 'it is off the list');
    assert.match(await ada.locator('.spent').innerText(), /Marrowlight Paper/);
    assert.deepEqual(await violations(ada), []);
    assert.deepEqual(audit(room.data).differences, []);
    assert.deepEqual(ada.complaints, []);
});

test('a drawer is weeded with one key each, and the month tells what became of it', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await ada.goto('/upkeep/idle?months=6&kind=embellishment');
    assert.match(await ada.locator('.page-head').innerText(), /Not used for half a year[\s\S]*cu ft/);
    assert.ok((await ada.locator('.idle-volume svg').count()) > 0, 'as drawers');
    const parted = async () => Number((await ada.locator('.use-up-bins p b').nth(1).innerText()).replace(/,/g, ''));
    const before = await parted();
    assert.deepEqual(await violations(ada), []);
    for (const box of await ada.locator('.lying input:checked').all()) await box.uncheck();
    await ada.locator('.lying .row', { hasText: 'A4' }).locator('input').check();
    await ada.locator('body').click({ position: { x: 2, y: 2 } });
    await space(ada);
    assert.match(await ada.locator('.round-track').innerText(), /Weeding round/);
    assert.deepEqual(await violations(ada), []);
    const name = await ada.locator('.errand-look .name').first().innerText();
    await press(ada, () => ada.keyboard.press('k'));
    assert.equal((await said(ada)).includes(`${name} stays.`), true);
    const gone = await ada.locator('.errand-look .name').first().innerText();
    await press(ada, () => ada.keyboard.press('g'));
    assert.equal((await said(ada)).includes(`${gone} is in the give-away box.`), true);
    await enter(ada, ada.getByRole('button', { name: /End it here/ }));
    assert.ok(await isOver(ada));
    await ada.goto('/upkeep/idle?months=6&kind=embellishment');
    assert.ok((await parted()) > before, 'the month tells it');
    await ada.goto('/upkeep/parting');
    assert.match(await ada.locator('.parting').innerText(), new RegExp(gone));
    assert.deepEqual(await violations(ada), []);
    await enter(ada, ada.getByRole('button', { name: 'It is given away' }));
    assert.equal((await said(ada)).includes(`${gone} is given away.`), true);
    assert.deepEqual(audit(room.data).differences, []);
    assert.deepEqual(ada.complaints, []);
});

test('the season’s things come forward in one round, by key alone', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await ada.goto('/upkeep/seasons');
    const row = ada.locator('.season-moves .row', { hasText: 'Frost sequins' });
    assert.match(await row.innerText(), /Midwinter on \d+ \w+[\s\S]*K1\.a[\s\S]*J14/);
    assert.ok(await ada.locator('.room-view:visible .arrows .sign').count() > 0, 'from front to front in the room');
    assert.deepEqual(await violations(ada), []);
    await space(ada);
    assert.match(await ada.locator('main').innerText(), /its home until the season is over/);
    await walk(ada);
    assert.match(await homeOf(ada, 'Frost sequins'), /J14/);
    await ada.locator('.row', { hasText: 'Frost sequins' }).first().locator('a').first().click();
    await ada.locator('.item-home').waitFor();
    assert.match(await ada.locator('.item-home').innerText(), /otherwise it lives in K1\.a/);
    assert.deepEqual(audit(room.data).differences, []);
    assert.deepEqual(ada.complaints, []);
});

test('a cupboard moves house: packed box by box, moved in, unpacked', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await ada.goto('/upkeep/move');
    for (const box of await ada.locator('.move-form .tick input').all()) {
        const label = await box.evaluate((one) => one.closest('label').innerText);
        if (!/^\s*L\b/.test(label)) await box.uncheck();
    }
    await ada.fill('#boxes-grams', '2 lb');
    await enter(ada, ada.getByRole('button', { name: 'Work it out anew' }));
    const boxes = await ada.locator('.moving-box').count();
    assert.ok(boxes > 1, 'as light as that, it takes several boxes');
    assert.deepEqual(await violations(ada), []);
    await space(ada);
    assert.match(await said(ada), new RegExp(`${boxes} boxes are to be packed`));
    assert.deepEqual(await violations(ada), []);
    for (let box = 0; box < boxes; ++box) {
        await space(ada);
        await walk(ada);
        assert.match(await ada.locator('.finish-line').innerText(), new RegExp(`Box ${box + 1} is packed`));
        await space(ada);
    }
    assert.match(await ada.locator('main').innerText(), new RegExp(`${boxes} of ${boxes} boxes packed`));
    await ada.goto('/upkeep/move/labels');
    assert.equal(await ada.locator('.box-label').count(), boxes);
    const first = (await ada.locator('.box-list').first().innerText()).split(' · ')[0];
    assert.deepEqual(await violations(ada), []);
    await ada.goto('/upkeep/move');
    await space(ada);
    assert.match(await said(ada), /You have moved in/);
    for (let box = 0; box < boxes; ++box) {
        await space(ada);
        await walk(ada);
        await space(ada);
    }
    assert.match(await ada.locator('main').innerText(), new RegExp(`${boxes} of ${boxes} boxes unpacked`));
    await space(ada);
    assert.match(await said(ada), /The move is over/);
    assert.match(await homeOf(ada, first), /L\d/);
    assert.deepEqual(audit(room.data).differences, []);
    assert.deepEqual(ada.complaints, []);
});
