// What happens when a page comes in the place of another: where it is scrolled to, and what has the focus.
import { main } from './dom.js';
import { pageIsNew } from './find.js';
import { settleMotion } from './motion.js';

const scrolls = new Map();

// On a narrow screen a strip is wider than what can be seen of it: the one that is sought stands in the middle, between its neighbours.
function showSought() {
    for (const strip of document.querySelectorAll('.spines:has(.marked)')) {
        const sought = strip.querySelector('.marked');
        const middle = sought.getBoundingClientRect().left - strip.getBoundingClientRect().left + strip.scrollLeft + sought.offsetWidth / 2;
        strip.scrollLeft = middle - strip.clientWidth / 2;
    }
}

function prepare() {
    document.documentElement.classList.add('has-js');
    settleMotion();
    showSought();
    document.fonts.ready.then(showSought);
    const zone = document.querySelector('[data-time-zone]');
    if (zone) zone.value = Intl.DateTimeFormat().resolvedOptions().timeZone;
}

function settle(page) {
    const problem = page.querySelector('.field-error');
    const focus = page.querySelector('[autofocus]');
    const isDone = new URLSearchParams(location.search).has('done');
    if (problem) problem.scrollIntoView({ block: 'center' });
    else if (isDone && scrolls.has(location.pathname)) page.scrollTop = scrolls.get(location.pathname);
    (problem ? page : focus ?? page).focus({ preventScroll: true });
}

document.addEventListener('htmx:beforeSwap', (event) => {
    if (main() && event.detail.target === document.body) scrolls.set(location.pathname, main().scrollTop);
});
document.addEventListener('htmx:afterSettle', (event) => {
    if (event.detail.target !== document.body) return;
    pageIsNew();
    prepare();
    if (main()) settle(main());
});
prepare();
