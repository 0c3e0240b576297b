// A room measures in inches or in millimetres: no page of it, and no field of a form, speaks in the other's units.
import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { after, before, test } from 'node:test';
import { allPages } from './all-pages.mjs';
import { Room, openBrowser, person, press } from './harness.mjs';

let browser;
before(async () => {
    browser = await openBrowser();
});
after(async () => {
    await browser?.close();
});

// What people have typed says sizes as it was typed: here nothing that they typed has any.
const WITHOUT_NUMBERS = String.raw`
    $room = new PDO('sqlite:'.$argv[1].'/room.sqlite');
    $typed = ['item' => ['name', 'note', 'sentiments', 'collection'], 'kit' => ['name', 'note', 'card_size'], 'place' => ['name', 'note'], 'unit' => ['name'],
        'pattern' => ['name'], 'occasion' => ['note'], 'piece' => ['name']];
    foreach ($typed as $table => $columns) {
        $there = $room->query("SELECT name FROM pragma_table_info('$table')")->fetchAll(PDO::FETCH_COLUMN);
        foreach (array_intersect($columns, $there) as $column) {
            foreach ($room->query("SELECT rowid, $column FROM $table WHERE $column IS NOT NULL")->fetchAll(PDO::FETCH_NUM) as [$id, $text]) {
                $plain = preg_replace('/[½¼¾⅛⅜⅝⅞]|\\\\d+([.\\\\/×x ]+\\\\d+)*\\\\s*(in|inch|inches|mm|cm|oz|lb|g|yd|ft|m)?\\\\b/u', '', $text);
                $room->prepare("UPDATE $table SET $column = ? WHERE rowid = ?")->execute([$plain, $id]);
            }
        }
    }
    $room->exec("UPDATE item SET details = json_remove(details, '$.measures') WHERE json_valid(details)");`;

const NUMBER = String.raw`(?:\d(?:[\d.,]*\d)?|[½¼¾⅛⅜⅝⅞])`;
const OTHERS = {
    // Weights of paper are said as they are sold, in both ways.
    inch: new RegExp(String.raw`${NUMBER}\s*(?:mm|cm|m|km|kg|g|ml|l)(?![\p{L}²/])|\b(?:milli|centi)?metres?\b`, 'gu'),
    mm: new RegExp(
        [
            String.raw`${NUMBER}\s*(?:inch|inches|ft|feet|yd|yards?|oz|ounces?|lbs?|″|")(?![\p{L}])(?!\s(?:cover|text|bond|index|tag))`,
            String.raw`${NUMBER}\s*in(?![\p{L}])(?!\s+(?:\p{Lu}|the|each|all|\d))`,
            // Fractions of an hour and of a bottle are nobody's unit.
            '[½¼¾⅛⅜⅝⅞]\\s*×|×\\s*\\d*[½¼¾⅛⅜⅝⅞]',
            String.raw`\d\s\d/(?:2|4|8|16|32)\b`,
            String.raw`\b(?:inch|inches|ounces?)\b`,
        ].join('|'),
        'giu',
    ),
};

/** All that a page says: its text, closed parts too, and what stands in its fields and labels. */
const said = (page) =>
    page.evaluate(() => {
        const words = [];
        const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
        while (walk.nextNode()) {
            const node = walk.currentNode;
            if (node.nodeType === Node.TEXT_NODE) {
                if (!node.parentElement.closest('script, style, template')) words.push(node.textContent);
            } else {
                for (const name of ['placeholder', 'aria-label', 'title', 'alt']) if (node.getAttribute(name)) words.push(node.getAttribute(name));
                if (node.matches('input:not([type=hidden], [type=checkbox], [type=radio]), textarea') && node.value) words.push(node.value);
            }
        }
        return words.map((text) => text.replace(/\s+/g, ' ').trim()).filter(Boolean);
    });

// Where one says how the room measures, both ways stand beside each other.
const THE_CHOICE = ['inches and ounces', 'millimetres and grams'];

// Label tape is sold and called by its millimetres everywhere.
const TAPES = /^(?:6|9|12|18|24) mm(?= tape|$)|(?<=chosen ones on )12 mm/;

const SIZES = { inch: {}, mm: { piece: '100 x 130', panel: '100', other: '200 x 280' } };

for (const measure of ['inch', 'mm']) {
    test(`a room in ${measure} speaks of nothing else`, async () => {
        const room = await Room.demo((data) => execFileSync('php', ['-r', WITHOUT_NUMBERS, '--', data]));
        try {
            const ada = await person(browser, room, 'ada');
            if (measure === 'mm') {
                await ada.goto('/upkeep/people');
                await ada.getByText('How this room measures').click();
                await ada.selectOption('[name="measure"]', 'mm');
                await press(ada, () => ada.locator('form:has([name="measure"]) button').last().click());
            }
            const found = [];
            for (const path of await allPages(ada, SIZES[measure])) {
                await ada.goto(path);
                for (const text of (await said(ada)).filter((one) => !THE_CHOICE.includes(one))) {
                    for (const other of text.replace(TAPES, '').match(OTHERS[measure]) ?? []) found.push(`${path}: “${other}” in “${text.slice(0, 110)}”`);
                }
            }
            assert.equal(found.length, 0, [...new Set(found)].join('\n'));
        } finally {
            room.close();
        }
    });
}
