import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Club, openClub } from '../testing/club';
import { SUMMARIES } from './openapi';

interface Operation {
  summary?: string;
  operationId?: string;
  tags?: string[];
  security?: object[];
}
interface Described {
  paths: Record<string, Record<string, Operation>>;
  components: { schemas: { Problem: { properties: object } } };
}

let club: Club;
beforeAll(async () => {
  club = await openClub();
});
afterAll(() => club.close());

describe('the description of the API', () => {
  it('says of each operation what it does, under a name of its own, and whether one is signed in for it', async () => {
    const ada = await club.keeper();
    const body = (await ada.get('/api/docs/json')).json<Described>();
    const operations = Object.entries(body.paths).flatMap(([path, methods]) =>
      Object.entries(methods).map(([method, one]) => ({ at: `${method} ${path}`, ...one })),
    );
    expect(operations.length).toBeGreaterThan(100);
    expect(operations.filter(({ summary }) => !summary).map(({ at }) => at)).toEqual([]);
    expect(operations.filter(({ tags }) => !tags?.length).map(({ at }) => at)).toEqual([]);
    const known = new Set(
      operations.map(({ at }) =>
        at.replace(/^\w+/u, (method) => method.toUpperCase()).replaceAll(/\{(\w+)\}/gu, ':$1'),
      ),
    );
    expect(Object.keys(SUMMARIES).filter((key) => !known.has(key))).toEqual([]);
    expect(new Set(operations.map(({ operationId }) => operationId)).size).toBe(operations.length);
    const open = operations.filter(({ security }) => security?.length === 0).map(({ at }) => at);
    expect(open).toContain('get /api/health');
    expect(open).toContain('post /api/sign-in');
    expect(open).not.toContain('get /api/references');
    expect(body.components.schemas.Problem.properties).toMatchObject({ detail: { type: 'string' } });
  });
});
