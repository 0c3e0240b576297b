import assert from 'node:assert/strict';
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

const submit = async (page, locator) => {
    await Promise.all([page.waitForNavigation(), locator.click()]);
};

test('two people take six things round the whole loop, one of them without JavaScript', async () => {
    const ada = await person(browser, room, 'ada');
    const ben = await person(browser, room, 'ben', { javaScriptEnabled: false });

    // Ada plans a kit and finds six things for it.
    await ada.goto('/plan');
    await ada.fill('#kit-name', '4 heron notelets, folded');
    await press(ada, () => ada.getByRole('button', { name: 'Plan it' }).click());
    assert.equal(await ada.locator('h1').innerText(), 'Heron notelets');
    const kit = new URL(ada.url()).pathname;
    const things = [
        ['patience', 'Heron in the shallows', null],
        ['herring ink', 'Herring dye ink cube', null],
        ['quartered', 'Watercolour card, quartered', '4'],
        ['herring envelopes', 'Herring A2 envelopes', '4'],
        ['acrylic', 'Acrylic blocks', null],
        ['seam binding', 'Sea Glass seam binding', '12'],
    ];
    for (const [words, name, quantity] of things
        .filter(([, name]) => name !== 'Herring dye ink cube')
        .concat([['mussel ink', 'Mussel dye ink cube', null]])) {
        await ada.fill('#pick-q', words);
        await press(ada, () => ada.press('#pick-q', 'Enter'));
        const row = ada.locator('.card .row', { hasText: name }).first();
        if (quantity) await row.locator('input[name=quantity]').fill(quantity);
        await press(ada, () => row.getByRole('button', { name: 'Add' }).click());
        assert.match(await ada.locator('.said').innerText(), new RegExp(`${name} is on the list`));
    }
    assert.equal(await ada.locator('main > .rows > .row').count(), 6);

    // Ben, without JavaScript, starts the round and takes the first two stops.
    await ben.goto(kit);
    await submit(ben, ben.getByRole('button', { name: /Pull it in one round/ }));
    assert.match(await ben.locator('.count').innerText(), /stop 1 of 6 ·\s*0 of 6 things/);
    const walked = [];
    for (let stop = 0; stop < 2; stop++) {
        walked.push(await ben.locator('.plate.big span').innerText());
        await submit(ben, ben.getByRole('button', { name: /^Taken/ }).first());
    }

    // Ada goes on with the same round on her own device, with the space bar alone.
    await ada.goto(`${kit}/pull`);
    assert.match(await ada.locator('.count').innerText(), /stop 3 of 6 ·\s*2 of 6 things/);
    for (let stop = 2; stop < 6; stop++) {
        walked.push(await ada.locator('.plate.big span').innerText());
        await press(ada, () => ada.keyboard.press('Space'));
    }
    assert.equal(new Set(walked).size, 6, 'no place was visited twice');
    assert.match(await ada.locator('main').innerText(), /Everything is on tray \d/);
    await press(ada, () => ada.keyboard.press('Space'));
    assert.match(ada.url(), /\/make/);

    // The first one is done with the space bar, the other three together; each takes what the list says.
    const next = ada.getByRole('button', { name: /^Notelet 1 is done/ });
    assert.match(await next.innerText(), /takes .*1 Watercolour card, quartered/);
    await press(ada, () => ada.keyboard.press('Space'));
    assert.match(await ada.locator('.said').innerText(), /Notelet 1 of “Heron notelets” is done/);
    assert.equal(await ada.locator('.pieces .done i').count(), 1);
    await ada.locator('.several-done summary').click();
    assert.equal(await ada.inputValue('#finish-quantity'), '3');
    await ada.fill('#finish-address', 'M5');
    await press(ada, () => ada.locator('form[action$="/finish"] button').click());
    assert.equal(await ada.locator('.pieces .done i').count(), 4);
    assert.equal(await ada.locator('.bench-stock li', { hasText: 'Watercolour' }).count(), 0, 'all of it is used');

    // The space bar does not end the work; a deliberate press does.
    const here = ada.url();
    await ada.keyboard.press('Space');
    assert.equal(ada.url(), here);
    await press(ada, () => ada.getByRole('button', { name: /send the rest home/ }).click());
    // Ben walks the return round without JavaScript: ticks what must be ticked, brings each thing home.
    await ben.goto(`${kit}/return`);
    for (let stop = 0; stop < 8 && !(await ben.locator('main').innerText()).includes('The tray is empty'); stop++) {
        for (const tick of await ben.locator('#home [name="cared[]"]').all()) await tick.check();
        await submit(ben, ben.getByRole('button', { name: /^Home/ }).first());
    }
    await submit(ben, ben.getByRole('button', { name: /Close the kit/ }));
    assert.match(await ben.locator('main').innerText(), /closed/);

    // The log shows every step, with who took it.
    await ada.goto(`/log?kit=${kit.split('/').pop()}`);
    const log = await ada.locator('main').innerText();
    for (const [, name] of things.filter(([, name]) => name !== 'Herring dye ink cube')) assert.ok(log.includes(name), name);
    assert.equal((log.match(/ took /g) ?? []).length, 6);
    assert.equal((log.match(/ used up /g) ?? []).length, 6, 'card, envelope and ribbon, for the first one and for the others');
    assert.equal((log.match(/ brought home /g) ?? []).length, 4);
    assert.ok(log.includes('Ben') && log.includes('Ada'));
    assert.deepEqual(audit(room.data).differences, []);
    assert.deepEqual(ada.complaints, []);
});

