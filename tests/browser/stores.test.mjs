import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { chromium } from 'playwright-core';
import { Room, audit, openBrowser, person, press } from './harness.mjs';

let room;
let browser;
let folder;

before(async () => {
    room = await Room.demo();
    browser = await openBrowser();
    folder = mkdtempSync(join(tmpdir(), 'lottel-stores-'));
});
after(async () => {
    await browser?.close();
    room?.close();
    if (folder) rmSync(folder, { recursive: true, force: true });
});

const soundRoom = () => assert.deepEqual(audit(room.data).differences, []);

// What a hand scanner does: types very fast, with Enter at the end.
async function pullTrigger(page, code) {
    await page.evaluate((text) => {
        for (const key of [...text, 'Enter'])
            {document.activeElement.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));}
    }, code);
}

async function codeOf(page, address) {
    await page.goto('/scan');
    return page
        .locator('#sim-code option', { hasText: new RegExp(`^${address} ·|^${address}$`) })
        .first()
        .getAttribute('value');
}

test('a unit is set up from nothing and its labels are printed', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores');
    await press(ada, () => ada.getByRole('link', { name: 'Add a unit' }).click());
    await ada.getByText('Drawer chest').click();
    await ada.fill('#unit-letters', 'P');
    await ada.fill('#unit-name', 'chest by the door');
    await ada.getByText('I have measured it').click();
    await ada.fill('#unit-row_heights', '2 1/2, 2 1/2, 4');
    await press(ada, () => ada.getByRole('button', { name: 'Put it in the room' }).click());
    assert.equal(await ada.locator('.plate.big span').innerText(), 'P1');
    assert.equal(await ada.locator('.beside a.place[data-address^="P"]').count(), 3);
    const heights = await ada
        .locator('.beside a.place[data-address^="P"] .front')
        .evaluateAll((fronts) => fronts.map((front) => Number(front.getAttribute('height'))));
    assert.ok(heights[2] > 1.5 * heights[0], 'drawn in true proportion');

    await press(ada, () => ada.getByRole('link', { name: 'Divide, split, join, move' }).click());
    await ada.getByRole('radio', { name: 'a grid' }).check();
    await press(ada, () => ada.getByRole('button', { name: 'Divide it' }).click());
    assert.equal(await ada.locator('svg.cells a').count(), 6);

    await ada.goto('/stores/labels');
    for (const box of await ada.locator('.row:not(:has(.chip:text-matches("^P"))) input[name="wish[]"]').all()) await box.uncheck();
    assert.equal(await ada.locator('input[name="wish[]"]:checked').count(), 9);
    const [answer] = await Promise.all([
        ada.context().waitForEvent('response', (response) => response.url().includes('labels.pdf')),
        ada.getByRole('button', { name: 'Print the chosen ones' }).click(),
    ]);
    assert.equal(answer.status(), 200);
    const pdf = await ada.request.get(answer.url());
    const file = join(folder, 'labels.pdf');
    writeFileSync(file, await pdf.body());
    const text = execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' });
    for (const address of ['P1', 'P3', 'P1.a', 'P1.f']) assert.match(text, new RegExp(`^${address.replace('.', '\\.')}$`, 'm'));
    await ada.goto('/stores/labels');
    for (const box of await ada.locator('.row:not(:has(.chip:text-matches("^P"))) input[name="wish[]"]').all()) await box.uncheck();
    await press(ada, () => ada.getByRole('button', { name: 'They are printed and stuck on' }).click());
    assert.equal(await ada.locator('.row .chip:text-matches("^P")').count(), 0, 'what is stuck on waits no longer');
    assert.ok((await ada.locator('.row .chip').count()) > 0, 'the others still wait');
    assert.deepEqual(
        ada.complaints.filter((complaint) => !/chrome(-extension)?:/.test(complaint)),
        [],
        'but for the viewer that the browser shows a PDF in',
    );
});

