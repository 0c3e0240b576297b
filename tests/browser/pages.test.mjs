import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { allPages, kitNamed } from './all-pages.mjs';
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

// axe is put into the page from outside, which the page's own policy would refuse.
const options = { bypassCSP: true };

// What fades from one colour to the next has no contrast of its own meanwhile.
const still = { ...options, reducedMotion: 'reduce' };

// Each page is opened once and looked at three times: wide by all rules, narrow by all but contrast, dark by contrast alone.
// The room beside every page is the same and looked at once.
const CONTRAST = 'color-contrast';
const LOOKS = [
    ['wide', { width: 1280, height: 800 }, 'light', {}],
    ['narrow', { width: 820, height: 1100 }, 'light', { rules: { [CONTRAST]: { enabled: false } } }],
    ['dark', { width: 1280, height: 800 }, 'dark', { runOnly: [CONTRAST] }],
];
const PHONE = { width: 390, height: 844 };

/** By how much a page is wider than its screen. */
const tooWide = (page) => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

async function faults(page, without) {
    const found = [];
    for (const [name, viewport, colorScheme, how] of LOOKS) {
        await page.setViewportSize(viewport);
        await page.emulateMedia({ colorScheme });
        for (const violation of await violations(page, { ...how, without })) found.push(`${name}: ${violation}`);
        const over = await tooWide(page);
        if (over > 0) found.push(`${name}: wider than the screen by ${over}`);
    }
    await page.setViewportSize(PHONE);
    const over = await tooWide(page);
    if (over > 0) found.push(`wider than a phone by ${over}`);
    await page.setViewportSize(LOOKS[0][1]);
    await page.emulateMedia({ colorScheme: 'light' });
    return found;
}

test('axe finds nothing on any page, wide, narrow and dark, and none is wider than its screen', async () => {
    const out = await person(browser, room, null, still);
    await out.goto('/sign-in');
    assert.deepEqual(await faults(out, ''), [], 'sign-in');
    const ada = await person(browser, room, 'ada', still);
    const found = [];
    for (const [nth, path] of (await allPages(ada)).entries()) {
        await ada.goto(path);
        found.push(...(await faults(ada, nth === 0 ? '' : 'aside.room')).map((fault) => `${path}: ${fault}`));
    }
    assert.deepEqual(found, []);
});

test('pages keep to their own policy and ask nobody else', async () => {
    const ada = await person(browser, room, 'ada');
    for (const path of await allPages(ada)) await ada.goto(path);
    assert.deepEqual(ada.complaints, []);
});

test('find answers as one types, lights up the room, and its keys work', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores/places/H7');
    const litOnPage = () => ada.locator('.beside a.place.lit').evaluateAll((places) => places.map((place) => place.dataset.address));
    assert.deepEqual(await litOnPage(), ['H7']);
    await ada.keyboard.press('/');
    assert.equal(await ada.evaluate(() => document.activeElement.id), 'find-q');
    await ada.keyboard.type('safe harb');
    await ada.locator('#results .row', { hasText: 'Lighthouse & gulls' }).first().waitFor();
    assert.match(await ada.locator('#results').innerText(), /tray \d · Ferry kiosk gulls/);
    assert.equal(await ada.locator('.beside a.place.lit[data-address="C3"]').count(), 1);
    await ada.keyboard.press('ArrowDown');
    assert.match(await ada.evaluate(() => document.activeElement.innerText), /Lighthouse & gulls/, 'the results are walked with the arrow keys');
    await ada.keyboard.press('ArrowUp');
    assert.equal(await ada.evaluate(() => document.activeElement.id), 'find-q');
    await ada.keyboard.press('Escape');
    assert.equal(await ada.locator('#results').innerText(), '');
    assert.deepEqual(await litOnPage(), ['H7'], 'the room shows again what its page is about');
    await ada.evaluate(() => document.activeElement.blur());
    await press(ada, () => ada.keyboard.press('1'));
    assert.match(ada.url(), /\/kits\/\d+\/(return|make|pull)/);
    assert.deepEqual(ada.complaints, []);
});

test('? shows the keys of this page, and what they press', async () => {
    const ada = await person(browser, room, 'ada', options);
    const pulling = await kitNamed(ada, 'Birthday bunting cards');
    await ada.goto(`${pulling}/pull`);
    await ada.keyboard.press('?');
    const keys = ada.locator('#keys');
    await keys.waitFor();
    assert.match(await keys.locator('[data-own]').first().innerText(), /space\s+Taken/);
    assert.deepEqual(await violations(ada), []);
    await ada.keyboard.press('Escape');
    assert.equal(await keys.isVisible(), false);
    await ada.goto('/stores');
    await ada.keyboard.press('?');
    assert.equal(await keys.locator('[data-own]').count(), 0);
    assert.match(await keys.innerText(), /find anything/);
    assert.deepEqual(ada.complaints, []);
});

test('what moves can be stopped, by the device or on request', async () => {
    const moves = (page) => page.locator('.round .plate.big').evaluate((plate) => getComputedStyle(plate).animationName);
    const ada = await person(browser, room, 'ada', options);
    const pulling = `${await kitNamed(ada, 'Birthday bunting cards')}/pull`;
    await ada.goto(pulling);
    assert.equal(await moves(ada), 'come-in');
    await ada.keyboard.press('?');
    await ada.getByLabel('Nothing moves on this device').check();
    assert.equal(await moves(ada), 'none');
    await ada.reload();
    assert.equal(await moves(ada), 'none', 'this device remembers');
    const still = await person(browser, room, 'ada', { ...options, reducedMotion: 'reduce' });
    await still.goto(pulling);
    assert.equal(await moves(still), 'none');
});

