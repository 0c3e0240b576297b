// The drawing of the room: what lights up in it, walking in it with the arrow keys, and making a drawing larger.
import { on } from './dom.js';

const SVG = 'http://www.w3.org/2000/svg';

/** A disc with a number, where the drawing says that the disc of a place goes. */
function disc(place, text) {
    const use = document.createElementNS(SVG, 'g');
    use.setAttribute('class', 'disc');
    use.setAttribute('aria-hidden', 'true');
    use.setAttribute('transform', `translate(${place.dataset.disc})`);
    const circle = document.createElementNS(SVG, 'circle');
    circle.setAttribute('r', '9');
    const number = document.createElementNS(SVG, 'text');
    number.setAttribute('y', '4');
    number.textContent = text;
    use.append(circle, number);
    return use;
}

/** Lights up places, by their number, each with what is written on its disc. */
export function lightUp(lights) {
    const drawing = document.querySelector('#room-drawing svg');
    if (!drawing) return;
    for (const old of drawing.querySelectorAll('.disc')) old.remove();
    for (const place of drawing.querySelectorAll('a.place')) {
        const text = lights[place.dataset.place];
        place.classList.toggle('lit', text !== undefined);
        place.setAttribute('tabindex', text === undefined ? '-1' : '0');
        if (text) drawing.append(disc(place, text));
    }
}

const middle = (element) => {
    const box = element.getBoundingClientRect();
    return [box.x + box.width / 2, box.y + box.height / 2];
};
const ALONG = {
    ArrowRight: (dx, dy) => [dx, dy],
    ArrowLeft: (dx, dy) => [-dx, dy],
    ArrowDown: (dx, dy) => [dy, dx],
    ArrowUp: (dx, dy) => [-dy, dx],
};

/** Goes from one drawer to the next one in that direction, as it is seen. */
export function stepInRoom(from, key) {
    const [cx, cy] = middle(from);
    let best = null;
    let bestCost = Infinity;
    for (const place of from.closest('.elevation').querySelectorAll('a')) {
        const [x, y] = middle(place);
        const [along, across] = ALONG[key]?.(x - cx, y - cy) ?? [0, 0];
        const cost = along + 3 * Math.abs(across);
        if (place !== from && along > 1 && cost < bestCost) [best, bestCost] = [place, cost];
    }
    best?.focus();
    return Boolean(best);
}

const NARROWEST = 200;
const WIDEST = 4000;
on('click', '[data-zoom-by]', (button) => {
    const svg = button.closest('[data-zoomable]').querySelector('svg.floor-plan, svg.elevation');
    if (!svg) return;
    const box = svg.viewBox.baseVal;
    const width = Math.max(NARROWEST, Math.min(WIDEST, svg.getBoundingClientRect().width * Number(button.dataset.zoomBy)));
    svg.classList.add('zoomed');
    svg.setAttribute('width', width);
    svg.setAttribute('height', (width * box.height) / box.width);
});

/** Scrolls the panel to what is lit in it. */
export function showLit() {
    const lit = document.querySelector('.room-drawing .disc, .room-drawing .lit');
    const room = document.querySelector('.room');
    if (!lit || !room || room.scrollHeight <= room.clientHeight) return;
    const offset = lit.getBoundingClientRect().top - room.getBoundingClientRect().top;
    if (offset > room.clientHeight - 60) room.scrollTop += offset - room.clientHeight / 2;
}