test('units are dragged, moved by key and by number, and turned', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores/plan');
    const unit = ada.locator('.fp-unit[aria-label^="K,"]');
    const spot = () => unit.getAttribute('transform').then((text) => text.match(/[\d.]+/g).map(Number));
    const before_ = await spot();
    const box = await unit.locator('.fp-body').boundingBox();
    await ada.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await ada.mouse.down();
    await ada.mouse.move(box.x + box.width / 2 - 40, box.y + box.height / 2, { steps: 5 });
    await ada.mouse.up();
    const dragged = await spot();
    assert.ok(dragged[0] < before_[0] - 100, `${before_} to ${dragged}`);
    assert.equal(dragged[1], before_[1]);
    await unit.focus();
    await ada.keyboard.press('ArrowRight');
    await ada.keyboard.press('Shift+ArrowLeft');
    const moved = await spot();
    assert.equal(moved[0], dragged[0] + 40);
    await ada.getByText('By numbers').click();
    const row = ada.locator('tr', { hasText: 'K · cupboard' });
    assert.equal(await row.locator('[name="x[]"]').inputValue(), `${(moved[0] / 25.4).toFixed(2)} in`, 'the numbers follow');
    await row.locator('[name="x[]"]').fill('1500 mm');
    const hasFollowed = (letters) => document.querySelector(`.fp-unit[aria-label^="${letters},"]`).getAttribute('transform').includes('(1500 ');
    await ada.waitForFunction(hasFollowed, 'K');
    await unit.focus();
    await ada.keyboard.press('r');
    assert.equal(await row.locator('[name="turn[]"]').inputValue(), '270');
    for (let i = 0; i < 3; i++) await ada.keyboard.press('r');
    await press(ada, () => ada.getByRole('button', { name: 'Keep this plan' }).first().click());
    assert.match(await ada.locator('main').innerText(), /plan is kept/);
    assert.equal((await spot())[0], 1500);
    const width = await ada.locator('svg.floor-plan').evaluate((svg) => svg.getBoundingClientRect().width);
    await ada.getByRole('button', { name: 'Larger', exact: true }).click();
    assert.ok((await ada.locator('svg.floor-plan').evaluate((svg) => svg.getBoundingClientRect().width)) > 1.2 * width);
    await ada.getByText('By numbers').click();
    await row.locator('[name="x[]"]').fill('99999');
    await press(ada, () => ada.getByRole('button', { name: 'Keep this plan' }).first().click());
    assert.match(await ada.locator('main').innerText(), /“99999” is no place for a unit/);
    await row.locator('[name="x[]"]').fill('600');
    await press(ada, () => ada.getByRole('button', { name: 'Keep this plan' }).first().click());
    assert.match(await ada.locator('main').innerText(), /K would stand outside the walls/);
    assert.deepEqual(ada.complaints, []);
});

test('forty new things are pasted, get homes, and one is found by a misspelt sentiment', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores/places/A12');
    const names = Array.from(
        { length: 40 },
        (_, n) => `Regatta piece ${n + 1}; Farthing Ferry; ${(n % 3) + 1}; sea, regatta${n % 4 ? '' : '; Buoy'}`,
    );
    await ada.fill('#things-things', [...names, 'Lighthouse and gulls; Oddling'].join('\n'));
    await press(ada, () => ada.getByRole('button', { name: 'Look first' }).click());
    assert.match(await ada.locator('#preview').innerText(), /41 things for A12/);
    assert.match(await ada.locator('#preview tr.doubt').last().innerText(), /You may already have this: Lighthouse & gulls/);
    await ada.fill('#things-things', names.join('\n'));
    await press(ada, () => ada.getByRole('button', { name: 'Put them in' }).last().click());
    assert.match(await ada.locator('.said').innerText(), /40 things are in A12 now/);

    const choose = async () => {
        for (const box of await ada.locator('.lying li', { hasText: 'Regatta piece' }).locator('[name="items[]"]').all()) await box.check();
    };
    await choose();
    assert.equal(await ada.locator('.chosen-count').innerText(), '40 chosen');
    await ada.getByText('Change, labels').click();
    await ada.selectOption('#several-kind', 'stamp set');
    await press(ada, () => ada.getByRole('button', { name: 'Change them' }).click());
    assert.match(await ada.locator('.said').innerText(), /40 things are changed/);
    await choose();
    await ada.fill('#several-to', 'C7');
    await press(ada, () => ada.press('#several-to', 'Enter'));
    assert.match(await ada.locator('.said').innerText(), /40 things are in C7 now/);

    await ada.goto('/find?q=Regatta+piece+17');
    await press(ada, () => ada.locator('main .row .name a').first().click());
    await press(ada, () => ada.getByRole('link', { name: 'All of its record' }).click());
    await ada.fill('#item-sentiments', 'May your sails always be full');
    await press(ada, () => ada.getByRole('button', { name: 'Write it down' }).click());
    await ada.waitForFunction(() => document.activeElement.id === 'main');
    await ada.keyboard.press('/');
    await ada.keyboard.type('sials alwasy');
    await ada
        .waitForFunction(() => document.getElementById('results').innerText.includes('Regatta piece 17'))
        .catch(async () => assert.fail(`${await ada.inputValue('#find-q')}: ${await ada.locator('#results').innerText()}`));
    assert.match(await ada.locator('#results').innerText(), /Nothing here is written “sials”/);
    assert.equal(await ada.locator('.beside a.place.lit[data-address="C7"]').count(), 1);
    soundRoom();
    assert.deepEqual(ada.complaints, []);
});

