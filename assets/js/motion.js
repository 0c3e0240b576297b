// Whether anything moves on the pages, as this device was told.
import { on } from './dom.js';

const KEY = 'still';
const isStill = () => localStorage.getItem(KEY) === 'yes';

export function settleMotion() {
    document.documentElement.classList.toggle('still', isStill());
    const tick = document.querySelector('[data-still]');
    if (tick) tick.checked = isStill();
}
on('change', '[data-still]', (tick) => {
    localStorage.setItem(KEY, tick.checked ? 'yes' : 'no');
    settleMotion();
});
