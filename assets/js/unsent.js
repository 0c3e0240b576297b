// What could not be sent because the connection was gone: it waits, is shown, and is sent again when the room answers, each once,
// since every form carries the id of its request.
import { isTyping, main, note, on } from './dom.js';

const KEY = 'lottel-unsent';
const RETRY_EVERY = 3000;
const SLOW_AFTER = 2500;
const GIVE_UP_AFTER = 10000;
const ELSEWHERE = ['/sign-in', '/device'];

const who = () => main()?.dataset.who ?? '';

function waiting() {
    try {
        return JSON.parse(localStorage.getItem(KEY) ?? '[]');
    } catch {
        return [];
    }
}

function keep(taps) {
    localStorage.setItem(KEY, JSON.stringify(taps));
    show();
}

const isTap = (form) => form instanceof HTMLFormElement
    && form.method === 'post'
    && !form.matches('[enctype="multipart/form-data"], [data-progress]')
    && !form.querySelector('input[type="password"]');

/** What the person pressed, in the words of the page. */
function inWords(form, button) {
    const said = (button ?? form.querySelector('button'))?.cloneNode(true);
    said?.querySelectorAll('kbd').forEach((key) => key.remove());
    const thing = form.closest('li, .stop, .row, section, article')?.querySelector('.name, h2, h3')?.textContent ?? document.querySelector('h1')?.textContent;
    const words = [said?.textContent, thing].map((part) => part?.replace(/\s+/g, ' ').trim()).filter(Boolean);
    return [...new Set(words)].join(': ').slice(0, 120);
}

function wait(detail) {
    const { requestConfig } = detail;
    const body = new URLSearchParams();
    const parameters = requestConfig.formData ?? requestConfig.parameters;
    for (const [name, value] of parameters.entries ? parameters.entries() : Object.entries(parameters)) body.append(name, value);
    const id = body.get('_request');
    if (!id || waiting().some((tap) => tap.id === id)) return;
    keep([...waiting(), {
        id,
        who: who(),
        from: location.pathname,
        path: requestConfig.path,
        body: body.toString(),
        says: inWords(detail.elt.closest('form') ?? detail.elt, requestConfig.triggeringEvent?.submitter),
    }]);
}

function button(words, act) {
    const made = document.createElement('button');
    made.type = 'button';
    made.className = 'quiet-button';
    made.textContent = words;
    made.dataset[act] = '';
    return made;
}

function show() {
    const taps = waiting().filter((tap) => tap.who === who());
    document.querySelector('.unsent')?.remove();
    if (taps.length === 0 || !main()) return;
    const head = document.createElement('b');
    head.textContent = taps.some((tap) => tap.wrong) ? 'Not done' : 'The connection to the room is gone. Not sent yet:';
    const list = document.createElement('ul');
    for (const tap of taps) {
        const line = document.createElement('li');
        line.dataset.tap = tap.id;
        line.append(tap.wrong ? `${tap.says}: ${tap.wrong} ` : `${tap.says} `, button('Let it be', 'letBe'));
        list.append(line);
    }
    const foot = document.createElement('p');
    foot.textContent = taps.some((tap) => tap.wrong) ? '' : 'It is sent by itself, once, as soon as the room answers. You can go on looking at this page.';
    main().prepend(note('problem unsent', 'alert', head, list, foot));
}

on('click', '[data-let-be]', (pressed) => {
    const id = pressed.closest('[data-tap]').dataset.tap;
    keep(waiting().filter((tap) => tap.id !== id));
});

/** Goes on with the page on which the tap was made; somebody who has gone elsewhere in the meantime, or types, is only told. */
function goOn(tap, at) {
    if (waiting().some((one) => one.who === who() && !one.wrong)) return;
    if (location.pathname === tap.from && !isTyping(document.activeElement)) {
        window.htmx.ajax('GET', at.pathname + at.search, { target: 'body', swap: 'innerHTML' });
        return;
    }
    const link = document.createElement('a');
    link.href = at.pathname + at.search;
    link.textContent = 'Go on there';
    main().prepend(note('said sent', 'status', `Sent: ${tap.says}. `, link));
}

let isSending = false;

async function sendFirst() {
    const tap = waiting().find((one) => one.who === who() && !one.wrong);
    if (!tap || isSending || !main() || document.querySelector('.htmx-request')) return;
    isSending = true;
    try {
        const answer = await fetch(tap.path, {
            method: 'POST',
            body: tap.body,
            headers: { 'Content-Type': 'application/x-www-form-urlencoded' },
            signal: AbortSignal.timeout(GIVE_UP_AFTER),
        });
        const at = new URL(answer.url);
        if (ELSEWHERE.includes(at.pathname)) {
            location.assign(at.pathname);
        } else if (answer.ok) {
            keep(waiting().filter((one) => one.id !== tap.id));
            goOn(tap, at);
        } else if (answer.status < 500) {
            const page = new DOMParser().parseFromString(await answer.text(), 'text/html');
            const wrong = page.querySelector('.field-error, .problem')?.textContent.trim() ?? 'the room said no. Look at its page.';
            keep(waiting().map((one) => (one.id === tap.id ? { ...one, wrong } : one)));
        }
    } catch {
        /* Not yet. */
    } finally {
        isSending = false;
    }
    if (waiting().some((one) => one.who === who() && !one.wrong && one.id !== tap.id)) setTimeout(sendFirst, 50);
}

document.addEventListener('htmx:configRequest', (event) => {
    if (event.detail.verb === 'post' && isTap(event.detail.elt.closest('form'))) event.detail.timeout = GIVE_UP_AFTER;
});

let slow;
document.addEventListener('htmx:beforeSend', (event) => {
    clearTimeout(slow);
    if (event.detail.requestConfig.verb !== 'post' || !isTap(event.detail.elt.closest('form'))) return;
    slow = setTimeout(() => main()?.prepend(note('said slow', 'status', 'The room does not answer yet …')), SLOW_AFTER);
});
document.addEventListener('htmx:afterRequest', () => {
    clearTimeout(slow);
    document.querySelector('.slow')?.remove();
});
for (const lost of ['htmx:sendError', 'htmx:timeout']) {
    document.addEventListener(lost, (event) => {
        const isPost = event.detail.requestConfig.verb === 'post';
        if (isPost && isTap(event.detail.elt.closest('form'))) {
            wait(event.detail);
        } else if (main() && !main().querySelector('.offline')) {
            main().prepend(note('problem offline', 'alert', 'Lottel cannot be reached just now. Nothing is lost: press the button again when it is back.'));
        }
    });
}
document.addEventListener('htmx:afterSettle', (event) => {
    if (event.detail.target === document.body) show();
});
window.addEventListener('online', sendFirst);
setInterval(sendFirst, RETRY_EVERY);
show();