test('of two who reach for the same thing one gets it, the other is told who has it', async () => {
    const ada = await person(browser, room, 'ada');
    const ben = await person(browser, room, 'ben');
    const kits = [];
    for (const [who, name] of [
        [ada, 'Curlews one'],
        [ben, 'Curlews two'],
    ]) {
        await who.goto('/plan');
        await who.fill('#kit-name', name);
        await press(who, () => who.getByRole('button', { name: 'Plan it' }).click());
        kits.push(new URL(who.url()).pathname);
        await who.fill('#pick-q', 'curlew');
        await press(who, () => who.press('#pick-q', 'Enter'));
        await press(who, () => who.locator('.card').getByRole('button', { name: 'Add' }).first().click());
        await press(who, () => who.getByRole('button', { name: /Pull it in one round/ }).click());
    }
    await press(ben, () => ben.keyboard.press('Space'));
    await press(ada, () => ada.keyboard.press('Space'));
    assert.match(await ada.locator('.problem').innerText(), /Curlew calling is out already: Ben took it, it is on tray \d \(Curlews two\)/);
    assert.match(await ada.locator('main').innerText(), /Not in any drawer/);
    assert.deepEqual(audit(room.data).differences, []);
});

test('a double tap, an undo and the back button write once each', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores/places/A2');
    const item = await ada.locator('.lying-name a', { hasText: 'Tern brads' }).getAttribute('href');
    const before = audit(room.data).movements;
    await ada.goto(item);
    await ada.selectOption('#into-kit', '0');
    await ada.fill('#into-quantity', '3');
    const statuses = await ada.evaluate(async () => {
        const form = document.querySelector('form[action$="/into-kit"]');
        const body = new URLSearchParams(new FormData(form));
        body.set('now', '1');
        const send = () => fetch(form.action, { method: 'POST', body, redirect: 'manual' });
        return (await Promise.all([send(), send(), send()])).map((response) => response.type);
    });
    assert.deepEqual(statuses, ['opaqueredirect', 'opaqueredirect', 'opaqueredirect']);
    assert.equal(audit(room.data).movements, before + 1);

    await ada.goto(item);
    await ada.selectOption('#into-kit', '0');
    await press(ada, () => ada.getByRole('button', { name: 'Take some out' }).click());
    await press(ada, () => ada.keyboard.press('u'));
    assert.match(await ada.locator('.said').innerText(), /Undone: .*Tern brads/);
    assert.equal(audit(room.data).movements, before + 3);
    // Back and forward show pages again; each is waited for by what is on it.
    const undone = ada.url();
    await ada.evaluate(() => history.back());
    await ada.waitForFunction((old) => location.href !== old && document.readyState === 'complete' && document.querySelector('main h1'), undone);
    await ada.evaluate(() => history.forward());
    await ada.waitForFunction((old) => location.href === old && document.readyState === 'complete' && document.querySelector('main h1'), undone);
    assert.equal(audit(room.data).movements, before + 3);
    assert.deepEqual(ada.complaints, []);
});

test('a session that ends in the middle of a round loses nothing', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/pull');
    await press(ada, () => ada.locator('.row', { hasText: 'Birthday bunting cards' }).getByRole('button').click());
    const movements = audit(room.data).movements;
    await ada.context().clearCookies({ name: /^lottel-[0-9a-f]{8}$/ });
    await ada
        .getByRole('button', { name: /^Taken/ })
        .first()
        .click();
    await ada.waitForURL(/sign-in/);
    assert.match(await ada.locator('main').innerText(), /What you had just sent is kept/);
    await ada.fill('#login', 'ada');
    await ada.fill('#password', 'lantern-room');
    await ada.click('main button');
    await ada.waitForURL(/go-on/);
    assert.equal(audit(room.data).movements, movements);
    await press(ada, () => ada.getByRole('button', { name: /Write it now/ }).click());
    assert.match(ada.url(), /\/pull/);
    assert.equal(audit(room.data).movements, movements + 1);
});

test('on a phone the spine that is sought can be seen, between its neighbours', async () => {
    const ada = await person(browser, room, 'ada', { viewport: { width: 390, height: 844 } });
    await ada.goto('/plan');
    const kits = await ada.locator('.kit-tray .name a').evaluateAll((all) => all.map((one) => one.getAttribute('href')));
    let wider = 0;
    for (const path of kits.flatMap((kit) => [`${kit}/pull`, `${kit}/return`])) {
        await ada.goto(path);
        await ada.evaluate(() => document.fonts.ready);
        for (const strip of await ada.locator('.spines').all()) {
            const seen = await strip.evaluate((list) => {
                const at = list.getBoundingClientRect();
                const marked = list.querySelector('.marked');
                const near = [marked, marked?.previousElementSibling, marked?.nextElementSibling].filter(Boolean).map((one) => one.getBoundingClientRect());
                return {
                    isWider: list.scrollWidth > list.clientWidth,
                    at: near.map((one) => [one.left - at.left, at.right - one.right]),
                    isIn: near.every((one) => one.left >= at.left - 1 && one.right <= at.right + 1),
                };
            });
            wider += seen.isWider ? 1 : 0;
            assert.ok(seen.isIn, `${path} ${JSON.stringify(seen)}`);
        }
    }
    assert.ok(wider > 0, 'a strip that is wider than the phone was among them');
});
