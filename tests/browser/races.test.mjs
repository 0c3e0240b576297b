import assert from 'node:assert/strict';
import { after, before, test } from 'node:test';
import { Room, audit, people } from './harness.mjs';

// Two people press the same button at the same time, over and over: each race is decided once, and the log stays true.
const RACES = Number(process.env.LOTTEL_RACES ?? 12);
const ORIGIN = { 'Sec-Fetch-Site': 'same-origin', 'Content-Type': 'application/x-www-form-urlencoded' };

let room;
let ada;
let ben;

before(async () => {
    room = await Room.demo();
    [ada, ben] = [await somebody('ada'), await somebody('ben')];
});
after(() => room?.close());

async function somebody(login) {
    const response = await fetch(`${room.url}/sign-in`, {
        method: 'POST',
        headers: ORIGIN,
        body: `login=${login}&password=${people[login]}`,
        redirect: 'manual',
    });
    const cookie = response.headers
        .getSetCookie()
        .map((one) => one.split(';')[0])
        .join('; ');
    const ask = async (path) => (await fetch(room.url + path, { headers: { Cookie: cookie } })).text();
    const send = async (path, fields, id = crypto.randomUUID()) => {
        const body = new URLSearchParams();
        for (const [name, value] of Object.entries({ ...fields, _request: id })) for (const one of [value].flat()) body.append(name, one);
        const answer = await fetch(room.url + path, {
            method: 'POST',
            headers: { ...ORIGIN, Cookie: cookie },
            body: body.toString(),
            redirect: 'manual',
        });
        return { status: answer.status, location: answer.headers.get('location') ?? '', text: answer.status === 303 ? '' : await answer.text() };
    };
    return { ask, send };
}

const isWritten = (answer) => answer.status === 303 && !answer.location.includes('sign-in');
const find = async (words) => (await ada.ask(`/find?q=${encodeURIComponent(words)}`)).match(/class="name"><a href="\/items\/(\d+)"/)[1];

async function kitWith(needs) {
    const planned = await ada.send('/kits', { name: `Race ${crypto.randomUUID().slice(0, 6)}` });
    const kit = planned.location.match(/\/kits\/(\d+)/)[1];
    for (const [item, quantity] of needs) assert.ok(isWritten(await ada.send(`/kits/${kit}/needs`, { item, quantity })));
    assert.ok(isWritten(await ada.send(`/kits/${kit}/pull`, {})));
    const page = await ada.ask(`/kits/${kit}/pull`);
    return {
        kit,
        place: page.match(/name="place" value="([^"]+)"/)[1],
        needs: [...new Set([...page.matchAll(/name="needs\[\]" value="(\d+)"/g)].map((m) => m[1]))],
    };
}

async function putAway(kit, items) {
    await ada.send(`/kits/${kit}/return`, {});
    for (const item of items)
        {await ada.send(`/kits/${kit}/return/home`, {
            'items[]': item,
            'cared[]': ['inky', 'blade', 'hot', 'solvent', 'small parts', 'powder', 'lies flat'],
        });}
    assert.ok(isWritten(await ada.send(`/kits/${kit}/close`, {})));
}

async function outOf(kit, item) {
    const page = await ada.ask(`/kits/${kit}/make`);
    return Number(page.match(new RegExp(`href="/items/${item}"[\\s\\S]*?<b\\b[^>]*>(\\d+)</b>`))?.[1] ?? 0);
}

test(`of two who take six of the same at one stop, one takes six and the other reads who (${RACES} races)`, async () => {
    const item = await find('foam squares black');
    for (let race = 0; race < RACES; race++) {
        const { kit, place, needs } = await kitWith([[item, '6']]);
        const answers = await Promise.all([ada, ben].map((who) => who.send(`/kits/${kit}/pull/take`, { place, 'needs[]': needs })));
        assert.equal(answers.filter(isWritten).length, 1, `race ${race}: ${answers.map((one) => one.status)}`);
        assert.match(answers.find((one) => !isWritten(one)).text, /(Ada|Ben) has taken .* already; it is on tray \d+/);
        assert.equal(await outOf(kit, item), 6);
        await putAway(kit, [item]);
    }
    assert.deepEqual(audit(room.data).differences, []);
});

test(`a single thing that two kits want goes to one of them (${RACES} races)`, async () => {
    const item = await find('curlew calling');
    for (let race = 0; race < RACES; race++) {
        const kits = [await kitWith([[item, '1']]), await kitWith([[item, '1']])];
        const answers = await Promise.all(
            [ada, ben].map((who, n) => who.send(`/kits/${kits[n].kit}/pull/take`, { place: kits[n].place, 'needs[]': kits[n].needs })),
        );
        assert.equal(answers.filter(isWritten).length, 1, `race ${race}: ${answers.map((one) => one.status)}`);
        assert.match(answers.find((one) => !isWritten(one)).text, /is out already: (Ada|Ben) took it/);
        const winner = answers.findIndex(isWritten);
        await putAway(kits[winner].kit, [item]);
        await putAway(kits[1 - winner].kit, []);
    }
    assert.deepEqual(audit(room.data).differences, []);
});

test(`the same form sent four times at once is written once (${RACES} races)`, async () => {
    const item = await find('foam squares black');
    const { kit, place, needs } = await kitWith([[item, '3']]);
    assert.ok(isWritten(await ada.send(`/kits/${kit}/pull/take`, { place, 'needs[]': needs })));
    for (let race = 0; race < RACES; race++) {
        const start = audit(room.data).movements;
        const id = crypto.randomUUID();
        const answers = await Promise.all([1, 2, 3, 4].map(() => ada.send(`/kits/${kit}/make/more`, { item, quantity: '1' }, id)));
        assert.ok(answers.every(isWritten), `race ${race}: ${answers.map((one) => one.status)}`);
        assert.equal(audit(room.data).movements, start + 1);
    }
    await putAway(kit, [item]);
    assert.deepEqual(audit(room.data).differences, []);
});

test(`of two who undo the same step, one does (${RACES} races)`, async () => {
    const item = await find('foam squares black');
    const { kit } = await kitWith([[item, '1']]);
    for (let race = 0; race < RACES; race++) {
        const id = crypto.randomUUID();
        assert.ok(isWritten(await ada.send(`/kits/${kit}/make/more`, { item, quantity: '2' }, id)));
        const answers = await Promise.all([ada, ben].map((who) => who.send('/log/undo', { step: id, back: '/plan' })));
        assert.equal(answers.filter(isWritten).length, 1, `race ${race}: ${answers.map((one) => `${one.status}`)}`);
        assert.equal(await outOf(kit, item), 0);
    }
    assert.deepEqual(audit(room.data).differences, []);
});

test(`a thing comes home while another uses it up: one of both happens (${RACES} races)`, async () => {
    const item = await find('foam squares black');
    for (let race = 0; race < RACES; race++) {
        const { kit, place, needs } = await kitWith([[item, '2']]);
        assert.ok(isWritten(await ada.send(`/kits/${kit}/pull/take`, { place, 'needs[]': needs })));
        await ada.send(`/kits/${kit}/return`, {});
        const answers = await Promise.all([
            ada.send(`/kits/${kit}/return/home`, { 'items[]': item }),
            ben.send(`/kits/${kit}/make/use`, { item, quantity: '2' }),
        ]);
        assert.equal(answers.filter(isWritten).length, 1, `race ${race}: ${answers.map((one) => one.status)}`);
        assert.ok(isWritten(await ada.send(`/kits/${kit}/close`, {})));
    }
    assert.deepEqual(audit(room.data).differences, []);
});
