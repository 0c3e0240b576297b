// A form whose step takes long shows how far it is, until the next page comes.
import { note } from './dom.js';

const EVERY = 700;

function watch(form) {
    const id = form.elements._request?.value;
    if (!id || form.querySelector('.waiting')) return;
    const waiting = note('waiting', 'status', 'One moment …');
    const bar = document.createElement('progress');
    bar.max = 1;
    bar.setAttribute('aria-label', 'How far it is');
    waiting.append(bar);
    form.append(waiting);
    const ask = async () => {
        if (!waiting.isConnected) return;
        try {
            const told = await (await fetch(`/progress/${id}`, { headers: { Accept: 'application/json' } })).json();
            if (told.says) {
                waiting.firstChild.textContent = `${told.says} …`;
                bar.value = told.share;
            }
        } catch {
            /* The next time. */
        }
        setTimeout(ask, EVERY);
    };
    setTimeout(ask, EVERY);
}

document.addEventListener('submit', (event) => {
    if (event.target.matches('form[data-progress]')) watch(event.target);
});
