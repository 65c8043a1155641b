import { describe, expect, it } from 'vitest';
import { codeHash, isPassword, newCode, passwordHash } from './secrets';

const PASSWORD = 'a long enough one';

describe('secrets', () => {
  it('a password is kept by argon2id, slow to try, and known again', async () => {
    const hash = await passwordHash(PASSWORD);
    expect(hash).toMatch(/^\$argon2id\$v=19\$m=65536,t=3,p=1\$/);
    expect(await isPassword(PASSWORD, hash)).toBe(true);
    expect(await isPassword(`${PASSWORD} `, hash)).toBe(false);
    expect(await isPassword(PASSWORD, null)).toBe(false);
    expect(await isPassword(PASSWORD, 'no hash at all')).toBe(false);
  });
  it('of many at once some wait and the rest are refused, so that all else goes on', async () => {
    const all = await Promise.allSettled(Array.from({ length: 30 }, () => isPassword('x', null)));
    const refused = all.filter(({ status }) => status === 'rejected');
    expect(refused.length).toBeGreaterThan(0);
    expect(refused.length).toBeLessThan(30);
  }, 60_000);
  it('a code is read however it is typed', () => {
    const code = newCode();
    expect(code).toMatch(/^[a-z2-9]{4}-[a-z2-9]{4}-[a-z2-9]{4}$/);
    expect(codeHash(` ${code.toUpperCase().replaceAll('-', '')} `)).toBe(codeHash(code));
  });
});
