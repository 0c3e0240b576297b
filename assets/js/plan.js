// The floor plan: units are dragged, or moved with the arrow keys, and their numbers follow. How a unit looks when it is
// turned comes with the drawing; where it may stand is judged when the plan is kept.
import { on } from './dom.js';

const STEP = 50;
const SNAP = 10;

/** How a unit is drawn when it is turned so. */
function shapeOf(unit, turn = unit.dataset.turn) {
    const [sides, front, letter] = unit.dataset[`shape${turn}`].split('|');
    return { sides: sides.split(' ').map(Number), front, letter: letter.split(' ').map(Number) };
}

const spotOf = (unit) => (unit.getAttribute('transform').match(/-?[\d.]+/g) || [0, 0]).map(Number);

function writeNumbers(unit, left, top) {
    const row = document.querySelector(`.numbers tr[data-unit="${unit.dataset.unit}"]`);
    if (!row) return;
    const { unitMm, unitName } = unit.closest('.floor-plan').dataset;
    const written = (value) => (unitName ? `${(value / Number(unitMm)).toFixed(2)}${unitName}` : value);
    row.querySelector('[name="x[]"]').value = written(left);
    row.querySelector('[name="y[]"]').value = written(top);
    row.querySelector('[name="turn[]"]').value = unit.dataset.turn;
}

function putUnit(unit, x, y) {
    const plan = unit.closest('.floor-plan');
    const [across, down] = shapeOf(unit).sides;
    const within = (value, most) => Math.max(0, Math.min(Math.round(value / SNAP) * SNAP, most));
    const [left, top] = [within(x, Number(plan.dataset.width) - across), within(y, Number(plan.dataset.depth) - down)];
    unit.setAttribute('transform', `translate(${left} ${top})`);
    writeNumbers(unit, left, top);
}

function turnUnit(unit, turn) {
    const { sides, front, letter } = shapeOf(unit, turn);
    unit.dataset.turn = turn;
    const body = unit.querySelector('.fp-body');
    body.setAttribute('width', sides[0]);
    body.setAttribute('height', sides[1]);
    unit.querySelector('.fp-front').setAttribute('d', front);
    const text = unit.querySelector('text');
    text.setAttribute('x', letter[0]);
    text.setAttribute('y', letter[1]);
    putUnit(unit, ...spotOf(unit));
}

/** Whether a key moved or turned a unit. */
export function moveByKey(unit, event) {
    const step = event.shiftKey ? SNAP : STEP;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
    const [x, y] = spotOf(unit);
    if (by) putUnit(unit, x + by[0], y + by[1]);
    else if (event.key === 'r') turnUnit(unit, (Number(unit.dataset.turn) + 90) % 360);
    else return false;
    return true;
}

let dragged = null;
const pointIn = (unit, event) => {
    const toPlan = unit.closest('.floor-plan').getScreenCTM().inverse();
    return new DOMPoint(event.clientX, event.clientY).matrixTransform(toPlan);
};
on('pointerdown', '.fp-unit[tabindex]', (unit, event) => {
    const [x, y] = spotOf(unit);
    const point = pointIn(unit, event);
    dragged = { unit, dx: point.x - x, dy: point.y - y };
    unit.setPointerCapture(event.pointerId);
    unit.focus();
    event.preventDefault();
});
document.addEventListener('pointermove', (event) => {
    if (!dragged) return;
    const point = pointIn(dragged.unit, event);
    putUnit(dragged.unit, point.x - dragged.dx, point.y - dragged.dy);
});
for (const end of ['pointerup', 'pointercancel']) document.addEventListener(end, () => { dragged = null; });
