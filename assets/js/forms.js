// What makes forms quicker to fill in.
import { on } from './dom.js';

// Colours are chosen from chips that write their word into the field, or picked.
on('click', '[data-fills]', (chip) => {
    const field = document.getElementById(chip.dataset.fills);
    if (!field) return;
    field.value = chip.dataset.value;
    field.focus();
    chip.closest('details').open = false;
});
on('input', '[data-picks]', (picker) => {
    const field = document.getElementById(picker.dataset.picks);
    if (field) field.value = picker.value;
});

const twinOf = (source, name, value) => document.getElementById(source)?.querySelector(`[name="${name}"][value="${CSS.escape(value)}"]`);

// What is ticked for printing is also what is said to be printed.
on('submit', '[data-with-wishes]', (form) => {
    for (const wish of form.querySelectorAll('[name="wish[]"]')) {
        const twin = twinOf(form.dataset.withWishes, 'wish[]', wish.value);
        wish.disabled = Boolean(twin && !twin.checked);
    }
}, true);

// One set of ticks serves both the single things and “all are home”.
on('submit', '[data-with-ticks]', (form) => {
    for (const tick of form.querySelectorAll('[name="cared[]"]')) {
        tick.checked = Boolean(twinOf(form.dataset.withTicks, 'cared[]', tick.value)?.checked);
    }
}, true);

// When the last care is ticked, the next thing to do is the big button: space must not take the tick away again.
on('change', '#home .cares', (cares) => {
    if ([...cares.querySelectorAll('[name="cared[]"]')].some((tick) => !tick.checked)) return;
    document.querySelector('main [data-key="space"]')?.focus({ preventScroll: true });
});

on('click', '[data-print]', () => window.print());

// Names one below the other: Enter goes to the next one, and sends the form from the last.
on('keydown', 'input[data-next]', (input, event) => {
    if (event.key !== 'Enter' || event.isComposing) return;
    const all = [...input.form.querySelectorAll('input[data-next]')];
    const next = all[all.indexOf(input) + 1];
    if (!next) return;
    event.preventDefault();
    next.focus();
    next.select();
});

// Fields that open by a key are typed into at once.
document.addEventListener('toggle', (event) => {
    if (event.target.matches?.('.weed-into[open]')) event.target.querySelector('input:not([type="hidden"])')?.focus();
}, true);
