// Finding: results appear while one types, and the room shows what was found; afterwards it shows again what its page is about.
const HITS = '#results .place-card, #results .name a';
let roomOfPage = null;

const field = () => document.getElementById('find-q');
const drawing = () => document.getElementById('room-drawing');

export function closeResults() {
    document.getElementById('results')?.replaceChildren();
    if (drawing() && roomOfPage !== null) {
        drawing().innerHTML = roomOfPage;
        window.htmx.process(drawing());
    }
    roomOfPage = null;
}

/** Whether an arrow key went from one result to the next. */
export function stepInResults(at, key) {
    if (key === 'ArrowDown' && at?.id === 'find-q') {
        const first = document.querySelector(HITS) ?? document.querySelector('main .row .name a');
        first?.focus();
        return Boolean(first);
    }
    if (!/^Arrow(Up|Down)$/.test(key) || !at?.closest('#results')) return false;
    const hits = [...document.querySelectorAll(HITS)];
    const next = hits.indexOf(at) + (key === 'ArrowDown' ? 1 : -1);
    (hits[next] ?? (next < 0 ? field() : at)).focus();
    return true;
}

export function pageIsNew() {
    roomOfPage = null;
}

document.addEventListener('htmx:beforeRequest', (event) => {
    if (event.detail.elt.id === 'find-q' && drawing() && roomOfPage === null) roomOfPage = drawing().innerHTML;
});
document.addEventListener('htmx:afterSettle', () => {
    if (roomOfPage !== null && field()?.value.trim() === '') closeResults();
});
