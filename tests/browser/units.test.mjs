// A room measures in inches or in millimetres: no page of it, and no field of a form, speaks in the other's units.
import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { after, before, test } from 'node:test';
import { allPages } from './all-pages.mjs';
import { Room, openBrowser, person, press } from './harness.mjs';
import { strangeUnits } from './speaks.mjs';

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
                $plain = preg_replace('/[½¼¾⅛⅜⅝⅞]|\\d+([.\\/×x ]+\\d+)*\\s*(in|inch|inches|mm|cm|oz|lb|g|yd|ft|m)?\\b/u', '', $text);
                $room->prepare("UPDATE $table SET $column = ? WHERE rowid = ?")->execute([$plain, $id]);
            }
        }
    }
    $room->exec("UPDATE item SET details = json_remove(details, '$.measures') WHERE json_valid(details)");`;

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
                for (const other of await strangeUnits(ada, measure)) found.push(`${path}: ${other}`);
            }
            assert.equal(found.length, 0, [...new Set(found)].join('\n'));
        } finally {
            room.close();
        }
    });
}
