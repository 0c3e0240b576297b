// What a page says, and what of it is in the units of the other kind of room.

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
                if (node.parentElement.closest('script, style, template') || !node.textContent.trim()) continue;
                words.push((node.parentElement.closest('p, td, th, h1, h2, h3, label, dt, dd, summary, button, option, text') ?? node).textContent);
            } else {
                for (const name of ['placeholder', 'aria-label', 'title', 'alt']) if (node.getAttribute(name)) words.push(node.getAttribute(name));
                if (node.matches('input:not([type=hidden], [type=checkbox], [type=radio]), textarea') && node.value) words.push(node.value);
            }
        }
        return [...new Set(words)].map((text) => text.replace(/\s+/g, ' ').trim()).filter(Boolean);
    });

// Where one says how the room measures, both ways stand beside each other.
const THE_CHOICE = ['inches and ounces', 'millimetres and grams'];

// Label tape is sold and called by its millimetres everywhere.
const TAPES = /^(?:6|9|12|18|24) mm(?= tape|$)|(?<=chosen ones on )12 mm/;

/** What a page says in the other kind of room's units, in a room of these: inch or mm. */
export async function strangeUnits(page, measure) {
    const words = (await said(page)).filter((one) => !THE_CHOICE.includes(one));
    return words.flatMap((text) => (text.replace(TAPES, '').match(OTHERS[measure]) ?? []).map((other) => `“${other}” in “${text.slice(0, 110)}”`));
}
