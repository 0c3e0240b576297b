import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, enter, openBrowser, person, press, said, space, violations } from './harness.mjs';

// The design board: from words to pieces, papers and an envelope; to the bench and home; patterns, pages, two people at once.
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

async function planned(page, words) {
    await page.goto('/plan');
    await page.fill('#kit-name', words);
    await enter(page, page.getByRole('button', { name: 'Plan it' }));
    return new URL(page.url()).pathname.replace(/\/design$/, '');
}

/** Opens a part of the board by keyboard, types into its fields, and sends it with Enter. */
async function change(page, part, fields) {
    const details = page.locator(`#part-${part}`);
    if (!(await details.evaluate((one) => one.open))) {
        await details.locator('summary').first().focus();
        await page.keyboard.press('Enter');
    }
    for (const [field, value] of Object.entries(fields)) {
        const input = page.locator(`#part-${part}-${field}`);
        if ('xy'.includes(field) && !(await input.isVisible())) await details.locator('summary', { hasText: 'Where it lies' }).press('Enter');
        if ((await input.evaluate((one) => one.tagName)) === 'SELECT') await input.selectOption(value);
        else await input.fill(value);
    }
    await enter(page, details.getByRole('button', { name: 'Change it' }));
}

async function pullAll(page, kit) {
    await page.goto(kit);
    await enter(page, page.getByRole('button', { name: /Pull (it in one round|what is open)|Go on pulling/ }));
    for (let stop = 0; stop < 30 && page.url().includes('/pull'); stop++) await space(page);
}

test('eight cards with mat, panel and a strip on foam: from words over board, pull, cuts and bench to the return', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    const kit = await planned(ada, '8 cards A2, mat, panel, strip on foam');
    assert.match(await said(ada), /with its design\. Not said, so taken as usual: a top fold/);
    const drawn = await ada.locator('.card-drawing').first().getAttribute('aria-label');
    assert.match(drawn, /The front, 4¼ × 5½; from the bottom up: mat 4⅛ × 5⅜, panel 4 × 5¼, strip/);
    assert.equal(await ada.locator('.board-part.short').count(), 4, 'each part asks for its paper');
    assert.deepEqual(await violations(ada), []);

    await change(ada, 'base', { paper: 'White cardstock 110 lb, letter' });
    await change(ada, 'L1', { paper: 'Petrel cardstock 12 × 12', wish: 'near' });
    await change(ada, 'L2', { paper: 'White cardstock 80 lb, letter' });
    await change(ada, 'L3', { paper: 'Buoy cardstock, letter', size: '3 1/2 × 3/4', y: '3 1/2' });
    assert.equal(await ada.locator('.board-part.short').count(), 0);
    assert.match(await ada.locator('#part-base').innerText(), /8 ready\s+D2/, 'what is ready is taken first');
    assert.match(await ada.locator('.board-colours').innerText(), /Buoy, the one warm colour/);
    assert.match(await ada.locator('.board-things').innerText(), /24 Foam squares[\s\S]*8 White A2 envelopes/);
    assert.match(await ada.locator('.board-sums').innerText(), /32\s+pieces[\s\S]*6 of 6\s+at hand/);

    await ada.locator('.card-drawing [data-opens="part-L3"]').first().click();
    assert.equal(await ada.locator('#part-L3').evaluate((one) => one.open), true, 'what is touched on the drawing opens');
    await ada.fill('#part-L3-size', '3 × 1');
    await ada.locator('.as-typed').waitFor();
    assert.match(await ada.locator('.as-typed .card-drawing').getAttribute('aria-label'), /strip 3 × 1/, 'the drawing follows what is typed');
    await ada.locator('#part-L3 summary').first().press('Enter');
    await ada.locator('#board-drawing:not(.as-typed)').waitFor();
    assert.match(await ada.locator('.card-drawing').first().getAttribute('aria-label'), /strip 3½ × ¾/, 'closed unsent, it is drawn as it is written');
    await ada.locator('.add-part summary', { hasText: 'mat' }).press('Enter');
    await ada.locator('.as-typed').waitFor();
    assert.match(await ada.locator('.card-drawing').first().getAttribute('aria-label'), /strip 3½ × ¾, mat /, 'what would be added is drawn at once');
    await ada.locator('.add-part[open] summary').first().press('Enter');
    await ada.locator('#board-drawing:not(.as-typed)').waitFor();
    await ada.goto(`${kit}/design`);

    // What cannot be is told beside its field, and loses nothing.
    await change(ada, 'L1', { reveal: '3' });
    assert.match(await ada.locator('#part-L1').innerText(), /So wide a reveal leaves nothing of the mat/);
    assert.equal(await ada.locator('#part-L1-reveal').inputValue(), '3');
    await change(ada, 'L1', { reveal: '1/16' });

    // The number changes on the list, and the board follows; an undo takes both back.
    await change(ada, 'base', { quantity: '10' });
    await ada.goto(kit);
    assert.match(await ada.locator('main').innerText(), /10 cards A2/);
    const envelopes = ada.locator('.row', { hasText: 'White A2 envelopes' });
    assert.equal(await envelopes.locator('input.quantity').inputValue(), '10');
    await ada.goto(`${kit}/design?open=base`);
    await change(ada, 'base', { quantity: '8' });
    await press(ada, () => ada.keyboard.press('u'));
    await ada.goto(`${kit}/design?open=base`);
    assert.equal(await ada.locator('#part-base-quantity').inputValue(), '10', 'undone');
    await change(ada, 'base', { quantity: '8' });

    await pullAll(ada, kit);
    await ada.goto(`${kit}/cut`);
    for (let cuts = 0; cuts < 60 && (await ada.locator('form[action$="/cut/made"]').count()); cuts++) await space(ada);
    await ada.goto(`${kit}/make`);
    const steps = await ada.locator('.making-steps').innerText();
    assert.match(steps, /Fold the base[\s\S]*Mat on the base[\s\S]*Strip on the panel, on foam[\s\S]*Into its envelope/);
    await enter(ada, ada.getByRole('button', { name: /all.*Fold the base/ }));
    await enter(ada, ada.getByRole('button', { name: /\+1.*Mat on the base/ }));
    assert.match(await ada.locator('.cards-in-work').innerText(), /1: panel on the mat[\s\S]*7: mat on the base/);
    assert.deepEqual(await violations(ada), []);
    for (let card = 1; card <= 8; card++) {
        assert.match(await ada.locator('.bench-next .knuckle').innerText(), /takes .*3 Foam squares/);
        await press(ada, () => ada.locator('.bench-next .knuckle').press('Enter'));
    }
    assert.match(await ada.locator('.cards-in-work').innerText(), /8 done/);
    await enter(ada, ada.getByRole('button', { name: /send the rest home/ }));
    for (let stop = 0; stop < 20 && (await ada.locator('form[action$="/return/home"]').count()); stop++) await space(ada);
    assert.deepEqual(ada.complaints, []);
    assert.deepEqual(audit(room.data).differences, []);
});

