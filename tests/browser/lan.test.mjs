// The room served to the workroom, as bin/start --lan does it: Debian's nginx and PHP-FPM, over TLS, for devices that were let in.
import assert from 'node:assert/strict';
import { spawn } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { after, before, test } from 'node:test';
import { chromium } from 'playwright-core';
import { HANGS_AFTER, audit, console_, freePort, furnished, people, root, until, violations } from './harness.mjs';

let data;
let served;
let said = '';
let url;
let trust;
let browser;

const authority = () => readFileSync(join(data, 'tls/authority.crt'));

function get(path, options = {}) {
    return new Promise((resolve, reject) => {
        const sent = request(new URL(path, url), { ca: authority(), ...options }, (answer) => {
            let body = '';
            answer.on('data', (chunk) => { body += chunk; });
            answer.on('end', () => resolve({ status: answer.statusCode, headers: answer.headers, body }));
        });
        sent.on('error', reject);
        sent.end(options.body);
    });
}

const FORM = { 'Content-Type': 'application/x-www-form-urlencoded', 'Sec-Fetch-Site': 'same-origin' };
const code = () => console_(data, 'lottel:device-code').trim();

async function device(name) {
    const context = await browser.newContext({ baseURL: url, bypassCSP: true });
    context.setDefaultTimeout(HANGS_AFTER);
    const page = await context.newPage();
    await page.goto('/plan');
    assert.equal(new URL(page.url()).pathname, '/device', 'an unknown device comes no further');
    await page.fill('#let_in-code', code());
    await page.fill('#let_in-name', name);
    await page.click('main button');
    await page.waitForURL(/sign-in/);
    return page;
}

async function signIn(page, login) {
    await page.fill('#login', login);
    await page.fill('#password', people[login]);
    await page.click('main button');
    await page.waitForURL((at) => !at.pathname.includes('sign-in'));
}

before(async () => {
    data = mkdtempSync(join(tmpdir(), 'lottel-lan-'));
    cpSync(furnished(), data, { recursive: true });
    served = spawn('bin/start', ['--lan', '--port', String(await freePort()), '--name', 'localhost'], {
        cwd: root,
        detached: true,
        env: { ...process.env, LOTTEL_DATA: data },
        stdio: ['ignore', 'pipe', 'pipe'],
    });
    served.stdout.on('data', (chunk) => { said += chunk; });
    served.stderr.on('data', (chunk) => { said += chunk; });
    assert.ok(await until(() => /first code/i.test(said) && said.includes('█')), said);
    url = said.match(/workroom: (https:\S+)/)[1];
    trust = said.match(/It opens (http:\S+trust)/)[1];
    await until(async () => (await get('/device').catch(() => ({}))).status === 200);
    // The browser trusts this one key, as a device does that has taken in the authority.
    const server = new X509Certificate(readFileSync(join(data, 'tls/server.crt')));
    const key = createHash('sha256').update(server.publicKey.export({ type: 'spki', format: 'der' })).digest('base64');
    browser = await chromium.launch({
        executablePath: '/usr/bin/chromium',
        args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update',
            '--disable-sync', `--ignore-certificate-errors-spki-list=${key}`],
    });
});
after(async () => {
    await browser?.close();
    try {
        process.kill(-served.pid, 'SIGKILL');
    } catch {
        /* gone already */
    }
    rmSync(data, { recursive: true, force: true });
});

test('what goes to and fro is sealed by a certificate that only this room’s authority vouches for', async () => {
    assert.equal((await get('/device')).status, 200);
    await assert.rejects(get('/device', { ca: undefined }), /certificate|issuer|self-signed/i);
    const server = new X509Certificate(readFileSync(join(data, 'tls/server.crt')));
    assert.ok(server.checkIssued(new X509Certificate(authority())));
    assert.match(server.subjectAltName, /DNS:localhost/);
    assert.ok((Date.parse(server.validTo) - Date.parse(server.validFrom)) / 86400000 <= 398, 'browsers take none for longer');
    await assert.rejects(get('/device', { maxVersion: 'TLSv1.1' }));
});

test('the fingerprint is the same in the terminal, on the page, and of the file itself', async () => {
    const page = await (await fetch(trust)).text();
    const file = Buffer.from(await (await fetch(`${trust}/lottel-authority.crt`)).arrayBuffer());
    const print = createHash('sha256').update(file).digest('hex').toUpperCase().match(/.{4}/g).join(' ');
    assert.ok(said.includes(print), said);
    assert.ok(page.includes(print));
    assert.deepEqual(file, new X509Certificate(authority()).raw);
});

test('without encryption there is nothing but the page that helps to trust', async () => {
    for (const path of ['/', '/plan', '/sign-in', '/device', '/upkeep/room.json']) {
        const answer = await fetch(new URL(path, trust), { redirect: 'manual' });
        assert.equal(answer.status, 302, path);
        assert.equal(answer.headers.get('location'), new URL(path, url).href);
    }
    for (const path of ['/trust/../plan', '/trust/..%2fplan', '/trustworthy', '/.env', '/build/../../.env', '/build/%2e%2e/index.php']) {
        const answer = await fetch(new URL(trust).origin + path, { redirect: 'manual' });
        assert.ok([302, 303, 400, 403, 404].includes(answer.status), `${path}: ${answer.status}`);
    }
});

