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

    // A hand scanner types very fast and ends with Enter. What is typed into a field is the field's own. A single letter or
    // digit does something only when it is clear that no more follows: a person typed it.
    const FAST = 80;
    const LEAST_CODE = 6;
    let scan = { text: '', at: 0 };
    let waiting = null;
    function whenTypedAlone(act) {
        clearTimeout(waiting);
        waiting = setTimeout(act, 2 * FAST);
    }
    function takeAsScan(event) {
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

    function sendScan(text) {
        const form = document.getElementById('scan-form');
        if (!form) return;
        form.elements.code.value = text;
        const ticked = document.querySelectorAll('main [name="cared[]"]:checked');
        form.elements.cared.value = [...new Set([...ticked].map((tick) => tick.value))].join(',');
        form.requestSubmit();
    }

    document.addEventListener('keydown', (event) => {
        if (event.ctrlKey || event.metaKey || event.altKey) return;
        const at = document.activeElement;
        if (!isTyping(at) && takeAsScan(event)) {
            event.preventDefault();
            event.stopPropagation();
            return;
        }
        if (event.key === 'Escape' && at && at.id === 'find-q') {
            closeResults();
            return;
        }
        if (event.key === 'ArrowDown' && at && at.id === 'find-q') {
            const first = document.querySelector('#results .place-card, #results .name a') ?? document.querySelector('main .row .name a');
            if (first) {
                first.focus();
                event.preventDefault();
            }
            return;
        }
        if (isTyping(at)) return;
        if (/^Arrow(Up|Down)$/.test(event.key) && at && at.closest('#results')) {
            const links = [...document.querySelectorAll('#results .place-card, #results .name a')];
            const next = links.indexOf(at) + (event.key === 'ArrowDown' ? 1 : -1);
            (links[next] ?? (next < 0 ? document.getElementById('find-q') : at)).focus();
            event.preventDefault();
            return;
        }
        if (event.key === '/') {
            event.preventDefault();
            const find = document.getElementById('find-q');
            find.focus();
            find.select();
        } else if ((event.key === ' ' || event.key === 'Enter') && !isControl(at)) {
            if (press('space')) event.preventDefault();
        } else if (/^[1-9]$/.test(event.key)) {
            whenTypedAlone(() => {
                const tray = document.querySelector(`[data-tray="${event.key}"]`);
                if (tray) tray.click();
            });
        } else if (at && at.closest('.fp-unit') && moveByKey(at.closest('.fp-unit'), event)) {
            event.preventDefault();
        } else if (event.key.startsWith('Arrow') && at && at.closest('.elevation')) {
            if (stepInRoom(at, event.key)) event.preventDefault();
        } else if (/^[a-z]$/.test(event.key)) {
            whenTypedAlone(() => press(event.key));
        }
    });

    // An open round follows what another device does with the same kit: this one asks now and then, and shows the page anew
    // unless something is being typed; then it says so and waits.
    const ASK_EVERY = 4000;
    async function follow() {
        const main = document.getElementById('main');
        const url = main && main.dataset.follow;
        if (!url || document.visibilityState !== 'visible' || document.querySelector('.htmx-request')) return;
        const answer = await fetch(`${url}?seen=${encodeURIComponent(main.dataset.seen)}`, { redirect: 'manual' }).catch(() => null);
        if (!answer || answer.status !== 200 || main !== document.getElementById('main') || document.querySelector('.htmx-request')) return;
        const isBusy = isTyping(document.activeElement) || main.querySelector('.problem, .field-error') || [...main.querySelectorAll('input[type="text"], input:not([type]), textarea')].some((field) => field.value !== field.defaultValue);
        if (!isBusy) {
            const here = new URL(location.href);
            here.searchParams.delete('done');
            window.htmx.ajax('GET', here.pathname + here.search, { target: 'body', swap: 'innerHTML' });
        } else if (!main.querySelector('.follow')) {
            const note = document.createElement('p');
            note.className = 'said follow';
            note.setAttribute('role', 'status');
            note.append('Somebody else has done something with this kit. ');
            const link = document.createElement('a');
            link.href = location.pathname;
            link.textContent = 'Show it as it is now';
            note.append(link);
            main.prepend(note);
        }
    }
    setInterval(follow, ASK_EVERY);

    // Colours are chosen from chips that write their word into the field.
    document.addEventListener('click', (event) => {
        const chip = event.target.closest('[data-fills]');
        const field = chip && document.getElementById(chip.dataset.fills);
        if (!field) return;
        field.value = chip.dataset.value;
        field.focus();
        chip.closest('details').open = false;
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

    // The places that were found light up, the first nine with their numbers.
    const SVG = 'http://www.w3.org/2000/svg';
    function lightUp(lights) {
        const drawing = document.querySelector('#room-drawing svg');
        if (!drawing) return;
        for (const disc of drawing.querySelectorAll('.disc')) disc.remove();
        for (const place of drawing.querySelectorAll('a.place')) {
            const text = lights[place.dataset.place];
            place.classList.toggle('lit', text !== undefined);
            place.setAttribute('tabindex', text === undefined ? '-1' : '0');
            if (!text) continue;
            const front = place.querySelector('.front');
            const [x, y] = [Number(front.getAttribute('x')) + Number(front.getAttribute('width')) - 3, Number(front.getAttribute('y')) + 2];
            const disc = document.createElementNS(SVG, 'g');
            disc.setAttribute('class', 'disc');
            disc.setAttribute('aria-hidden', 'true');
            const circle = document.createElementNS(SVG, 'circle');
            for (const [name, value] of [['cx', x], ['cy', y], ['r', 9]]) circle.setAttribute(name, value);
            const number = document.createElementNS(SVG, 'text');
            number.setAttribute('x', x);
            number.setAttribute('y', y + 4);
            number.textContent = text;
            disc.append(circle, number);
            drawing.append(disc);
        }
    }
    document.addEventListener('htmx:afterSwap', (event) => {
        const lights = event.detail.target.id === 'results' && event.detail.target.querySelector('[data-lights]');
        if (lights) lightUp(JSON.parse(lights.dataset.lights));
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

    // The floor plan: units are dragged, or moved with the arrow keys, and their numbers follow; and the other way round.
    const STEP = 50;
    const SNAP = 10;
    const sidesOf = (unit) => (Number(unit.dataset.turn) % 180 === 0 ? [Number(unit.dataset.width), Number(unit.dataset.depth)] : [Number(unit.dataset.depth), Number(unit.dataset.width)]);
    const spotOf = (unit) => (unit.getAttribute('transform').match(/-?[\d.]+/g) || [0, 0]).map(Number);
    const rowOf = (unit) => document.querySelector(`.numbers tr[data-unit="${unit.dataset.unit}"]`);

    function putUnit(unit, x, y) {
        const plan = unit.closest('.floor-plan');
        const [across, down] = sidesOf(unit);
        const snapped = (value, most) => Math.max(0, Math.min(Math.round(value / SNAP) * SNAP, most));
        const [left, top] = [snapped(x, Number(plan.dataset.width) - across), snapped(y, Number(plan.dataset.depth) - down)];
        unit.setAttribute('transform', `translate(${left} ${top})`);
        const row = rowOf(unit);
        if (row) {
            const written = (value) => (plan.dataset.unitName ? `${(value / Number(plan.dataset.unitMm)).toFixed(2)}${plan.dataset.unitName}` : value);
            row.querySelector('[name="x[]"]').value = written(left);
            row.querySelector('[name="y[]"]').value = written(top);
            row.querySelector('[name="turn[]"]').value = unit.dataset.turn;
        }
    }

    function turnUnit(unit, turn) {
        unit.dataset.turn = turn;
        const [across, down] = sidesOf(unit);
        const body = unit.querySelector('.fp-body');
        body.setAttribute('width', across);
        body.setAttribute('height', down);
        unit.querySelector('.fp-front').setAttribute('d', { 0: `M0 ${down}h${across}`, 90: `M0 0v${down}`, 180: `M0 0h${across}`, 270: `M${across} 0v${down}` }[turn]);
        const text = unit.querySelector('text');
        [text.x.baseVal[0].value, text.y.baseVal[0].value] = unit.dataset[`letter${turn}`].split(' ').map(Number);
        putUnit(unit, ...spotOf(unit));
    }

    function moveByKey(unit, event) {
        const step = event.shiftKey ? SNAP : STEP;
        const [x, y] = spotOf(unit);
        const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[event.key];
        if (by) putUnit(unit, x + by[0], y + by[1]);
        else if (event.key === 'r') turnUnit(unit, (Number(unit.dataset.turn) + 90) % 360);
        else return false;
        return true;
    }

    let dragged = null;
    const planPoint = (unit, event) => new DOMPoint(event.clientX, event.clientY).matrixTransform(unit.closest('.floor-plan').getScreenCTM().inverse());
    document.addEventListener('pointerdown', (event) => {
        const unit = event.target.closest && event.target.closest('.fp-unit[tabindex]');
        if (!unit) return;
        const [x, y] = spotOf(unit);
        const point = planPoint(unit, event);
        dragged = { unit, dx: point.x - x, dy: point.y - y };
        unit.setPointerCapture(event.pointerId);
        unit.focus();
        event.preventDefault();
    });
    document.addEventListener('pointermove', (event) => {
        if (!dragged) return;
        const point = planPoint(dragged.unit, event);
        putUnit(dragged.unit, point.x - dragged.dx, point.y - dragged.dy);
    });
    for (const end of ['pointerup', 'pointercancel']) document.addEventListener(end, () => { dragged = null; });
    document.addEventListener('input', (event) => {
        const row = event.target.closest && event.target.closest('.numbers tr[data-unit]');
        const unit = row && document.querySelector(`.fp-unit[data-unit="${row.dataset.unit}"]`);
        if (!unit) return;
        const bare = Number(unit.closest('.floor-plan').dataset.unitMm);
        const inMm = (text) => (Number.parseFloat(text) || 0) * ({ mm: 1, cm: 10, in: 25.4 }[/(mm|cm|in)\s*$/.exec(text)?.[1]] ?? bare);
        const [x, y] = ['x[]', 'y[]'].map((name) => Math.round(inMm(row.querySelector(`[name="${name}"]`).value)));
        unit.setAttribute('transform', `translate(${x} ${y})`);
        if (event.target.name === 'turn[]') turnUnit(unit, Number(event.target.value));
    });

    // Drawings that can be made larger and smaller.
    document.addEventListener('click', (event) => {
        const button = event.target.closest('[data-zoom-by]');
        const svg = button && button.closest('[data-zoomable]').querySelector('svg.floor-plan, svg.elevation');
        if (!svg) return;
        const box = svg.viewBox.baseVal;
        const width = Math.max(200, Math.min(4000, svg.getBoundingClientRect().width * Number(button.dataset.zoomBy)));
        svg.classList.add('zoomed');
        svg.setAttribute('width', width);
        svg.setAttribute('height', (width * box.height) / box.width);
    });

    // The camera reads codes with jsqr, which is loaded when it is first needed.
    let reading = null;
    const loadReader = (source) => new Promise((done, failed) => {
        if (window.jsQR) {
            done();
            return;
        }
        const script = document.createElement('script');
        script.src = source;
        script.onload = done;
        script.onerror = failed;
        document.head.append(script);
    });
    const say = (camera, text) => { camera.querySelector('[role="status"]').textContent = text; };
    function decode(source, width, height) {
        const scale = Math.min(1, 1000 / Math.max(width, height));
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
        const context = canvas.getContext('2d', { willReadFrequently: true });
        context.drawImage(source, 0, 0, canvas.width, canvas.height);
        const found = window.jsQR(context.getImageData(0, 0, canvas.width, canvas.height).data, canvas.width, canvas.height);
        return found && found.data ? found.data : null;
    }
    function stopCamera() {
        if (reading) for (const track of reading.getTracks()) track.stop();
        reading = null;
    }
    async function startCamera(camera) {
        const video = camera.querySelector('video');
        try {
            await loadReader(camera.dataset.jsqr);
            if (!navigator.mediaDevices) throw new Error('no camera');
            reading = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
        } catch {
            say(camera, 'There is no camera here, or it may not be used. Take a photo of the label instead, or type its address.');
            return;
        }
        video.hidden = false;
        video.srcObject = reading;
        await video.play();
        const look = () => {
            if (!reading || !document.contains(video)) {
                stopCamera();
                return;
            }
            const text = video.videoWidth > 0 ? decode(video, video.videoWidth, video.videoHeight) : null;
            if (text) {
                stopCamera();
                say(camera, 'Read.');
                sendScan(text);
            } else {
                setTimeout(look, 120);
            }
        };
        look();
    }
    async function readPhoto(camera, file) {
        await loadReader(camera.dataset.jsqr);
        const picture = await createImageBitmap(file).catch(() => null);
        const text = picture && decode(picture, picture.width, picture.height);
        if (text) sendScan(text);
        else say(camera, 'No code can be read in this picture. Go nearer, or type the address.');
    }
    document.addEventListener('click', (event) => {
        const button = event.target.closest('[data-camera-start]');
        if (button) startCamera(button.closest('[data-camera]'));
    });
    document.addEventListener('change', (event) => {
        if (event.target.matches('[data-camera-photo]') && event.target.files[0]) readPhoto(event.target.closest('[data-camera]'), event.target.files[0]);
    });
    // Large photos are made smaller before they travel.
    const PHOTO_SIDE = 2000;
    document.addEventListener('change', async (event) => {
        const field = event.target;
        const file = field.matches('[data-shrink]') ? field.files[0] : null;
        if (!file || file.size < 1_500_000 || !/^image\/(jpeg|png|webp)$/.test(file.type)) return;
        const picture = await createImageBitmap(file).catch(() => null);
        if (!picture) return;
        const scale = Math.min(1, PHOTO_SIDE / Math.max(picture.width, picture.height));
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [Math.round(picture.width * scale), Math.round(picture.height * scale)];
        canvas.getContext('2d').drawImage(picture, 0, 0, canvas.width, canvas.height);
        const blob = await new Promise((done) => { canvas.toBlob(done, 'image/jpeg', 0.9); });
        if (!blob || blob.size >= file.size) return;
        const smaller = new DataTransfer();
        smaller.items.add(new File([blob], 'photo.jpg', { type: 'image/jpeg' }));
        field.files = smaller.files;
    });
    document.addEventListener('input', (event) => {
        const target = event.target.dataset && event.target.dataset.picks ? document.getElementById(event.target.dataset.picks) : null;
        if (target) target.value = event.target.value;
    });
    // The stand-in for a hand scanner types as one.
    document.addEventListener('submit', (event) => {
        if (!event.target.matches('[data-scanner]')) return;
        event.preventDefault();
        event.stopPropagation();
        document.activeElement.blur();
        for (const key of [...event.target.elements.code.value, 'Enter']) document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    }, true);

    // What is ticked for printing is also what is said to be printed.
    document.addEventListener('submit', (event) => {
        const source = event.target.dataset && event.target.dataset.withWishes ? document.getElementById(event.target.dataset.withWishes) : null;
        if (!source) return;
        for (const wish of event.target.querySelectorAll('[name="wish[]"]')) {
            const twin = source.querySelector(`[name="wish[]"][value="${CSS.escape(wish.value)}"]`);
            wish.disabled = Boolean(twin && !twin.checked);
        }
    }, true);

    // When the last care is ticked, the next thing to do is the big button: space must not take the tick away again.
    document.addEventListener('change', (event) => {
        const cares = event.target.closest && event.target.closest('#home .cares');
        if (!cares || [...cares.querySelectorAll('[name="cared[]"]')].some((tick) => !tick.checked)) return;
        const next = document.querySelector('main [data-key="space"]');
        if (next) next.focus({ preventScroll: true });
    });

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