test('a two-page layout with six photos is pushed about by keys and by hand, given equal gutters, mirrored', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    const kit = await planned(ada, 'Two-page layout, six 4 × 6 photos');
    assert.equal(await ada.locator('.page-drawing .block').count(), 6);
    assert.equal(await ada.locator('.page-drawing .block.wrong').count(), 0);
    assert.deepEqual(await violations(ada), []);

    const second = ada.locator('#block-2');
    const where = await second.getAttribute('aria-label');
    await press(ada, async () => {
        await second.focus();
        for (const key of ['ArrowLeft', 'ArrowLeft', 'ArrowLeft', 'ArrowDown']) await ada.keyboard.press(key);
    });
    assert.match(await said(ada), /Photo 2 is moved/);
    assert.notEqual(await second.getAttribute('aria-label'), where);
    assert.equal(await ada.evaluate(() => document.activeElement.id), 'block-2', 'one goes on from there');
    assert.match(await ada.locator('#part-B2').innerText(), /lies over photo 1/);
    assert.equal(await ada.locator('.page-drawing .block.wrong').count(), 2);

    await ada.locator('#block-6').scrollIntoViewIfNeeded();
    const box = await ada.locator('#block-6').boundingBox();
    await press(ada, async () => {
        await ada.mouse.move(box.x + 20, box.y + 20);
        await ada.mouse.down();
        await ada.mouse.move(box.x + 45, box.y + 20, { steps: 4 });
        await ada.mouse.up();
    });
    assert.match(await said(ada), /Photo 6 is moved/);

    await ada.getByLabel('Equal gutters of').fill('1/4');
    await enter(ada, ada.getByRole('button', { name: 'Make them equal' }));
    assert.match(await said(ada), /The gutters are equal/);
    assert.equal(await ada.locator('.page-drawing .block.wrong').count(), 0);
    const before = await ada.locator('#block-1').getAttribute('aria-label');
    await enter(ada, ada.getByRole('button', { name: 'Mirror ↔' }));
    assert.notEqual(await ada.locator('#block-1').getAttribute('aria-label'), before);
    await enter(ada, ada.getByRole('button', { name: 'Mirror ↔' }));
    assert.equal(await ada.locator('#block-1').getAttribute('aria-label'), before, 'mirrored twice is the same');

    await ada.locator('summary', { hasText: 'One paper for all mats' }).press('Enter');
    await ada.fill('#mats-paper', 'Petrel cardstock 12 × 12');
    await enter(ada, ada.getByRole('button', { name: 'For all of them' }));
    await ada.goto(`${kit}/cut`);
    assert.match(await ada.locator('main').innerText(), /photo mat, 4¼ × 6¼[\s\S]*photo mat, 6¼ × 4¼/);
    assert.deepEqual(ada.complaints, []);
});

