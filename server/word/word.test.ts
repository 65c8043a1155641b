import { randomUUID } from 'node:crypto';
import { extractText, getDocumentProxy } from 'unpdf';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demo } from '#core/demo/demo';
import type { FloatPlan } from '#core/floatplan/floatPlan';
import { DAY_MS, HOUR_MS } from '#core/units/time';
import { type TestApp, openApp } from '../testing/openApp';
import { planPdf } from './planPdf';
import { wordStore } from './store';
import { type Post, watchOver } from './watch';

let house: TestApp;
beforeAll(async () => {
  house = await openApp({ withDemo: true });
});
afterAll(() => house.close());

const ID = 'pollack-long-grey';
const base = 'http://127.0.0.1:4180';
interface Word {
  left: { at: string; plan: FloatPlan; openedAt: string | null; toldAt: string | null } | null;
  page: string | null;
  checkIns: { what: string }[];
  state: string;
  messages: { kind: string; body: string; subject: string; sentAt: string | null; trouble: string }[];
}
const get = async (url: string) => house.app.inject({ url });
const post = async (url: string, payload: object) => house.app.inject({ method: 'POST', url, payload });
const wordOf = async (id = ID) => (await get(`/api/outings/${id}/word`)).json<Word>();
const checkIn = (what: string, homeBy: string | null = null, key: string = randomUUID(), id = ID) =>
  post(`/api/outings/${id}/check-ins`, {
    checkIns: [{ key, what, at: new Date(house.now()).toISOString(), homeBy }],
    sentAt: new Date(house.now()).toISOString(),
  });
const pathOf = (page: string | null) => page ?? '/watch/none';

describe('a plan left ashore', () => {
  it('came with the sample, as it was shown, with a page nobody can guess', async () => {
    const { left, page, state } = await wordOf();
    expect(left?.plan.title).toBe('Pollack beyond the Long Grey');
    expect(state).toBe('left');
    expect(page).toMatch(/^\/watch\/[A-Za-z0-9_-]{32}$/);
    const others = await Promise.all(
      ['bonefish-flat', 'venn-overnight'].map(async (id) => (await wordOf(id)).page),
    );
    expect(new Set([page, ...others]).size).toBe(3);
  });
  it('is left once, however often it is sent, and keeps the address of its page', async () => {
    const before = await wordOf();
    const plan = { ...(before.left?.plan as FloatPlan), title: 'Left again' };
    const key = randomUUID();
    for (let i = 0; i < 3; i += 1)
      expect((await post(`/api/outings/${ID}/word`, { key, plan, base })).statusCode).toBe(201);
    const after = await wordOf();
    expect(after.left?.plan.title).toBe('Left again');
    expect(after.page).toBe(before.page);
    expect(after.messages.filter(({ kind }) => kind === 'left')).toHaveLength(1);
  });
  it('is known to have arrived once its page was opened or the angler says so, until it is left anew', async () => {
    const received = async () => {
      const { left } = await wordOf();
      return [left?.openedAt, left?.toldAt];
    };
    const leave = async () => {
      const { left } = await wordOf();
      await post(`/api/outings/${ID}/word`, { key: randomUUID(), plan: left?.plan as FloatPlan, base });
    };
    house.wait(60_000);
    await leave();
    expect(await received()).toEqual([null, null]);
    await get(pathOf((await wordOf()).page));
    expect(await received()).toEqual([new Date(house.now()).toISOString(), null]);
    expect((await post(`/api/outings/${ID}/word-received`, {})).statusCode).toBe(200);
    expect((await received())[1]).toBe(new Date(house.now()).toISOString());
    house.wait(60_000);
    await leave();
    expect(await received()).toEqual([null, null]);
  });
  it('is refused with the field where it is no plan, and nothing is left', async () => {
    const { left } = await wordOf();
    const sent = left?.plan as FloatPlan;
    const bad = { ...sent, times: { ...sent.times, homeAt: 'soon' } };
    const reply = await post(`/api/outings/${ID}/word`, { key: randomUUID(), plan: bad, base });
    expect(reply.statusCode).toBe(400);
    expect(reply.json<{ errors: { field: string }[] }>().errors[0]?.field).toBe('plan.times.homeAt');
    expect((await wordOf()).left?.plan.title).toBe('Left again');
    for (const wrong of ['javascript:alert(1)', 'http://a/b', 'ftp://x', '']) {
      const other = await post(`/api/outings/${ID}/word`, {
        key: randomUUID(),
        plan: left?.plan as object,
        base: wrong,
      });
      expect(other.statusCode).toBe(400);
    }
    expect(
      (await post('/api/outings/nobody/word', { key: randomUUID(), plan: left?.plan as object, base }))
        .statusCode,
    ).toBe(404);
  });
});

