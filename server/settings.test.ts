import { join, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { publicAddress, readSettings } from './settings';

describe('what the environment may set', () => {
  it('is, without anything set, this machine alone, a folder beside it, a backup within, and the sample', () => {
    expect(readSettings({})).toMatchObject({
      host: '127.0.0.1',
      port: 4180,
      data: resolve('data'),
      backups: join(resolve('data'), 'backups'),
      databaseUrl: null,
      tls: null,
      smtpUrl: null,
      demo: true,
      names: [],
    });
  });
  it('refuses half a certificate, a mail server that is none and a port that is none, each in one sentence', () => {
    expect(() => readSettings({ TALLY_TLS_CERT: 'a.pem' })).toThrow(
      /^TALLY_TLS_CERT and TALLY_TLS_KEY belong together: set both, or neither\.$/,
    );
    expect(() => readSettings({ SMTP_URL: 'mail.example' })).toThrow(
      /^SMTP_URL must be an address like smtps:/,
    );
    for (const PORT of ['ninety', '70000', '-1', '80.5'])
      expect(() => readSettings({ PORT })).toThrow(/^PORT must be/);
  });
  it('has people sign in beyond this machine, unless a network was opened on purpose', () => {
    expect(readSettings({}).accounts).toBe(false);
    expect(readSettings({ TALLY_ACCOUNTS: '1' }).accounts).toBe(true);
    expect(readSettings({ HOST: '0.0.0.0' })).toMatchObject({ accounts: true, names: ['*'] });
    expect(readSettings({ HOST: '0.0.0.0', TALLY_OPEN_NETWORK: '1' }).accounts).toBe(false);
    expect(readSettings({ HOST: '0.0.0.0', TALLY_OPEN_NETWORK: '1', TALLY_ACCOUNTS: '1' }).accounts).toBe(
      true,
    );
    expect(readSettings({ HOST: '0.0.0.0', TALLY_NAMES: ' Tally.Home , boat ' }).names).toEqual([
      'tally.home',
      'boat',
    ]);
    for (const HOST of ['localhost', '127.0.0.2', '::1']) expect(readSettings({ HOST }).accounts).toBe(false);
  });
  it('trusts no proxy but those named by their address', () => {
    expect(readSettings({}).trusted).toEqual([]);
    expect(readSettings({ TALLY_TRUSTED_PROXIES: '10.0.0.2, ::1,10.1.0.0/16' }).trusted).toEqual([
      '10.0.0.2',
      '::1',
      '10.1.0.0/16',
    ]);
    for (const TALLY_TRUSTED_PROXIES of ['proxy.example', 'true', '10.0.0'])
      expect(() => readSettings({ TALLY_TRUSTED_PROXIES })).toThrow(/^TALLY_TRUSTED_PROXIES holds addresses/);
  });
  it('backs up where it is told, nowhere when it is told so, and not beside a database that is elsewhere', () => {
    expect(readSettings({ TALLY_BACKUPS: '/mnt/other' }).backups).toBe('/mnt/other');
    expect(readSettings({ TALLY_BACKUPS: 'off' }).backups).toBeNull();
    expect(readSettings({ DATABASE_URL: 'postgres://x/y' }).backups).toBeNull();
    expect(readSettings({ DATABASE_URL: 'postgres://x/y', TALLY_BACKUPS: 'b' }).backups).toBe(resolve('b'));
  });
  it('says where people open it as they will reach it', () => {
    const address = (env: Record<string, string>) => publicAddress(readSettings(env), 4180);
    expect(address({})).toBe('http://127.0.0.1:4180');
    expect(address({ HOST: '0.0.0.0', TALLY_NAMES: 'tally.home' })).toBe('http://tally.home:4180');
    expect(address({ HOST: '0.0.0.0' })).toBe('http://0.0.0.0:4180');
    const proxied = {
      TALLY_ACCOUNTS: '1',
      TALLY_NAMES: 'tally.club.example',
      TALLY_TRUSTED_PROXIES: '127.0.0.1',
    };
    expect(address(proxied)).toBe('https://tally.club.example');
  });
});