test('a pattern is made again in another number, size and colour', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true });
    await planned(ada, '4 cards A2, top fold, mat 1/8');
    await change(ada, 'base', { paper: 'White cardstock 110 lb, letter' });
    await change(ada, 'L1', { paper: 'Petrel cardstock, letter' });
    await ada.locator('summary', { hasText: 'Keep it as a' }).press('Enter');
    await ada.fill('#pattern-name', 'Plain mat');
    await enter(ada, ada.getByRole('button', { name: 'Keep it', exact: true }));
    assert.match(await said(ada), /Kept as the pattern “Plain mat”/);
    await ada.goto('/patterns');
    assert.deepEqual(await violations(ada), []);
    const pattern = ada.locator('.pattern', { hasText: 'Plain mat' });
    await pattern.locator('summary').press('Enter');
    await pattern.getByLabel('How many').fill('6');
    await pattern.getByLabel('Size').fill('5 × 7');
    await pattern.getByLabel('Instead of Petrel').fill('Buoy cardstock, letter');
    await enter(ada, pattern.getByRole('button', { name: 'Plan it' }));
    assert.match(await ada.locator('.card-drawing').first().getAttribute('aria-label'), /The front, 5 × 7; from the bottom up: mat 4¾ × 6¾/);
    assert.match(await ada.locator('#part-L1').innerText(), /Buoy/);
    assert.match(await ada.locator('.count').first().innerText(), /6 cards/);
    assert.deepEqual(ada.complaints, []);
});

test('of two people who change one design the second one is told, and loses nothing', async () => {
    const [ada, ben] = [await person(browser, room, 'ada'), await person(browser, room, 'ben')];
    const kit = await planned(ada, '4 cards A2, top fold, strip 3 × 1');
    await ben.goto(`${kit}/design?open=L1`);
    await change(ada, 'L1', { size: '3 1/2 × 1' });
    await change(ben, 'L1', { size: '2 × 1' });
    assert.match(await ben.locator('.problem').innerText(), /Somebody has changed this design since/);
    assert.equal(await ben.locator('#part-L1-size').inputValue(), '2 × 1', 'what was typed is still there');
    assert.match(await ben.locator('.card-drawing').first().getAttribute('aria-label'), /strip 3½ × 1/, 'it is drawn as it stands');
    await enter(ben, ben.locator('#part-L1').getByRole('button', { name: 'Change it' }));
    assert.match(await ben.locator('.card-drawing').first().getAttribute('aria-label'), /strip 2 × 1/);
    assert.deepEqual([...ada.complaints, ...ben.complaints], []);
});

test('on a phone: a layer is drawn while it is added, papers are offered by name, and the drawn sketch lends its colours', async () => {
    const ada = await person(browser, room, 'ada', { bypassCSP: true, viewport: { width: 390, height: 844 }, hasTouch: true });
    await planned(ada, '3 cards A2, mat, panel');
    await ada.locator('.add-part summary', { hasText: 'strip' }).tap();
    await ada.fill('#add-strip-size', '3 × 1/2');
    await ada.locator('.as-typed').waitFor();
    assert.match(await ada.locator('.card-drawing').first().getAttribute('aria-label'), /strip 3 × ½/);
    await ada.locator('#papers option').first().waitFor({ state: 'attached' });
    assert.ok((await ada.locator('#papers option').count()) > 20);
    await ada.reload();
    assert.doesNotMatch(await ada.locator('.card-drawing').first().getAttribute('aria-label'), /strip/, 'nothing was written');

    await ada.locator('summary', { hasText: 'A sketch, or a photo' }).tap();
    await press(ada, () => ada.getByRole('button', { name: 'Take the drawn one' }).tap());
    assert.match(await said(ada), /The sketch stays with the kit/);
    assert.ok(await ada.locator('.sketch img').evaluate((image) => image.decode().then(() => image.naturalWidth > 100)));
    await press(ada, () => ada.getByRole('button', { name: 'Aim at its colours' }).tap());
    assert.ok((await ada.locator('.target-colours li').count()) >= 3);
    assert.deepEqual(await violations(ada), []);
    assert.deepEqual(audit(room.data).differences, []);
});
