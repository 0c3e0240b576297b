// A month in a room that measures in millimetres, from its first drawer on: what comes in, is planned, cut, made, given, and told truly.
import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, openBrowser, person, press, said } from './harness.mjs';
import { strangeUnits } from './speaks.mjs';

let room;
let browser;
let nell;

before(async () => {
    room = await Room.empty();
    browser = await openBrowser();
    nell = await person(browser, room, null);
});
after(async () => {
    await browser?.close();
    room?.close();
});

const button = (name) => nell.getByRole('button', { name }).first();
const push = (name) => press(nell, () => button(name).click());
const main = () => nell.locator('main').innerText();

/** Opens a page, and sees that it speaks in millimetres. */
async function open(path) {
    await nell.goto(path);
    assert.deepEqual(await strangeUnits(nell, 'mm'), [], path);
}

async function itemCalled(name) {
    await nell.goto(`/find?q=${encodeURIComponent(name)}`);
    return nell.locator('main a[href^="/items/"]', { hasText: name }).first().getAttribute('href');
}

let kit;

test('a room is begun in millimetres, and what lies about is taken in from a spreadsheet', async () => {
    await nell.goto('/');
    await nell.fill('#begin-room', 'The back room');
    await nell.getByLabel('millimetres').check();
    await nell.fill('#begin-name', 'Nell');
    await nell.fill('#begin-login', 'nell');
    await nell.fill('#begin-password', 'a-long-password');
    await Promise.all([nell.waitForNavigation(), button('Open the room').click()]);
    await push('Put it in the room');
    const cells = [
        'Name\tMaker\tQty\tSize\tWeight',
        'Fog card\tMarrowlight Paper\t20\tA4\t220 gsm',
        'Petrel card\tMarrowlight Paper\t14\t305 × 305\tg/m2 216',
        'Gull sheets\tMarrowlight Paper\t10\t12 × 12\t',
    ];
    await nell.fill('#things-things', cells.join('\n'));
    await push(/Look first/);
    assert.match(await main(), /“12 × 12” would be in millimetres here. Write “12 × 12 in” or “12 × 12 mm”/);
    await push(/Put the 2 that are right in/);
    assert.equal(await nell.inputValue('#things-things'), 'Gull sheets\tMarrowlight Paper\t10\t12 × 12', 'what is not right stays to be mended');
    const mended = ['Gull sheets; Marrowlight Paper; 10;;; 12 × 12 in; 220 gsm', 'Lighthouse stamps; Two Bollards', 'Petrel ink; Kelp & Comma; half'];
    await nell.fill('#things-things', mended.join('\n'));
    await push('Put them in');
    await open('/stores/places/B1');
    assert.match(await main(), /½ full/);
    await open(await itemCalled('Gull sheets'));
    assert.match(await main(), /304.8 × 304.8/);
    await open('/paper');
    await open('/paper/trimmer');
});

test('a sentence becomes a kit with its design, and none of its words is lost', async () => {
    await open('/plan');
    await nell.fill('#kit-name', '6 thank you cards A6 with mat for the harbour fete');
    await push('Plan it');
    assert.match(await said(nell), /with its design/);
    assert.match(await nell.locator('h1').innerText(), /for the harbour fete/);
    assert.deepEqual(await strangeUnits(nell, 'mm'), []);
    assert.match(await main(), /base 105[\s\S]*base 148/);
    kit = new URL(nell.url()).pathname.match(/\/kits\/\d+/)[0];
});

test('an A4 sheet is halved into two bases of A5, and the trimmer is set in millimetres', async () => {
    await open(`${kit}/cut`);
    await nell.fill('textarea', '6 bases 210 × 148 Fog card');
    await push('Plan the cuts');
    assert.match(await said(nell), /From 3 sheets/);
    await open(kit);
    await push(/Pull it in one round/);
    assert.deepEqual(await strangeUnits(nell, 'mm'), []);
    await press(nell, () => nell.keyboard.press('Space'));
    await open(`${kit}/cut`);
    assert.match(await nell.locator('.setting').innerText(), /148.5\s+mm from the short edge/);
    const numbers = await nell.locator('.rule-number').evaluateAll((all) => all.map((one) => [one.textContent, one.getBoundingClientRect()]));
    assert.deepEqual(numbers.slice(0, 3).map(([number]) => number), ['0', '50', '100']);
    for (const [nth, [number, box]] of numbers.entries()) {
        assert.ok(nth === 0 || box.left > numbers[nth - 1][1].right, `${number} stands clear of the number before it`);
    }
    await press(nell, () => nell.keyboard.press('Space'));
    assert.match(await said(nell), /6 bases on the tray/);
});

test('what is made goes home, and a closed kit keeps no paper away', async () => {
    await open(`${kit}/make`);
    for (let made = 0; made < 6; made++) await press(nell, () => nell.locator('[data-key="space"]').first().click());
    await push(/send the rest home/);
    await nell.getByLabel('Their home').fill('B2');
    await push(/^⌂?\s*Home/);
    await push(/Close the kit/);
    await open(kit);
    assert.match(await main(), /closed/);
    await open('/paper?piece=200+x+290');
    assert.match(await main(), /Fog card · 17 free/, 'three of twenty are used up, and nothing is kept away');
    await open('/shelf');
    assert.match(await main(), /6 pieces/);
});

