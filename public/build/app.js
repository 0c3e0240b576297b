// Small things that make the pages quick at the bench. Every page works without this file.
(() => {
    const isTyping = (element) => element instanceof HTMLElement
        && (element.matches('textarea, select, [contenteditable]') || (element.matches('input') && !['checkbox', 'radio', 'submit', 'button'].includes(element.type)));
    const isControl = (element) => element instanceof HTMLElement && element.matches('button, a[href], summary, input, [tabindex="0"]');
    const press = (key) => {
        const target = document.querySelector(`main [data-key="${key}"]`);
        if (target) target.click();
        return Boolean(target);
    };

    document.addEventListener('keydown', (event) => {
        if (event.ctrlKey || event.metaKey || event.altKey) return;
        const at = document.activeElement;
        if (event.key === 'Escape' && at && at.id === 'find-q') {
            closeResults();
            return;
        }
        if (isTyping(at)) return;
        if (event.key === '/') {
            event.preventDefault();
            const find = document.getElementById('find-q');
            find.focus();
            find.select();
        } else if ((event.key === ' ' || event.key === 'Enter') && !isControl(at)) {
            if (press('space')) event.preventDefault();
        } else if (/^[1-9]$/.test(event.key)) {
            const tray = document.querySelector(`[data-tray="${event.key}"]`);
            if (tray) tray.click();
        } else if (/^[a-z]$/.test(event.key)) {
            press(event.key);
        } else if (event.key.startsWith('Arrow') && at && at.closest('.elevation')) {
            if (stepInRoom(at, event.key)) event.preventDefault();
        }
    });

    // While one finds, the room shows what was found; afterwards it shows again what its page is about.
    let roomOfPage = null;
    document.addEventListener('htmx:beforeRequest', (event) => {
        const drawing = document.getElementById('room-drawing');
        if (event.detail.elt.id === 'find-q' && drawing && roomOfPage === null) roomOfPage = drawing.innerHTML;
    });
    document.addEventListener('htmx:afterSettle', () => {
        const find = document.getElementById('find-q');
        if (roomOfPage !== null && find && find.value.trim() === '') closeResults();
    });

    function closeResults() {
        const results = document.getElementById('results');
        const drawing = document.getElementById('room-drawing');
        if (results) results.replaceChildren();
        if (drawing && roomOfPage !== null) {
            drawing.innerHTML = roomOfPage;
            window.htmx.process(drawing);
        }
        roomOfPage = null;
    }

    // Arrow keys walk from drawer to drawer in the drawing of the room.
    function stepInRoom(from, key) {
        const places = [...from.closest('.elevation').querySelectorAll('a')];
        const box = from.getBoundingClientRect();
        const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2];
        let best = null;
        let bestCost = Infinity;
        for (const place of places) {
            const other = place.getBoundingClientRect();
            const [dx, dy] = [other.x + other.width / 2 - cx, other.y + other.height / 2 - cy];
            const [along, across] = { ArrowRight: [dx, dy], ArrowLeft: [-dx, dy], ArrowDown: [dy, dx], ArrowUp: [-dy, dx] }[key] ?? [0, 0];
            const cost = along + 3 * Math.abs(across);
            if (place !== from && along > 1 && cost < bestCost) {
                best = place;
                bestCost = cost;
            }
        }
        if (best) best.focus();
        return Boolean(best);
    }

    // One set of ticks serves both the single things and “all are home”.
    document.addEventListener('submit', (event) => {
        const form = event.target;
        const source = form.dataset && form.dataset.withTicks ? document.getElementById(form.dataset.withTicks) : null;
        if (!source) return;
        for (const tick of form.querySelectorAll('[name="cared[]"]')) {
            const twin = source.querySelector(`[name="cared[]"][value="${CSS.escape(tick.value)}"]`);
            tick.checked = Boolean(twin && twin.checked);
        }
    }, true);

    document.addEventListener('click', (event) => {
        if (event.target.closest('[data-print]')) window.print();
    });

    const scrolls = new Map();
    document.addEventListener('htmx:beforeSwap', (event) => {
        const main = document.getElementById('main');
        if (main && event.detail.target === document.body) scrolls.set(location.pathname, main.scrollTop);
    });
    document.addEventListener('htmx:afterSettle', (event) => {
        if (event.detail.target !== document.body) return;
        roomOfPage = null;
        prepare();
        const main = document.getElementById('main');
        const problem = main && main.querySelector('.field-error');
        const focus = main && main.querySelector('[autofocus]');
        const said = new URLSearchParams(location.search).has('done');
        if (problem) problem.scrollIntoView({ block: 'center' });
        else if (main && said && scrolls.has(location.pathname)) main.scrollTop = scrolls.get(location.pathname);
        if (focus && !problem) focus.focus({ preventScroll: true });
        else if (main) main.focus({ preventScroll: true });
    });
    // A request that could not be sent at all: say so, and keep the page as it is.
    document.addEventListener('htmx:sendError', () => {
        const main = document.getElementById('main');
        if (!main || main.querySelector('.offline')) return;
        const note = document.createElement('div');
        note.className = 'problem offline';
        note.setAttribute('role', 'alert');
        note.textContent = 'Lottel cannot be reached just now. Nothing is lost: press the button again when it is back.';
        main.prepend(note);
    });

    function prepare() {
        document.documentElement.classList.add('has-js');
        const zone = document.querySelector('[data-time-zone]');
        if (zone) zone.value = Intl.DateTimeFormat().resolvedOptions().timeZone;
        const lit = document.querySelector('.room-drawing .disc, .room-drawing .lit');
        const room = document.querySelector('.room');
        if (lit && room && room.scrollHeight > room.clientHeight) {
            const offset = lit.getBoundingClientRect().top - room.getBoundingClientRect().top;
            if (offset > room.clientHeight - 60) room.scrollTop += offset - room.clientHeight / 2;
        }
    }
    prepare();
})();
