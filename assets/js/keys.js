// Keys that do something anywhere on a page.
import { isControl, isTyping } from './dom.js';
import { closeResults, stepInResults } from './find.js';
import { moveByKey } from './plan.js';
import { stepInRoom } from './room.js';
import { takeAsScan, whenTypedAlone } from './scanner.js';

function press(key) {
    const target = document.querySelector(`main [data-key="${key}"]`);
    if (target) target.click();
    return Boolean(target);
}

function toFind() {
    const find = document.getElementById('find-q');
    find.focus();
    find.select();
    return true;
}

function chooseTray(number) {
    whenTypedAlone(() => document.querySelector(`[data-tray="${number}"]`)?.click());
    return false;
}

/** What each key presses on this page, named by what is written on it. */
function keysOfPage() {
    return [...document.querySelectorAll('main [data-key]')].map((target) => {
        const row = document.createElement('div');
        const [term, says] = [document.createElement('dt'), document.createElement('dd')];
        const key = document.createElement('kbd');
        key.textContent = target.dataset.key;
        term.append(key);
        const label = target.cloneNode(true);
        for (const hint of label.querySelectorAll('kbd, [aria-hidden]')) hint.remove();
        says.textContent = label.textContent.trim().replace(/\s+/g, ' ');
        row.append(term, says);
        return row;
    });
}

function showKeys() {
    const list = document.getElementById('keys');
    if (!list || list.open) return false;
    for (const old of list.querySelectorAll('[data-own]')) old.remove();
    const place = list.querySelector('[data-keys-of-page]');
    for (const row of keysOfPage()) {
        row.dataset.own = '';
        place.before(row);
    }
    list.showModal();
    return true;
}

/** Whether a key did something at once. */
function act(event, at) {
    const { key } = event;
    if (document.querySelector('dialog[open]')) return key.startsWith('Arrow') && Boolean(at?.closest('.elevation')) && stepInRoom(at, key);
    if (key === '/') return toFind();
    if (key === '?') return showKeys();
    if ((key === ' ' || key === 'Enter') && !isControl(at)) return press('space');
    if (/^[1-9]$/.test(key)) return chooseTray(key);
    const unit = at?.closest('.fp-unit');
    if (unit && moveByKey(unit, event)) return true;
    if (key.startsWith('Arrow') && at?.closest('.elevation')) return stepInRoom(at, key);
    if (/^[a-z]$/.test(key)) whenTypedAlone(() => press(key));
    return false;
}

document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const at = document.activeElement;
    if (!isTyping(at) && takeAsScan(event)) {
        event.preventDefault();
        event.stopPropagation();
        return;
    }
    if (event.key === 'Escape' && at?.id === 'find-q') {
        closeResults();
        return;
    }
    if (stepInResults(at, event.key) || (!isTyping(at) && act(event, at))) event.preventDefault();
});