describe('the page that can be watched', () => {
  it('shows the plan, escaped, to whoever has its address, without script or account', async () => {
    const { left, page } = await wordOf();
    const plan = { ...(left?.plan as FloatPlan), title: 'A <script>alert(1)</script> & co' };
    await post(`/api/outings/${ID}/word`, { key: randomUUID(), plan, base });
    const reply = await get(pathOf(page));
    expect(reply.statusCode).toBe(200);
    expect(reply.headers['content-type']).toContain('text/html');
    expect(reply.headers['cache-control']).toBe('no-store');
    expect(reply.headers['referrer-policy']).toBe('no-referrer');
    expect(reply.body).toContain('A &lt;script&gt;alert(1)&lt;/script&gt; &amp; co');
    expect(reply.body).not.toMatch(/<script/i);
    expect(reply.body).toContain('href="tel:0005550911"');
    expect(reply.body).toContain('the clock is yours');
  });
  it('holds nothing of the house but the plan', async () => {
    const { page } = await wordOf();
    const { body } = await get(pathOf(page));
    const { items } = demo(house.now()).references;
    for (const { note } of items.filter((one) => one.note.length > 20)) expect(body).not.toContain(note);
    expect(body).not.toContain(ID);
  });
  it('is not found by any other address', async () => {
    const { page } = await wordOf();
    const token = pathOf(page).slice('/watch/'.length);
    for (const wrong of [
      token.slice(1),
      `${token}a`,
      token.toUpperCase(),
      `${token.slice(0, -1)}_`,
      '%00',
      'a'.repeat(80),
    ]) {
      const reply = await get(`/watch/${wrong}`);
      expect(reply.statusCode, wrong).toBeGreaterThanOrEqual(400);
      expect(reply.body).not.toContain('Gannet');
    }
  });
  it('is switched off, and comes back at another address', async () => {
    const { page } = await wordOf();
    await post(`/api/outings/${ID}/watch-page`, { on: false, base });
    expect((await get(pathOf(page))).statusCode).toBe(404);
    expect((await wordOf()).page).toBeNull();
    await post(`/api/outings/${ID}/watch-page`, { on: true, base });
    const again = (await wordOf()).page;
    expect(again).not.toBe(page);
    expect((await get(pathOf(again))).statusCode).toBe(200);
    expect((await get(pathOf(page))).statusCode).toBe(404);
  });
});

