import assert from 'node:assert/strict';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { Room, audit, console_, enter, openBrowser, person, press, space, violations } from './harness.mjs';

// The cutting table: pieces of a kit from the plan to the tray, a cut that goes wrong, offcuts that are found again.
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

const hasCut = (page) => page.locator('form[action$="/cut/made"]').count();

async function planned(page, name, pieces) {
    await page.goto('/plan');
    await page.fill('#kit-name', name);
    await press(page, () => page.getByRole('button', { name: 'Plan it' }).click());
    const kit = new URL(page.url()).pathname;
    await press(page, () => page.getByRole('link', { name: 'Pieces to cut' }).click());
    await page.waitForFunction(() => document.activeElement.name === 'pieces');
    await page.keyboard.type(pieces);
    await press(page, () => page.getByRole('button', { name: 'Plan the cuts' }).click());
    return kit;
}

async function pullAll(page, kit) {
    await page.goto(kit);
    await enter(page, page.getByRole('button', { name: /Pull (it in one round|what is open)|Go on pulling/ }));
    for (let stop = 0; stop < 20 && page.url().includes('/pull'); stop++) await space(page);
    await page.goto(`${kit}/cut`);
}

async function cutAll(page) {
    let cuts = 0;
    for (; cuts < 60 && (await hasCut(page)); cuts++) await space(page);
    return cuts;
}

test('a kit of three sizes and two papers is pulled, cut, spoilt once, made and put away', async () => {
    const ada = await person(browser, room, 'ada');
    const kit = await planned(ada, '6 mussel cards, top fold', '6 A2 top-fold bases Rope\n6 mats 4 1/8 × 5 3/8 Mussel\n6 strips 1 × 5 1/4 Mussel');
    await ada.locator('.better-plan').waitFor({ state: 'detached' });
    assert.match(await ada.locator('.page-head').innerText(), /from .*sheets?/);
    assert.ok((await ada.locator('.room-view.beside .lit').count()) >= 2, 'the room lights up where the papers are');
    assert.deepEqual(await violations(ada), []);
    await ada.goto(kit);
    assert.match(await ada.locator('main').innerText(), /to cut \d+ A2 top-fold bases/);

    await pullAll(ada, kit);
    assert.match(await ada.locator('.setting').innerText(), /set the trimmer to\s+[\d¼½¾⅛⅜⅝⅞ /]+\s+in from/);
    assert.match(await ada.locator('.caution').innerText(), /Blade/);
    assert.deepEqual(await violations(ada), []);
    const first = await ada.locator('.blade-drawing').getAttribute('aria-label');
    await space(ada);
    assert.match(await ada.locator('.said').innerText(), /^Cut\./);
    await press(ada, () => ada.keyboard.press('u'));
    await ada.goto(`${kit}/cut`);
    assert.equal(await ada.locator('.blade-drawing').getAttribute('aria-label'), first, 'an undo brings the cut back');

    // The next cut goes wrong: what it spoilt is told, and the rest is planned anew.
    await ada.locator('summary', { hasText: 'Went wrong' }).click();
    await ada.getByLabel('It was cut at').fill('1/2');
    await press(ada, () => ada.getByRole('button', { name: 'Plan the rest anew' }).click());
    assert.match(await ada.locator('.said').innerText(), /That spoilt .*; planned anew\./);
    if (await ada.getByRole('button', { name: 'Pull them' }).count()) await pullAll(ada, kit);

    // A second device goes on where the first one stopped.
    const ben = await person(browser, room, 'ben');
    await ben.goto(`${kit}/cut`);
    await space(ben);
    await ada.goto(`${kit}/cut`);
    assert.ok((await cutAll(ada)) > 3);
    assert.match(await ada.locator('.scoring').innerText(), /score at\s+5½[\s\S]*6 A2 top-fold bases/);
    await space(ada);
    assert.match(await ada.locator('.finish-line').innerText(), /All is cut and scored/);
    assert.deepEqual(await violations(ada), []);
    await space(ada);

    // At the bench each card takes its pieces; then the way home.
    for (let card = 1; card <= 6; card++) {
        assert.match(await ada.locator('.bench-next .knuckle').innerText(), /takes 1 Mussel mat .*, 1 Mussel strip .*, 1 Rope A2 top-fold base/);
        await space(ada);
    }
    await press(ada, () => ada.getByRole('button', { name: /send the rest home/ }).click());
    for (let stop = 0; stop < 12 && (await ada.locator('form[action$="/return/home"]').count()); stop++) await space(ada);

    await ada.goto('/paper?piece=2+x+3&colour=Mussel');
    assert.match(await ada.locator('.piece-answers').innerText(), /Mussel scrap/, 'what was left is found again');
    const id = kit.split('/').pop();
    await ada.goto(`/log?kit=${id}`);
    assert.match(await ada.locator('main').innerText(), /cut for Mussel cards/);
    assert.deepEqual(ada.complaints, []);
    assert.deepEqual(audit(room.data).differences, []);
});

