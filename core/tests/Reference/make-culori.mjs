// Makes culori.json: random sRGB pairs with the first one's CIELAB (D65) and their CIEDE2000, by culori.
import { writeFileSync } from 'node:fs';
import { converter, differenceCiede2000, parse } from 'culori';

let seed = 2005;
const roll = () => { seed = (seed * 1103515245 + 12345) % 2147483648; return seed / 2147483648; };
const colour = () => `#${[0, 0, 0].map(() => Math.floor(roll() * 256).toString(16).padStart(2, '0')).join('')}`;
const lab = converter('lab65');
const difference = differenceCiede2000();
const rows = [];
for (let i = 0; i < 500; i++) {
    const [one, other] = [colour(), colour()];
    const { l, a, b } = lab(parse(one));
    rows.push([one, other, [l, a, b].map((value) => Number(value.toFixed(6))), Number(difference(parse(one), parse(other)).toFixed(6))]);
}
writeFileSync(new URL('culori.json', import.meta.url), `[\n${rows.map((row) => JSON.stringify(row)).join(',\n')}\n]\n`);
