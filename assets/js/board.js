// Blocks on a page are pushed by hand or by the arrow keys; where they come to lie is decided when they are let go.
import { on } from './dom.js';

const KEYS = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
const PAUSE = 450;
const LEAST = 3;
let held = null;
let moving = null;
let focusNext = null;

const page = (block) => block.closest('[data-page]');
const grid = (block) => Number(page(block).dataset.grid);
/** How many ticks a pixel of the screen is. */
const ticks = (block) => {
    const drawing = page(block);
    return 1 / (Number(drawing.dataset.scale) * drawing.getScreenCTM().a);
};
const snapped = (block, value) => Math.round(value / grid(block)) * grid(block);

function show(block, right, down) {
    const scale = Number(page(block).dataset.scale);
    block.setAttribute('transform', `translate(${snapped(block, right) * scale} ${snapped(block, down) * scale})`);
}

function send(block, right, down) {
    const form = document.querySelector('[data-move-block]');
    if (!form || (snapped(block, right) === 0 && snapped(block, down) === 0)) return show(block, 0, 0);
    form.elements.block.value = block.dataset.block;
    [form.elements.right.value, form.elements.down.value] = [snapped(block, right), snapped(block, down)];
    focusNext = block.id;
    return form.requestSubmit();
}

on('pointerdown', '[data-page] [data-block]', (block, event) => {
    if (!document.querySelector('[data-move-block]') || event.button !== 0) return;
    held = { block, x: event.clientX, y: event.clientY };
    block.setPointerCapture(event.pointerId);
});
on('pointermove', '[data-page] [data-block]', (block, event) => {
    if (held?.block === block) show(block, (event.clientX - held.x) * ticks(block), (event.clientY - held.y) * ticks(block));
});
on('pointercancel', '[data-page] [data-block]', (block) => {
    held = null;
    show(block, 0, 0);
});
on('pointerup', '[data-page] [data-block]', (block, event) => {
    if (held?.block !== block) return;
    const [right, down] = [event.clientX - held.x, event.clientY - held.y];
    held = null;
    if (Math.max(Math.abs(right), Math.abs(down)) < LEAST) open(block);
    else send(block, right * ticks(block), down * ticks(block));
});

/** The fields of a part. */
function openPart(id) {
    const part = document.getElementById(id);
    if (!part) return;
    part.open = true;
    part.scrollIntoView({ block: 'nearest' });
    part.querySelector('summary').focus();
}
const open = (block) => openPart(`part-B${block.dataset.block}`);

// A layer that is touched on the drawing opens in its row.
on('click', '.board [data-opens]', (layer) => openPart(layer.dataset.opens));

// What a new part would look like is drawn as soon as its fields open; when fields close unsent, the drawing is as it is written.
document.addEventListener('toggle', (event) => {
    const part = event.target;
    if (!part.matches?.('.add-part, .board-part > details')) return;
    const isNew = part.matches('.add-part');
    if (part.open && isNew) window.htmx.trigger(part.querySelector('[data-follows]'), 'opened');
    const isLeft = !part.open && !document.querySelector('.add-part[open]');
    if (isLeft && document.querySelector('#board-drawing.as-typed')) window.htmx.trigger('#board-as-is', 'closed');
}, true);

on('keydown', '[data-page] [data-block]', (block, event) => {
    if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault();
        open(block);
    }
    const way = KEYS[event.key];
    if (!way || !document.querySelector('[data-move-block]')) return;
    event.preventDefault();
    event.stopPropagation();
    if (moving?.block !== block) moving = { block, right: 0, down: 0 };
    const step = grid(block) * (event.shiftKey ? 8 : 1);
    moving.right += way[0] * step;
    moving.down += way[1] * step;
    show(block, moving.right, moving.down);
    clearTimeout(moving.timer);
    const { right, down } = moving;
    moving.timer = setTimeout(() => {
        moving = null;
        send(block, right, down);
    }, PAUSE);
});

// The block that was moved has the focus on the page that comes of it.
document.addEventListener('htmx:afterSettle', (event) => {
    if (event.detail.target !== document.body) return;
    const block = focusNext && document.getElementById(focusNext);
    focusNext = null;
    block?.focus({ preventScroll: true });
});
