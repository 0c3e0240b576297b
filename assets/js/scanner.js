// A hand scanner types very fast and ends with Enter. What is typed into a field is the field's own. A single letter or
// digit does something only when it is clear that no more follows: a person typed it.
import { on } from './dom.js';

const FAST = 80;
const LEAST_CODE = 6;
let scan = { text: '', at: 0 };
let waiting = null;

export function whenTypedAlone(act) {
    clearTimeout(waiting);
    waiting = setTimeout(act, 2 * FAST);
}

/** Whether a key belongs to what a scanner types. */
export function takeAsScan(event) {
    const isNext = event.timeStamp - scan.at < FAST;
    if (isNext) clearTimeout(waiting);
    if (event.key === 'Enter') {
        const text = isNext ? scan.text : '';
        scan = { text: '', at: 0 };
        if (text.length < LEAST_CODE) return false;
        sendScan(text);
        return true;
    }
    if (event.key.length !== 1) return event.key === 'Shift' && isNext;
    scan = { text: (isNext ? scan.text : '') + event.key, at: event.timeStamp };
    return scan.text.length > 1;
}

export function sendScan(text) {
    const form = document.getElementById('scan-form');
    if (!form) return;
    form.elements.code.value = text;
    const ticked = document.querySelectorAll('main [name="cared[]"]:checked');
    form.elements.cared.value = [...new Set([...ticked].map((tick) => tick.value))].join(',');
    form.requestSubmit();
}

// The stand-in for a hand scanner types as one.
on('submit', '[data-scanner]', (form, event) => {
    event.preventDefault();
    event.stopPropagation();
    document.activeElement.blur();
    for (const key of [...form.elements.code.value, 'Enter']) {
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    }
}, true);