test('a return is scanned home with a hand scanner', async () => {
    const ada = await person(browser, room, 'ada');
    const wrong = await codeOf(ada, 'K3');
    await ada.goto('/plan');
    const kit = await ada.locator('.kit-tray', { hasText: 'storm of' }).locator('.name a').first().getAttribute('href');
    await ada.goto(`${kit}/return`);
    await press(ada, () => pullTrigger(ada, wrong));
    assert.match(await ada.locator('.problem').innerText(), /Wrong drawer: this is K3\. .+ goes into [A-Z]\d/);
    const before_ = await ada.locator('.count').first().innerText();
    for (let stops = 0; stops < 12 && (await ada.locator('.plate.big span').count()); stops++) {
        const address = await ada.locator('.plate.big span').innerText();
        const code = await codeOf(ada, address);
        await ada.goto(`${kit}/return`);
        for (const tick of await ada.locator('#home [name="cared[]"]').all()) await tick.check();
        await press(ada, () => pullTrigger(ada, code));
        assert.match(await ada.locator('.said').innerText(), /home/);
        await ada.goto(`${kit}/return`);
    }
    assert.match(await ada.locator('main').innerText(), /The tray is empty/, `it began with ${before_}`);

    await ada.keyboard.press('/');
    await ada.keyboard.type('LOTTEL:P1-7', { delay: 5 });
    assert.equal(await ada.inputValue('#find-q'), 'LOTTEL:P1-7', 'what is typed into a field stays there');
    await ada.locator('main').focus();
    await press(ada, () => pullTrigger(ada, '4006381333931'));
    assert.match(await ada.locator('main').innerText(), /is no label of this room/);
    await ada.goto('/scan');
    await ada.selectOption('#sim-code', { label: 'C3 · stamps L–R' });
    await press(ada, () => ada.getByRole('button', { name: 'Pull the trigger' }).click());
    assert.match(ada.url(), /\/stores\/places\/C3/);
    soundRoom();
    assert.deepEqual(ada.complaints, []);
});

test('a photo of 50 MB is refused, a large one is made smaller before it travels', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/find?q=puffin');
    await press(ada, () => ada.locator('main .row .name a').first().click());
    const url = ada.url();
    writeFileSync(join(folder, 'huge.jpg'), Buffer.alloc(50 * 1024 * 1024, 7));
    await ada.locator('summary', { hasText: 'take a photo' }).click();
    await ada.setInputFiles('#photo-photo', join(folder, 'huge.jpg'));
    await press(ada, () => ada.getByRole('button', { name: 'Keep it' }).click());
    assert.match(await ada.locator('.problem').innerText(), /larger than 15 MB/);
    assert.equal(await ada.locator('img.photo').count(), 0);
    execFileSync('php', [
        '-r',
        `$p = imagecreatetruecolor(3000, 1500);
        for ($i = 0; $i < 900000; ++$i) { imagesetpixel($p, random_int(0, 2999), random_int(0, 1499), random_int(0, 0xFFFFFF)); }
        imagepng($p, $argv[1]);`,
        join(folder, 'large.png'),
    ]);
    await ada.goto(url);
    await ada.locator('summary', { hasText: 'take a photo' }).click();
    await ada.setInputFiles('#photo-photo', join(folder, 'large.png'));
    await ada.waitForFunction(() => document.getElementById('photo-photo').files[0].name === 'photo.jpg');
    await press(ada, () => ada.getByRole('button', { name: 'Keep it' }).click());
    assert.match(await ada.locator('.said').innerText(), /photo is kept/);
    assert.equal(await ada.locator('img.photo').evaluate((img) => img.decode().then(() => img.naturalWidth)), 1600);
    assert.ok((await ada.locator('form[action$="/colour"]').count()) >= 1, 'its colours are offered');
    assert.deepEqual(ada.complaints, []);
});

