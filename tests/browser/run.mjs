// Runs files of browser tests, as many beside each other as there are processors, each of these with its own server for the demo room:
//   node tests/browser/run.mjs LOGS FILE…
// Into the folder LOGS go browser.tap, what they said, and browser.times, how many seconds each took.
import { spawn } from 'node:child_process';
import { appendFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { basename, join } from 'node:path';
import { Room } from './harness.mjs';

const [logs, ...files] = process.argv.slice(2);
const HANGS = 3600000;
const TOLD = /^(not )?ok |^ *(error|expected|actual):|^# [^a-zA-Z]/;

/** What one file says, and whether all of it passed. */
function run(file, server) {
    return new Promise((resolve) => {
        const child = spawn(process.execPath, ['--test', file], { env: { ...process.env, LOTTEL_TEST_SERVER: server }, stdio: ['ignore', 'pipe', 'pipe'] });
        const hangs = setTimeout(() => child.kill('SIGKILL'), HANGS);
        let said = '';
        for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
        child.on('close', (status) => {
            clearTimeout(hangs);
            resolve({ said, passed: status === 0 });
        });
    });
}

// What takes longest goes first, so that all end at about the same time.
const LONG = ['pages', 'homes-reference', 'upkeep', 'kill', 'units', 'design', 'stores'];
const isLong = (file) => LONG.includes(basename(file, '.test.mjs'));
const waiting = [...LONG.map((name) => files.find((file) => basename(file, '.test.mjs') === name)).filter(Boolean), ...files.filter((file) => !isLong(file))];
const rooms = [];
const closeAll = () => rooms.forEach((room) => room.close());
for (const signal of ['SIGTERM', 'SIGINT']) {
    process.on(signal, () => {
        closeAll();
        process.exit(1);
    });
}
let failed = false;

async function runOneAfterAnother(room) {
    for (let file = waiting.shift(); file !== undefined; file = waiting.shift()) {
        const began = Date.now();
        const { said, passed } = await run(file, JSON.stringify({ data: room.data, port: room.port }));
        failed ||= !passed;
        appendFileSync(join(logs, 'browser.times'), `${Math.round((Date.now() - began) / 1000)} ${file}\n`);
        appendFileSync(join(logs, 'browser.tap'), said);
        const told = said.split('\n').filter((line) => TOLD.test(line));
        if (told.length > 0) console.log(told.join('\n'));
    }
}

try {
    while (rooms.length < Math.min(availableParallelism(), files.length)) rooms.push(await Room.demo());
    await Promise.all(rooms.map(runOneAfterAnother));
} finally {
    closeAll();
}
process.exit(failed ? 1 : 0);
