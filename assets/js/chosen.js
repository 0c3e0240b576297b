// Things that are chosen on a page go where one touches the room, or are pulled there.
import { on } from './dom.js';

const TARGET = 'a.place[data-address], .cells a[data-address], .place-card[data-address]';
const form = () => document.getElementById('several');
const ticks = () => [...(form()?.querySelectorAll('[name="items[]"]') ?? [])];
const chosen = () => ticks().filter((tick) => tick.checked);
const mover = () => form()?.querySelector('[data-move]');

function count() {
    const many = chosen().length;
    const says = form()?.querySelector('[data-chosen-count]');
    if (says) says.textContent = many === 1 ? '1 chosen' : `${many} chosen`;
    document.body.classList.toggle('choosing', many > 0 && Boolean(mover()));
}

function moveTo(address) {
    form().elements.to.value = address;
    document.querySelector('dialog[open]')?.close();
    mover().click();
}

on('change', '#several [name="items[]"]', count);
document.addEventListener('htmx:afterSettle', count);

on('click', TARGET, (place, event) => {
    const isSmall = place.matches('.small') && event.pointerType !== 'mouse' && !place.closest('dialog');
    if (chosen().length === 0 || !mover() || isSmall) return;
    event.preventDefault();
    event.stopPropagation();
    moveTo(place.dataset.address);
}, true);

on('dragstart', '#several li[draggable]', (row, event) => {
    const tick = row.querySelector('[name="items[]"]');
    if (!mover()) return;
    if (!tick.checked) {
        for (const other of ticks()) other.checked = other === tick;
        count();
    }
    event.dataTransfer.effectAllowed = 'move';
    event.dataTransfer.setData('text/plain', chosen().length === 1 ? row.textContent.trim() : `${chosen().length} things`);
});
on('dragover', TARGET, (place, event) => {
    if (chosen().length === 0) return;
    event.preventDefault();
    place.classList.add('dropping');
});
on('dragleave', TARGET, (place) => place.classList.remove('dropping'));
on('drop', TARGET, (place, event) => {
    event.preventDefault();
    place.classList.remove('dropping');
    if (chosen().length > 0) moveTo(place.dataset.address);
});
