import { once } from 'node:events';
import { type AddressInfo, createServer } from 'node:net';
import { expect, it } from 'vitest';
import { mailer } from './mail';

/** Just enough of a mail server (RFC 5321) to take one message, or to refuse whoever it is for. */
async function mailServer(refuses = false) {
  const heard: string[] = [];
  const server = createServer((socket) => {
    let data = false;
    socket.write('220 sample\r\n');
    socket.on('data', (chunk) => {
      for (const line of chunk.toString().split('\r\n')) {
        if (line === '') continue;
        heard.push(line);
        if (data) {
          if (line !== '.') continue;
          data = false;
          socket.write('250 kept\r\n');
        } else if (line.startsWith('RCPT') && refuses) socket.write('550 nobody of that name\r\n');
        else if (line === 'DATA') {
          data = true;
          socket.write('354 go on\r\n');
        } else if (line === 'QUIT') socket.end('221 bye\r\n');
        else socket.write('250 well\r\n');
      }
    });
    socket.on('error', () => undefined);
  });
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  return { url: `smtp://127.0.0.1:${port}`, heard, close: () => server.close() };
}
const message = {
  to: 'contact@sample.example',
  subject: 'Overdue, call now: Łukasz',
  text: 'Ring 000 555 0100.',
};

it('a message goes to the mail server that was named, from whom it was said', async () => {
  const { url, heard, close } = await mailServer();
  await mailer(url, 'Tally <tally@sample.example>')(message);
  expect(heard).toContain('MAIL FROM:<tally@sample.example>');
  expect(heard).toContain('RCPT TO:<contact@sample.example>');
  expect(heard).toContain('Ring 000 555 0100.');
  expect(heard.some((line) => line.startsWith('Subject: '))).toBe(true);
  close();
});
it('one that is refused, or that nobody takes, fails with a reason', async () => {
  const { url, close } = await mailServer(true);
  await expect(mailer(url, 'tally@sample.example')(message)).rejects.toThrow(/nobody of that name/);
  close();
  await expect(mailer('smtp://127.0.0.1:9', 'tally@sample.example')(message)).rejects.toThrow(/ECONNREFUSED/);
});