// A film of one still picture, as Chromium takes it instead of a camera.
function film(png) {
    const [width, height] = [640, 480];
    const grey = execFileSync(
        'php',
        [
            '-r',
            `
        $label = imagecreatefromstring(file_get_contents($argv[1]));
        $frame = imagecreatetruecolor(640, 480);
        imagefill($frame, 0, 0, 0xB0B0B0);
        $scale = min(560 / imagesx($label), 400 / imagesy($label));
        [$w, $h] = [(int) (imagesx($label) * $scale), (int) (imagesy($label) * $scale)];
        imagecopyresampled($frame, $label, intdiv(640 - $w, 2), intdiv(480 - $h, 2), 0, 0, $w, $h, imagesx($label), imagesy($label));
        for ($y = 0; $y < 480; ++$y) { for ($x = 0; $x < 640; ++$x) { echo chr(16 + (int) ((imagecolorat($frame, $x, $y) >> 8 & 255) * 219 / 255)); } }
    `,
            png,
        ],
        { maxBuffer: 1 << 24, encoding: 'buffer' },
    );
    const file = join(folder, 'camera.y4m');
    writeFileSync(
        file,
        Buffer.concat([Buffer.from(`YUV4MPEG2 W${width} H${height} F30:1 Ip A1:1 C420jpeg\nFRAME\n`), grey, Buffer.alloc((width * height) / 2, 128)]),
    );
    return file;
}

test('the camera reads a label that Lottel printed', async () => {
    const ada = await person(browser, room, 'ada');
    await ada.goto('/stores/places/L4/label');
    const pdf = await ada.request.get(await ada.getByRole('link', { name: 'Print it: PDF' }).getAttribute('href'));
    const file = join(folder, 'label.pdf');
    writeFileSync(file, await pdf.body());
    execFileSync('pdftoppm', ['-png', '-r', '300', '-singlefile', file, join(folder, 'label')]);
    const camera = film(join(folder, 'label.png'));
    const seeing = await chromium.launch({
        executablePath: '/usr/bin/chromium',
        args: [
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--use-fake-ui-for-media-stream',
            '--use-fake-device-for-media-stream',
            `--use-file-for-fake-video-capture=${camera}`,
        ],
    });
    try {
        const page = await person(seeing, room, 'ada');
        await page.goto('/scan');
        await Promise.all([
            page.waitForURL(/\/stores\/places\/L4/),
            page.getByRole('button', { name: 'Use the camera' }).click(),
        ]);
        assert.equal(await page.locator('.plate.big span').innerText(), 'L4');
        await page.goto('/scan');
        await page.setInputFiles('[data-camera-photo]', join(folder, 'label.png'));
        await page.waitForURL(/\/stores\/places\/L4/);
        await page.goto('/scan');
        writeFileSync(join(folder, 'none.png'), readFileSync(new URL('../../docs/screenshots/plan.png', import.meta.url)));
        await page.setInputFiles('[data-camera-photo]', join(folder, 'none.png'));
        await page.getByText('No code can be read in this picture').waitFor();
        assert.deepEqual(page.complaints, []);
    } finally {
        await seeing.close();
    }
    const blind = await person(browser, room, 'ada');
    await blind.goto('/scan');
    await blind.getByRole('button', { name: 'Use the camera' }).click();
    await blind.getByText('There is no camera here').waitFor();
});
