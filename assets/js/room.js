// The drawing of the room: walking in it with the arrow keys, and making larger what is too small for a finger.
import { on } from './dom.js';

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

const large = () => document.getElementById('unit-large');

/** Shows a unit so large that a finger finds each of its fronts; what is lit stays lit. */
async function enlarge(unit) {
    const lit = [...document.querySelectorAll('.room-view.beside .place.lit')];
    const asked = new URLSearchParams(lit.map((place) => [`lit[${place.dataset.place}]`, place.dataset.stop ?? '']));
    const answer = await fetch(`/room/units/${encodeURIComponent(unit)}?${asked}`, { headers: { 'HX-Request': 'true' } });
    if (!answer.ok) return false;
    large().innerHTML = await answer.text();
    window.htmx.process(large());
    large().showModal();
    return true;
}

on('click', '.elevation .small, .elevation [data-large]', (place, event) => {
    const isByFinger = event.pointerType === 'touch' || event.pointerType === 'pen';
    if (!large() || (!isByFinger && !place.matches('[data-large]'))) return;
    event.preventDefault();
    event.stopPropagation();
    enlarge(place.dataset.unit);
}, true);
