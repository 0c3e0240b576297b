import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, until } from './harness.mjs';

let room;
before(async () => {
    room = await Room.demoByItsCommand();
});
after(() => room?.close());

const ORIGIN = { 'Sec-Fetch-Site': 'same-origin', 'Content-Type': 'application/x-www-form-urlencoded' };
const KILLS = Number(process.env.LOTTEL_KILLS ?? 22);

async function signIn() {
    const response = await fetch(`${room.url}/sign-in`, {
        method: 'POST',
        headers: ORIGIN,
        body: 'login=ada&password=lantern-room',
        redirect: 'manual',
    });
    return response.headers
        .getSetCookie()
        .map((cookie) => cookie.split(';')[0])
        .join('; ');
}

const uuid = () => crypto.randomUUID();

test(`killed in the middle of pulls ${KILLS} times, the room loses nothing that it had said was written`, async () => {
    let cookie = await signIn();
    const post = (path, fields, id = uuid()) =>
        fetch(room.url + path, {
            method: 'POST',
            headers: { ...ORIGIN, Cookie: cookie },
            body: new URLSearchParams({ ...fields, _request: id }).toString(),
            redirect: 'manual',
        });
    const isWritten = (response) => response.status === 303 && !response.headers.get('location').includes('sign-in');
    const kits = await (await fetch(`${room.url}/make`, { headers: { Cookie: cookie } })).text();
    const kit = kits.match(/\/kits\/(\d+)\/make/)[1];
    const find = await (await fetch(`${room.url}/find?q=foam+squares+black`, { headers: { Cookie: cookie } })).text();
    const item = find.match(/\/items\/(\d+)/)[1];
    let acknowledged = audit(room.data).movements;
    const start = acknowledged;
    let interrupted = 0;
    let signIns = 0;
    for (let kill = 0; kill < KILLS; kill++) {
        let alive = true;
        let done = 0;
        const pulling = (async () => {
            while (alive) {
                const id = uuid();
                try {
                    const response = await post(`/kits/${kit}/make/more`, { item, quantity: '1' }, id);
                    if (isWritten(response)) done += 1;
                    else if (response.status === 303) {
                        cookie = await signIn();
                        signIns += 1;
                    } else if (response.status === 422 || response.status === 409) {
                        await post('/items/' + item + '/stock', { quantity: '500', address: 'D6.b', from: 'bought' }, uuid()).then((r) => {
                            if (isWritten(r)) done += 1;
                        });
                    }
                } catch {
                    interrupted += 1;
                    return { id };
                }
            }
            return null;
        })();
        await until(() => done >= 2);
        await new Promise((resolve) => setTimeout(resolve, 3 * (kill % 9)));
        room.kill();
        alive = false;
        const open = await pulling;
        await room.start();
        const report = audit(room.data);
        assert.deepEqual(report.differences, [], `after kill ${kill + 1}`);
        acknowledged += done;
        assert.ok(
            report.movements === acknowledged || report.movements === acknowledged + 1,
            `kill ${kill + 1}: ${report.movements} in the log, ${acknowledged} acknowledged`,
        );
        acknowledged = report.movements;
        if (open) {
            // The page sends its form again under the same id: written once, whether or not the first try went through.
            const again = await post(`/kits/${kit}/make/more`, { item, quantity: '1' }, open.id);
            if (isWritten(again)) {
                const now = audit(room.data).movements;
                assert.ok(now - acknowledged <= 1);
                acknowledged = now;
            }
        }
    }
    assert.ok(acknowledged - start > KILLS, `only ${acknowledged - start} pulls went through`);
    assert.ok(interrupted > 0, 'no kill fell into a pull');
    assert.equal(signIns, 0, 'a session was lost');
    console.log(`# ${acknowledged - start} movements, ${interrupted} of ${KILLS} kills fell into a request`);
});
