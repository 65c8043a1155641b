import { connect } from 'node:net';
import { OUTING, type Trial, good, inFolder, json, pause, read, start } from './trial';

export const hostile: Trial = {
  name: 'hostile requests over every route',
  run: (chance, rounds) =>
    inFolder(async (data) => {
      const lost: string[] = [];
      const slow: string[] = [];
      const running = await start(data);
      const { paths } = await read<{ paths: Record<string, Record<string, unknown>> }>(
        `${running.url}/api/docs/json`,
      );
      const routes = Object.entries(paths).flatMap(([path, methods]) =>
        Object.keys(methods).map((method) => ({ path, method: method.toUpperCase() })),
      );
      const odd = [
        '',
        '0',
        '-1',
        '1e400',
        '%00',
        '%F0%28%8C%BC',
        '..%2F..%2Fetc',
        '~',
        'x~y',
        'a'.repeat(300),
        "'--",
        'null',
        '{{7*7}}',
        '2147483648',
      ];
      const bodies = [
        undefined,
        '{}',
        '[]',
        'null',
        '{',
        '{"doc":{}}',
        '{"version":1e309}',
        '{"answers":[{}]}',
        `{"file":"${'A'.repeat(2000)}"}`,
        '{"take":[{}]}',
        '{"__proto__":{"x":1}}',
        JSON.stringify({ doc: { id: '\u0000' } }),
        `{"a":${'['.repeat(2000)}${']'.repeat(2000)}}`,
      ];
      const pick = <T>(list: readonly T[]) => list[chance(list.length)] as T;
      const count = Math.ceil(rounds * 2000);
      const one = async () => {
        const { path, method } = pick(routes);
        // What clears the house, or takes minutes, is not asked for here.
        const url = `${running.url}${path.replace(/\{\w+\}/g, () => pick(odd) || 'x')}${chance(3) === 0 ? `?${pick(odd)}=${pick(odd)}` : ''}`;
        const body = method === 'GET' ? undefined : pick(bodies);
        const began = performance.now();
        const reply = await fetch(url, {
          method,
          headers: body === undefined ? {} : json,
          ...(body === undefined ? {} : { body }),
        }).catch((error: unknown) => String(error));
        const tookMs = performance.now() - began;
        if (typeof reply === 'string') return lost.push(`${method} ${path}: ${reply.slice(0, 80)}`);
        await reply.arrayBuffer();
        if (reply.status >= 500) lost.push(`${method} ${path}: ${reply.status}`);
        if (tookMs > 1000) slow.push(`${method} ${path}: ${Math.round(tookMs)} ms`);
      };
      for (let at = 0; at < count; at += 20) await Promise.all(Array.from({ length: 20 }, one));
      await read(`${running.url}/api/health`);
      await running.kill('SIGKILL');
      return good(count, lost, slow);
    }),
};

export const trickling: Trial = {
  name: 'clients that send a byte at a time',
  run: (_, rounds) =>
    inFolder(async (data) => {
      const slow: string[] = [];
      const running = await start(data);
      const { port } = new URL(running.url);
      const many = 100 * Math.min(rounds, 5);
      const sockets = Array.from({ length: many }, () => connect(Number(port), '127.0.0.1'));
      for (const socket of sockets) socket.on('error', () => undefined);
      const head = `POST /api/outings HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\ncontent-type: application/json\r\ncontent-length: 100000\r\n\r\n{`;
      for (let i = 0; i < head.length; i += 8) {
        for (const socket of sockets) socket.write(head.slice(i, i + 8));
        await pause(20);
      }
      for (let i = 0; i < 20; i += 1) {
        const began = performance.now();
        await read(`${running.url}/api/outings/${OUTING}`);
        const tookMs = performance.now() - began;
        if (tookMs > 1000) slow.push(`another was answered after ${Math.round(tookMs)} ms`);
      }
      for (const socket of sockets) socket.destroy();
      await running.kill('SIGKILL');
      return good(many, [], slow);
    }),
};
