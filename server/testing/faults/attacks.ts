import { randomUUID } from 'node:crypto';
import { cpSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { FloatPlan } from '#core/floatplan/floatPlan';
import { pack } from '../../storage/archive';
import { alteredBundle, base64 } from '../alteredBundle';
import { startServer } from '../startServer';
import { type Trial, good, inFolder, json, pause, read, send, start } from './trial';

const ID = 'pollack-long-grey';
/** Nobody waits longer than this for what somebody else does. */
const MOST_WAIT_MS = 1000;

/** Asks again and again while the work goes on. @returns what took too long, in words */
async function waitsDuring(
  url: string,
  work: Promise<unknown>,
  headers: Record<string, string> = {},
): Promise<string[]> {
  const slow: string[] = [];
  let going = true;
  const over = work.catch(() => undefined).finally(() => (going = false));
  while (going) {
    const began = performance.now();
    await (await fetch(`${url}/api/outings/${ID}`, { headers })).arrayBuffer();
    const tookMs = performance.now() - began;
    if (tookMs > MOST_WAIT_MS) slow.push(`another was answered after ${Math.round(tookMs)} ms`);
    await pause(20);
  }
  await over;
  return slow;
}

export const badRows: Trial = {
  name: 'a bundle with rows that cannot be read',
  run: (_, rounds) =>
    inFolder(async (data) => {
      const lost: string[] = [];
      const { url, kill } = await start(data);
      const bundle = new Uint8Array(await (await fetch(`${url}/api/bundle?parts=outings`)).arrayBuffer());
      const { left } = await read<{ left: { plan: FloatPlan } }>(`${url}/api/outings/${ID}/word`);
      const deep = JSON.parse(`${'['.repeat(1000)}${']'.repeat(1000)}`) as unknown;
      const bad: [path: string, row: object][] = [
        [
          'plans',
          {
            plan: { ...left.plan, times: { launchAt: 'never' } },
            leftAt: '2099-01-01T00:00:00Z',
            key: randomUUID(),
          },
        ],
        ['plans', { plan: 7, leftAt: '2099-01-01T00:00:00Z', key: randomUUID() }],
        ...[1, {}, null, deep].map((judged): [string, object] => [
          'signatures',
          { judged, signedAt: '2099-01-01T00:00:00Z', hash: '0'.repeat(64), key: null },
        ]),
        [
          'answers',
          {
            stepId: 'x',
            verdict: 'perhaps',
            at: 'now',
            note: '',
            recordedAt: 'now',
            clockAheadMs: 1e300,
            key: 'x',
          },
        ],
        [
          'check-ins',
          { what: 'sunk', at: 'now', homeBy: null, recordedAt: 'now', clockAheadMs: null, key: 'x' },
        ],
      ];
      for (let round = 0; round < rounds; round += 1)
        for (const [part, row] of bad) {
          const altered = await alteredBundle(bundle, `records/${part}.json`, () =>
            JSON.stringify([{ outingId: ID, ...row }]),
          );
          const body = { file: base64(altered), key: randomUUID(), take: [] };
          const reply = await send(`${url}/api/bundle/bring-in`, 'POST', body);
          if (reply.status >= 500) lost.push(`${part}: ${reply.status}`);
          for (const path of [
            '/api/out',
            '/api/summaries?today=2026-01-01',
            `/api/outings/${ID}/walk-round`,
          ]) {
            const after = await fetch(url + path);
            if (!after.ok) lost.push(`${path} after a bad row of ${part}: ${after.status}`);
          }
        }
      await kill('SIGKILL');
      return good(rounds * bad.length, lost);
    }),
};

export const lateAnswers: Trial = {
  name: 'answers that arrive late or twice',
  run: (_, rounds) =>
    inFolder(async (data) => {
      const lost: string[] = [];
      const { url, kill } = await start(data);
      for (let round = 0; round < rounds; round += 1) {
        const now = Date.now();
        const answer = (minutesAgo: number, verdict: string) => ({
          ...{ key: randomUUID(), stepId: 'item:radio', verdict, note: '' },
          at: new Date(now - minutesAgo * 60_000).toISOString(),
        });
        const [earlier, later] = [answer(1, 'good'), answer(0, 'fault')];
        const tell = (one: object) =>
          send(`${url}/api/outings/${ID}/answers`, 'POST', {
            answers: [one],
            sentAt: new Date().toISOString(),
          });
        for (const one of [later, earlier, earlier]) await tell(one);
        const { ahead, gone } = await read<Record<'ahead' | 'gone', { id: string; gateOpen: boolean }[]>>(
          `${url}/api/summaries?today=2000-01-01`,
        );
        const one = [...ahead, ...gone].find(({ id }) => id === ID);
        if (!one || one.gateOpen) lost.push(`round ${round}: an older "good" opened the gate over a fault`);
      }
      await kill('SIGKILL');
      return good(rounds * 3, lost);
    }),
};

export const crowdAtTheDoor: Trial = {
  name: 'a crowd that is not signed in',
  run: (_, rounds) =>
    inFolder(async (data) => {
      const lost: string[] = [];
      const { url, said, kill, child } = await start(data, { TALLY_ACCOUNTS: '1' });
      for (let waited = 0; !/first-keeper#/.test(said()) && waited < 10_000; waited += 50) await pause(50);
      const token = /first-keeper#(\S+)/.exec(said())?.[1] ?? '';
      const newcomer = { token, name: 'Ada', password: 'a long enough one' };
      const first = await send(`${url}/api/first`, 'POST', newcomer);
      const cookie = first.headers.getSetCookie()[0]?.split(';')[0] ?? '';
      const slow: string[] = [];
      for (let round = 0; round < rounds; round += 1) {
        const join = () =>
          send(`${url}/api/join`, 'POST', { token: 'bogus', name: 'Eve', password: 'a long enough one' });
        const guess = (i: number) =>
          send(`${url}/api/sign-in`, 'POST', { name: `Eve ${i}`, password: 'guess' });
        const crowd = Promise.all([
          ...Array.from({ length: 60 }, join),
          ...Array.from({ length: 60 }, (_, i) => guess(i)),
          ...Array.from({ length: 60 }, () =>
            fetch(`${url}/api/passkey-sign-in/options`, { method: 'POST', headers: json, body: '{}' }),
          ),
        ]);
        slow.push(...(await waitsDuring(url, crowd, { cookie })));
        for (const { status } of await crowd)
          if (status >= 500 && status !== 503) lost.push(`round ${round}: ${status}`);
        if (child.exitCode !== null) {
          lost.push(`round ${round}: the server ended`);
          break;
        }
        const mine = await fetch(`${url}/api/references`, { headers: { cookie } });
        if (!mine.ok) lost.push(`round ${round}: who was signed in got ${mine.status}`);
      }
      await kill('SIGKILL');
      return good(rounds * 180, lost, slow);
    }),
};

export const heavyFiles: Trial = {
  name: 'files that cost much to open',
  run: (_, rounds) =>
    inFolder(async (data) => {
      const lost: string[] = [];
      const slow: string[] = [];
      const { url, kill } = await start(data);
      const { left } = await read<{ left: { plan: FloatPlan } }>(`${url}/api/outings/${ID}/word`);
      const zeros = await pack({ 'bundle.json': new Uint8Array(2 ** 28) });
      const many = await pack(
        Object.fromEntries(Array.from({ length: 250 }, (_, i) => [`f${i}`, new Uint8Array(600_000).fill(i)])),
      );
      const values = await pack({
        'bundle.json': new TextEncoder().encode(`[${'{},'.repeat(4_000_000)}{}]`),
      });
      const look = (bytes: Uint8Array) => send(`${url}/api/bundle/look`, 'POST', { file: base64(bytes) });
      const lines = Array.from({ length: 18 }, () => ({ label: 'x', text: 'x'.repeat(4000) }));
      const long = { ...left.plan, sections: [{ heading: 'x', lines }] };
      const page = () => send(`${url}/api/plan-pages`, 'POST', { plan: long, paper: 'A4', page: '' });
      for (let round = 0; round < rounds; round += 1)
        for (const work of [() => look(zeros), () => look(many), () => look(values), page]) {
          const going = work();
          slow.push(...(await waitsDuring(url, going)));
          const { status } = await going;
          if (status >= 500 && status !== 503) lost.push(`round ${round}: ${status}`);
        }
      await kill('SIGKILL');
      return good(rounds * 4, lost, slow);
    }),
};

export const bitFlips: Trial = {
  name: 'bits of the data that turned over',
  run: (chance, rounds) =>
    inFolder(async (folder) => {
      const lost: string[] = [];
      const whole = join(folder, 'whole');
      await (await start(whole)).kill('SIGINT');
      const files = filesIn(join(whole, 'db')).filter((file) => statSync(join(whole, 'db', file)).size > 0);
      for (let round = 0; round < rounds; round += 1) {
        const data = join(folder, `flipped-${round}`);
        cpSync(whole, data, { recursive: true });
        const file = files[chance(files.length)] ?? '';
        for (let i = 0; i < 8; i += 1) flip(join(data, 'db', file), chance);
        const running = await startServer({ TALLY_DATA: data }).catch((error: unknown) => String(error));
        if (typeof running === 'string') {
          // Refused at the start, in one sentence that says what to do.
          if (!/^Error: exit 1: [^\n]+\.\n$/.test(running) || /at .*\.js:/.test(running))
            lost.push(`${file}: ${running.slice(0, 300)}`);
          continue;
        }
        const { url } = running;
        for (const path of [
          '/api/references',
          '/api/summaries?today=2000-01-01',
          `/api/outings/${ID}`,
          '/api/out',
          `/api/outings/${ID}/word`,
        ]) {
          const reply = await fetch(url + path).catch((error: unknown) => String(error));
          if (typeof reply === 'string') lost.push(`${file}, ${path}: ${reply}`);
          else if (reply.status === 500)
            lost.push(`${file}, ${path}: a bare 500: ${(await reply.text()).slice(0, 160)}`);
        }
        await running.kill('SIGKILL');
      }
      return good(rounds, lost);
    }),
};

function filesIn(folder: string): string[] {
  return readdirSync(folder, { recursive: true, withFileTypes: true }).flatMap((one) =>
    one.isFile() ? [join(one.parentPath, one.name).slice(folder.length + 1)] : [],
  );
}
/** Turns one bit of a file over. */
function flip(file: string, chance: (of: number) => number): void {
  const bytes = readFileSync(file);
  const at = chance(bytes.length);
  bytes[at] = (bytes[at] ?? 0) ^ (1 << chance(8));
  writeFileSync(file, bytes);
}