test('a batch is planned from what runs low, cut by keyboard alone, and its document is one for the planner', async () => {
    const ada = await person(browser, room, 'ada');
    const panels = async () => {
        await ada.goto('/stores/places/D2/count');
        return Number(/the log says (\d+)/.exec(await ada.locator('.row', { hasText: 'White A2 panels' }).innerText())?.[1]);
    };
    const before = await panels();
    await ada.goto('/paper');
    await enter(ada, ada.getByRole('link', { name: 'Cut ahead of time' }));
    assert.match(await ada.getByLabel('Pieces, one kind a line').inputValue(), /A2 panel/, 'what runs low stands there');
    await ada.getByLabel('Pieces, one kind a line').fill('20 A2 panels White cardstock 80 lb, letter');
    await enter(ada, ada.getByRole('button', { name: 'Plan this batch' }));
    assert.match(await ada.locator('h1').innerText(), /20 × A2 panel, ahead of time/);
    const kit = new URL(ada.url()).pathname.replace(/\/cut$/, '');
    const document = await (await ada.request.get(`${kit}/cut/plan.json`)).text();
    writeFileSync(join(room.data, 'plan.json'), document);
    const answer = JSON.parse(console_(room.data, 'lottel:cut-plan', join(room.data, 'plan.json')));
    assert.equal(answer.status, 'complete');
    assert.ok(answer.sheets <= 5);
    await pullAll(ada, kit);
    assert.ok((await cutAll(ada)) >= 2);
    assert.match(await ada.locator('.finish-line').innerText(), /All is cut/);
    await space(ada);
    await enter(ada, ada.getByRole('button', { name: /send the rest home/ }));
    for (let stop = 0; stop < 12 && (await ada.locator('form[action$="/return/home"]').count()); stop++) await space(ada);
    assert.equal(await panels(), before + 20, 'they are home with their like');
    assert.deepEqual(ada.complaints, []);
    assert.deepEqual(audit(room.data).differences, []);
});

test('without JavaScript a cut is one button, and on a phone nothing runs off', async () => {
    const ben = await person(browser, room, 'ben', { javaScriptEnabled: false, viewport: { width: 390, height: 844 } });
    await ben.goto('/plan');
    await ben.goto((await ben.locator('main a', { hasText: 'Regatta invitations' }).first().getAttribute('href')) + '/cut');
    const before = await ben.locator('.blade-drawing').getAttribute('aria-label');
    await Promise.all([ben.waitForNavigation(), ben.locator('form[action$="/cut/made"] button').click()]);
    assert.notEqual(await ben.locator('.blade-drawing').getAttribute('aria-label'), before);
    assert.ok(await ben.locator('.setting').isVisible());
    assert.deepEqual(audit(room.data).differences, []);
});
