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

// Contrast is asked for in each set of colours, all else at each width; the room beside every page is the same and looked at once.
const CONTRAST = 'color-contrast';
for (const [name, more, how] of [
    ['wide', {}, {}],
    ['narrow', { viewport: { width: 820, height: 1100 } }, { rules: { [CONTRAST]: { enabled: false } } }],
    ['dark', { colorScheme: 'dark' }, { runOnly: [CONTRAST] }],
]) {
    test(`axe finds nothing on any page, ${name}`, async () => {
        const out = await person(browser, room, null, { ...options, ...more });
        await out.goto('/sign-in');
        assert.deepEqual(await violations(out, how), [], 'sign-in');
        const ada = await person(browser, room, 'ada', { ...options, ...more });
        const found = [];
        for (const [nth, path] of (await allPages(ada)).entries()) {
            await ada.goto(path);
            for (const violation of await violations(ada, nth === 0 ? how : { ...how, without: 'aside.room' })) found.push(`${path}: ${violation}`);
            const overflow = await ada.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
            if (overflow > 0) found.push(`${path}: wider than the screen by ${overflow}`);
        }
        assert.deepEqual(found, []);
    });
}

test('no page is wider than a phone', async () => {
    const ada = await person(browser, room, 'ada', { viewport: { width: 390, height: 844 } });
    const wider = [];
    for (const path of await allPages(ada)) {
        await ada.goto(path);
        const over = await ada.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
        if (over > 0) wider.push(`${path}: by ${over}`);
    }
    assert.deepEqual(wider, []);
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
