// Starts rooms to test against, and people in browsers.
import { execFileSync, spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { createRequire } from 'node:module';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from 'playwright-core';

export const root = dirname(dirname(dirname(fileURLToPath(import.meta.url))));
const cache = join(root, 'var/browser');

// What has not come after this long hangs: a busy machine is given its time, and no test of its own says less.
export const HANGS_AFTER = 300000;

/** Waits until something is so; false where it never came to be. */
export async function until(isSo) {
    for (const end = Date.now() + HANGS_AFTER; Date.now() < end; ) {
        if (await isSo()) return true;
        await new Promise((resolve) => setTimeout(resolve, 100));
    }
    return false;
}

export function console_(data, ...args) {
    return execFileSync('php', ['bin/console', ...args], {
        cwd: root,
        env: { ...process.env, APP_ENV: 'prod', APP_DEBUG: '0', APP_SECRET: 'console', LOTTEL_DATA: data },
        encoding: 'utf8',
    });
}

export function audit(data) {
    return JSON.parse(console_(data, 'lottel:audit'));
}

export async function freePort() {
    return new Promise((resolve, reject) => {
        const server = createServer()
            .listen(0, '127.0.0.1', () => {
                const { port } = server.address();
                server.close(() => resolve(port));
            })
            .on('error', reject);
    });
}

// What a furnished room follows from: the files it is made by, and the day, since its story ends today.
function state() {
    const hash = createHash('sha256').update(new Date().toISOString().slice(0, 10));
    for (const part of ['src', 'core/src', 'config', 'migrations', 'templates', 'demo', 'vendor/.installed']) {
        const files = statSync(join(root, part)).isFile() ? [''] : readdirSync(join(root, part), { recursive: true }).sort();
        for (const file of files) {
            const known = statSync(join(root, part, file));
            if (known.isFile()) hash.update(`${part}/${file} ${known.size} ${known.mtimeMs}\n`);
        }
    }
    return hash.digest('hex').slice(0, 16);
}

// What was furnished from other files, or by a run that was broken off; another run may go on beside this one.
function clearAfterOthers(ours) {
    for (const left of existsSync(cache) ? readdirSync(cache) : []) {
        try {
            if (left !== ours) process.kill(Number(left.split('-')[1]), 0);
        } catch {
            rmSync(join(cache, left), { recursive: true, force: true });
        }
    }
}

// The demo room is furnished once for all tests, until something it follows from has changed, and copied for each of them.
export function furnished() {
    const name = `demo-0-${state()}`;
    const data = join(cache, name);
    if (!existsSync(data)) {
        clearAfterOthers(name);
        const making = join(cache, `making-${process.pid}`);
        mkdirSync(making, { recursive: true });
        // What was compiled from other files would furnish another room.
        execFileSync('bin/compile', { cwd: root, stdio: 'ignore' });
        console_(making, 'lottel:demo');
        if (existsSync(data)) rmSync(making, { recursive: true });
        else renameSync(making, data);
    }
    return data;
}

const copyInto = (data) => {
    for (const left of existsSync(data) ? readdirSync(data) : []) if (left !== 'secret') rmSync(join(data, left), { recursive: true, force: true });
    cpSync(furnished(), data, { recursive: true });
};

export class Room {
    /** @param {(data: string) => void} change what is changed in its files before it opens */
    static async demo(change = () => {}) {
        if (process.env.LOTTEL_TEST_SERVER && !SharedRoom.isInUse) return SharedRoom.furnishedAnew(change);
        const data = mkdtempSync(join(tmpdir(), 'lottel-room-'));
        copyInto(data);
        change(data);
        return new Room(data, true).start();
    }

    static async empty() {
        return new Room(mkdtempSync(join(tmpdir(), 'lottel-room-')), false).start();
    }

    // Served as people do, by bin/demo, which looks after the whole set-up at each start.
    static async demoByItsCommand() {
        const data = mkdtempSync(join(tmpdir(), 'lottel-room-'));
        copyInto(data);
        const room = new Room(data, true);
        room.byCommand = true;
        return room.start();
    }

    constructor(data, isDemo) {
        this.data = data;
        this.isDemo = isDemo;
    }

    at(port) {
        this.port = port;
        this.url = `http://127.0.0.1:${port}`;
        return this;
    }

    async start() {
        this.at(this.port ?? (await freePort()));
        this.errors = '';
        const [command, words] = this.byCommand ? ['bin/demo', ['--port', String(this.port)]] : ['bin/serve', [this.data, String(this.port)]];
        this.process = spawn(command, words, {
            cwd: root,
            detached: true,
            stdio: ['ignore', 'ignore', 'pipe'],
            env: { ...process.env, LOTTEL_DEMO: this.isDemo ? '1' : '0', ...(this.byCommand ? { LOTTEL_DATA: this.data } : {}) },
        });
        this.process.stderr.on('data', (chunk) => {
            this.errors += chunk;
        });
        const isOpen = () => fetch(`${this.url}/sign-in`, { redirect: 'manual' }).then((answer) => answer.status < 500, () => false);
        if (await until(isOpen)) return this;
        throw new Error(`The room did not open: ${this.errors}`);
    }

    kill() {
        try {
            process.kill(-this.process.pid, 'SIGKILL');
        } catch {
            /* gone already */
        }
    }

    close() {
        this.kill();
        rmSync(this.data, { recursive: true, force: true });
    }
}

// A room whose server goes on through the files of a run (run.mjs); its files are put back for each of them. What kills its server has one of its own.
class SharedRoom extends Room {
    static isInUse = false;

    static async furnishedAnew(change) {
        const { data, port } = JSON.parse(process.env.LOTTEL_TEST_SERVER);
        copyInto(data);
        change(data);
        SharedRoom.isInUse = true;
        return new SharedRoom(data, true).at(port);
    }

    kill() {
        throw new Error('This server is shared.');
    }

    close() {
        SharedRoom.isInUse = false;
    }
}

// What draws no window is quicker.
const withoutWindow = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync);