test('nothing is reached by a device that nobody has let in, and codes cannot be guessed', async () => {
    for (const path of ['/', '/plan', '/sign-in', '/begin', '/log.csv', '/upkeep/devices', '/find?q=tern']) {
        const answer = await get(path);
        assert.equal(answer.status, 303, path);
        assert.equal(answer.headers.location, '/device', path);
    }
    const htmx = await get('/find?q=tern', { headers: { 'HX-Request': 'true' } });
    assert.equal(htmx.headers['hx-redirect'], '/device', 'a page that was open goes to the door as a whole');
    assert.equal((await get('/build/app.css')).status, 200);
    assert.equal((await get('/.env')).status, 303);
    const tries = [];
    for (let nth = 0; nth < 7; nth++) {
        const body = `code=${100000 + nth}&name=stranger&_form=let_in`;
        tries.push((await get('/device', { method: 'POST', body, headers: FORM })).body);
    }
    assert.match(tries[0], /This is no code/);
    assert.match(tries[6], /Too many tries/);
    console_(data, 'dbal:run-sql', "DELETE FROM sign_in_failure WHERE subject LIKE 'code%'");
});

test('nothing large is taken from a device that nobody has let in, however it says how large it is', async () => {
    const large = 'a'.repeat(200_000);
    const told = await get('/take-in', { method: 'POST', body: large, headers: { ...FORM, 'Content-Length': large.length } });
    assert.deepEqual([told.status, new URL(told.headers.location, url).pathname], [303, '/device']);
    const untold = await get('/device', { method: 'POST', body: large, headers: { ...FORM, 'Transfer-Encoding': 'chunked' } });
    assert.equal(new URL(untold.headers.location, url).pathname, '/device');
    const asked = await get('/device', { body: large, headers: { 'Transfer-Encoding': 'chunked' } });
    assert.ok([303, 413].includes(asked.status), `${asked.status}`);
    for (const path of ['/-large', '/-let-in']) assert.ok([303, 404].includes((await get(path)).status), path);
});

test('a device that was let in may send what is large', async () => {
    const page = await device('the desk');
    await signIn(page, 'ada');
    const cookie = (await page.context().cookies()).map((one) => `${one.name}=${one.value}`).join('; ');
    const body = 'a'.repeat(200_000);
    const answer = await get('/plan', { method: 'POST', body, headers: { ...FORM, Cookie: cookie, 'Content-Length': body.length } });
    assert.equal(answer.status, 405, 'it came as far as the page, which takes nothing');
    const stranger = await get('/plan', { method: 'POST', body, headers: { ...FORM, Cookie: 'lottel_device=made-up', 'Content-Length': body.length } });
    assert.equal(stranger.status, 303);
    await page.context().close();
});

test('two devices work in one room, and one is shut out', async () => {
    const ada = await device('the laptop');
    await signIn(ada, 'ada');
    assert.equal(await ada.evaluate(() => window.isSecureContext), true, 'so its camera can be used');
    const cookies = await ada.context().cookies();
    assert.ok(cookies.length >= 2 && cookies.every((cookie) => cookie.secure && cookie.httpOnly && cookie.name !== 'lottel'), JSON.stringify(cookies));
    await ada.goto('/upkeep/devices');
    await ada.click('text=Show a code');
    const shown = (await ada.locator('.device-code').innerText()).trim();
    assert.match(shown, /^\d{3} \d{3}$/);
    assert.deepEqual(await violations(ada), []);

    const tablet = await (await browser.newContext({ baseURL: url, viewport: { width: 820, height: 1180 }, bypassCSP: true })).newPage();
    await tablet.goto('/plan');
    assert.deepEqual(await violations(tablet), []);
    await tablet.fill('#let_in-code', shown.replace(' ', ''));
    await tablet.fill('#let_in-name', 'the tablet at the bench');
    await tablet.click('main button');
    await tablet.waitForURL(/sign-in/);
    await signIn(tablet, 'ben');
    const before = audit(data).movements;
    await tablet.goto('/make');
    await tablet.goto(await tablet.locator('a[href*="/make"]').first().getAttribute('href'));
    await tablet.goto('/log');
    assert.match(await tablet.locator('main').innerText(), /Log/);

    const again = await get('/device', {
        method: 'POST',
        body: `code=${shown.replace(' ', '')}&name=another&_form=let_in`,
        headers: FORM,
    });
    assert.match(again.body, /This is no code/, 'a code lets one device in');

    await ada.goto('/upkeep/devices');
    const row = ada.locator('li.row', { hasText: 'the tablet at the bench' });
    await row.locator('button').click();
    await ada.waitForSelector('text=is shut out');
    await tablet.goto('/log');
    assert.equal(new URL(tablet.url()).pathname, '/device');
    await ada.goto('/log');
    assert.equal(new URL(ada.url()).pathname, '/log', 'the other one stays in');
    assert.deepEqual(audit(data), { ...audit(data), differences: [], movements: before });
});

test('a newer version is taken up while somebody works, and nobody is dropped', async () => {
    const page = await device('the phone');
    await signIn(page, 'ada');
    const cookie = (await page.context().cookies()).map((one) => `${one.name}=${one.value}`).join('; ');
    const mistakes = [];
    let asked = 0;
    let goOn = true;
    const working = (async () => {
        while (goOn) {
            const answer = await get('/plan', { headers: { Cookie: cookie } }).catch((error) => ({ status: error.message }));
            asked += 1;
            if (answer.status !== 200) mistakes.push(answer.status);
            await new Promise((resolve) => setTimeout(resolve, 20));
        }
    })();
    const begun = () => readFileSync(join(data, 'log/php.log'), 'utf8').match(/ready to handle connections/g).length;
    const before = begun();
    try {
        process.kill(Number(readFileSync(join(data, 'lan/pid'), 'utf8')), 'SIGHUP');
        await until(() => begun() > before);
        const atFirst = asked;
        await until(() => asked >= atFirst + 20);
    } finally {
        goOn = false;
        await working;
    }
    assert.ok(begun() > before, 'PHP began anew');
    assert.ok(asked > 20);
    assert.deepEqual(mistakes, []);
});
