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

// Types as a hand scanner does: all at once, with Enter at the end.
const pullTrigger = (page, code) =>
    page.evaluate((text) => {
        document.activeElement?.blur();
        for (const key of [...text, 'Enter']) document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    }, code);

async function startKit(page, name, thing) {
    await page.goto('/plan');
    await page.fill('#kit-name', name);
    await press(page, () => page.getByRole('button', { name: 'Plan it' }).click());
    for (const [words, quantity] of thing) {
        await page.fill('#pick-q', words);
        await press(page, () => page.press('#pick-q', 'Enter'));
        const row = page.locator('.card .row').first();
        if (quantity) await row.locator('input[name=quantity]').fill(quantity);
        await press(page, () => row.getByRole('button', { name: 'Add' }).click());
    }
    await press(page, () => page.getByRole('button', { name: /Pull it in one round/ }).click());
    return new URL(page.url()).pathname.match(/\/kits\/\d+/)[0];
}

test('a barcode of digits opens no tray: it is told as foreign, and the page stays', async () => {
    const ada = await person(browser, room, 'ada');
    for (const path of ['/stores/places/C3', '/log', '/plan']) {
        await ada.goto(path);
        const before = audit(room.data).movements;
        await pullTrigger(ada, '4006381333931');
        await ada.locator('#scan-said .problem').waitFor();
        assert.match(await ada.locator('#scan-said').innerText(), /“4006381333931” is no label of this room/);
        assert.equal(new URL(ada.url()).pathname, path, 'the page stays');
        assert.equal(audit(room.data).movements, before);
    }
    await press(ada, () => ada.keyboard.press('1'));
    assert.match(ada.url(), /\/kits\/\d+\/(pull|make|return)/, 'a digit that a person types opens its tray');
    assert.deepEqual(
        ada.complaints.filter((one) => !/status of 422/.test(one)),
        [],
    );
});

test('letters at the head of a scanned code press nothing', async () => {
    const ada = await person(browser, room, 'ada');
    const kit = await startKit(ada, 'Scanned letters', [
        ['curlew', null],
        ['foam squares black', '3'],
    ]);
    const before = audit(room.data).movements;
    for (const code of ['a1234567', 'u7654321', 'abcdefgh']) {
        await pullTrigger(ada, code);
        await ada.locator('main .problem', { hasText: code }).waitFor();
    }
    assert.equal(audit(room.data).movements, before);
    assert.match(ada.url(), new RegExp(kit));
});

test('an open round follows what the other device does, and waits while something is typed', async () => {
    const ada = await person(browser, room, 'ada');
    const ben = await person(browser, room, 'ben');
    const kit = await startKit(ada, 'Two devices', [
        ['foam squares black', '3'],
        ['tern brads', '2'],
        ['acrylic blocks', null],
    ]);
    await ben.goto(`${kit}/pull`);
    const first = await ben.locator('.plate.big span').innerText();
    await press(ada, () => ada.keyboard.press('Space'));
    await ben.waitForFunction((old) => document.querySelector('.plate.big span')?.textContent !== old, first);
    assert.match(await ben.locator('.count').innerText(), /1 of 3 things/);

    // What is being typed is not thrown away: the page says that it has grown old.
    await ben.locator('summary', { hasText: 'not in the catalogue yet' }).click();
    await ben.fill('#unknown-name', 'Half a sente');
    await press(ada, () => ada.keyboard.press('Space'));
    await ben.locator('.follow').waitFor();
    assert.equal(await ben.inputValue('#unknown-name'), 'Half a sente');
    await ben.locator('.follow a').click();
    await ben.waitForFunction(() => /2 of 3 things/.test(document.querySelector('.count')?.textContent ?? ''));
    assert.deepEqual(ada.complaints, []);
    assert.deepEqual(ben.complaints, []);
});

test('after the last care is ticked, space brings the thing home', async () => {
    const ada = await person(browser, room, 'ada');
    const kit = await startKit(ada, 'One stamp set', [['eider family', null]]);
    await press(ada, () => ada.keyboard.press('Space'));
    await press(ada, () => ada.keyboard.press('Space'));
    await press(ada, () => ada.getByRole('button', { name: /send the rest home/ }).click());
    await ada.locator('#home [name="cared[]"]').check();
    await press(ada, () => ada.keyboard.press('Space'));
    assert.match(await ada.locator('main').innerText(), /The tray is empty/);
    await press(ada, () => ada.keyboard.press('Space'));
    assert.match(await ada.locator('.said').innerText(), /is closed\. Everything is back where it belongs/);
    assert.match(ada.url(), new RegExp(`${kit}\\?`));
});

test('a colour is chosen from the chips by touch and by keyboard', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/find');
    await ada.locator('summary', { hasText: 'Choose a colour' }).click();
    await ada.locator('.colour-chip', { hasText: /^mustard$/ }).click();
    assert.equal(await ada.inputValue('#near-colour'), 'mustard');
    await press(ada, () => ada.getByRole('button', { name: 'Narrow it down' }).click());
    assert.ok((await ada.locator('main .rows .row .name').count()) > 0);
    await ada.goto('/stores/places/H7');
    await press(ada, () => ada.locator('.lying-name a').first().click());
    await press(ada, () => ada.getByRole('link', { name: 'All of its record' }).click());
    await ada.locator('summary', { hasText: 'Choose a colour' }).first().focus();
    await ada.keyboard.press('Enter');
    await ada.locator('.colour-chip', { hasText: /^navy$/ }).first().focus();
    await ada.keyboard.press('Enter');
    assert.equal(await ada.inputValue('#item-colour'), 'navy');
});

test('a unit that is turned on the floor plan keeps its letter in place, and the numbers are the room’s', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores/plan');
    for (const letters of ['C', 'G']) {
        const unit = ada.locator(`.fp-unit[aria-label^="${letters},"]`);
        const letterOf = (node) => [0, 90, 180, 270].map((turn) => node.dataset[`shape${turn}`].split('|')[2].split(' ').map(Number));
        const spots = await unit.evaluate(letterOf);
        for (let step = 0; step < 4; step++) {
            await unit.focus();
            await ada.keyboard.press('r');
            const [turn, x, y] = await unit.evaluate((node) => [
                Number(node.dataset.turn),
                node.querySelector('text').x.baseVal[0].value,
                node.querySelector('text').y.baseVal[0].value,
            ]);
            const [wantedX, wantedY] = spots[turn / 90];
            assert.ok(Math.abs(x - wantedX) < 0.5 && Math.abs(y - wantedY) < 0.5, `${letters} turned ${turn}`);
        }
    }
    await ada.locator('summary', { hasText: 'By numbers' }).click();
    assert.match(await ada.locator('[aria-label="C: from the left"]').inputValue(), /^\d+(\.\d+)? in$/);
});