export async function openBrowser() {
    return chromium.launch({
        executablePath: withoutWindow,
        args: [
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
        ],
    });
}

export const people = { ada: 'lantern-room', ben: 'loose-rope' };

/** A person with a browser of their own; whatever the browser complains of is kept in page.complaints. */
export async function person(browser, room, login, options = {}) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: room.url, ...options });
    context.setDefaultTimeout(HANGS_AFTER);
    const page = await context.newPage();
    page.complaints = [];
    page.on('console', (message) => {
        if (message.type() === 'error' && !/status of (4\d\d)/.test(message.text())) page.complaints.push(message.text());
    });
    page.on('pageerror', (error) => page.complaints.push(error.message));
    page.on('request', (request) => {
        if (!request.url().startsWith(room.url) && !request.url().startsWith('data:')) page.complaints.push(`asked elsewhere: ${request.url()}`);
    });
    if (login) {
        await page.goto('/sign-in');
        await page.fill('#login', login);
        await page.fill('#password', people[login]);
        await page.click('main button');
        await page.waitForURL((url) => !url.pathname.includes('sign-in'));
    }
    return page;
}

/** Presses a button and waits until the page that comes of it is there, whether htmx swaps it in or the browser loads it. */
export async function press(page, action) {
    const before = await page
        .locator('[name="_request"]')
        .first()
        .getAttribute('value')
        .catch(() => null);
    await action();
    await page.waitForFunction(
        (old) =>
            document.readyState === 'complete' &&
            !document.querySelector('.htmx-request') &&
            document.querySelector('[name="_request"]')?.value !== old,
        before,
    );
}

export const said = (page) => page.locator('.said').innerText();

/** Presses a button by key, as somebody without a mouse does. */
export const enter = (page, locator) => press(page, async () => {
    await locator.focus();
    await page.keyboard.press('Enter');
});

export const space = (page) => press(page, () => page.keyboard.press('Space'));

const axe = () => readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/**
 * What axe finds on a page, whose person came with bypassCSP: the script is put into it from outside.
 * @param {object} how options of axe; `without` is a selector of what is not looked at
 */
export async function violations(page, { without = '', ...how } = {}) {
    if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe());
    const report = await page.evaluate(
        ([left, options]) => window.axe.run(left === '' ? document : { exclude: [left] }, { resultTypes: ['violations'], ...options }),
        [without, how],
    );
    return report.violations.map(
        (violation) =>
            `${violation.id}: ${violation.nodes
                .slice(0, 3)
                .map((node) => node.target.join(' '))
                .join(' | ')}`,
    );
}
