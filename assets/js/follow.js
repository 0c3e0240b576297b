// An open round follows what another device does with the same kit: this one asks now and then, and shows the page anew
// unless something is being typed; then it says so and waits.
import { isTyping, main, note } from './dom.js';

const ASK_EVERY = 4000;
const FIELDS = 'input[type="text"], input:not([type]), textarea';

const isLoading = () => Boolean(document.querySelector('.htmx-request'));

function isBusy(page) {
    const isChanged = [...page.querySelectorAll(FIELDS)].some((field) => field.value !== field.defaultValue);
    return isTyping(document.activeElement) || page.querySelector('.problem, .field-error') || isChanged;
}

function showAnew() {
    const here = new URL(location.href);
    here.searchParams.delete('done');
    window.htmx.ajax('GET', here.pathname + here.search, { target: 'body', swap: 'innerHTML' });
}

function tell(page) {
    if (page.querySelector('.follow')) return;
    const link = document.createElement('a');
    link.href = location.pathname;
    link.textContent = 'Show it as it is now';
    page.prepend(note('said follow', 'status', 'Somebody else has done something with this kit. ', link));
}

async function follow() {
    const page = main();
    const url = page?.dataset.follow;
    if (!url || document.visibilityState !== 'visible' || isLoading()) return;
    const answer = await fetch(`${url}?seen=${encodeURIComponent(page.dataset.seen)}`, { redirect: 'manual' }).catch(() => null);
    if (answer?.status !== 200 || page !== main() || isLoading()) return;
    if (isBusy(page)) tell(page);
    else showAnew();
}
setInterval(follow, ASK_EVERY);