describe('the clock of a plan', () => {
  it('says afloat, late, overdue and home in their order, writes each once, and a day after home shows nothing any more', async () => {
    const sent: string[] = [];
    let silent = true;
    const mail: Post = async ({ to, subject }) => {
      await Promise.resolve();
      if (silent) throw new Error('The mail server does not answer.');
      sent.push(`${to} ${subject}`);
    };
    const watch = watchOver(house.db, house.now, mail);
    const look = async () => {
      await watch.tick();
      await watch.send();
    };
    const { left } = await wordOf();
    const plan = left?.plan as FloatPlan;
    const toHome = Date.parse(plan.times.homeAt) - house.now();
    expect((await checkIn('afloat')).statusCode).toBe(200);
    expect((await wordOf()).state).toBe('afloat');
    expect(
      (await get('/api/out')).json<{ out: { outingId: string }[] }>().out.map(({ outingId }) => outingId),
    ).toEqual([ID]);

    house.wait(toHome + 60_000);
    await look();
    expect((await wordOf()).state).toBe('late');
    house.wait(HOUR_MS);
    // Two processes look at once.
    await Promise.all([look(), watchOver(house.db, house.now, mail).tick()]);
    await look();
    const { state, messages, page } = await wordOf();
    expect(state).toBe('overdue');
    const mine = messages.filter(({ kind }) => kind === 'late' || kind === 'overdue');
    expect(mine.map(({ kind }) => kind)).toEqual(['late', 'overdue']);
    expect(mine[1]?.body).toMatch(/Call Sample Coast Watch, Ostrey, 000 555 0911 now/);
    expect(mine[1]?.body).toContain('I am reporting a kayak angler overdue');
    expect(mine[1]?.trouble).toContain('does not answer');
    expect((await get(pathOf(page))).body).toContain('Overdue');

    silent = false;
    house.wait(60_000);
    await look();
    await look();
    expect(sent.filter((one) => one.includes('Overdue, call now'))).toEqual([
      'contact@sample.example Overdue, call now: Sample Angler',
    ]);

    // A false alarm is taken back by one press: still well, home later.
    const homeOn = (body: string) => /<dt>Home<\/dt><dd>([^<]*)/.exec(body)?.[1];
    const before = homeOn((await get(pathOf(page))).body);
    await checkIn('well', new Date(house.now() + 2 * HOUR_MS).toISOString());
    expect((await wordOf()).state).toBe('afloat');
    expect(before).toMatch(/^\d\d:\d\d on /);
    expect(homeOn((await get(pathOf(page))).body)).not.toBe(before);
    const key = randomUUID();
    await checkIn('home', null, key);
    await checkIn('home', null, key);
    const home = await wordOf();
    expect(home.state).toBe('home');
    expect(home.checkIns.filter(({ what }) => what === 'home')).toHaveLength(1);
    expect(home.messages.filter(({ kind }) => kind === 'home')).toHaveLength(1);
    expect((await get(pathOf(home.page))).body).toContain('Thank you for keeping watch');
    house.wait(DAY_MS + 60_000);
    expect((await wordOf()).page).toBeNull();
    expect((await get(pathOf(home.page))).statusCode).toBe(404);
  });
  it('reckons with the server’s clock where a telephone’s is wrong', async () => {
    const wrong = new Date(house.now() + 3 * HOUR_MS).toISOString();
    const id = 'bonefish-flat';
    await post(`/api/outings/${id}/check-ins`, {
      checkIns: [{ key: randomUUID(), what: 'afloat', at: wrong, homeBy: null }],
      sentAt: wrong,
    });
    const [one] = (await wordOf(id)).checkIns as unknown as { at: string }[];
    expect(Math.abs(Date.parse(one?.at ?? '') - house.now())).toBeLessThan(1000);
  });
  it('keeps what was said: neither plan nor check-in can be changed', async () => {
    for (const table of ['plans_left', 'check_ins']) {
      await expect(house.db.execute(`update ${table} set outing_id = outing_id`)).rejects.toThrow();
      await expect(house.db.execute(`delete from ${table}`)).rejects.toThrow();
    }
  });
  it('of several who are out each has what was heard of it alone, and one that was left and not launched is not among them', async () => {
    const { plan } = (await wordOf()).left ?? {};
    const hours = (n: number) => new Date(house.now() + n * HOUR_MS).toISOString();
    const times = { launchAt: hours(-1), turnAt: null, homeAt: hours(2), callAt: hours(3) };
    for (const id of [ID, 'cod-wreck', 'zander-dusk'])
      await post(`/api/outings/${id}/word`, { key: randomUUID(), plan: { ...plan, times }, base });
    await checkIn('afloat');
    await checkIn('afloat', null, randomUUID(), 'cod-wreck');
    await checkIn('well', hours(2.5), randomUUID(), 'cod-wreck');
    const { out } = (await get('/api/out')).json<{
      out: { outingId: string; heard: { what: string } | null }[];
    }>();
    const heard = Object.fromEntries(out.map((one) => [one.outingId, one.heard?.what]));
    expect(heard).toMatchObject({ [ID]: 'afloat', 'cod-wreck': 'well' });
    expect(heard).not.toHaveProperty('zander-dusk');
  });
});