test('what presses stands at the head of Plan until something is kept for it', async () => {
    const day = new Date(Date.now() + 6 * 86400000).toISOString().slice(0, 10);
    await open('/occasions');
    await nell.selectOption('#occasion-kind', 'birthday');
    await nell.fill('#occasion-person', 'Maren Tull');
    await nell.fill('#occasion-on', day);
    await push('Into the year');
    await open('/plan');
    assert.match(await main(), /Maren Tull’s birthday on \w+ \d+ \w+, and nothing is planned for it/);
    await open('/occasions');
    await nell.getByRole('link', { name: /from the shelf/ }).first().click();
    await nell.waitForURL(/shelf/);
    await push(/Keep it for that day/);
    await open('/plan');
    assert.doesNotMatch(await main(), /nothing is planned/);
});

test('what cannot be printed is told, and nothing typed is lost', async () => {
    await open('/plan');
    await nell.fill('#kit-name', 'Tern\u0007 cards');
    await push('Plan it');
    assert.match(await main(), /characters in this that cannot be printed/);
    assert.match(await nell.inputValue('#kit-name'), /cards/);
});

test('of two tabs the older one takes nothing back', async () => {
    const path = `${await itemCalled('Lighthouse stamps')}/edit`;
    const other = await nell.context().newPage();
    await open(path);
    await other.goto(path);
    await other.fill('#item-sentiments', 'Fair winds');
    await press(other, () => other.getByRole('button', { name: 'Write it down' }).first().click());
    await nell.fill('#item-note', 'photopolymer, 150 mm long');
    await push('Write it down');
    assert.match(await main(), /Fair winds/);
    assert.match(await main(), /photopolymer, 150 mm long/);
    await other.close();
});

test('a list is taken in as its person means it, and one undo takes it out', async () => {
    const rows = ['Item;Qty;Size;Weight', 'CARDSTOCK', 'Tern card;12;A4;g/m2 220', 'Buoy card;a few;A4;220', 'Kelp card;a few;A4;220', 'Total;12;;'];
    const csv = ['My stash', ...rows].join('\n');
    await open('/stores/list');
    await nell.setInputFiles('#list-file', { name: 'stash.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
    await push('Read it');
    assert.deepEqual(await strangeUnits(nell, 'mm'), []);
    assert.match(await main(), /2 rows are left out/);
    assert.equal(await nell.locator('#list-heading_row').inputValue(), '2');
    assert.equal(await nell.locator('#mend li').count(), 1, 'alike mistakes have one field');
    await nell.fill('#mend li input', '4');
    await push('Mend it');
    assert.match(await nell.locator('#ready tbody').innerText(), /Tern card[\s\S]*210 × 297, 220 g\/m²[\s\S]*Kelp card/);
    await push(/Take 3 things in/);
    assert.match(await said(nell), /3 rows of the list are in the room now/);
    await press(nell, () => nell.keyboard.press('u'));
    assert.match(await said(nell), /^Undone: .*Tern card/);
    assert.match(await main(), /3 things are ready/);
});

test('with one piece of furniture a narrow screen has room for the work, and on a phone what is sought is in view', async () => {
    await open('/plan');
    await nell.fill('#kit-name', 'Gull day');
    await push('Plan it');
    await nell.fill('#pick-q', 'petrel ink');
    await press(nell, () => nell.press('#pick-q', 'Enter'));
    await press(nell, () => nell.locator('.card .row').first().getByRole('button', { name: 'Add' }).click());
    for (const [width, height] of [[820, 1100], [390, 844]]) {
        await nell.setViewportSize({ width, height });
        assert.ok((await nell.locator('main').boundingBox()).height > height / 2, `${width}`);
    }
    await push(/Pull it in one round/);
    const spine = await nell.locator('.spines .marked').first().boundingBox();
    assert.ok(spine.x >= 0 && spine.x + spine.width <= 390, `${spine.x}`);
    await press(nell, () => nell.keyboard.press('Space'));
    await nell.setViewportSize({ width: 1280, height: 800 });
});

test('a helper is offered what a helper may do, and the room’s log holds', async () => {
    await open('/upkeep/people');
    await nell.locator('details:has(#helper-name) summary').click();
    await nell.fill('#helper-name', 'Ida');
    await nell.fill('#helper-login', 'ida');
    await nell.fill('#helper-password', 'another-long-one');
    await press(nell, () => nell.locator('form:has(#helper-login) button').last().click());
    const ida = await person(browser, room, null);
    await ida.goto('/sign-in');
    await ida.fill('#login', 'ida');
    await ida.fill('#password', 'another-long-one');
    await ida.click('main button');
    await ida.waitForURL((url) => !url.pathname.includes('sign-in'));
    await ida.goto('/stores/places/B1');
    assert.equal(await ida.getByText('Count it').count(), 0);
    const report = audit(room.data);
    assert.deepEqual(report.differences, []);
    assert.deepEqual(nell.complaints, []);
});
