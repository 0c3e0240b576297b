// A photo on which things are touched: tells how large it is shown, and draws the box that a finger pulls over it.
import { on } from './dom.js';

const WIDE = 1000;
const LEAST_DRAG = 12;
let from = null;

const at = (field, event) => {
    const box = field.getBoundingClientRect();
    return [Math.round(event.clientX - box.left), Math.round(event.clientY - box.top)];
};
const form = (field) => field.closest('[data-marks]');

function draw(field, [x, y]) {
    const rect = form(field).querySelector('.drawn-now');
    const scale = WIDE / field.getBoundingClientRect().width;
    const isDrag = from && Math.max(Math.abs(x - from[0]), Math.abs(y - from[1])) >= LEAST_DRAG;
    rect.toggleAttribute('hidden', !isDrag);
    if (!isDrag) return;
    const sides = { x: Math.min(x, from[0]), y: Math.min(y, from[1]), width: Math.abs(x - from[0]), height: Math.abs(y - from[1]) };
    Object.entries(sides).forEach(([side, value]) => rect.setAttribute(side, Math.round(value * scale)));
}

on('pointerdown', '[data-photo] input', (field, event) => {
    from = at(field, event);
    field.setPointerCapture(event.pointerId);
});
on('pointermove', '[data-photo] input', (field, event) => { if (from) draw(field, at(field, event)); });
on('pointercancel', '[data-photo] input', (field) => {
    from = null;
    form(field).querySelector('.drawn-now').setAttribute('hidden', '');
});
on('dragstart', '[data-photo] input', (field, event) => event.preventDefault());
// A key touches no point: nought, nought says so.
on('click', '[data-photo] input', (field, event) => {
    const to = event.detail ? at(field, event) : [0, 0];
    form(field).elements.box.value = [...(event.detail && from ? from : to), ...to].join(',');
    form(field).elements.shown.value = Math.round(field.getBoundingClientRect().width);
    from = null;
}, true);