describe('messages', () => {
  const to = (n: number) => `contact-${n}@sample.example`;
  const written = (mark: string, more: Partial<Parameters<ReturnType<typeof wordStore>['write']>[0]>) =>
    wordStore(house.db).write({
      ...{ mark, outingId: ID, kind: 'overdue', toName: '', toAddress: '', subject: mark, body: '' },
      ...{ madeAt: new Date(house.now()).toISOString(), ...more },
    });
  const sentBy = () => {
    const sent: string[] = [];
    const post: Post = async ({ subject }) => {
      await Promise.resolve();
      sent.push(subject);
    };
    return { sent, watch: watchOver(house.db, house.now, post) };
  };
  it('without an address hold back none that has one', async () => {
    for (let i = 0; i < 60; i += 1) await written(`none-${i}`, {});
    await written('with', { toAddress: to(0) });
    const { sent, watch } = sentBy();
    await watch.send();
    expect(sent).toContain('with');
    expect(sent.filter((one) => one.startsWith('none'))).toEqual([]);
  });
  it.each([
    ['left', 24],
    ['late', 6],
    ['overdue', 72],
    ['home', 24],
  ] as const)('of the kind %s are sent within %i hours, and then only shown', async (kind, hours) => {
    const madeAt = (before: number) => new Date(house.now() - hours * HOUR_MS - before).toISOString();
    await written(`${kind}-young`, { kind, toAddress: to(1), madeAt: madeAt(-1000) });
    await written(`${kind}-old`, { kind, toAddress: to(1), madeAt: madeAt(1000) });
    const { sent, watch } = sentBy();
    await watch.send();
    expect(sent).toContain(`${kind}-young`);
    expect(sent).not.toContain(`${kind}-old`);
  });
  it('go side by side: one that hangs holds up no other, and one that fails is tried again after a wait that doubles', async () => {
    await written('hangs', { toAddress: 'hangs@sample.example' });
    await written('goes', { toAddress: to(2) });
    const tried: string[] = [];
    let release: () => void = () => undefined;
    const hanging = new Promise<void>((_, fail) => {
      release = () => fail(new Error('The mail server did not answer.'));
    });
    const watch = watchOver(house.db, house.now, async ({ subject }) => {
      tried.push(subject);
      if (subject === 'hangs') await hanging;
    });
    const sending = watch.send();
    const isSent = async () =>
      (await wordOf()).messages.some((one) => one.subject === 'goes' && one.sentAt !== null);
    await expect.poll(isSent).toBe(true);
    release();
    await sending;
    await watch.send();
    expect(tried.filter((one) => one === 'hangs')).toHaveLength(1);
    for (const [wait, times] of [
      [16_000, 2],
      [16_000, 2],
      [16_000, 3],
    ] as const) {
      house.wait(wait);
      await watch.send();
      expect(tried.filter((one) => one === 'hangs')).toHaveLength(times);
    }
  });
});

describe('plans that are over', () => {
  it('are not read: said to be home, logged, or deleted', async () => {
    const hours = (n: number) => new Date(house.now() + n * HOUR_MS).toISOString();
    const times = { launchAt: hours(-1), turnAt: null, homeAt: hours(2), callAt: hours(3) };
    const madeAt = new Date(house.now()).toISOString();
    const { plan } = (await wordOf()).left ?? {};
    await post(`/api/outings/${ID}/word`, { key: randomUUID(), plan: { ...plan, times, madeAt }, base });
    const read = async () =>
      (await wordStore(house.db).waitedFor({ launchBefore: hours(0), callAfter: hours(-300) })).map(
        ({ outingId }) => outingId,
      );
    house.wait(60_000);
    expect(await read()).toContain(ID);
    await checkIn('home');
    expect(await read()).not.toContain(ID);
    house.wait(60_000);
    await checkIn('taken back');
    expect(await read()).toContain(ID);
    const { version } = (await get(`/api/outings/${ID}`)).json<{ version: number }>();
    await house.app.inject({ method: 'DELETE', url: `/api/outings/${ID}?version=${version}` });
    expect(await read()).not.toContain(ID);
    await post(`/api/outings/${ID}/restore`, {});
    expect(await read()).toContain(ID);
  });
});

describe('the page of paper', () => {
  const read = async (bytes: Buffer) => {
    const pdf = await getDocumentProxy(new Uint8Array(bytes));
    const { totalPages, text } = await extractText(pdf, { mergePages: true });
    const { width, height } = (await pdf.getPage(1)).getViewport({ scale: 1 });
    return { totalPages, text: text.replaceAll(/\s+/g, ' '), size: [Math.round(width), Math.round(height)] };
  };
  it('is one page of A4 or Letter with all that whoever calls reads out', async () => {
    const { left } = await wordOf('bonefish-flat');
    for (const [paper, size] of [
      ['A4', [595, 842]],
      ['LETTER', [612, 792]],
    ] as const) {
      const reply = await post('/api/plan-pages', {
        plan: left?.plan as object,
        paper,
        page: 'http://127.0.0.1/watch/x',
      });
      expect(reply.headers['content-type']).toBe('application/pdf');
      const page = await read(reply.rawPayload);
      expect(page.totalPages).toBe(1);
      expect(page.size).toEqual(size);
      for (const line of left?.plan.script ?? []) expect(page.text).toContain(line.replaceAll('′', "'"));
      expect(page.text).toContain('000 555 0913');
    }
  });
  it('is one page of the longest plan too, in letters beyond the first', async () => {
    const { left } = await wordOf('venn-overnight');
    const plan = left?.plan as FloatPlan;
    const long = {
      ...plan,
      who: 'Łukasz Žižka',
      sections: [
        ...plan.sections,
        { heading: 'More', lines: [{ label: 'Note', text: 'Ask at the mill. '.repeat(90) }] },
      ],
    };
    const page = await read(await planPdf(long, 'A4', '', house.now()));
    expect(page.totalPages).toBe(1);
    expect(page.text).toContain('Łukasz Žižka');
  });
});