test('one can sign out at every width', async () => {
    const ada = await person(browser, room, 'ada');
    for (const width of [1280, 820, 390]) {
        await ada.setViewportSize({ width, height: 900 });
        await ada.goto('/plan');
        assert.ok(await ada.getByRole('button', { name: 'sign out' }).isVisible(), String(width));
    }
    await press(ada, () => ada.getByRole('button', { name: 'sign out' }).click());
    assert.match(ada.url(), /sign-in/);
});

test('the room is walked with the arrow keys and a drawer opened with Enter', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores/places/C3');
    await ada.locator('.beside a.place.lit').focus();
    await ada.keyboard.press('ArrowDown');
    assert.match(await ada.evaluate(() => document.activeElement.dataset.address), /^C4$/);
    await press(ada, () => ada.keyboard.press('Enter'));
    assert.match(ada.url(), /\/stores\/places\/C4/);
});

test('everything on a round can be reached with Tab, and the focus is seen', async () => {
    const ada = await person(browser, room, 'ada');
    const pulling = await kitNamed(ada, 'Birthday bunting cards');
    await ada.goto(`${pulling}/pull`);
    await ada.locator('.skip').focus();
    const reached = new Set();
    for (let i = 0; i < 80; i++) {
        const [label, outline] = await ada.evaluate(() => {
            const at = document.activeElement;
            return [(at.getAttribute('aria-label') || at.innerText || at.name || '').replace('✓', '').trim(), getComputedStyle(at).outlineStyle];
        });
        reached.add(label);
        if (/^(Taken|Not here|Leave)/.test(label)) assert.notEqual(outline, 'none', label);
        await ada.keyboard.press('Tab');
    }
    for (const label of ['Not here', 'Something else instead', 'Leave the round', 'Take something that is not in the catalogue yet', 'Stores'])
        {assert.ok(reached.has(label), `${label}: ${[...reached].join(', ')}`);}
    assert.ok([...reached].some((label) => label.startsWith('Taken')));
});

test('a mistake is shown beside its field and loses nothing that was typed', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/plan');
    await press(ada, () => ada.getByRole('button', { name: 'Plan it' }).click());
    assert.equal(await ada.locator('#kit-name-error').innerText(), 'Please fill this in.');
    assert.match(ada.url(), /\/plan/, 'the address is one that can be opened again');
    await ada.fill('#kit-name', '🐦 gulls');
    await press(ada, () => ada.getByRole('button', { name: 'Plan it' }).click());
    assert.equal(await ada.locator('h1').innerText(), '🐦 gulls');
    await ada.getByText('Change what is written about this kit').click();
    await ada.fill('#kit-name', '');
    await ada.fill('#kit-makes', '12 cards');
    await ada.fill('#kit-note', 'foam under the strip');
    await press(ada, () => ada.locator('form:has(#kit-makes) button').click());
    assert.equal(await ada.locator('#kit-name-error').innerText(), 'Please fill this in.');
    assert.equal(await ada.inputValue('#kit-makes'), '12 cards');
    assert.equal(await ada.inputValue('#kit-note'), 'foam under the strip');
});

test('buttons are big enough for a knuckle', async () => {
    const ada = await person(browser, room, 'ada', { viewport: { width: 820, height: 1100 } });
    const small = [];
    for (const path of await allPages(ada)) {
        await ada.goto(path);
        const found = await ada.evaluate(() =>
            [...document.querySelectorAll('main button, main .button, main .chip, .tray, main summary')]
                .filter((element) => element.offsetParent && element.getBoundingClientRect().height < (element.matches('.chip') ? 24 : 43.5))
                .map((element) => `${element.className || element.tagName} ${element.innerText} ${element.getBoundingClientRect().height}`),
        );
        small.push(...found.map((one) => `${path}: ${one}`));
    }
    assert.deepEqual(small, []);
});

test('what was done and its undo are seen however far down the page one is', async () => {
    for (const viewport of [
        { width: 1280, height: 620 },
        { width: 820, height: 900 },
    ]) {
        const ada = await person(browser, room, 'ada', { viewport });
        await ada.goto(await kitNamed(ada, 'Ferry kiosk gulls'));
        await ada.getByText('Change what is written about this kit').click();
        await ada.fill('#kit-occasion', `quay day ${viewport.width}`);
        const keep = ada.getByRole('button', { name: 'Write it down' });
        await keep.scrollIntoViewIfNeeded();
        await press(ada, () => keep.click());
        await ada
            .waitForFunction(() => document.getElementById('main').scrollTop > 200)
            .catch(() => assert.fail('the page does not stay where it was'));
        const isOnTop = await ada.evaluate(() => {
            const said = document.querySelector('#main .said');
            const undo = said.querySelector('button').getBoundingClientRect();
            return said.contains(document.elementFromPoint(undo.x + undo.width / 2, undo.y + undo.height / 2));
        });
        assert.ok(isOnTop, 'the undo can be pressed there');
    }
});
