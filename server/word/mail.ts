import type { Transporter } from 'nodemailer';
import type { Post } from './watch';

const WAIT_MS = 15_000;

/**
 * Sends by a mail server.
 * @param url smtp:// or smtps://, with name and password where it wants them
 * @param from who it says it is from
 */
export function mailer(url: string, from: string): Post {
  // Read with the first letter: a start need not wait for it.
  let transport: Transporter | null = null;
  return async ({ to, subject, text }) => {
    const waiting = new Promise<never>((_, refuse) =>
      setTimeout(() => refuse(new Error('The mail server did not answer.')), WAIT_MS).unref(),
    );
    transport ??= (await import('nodemailer')).createTransport(
      { url, connectionTimeout: WAIT_MS, greetingTimeout: WAIT_MS, socketTimeout: WAIT_MS },
      { from },
    );
    await Promise.race([transport.sendMail({ to, subject, text }), waiting]);
  };
}
