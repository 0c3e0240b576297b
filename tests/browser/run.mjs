// Runs files of browser tests one after another, with one server for the demo room:
//   node tests/browser/run.mjs LOGS FILE…
// Into the folder LOGS go browser.tap, what they said, and browser.times, how many seconds each took.
import { spawn } from 'node:child_process';
import { appendFileSync } from 'node:fs';
import { join } from 'node:path';
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

const room = await Room.demo();
for (const signal of ['SIGTERM', 'SIGINT']) {
    process.on(signal, () => {
        room.close();
        process.exit(1);
    });
}
let failed = false;
try {
    for (const file of files) {
        const began = Date.now();
        const { said, passed } = await run(file, JSON.stringify({ data: room.data, port: room.port }));
        failed ||= !passed;
        appendFileSync(join(logs, 'browser.times'), `${Math.round((Date.now() - began) / 1000)} ${file}\n`);
        appendFileSync(join(logs, 'browser.tap'), said);
        const told = said.split('\n').filter((line) => TOLD.test(line));
        if (told.length > 0) console.log(told.join('\n'));
    }
} finally {
    room.close();
}
process.exit(failed ? 1 : 0);
