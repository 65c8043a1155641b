import { keptReferences } from '../offline/keptReferences';
import useSWR, { useSWRConfig } from 'swr';
import type { Versioned } from '#core/documents/kept';
import { request } from '../documents/api';
import { dropCarried, listCarried } from '../offline/carried';

export interface Person {
  id: string;
  name: string;
  keeper: boolean;
}
export interface Me {
  accounts: boolean;
  person: Person | null;
}
export interface CameIn {
  person: Person;
  codes: string[];
}
export interface Device {
  id: number;
  device: string;
  createdAt: string;
  seenAt: string;
  this: boolean;
}
export interface Club {
  people: (Person & { owner: boolean })[];
  invitations: { id: number; note: string; madeAt: string; expiresAt: string }[];
}
/** An address that lets somebody in once. */
export interface Pass {
  token: string;
  expiresAt: string;
}

export const ME = '/api/me';
export const useMe = () => useSWR<Me, Error>(ME);
/**
 * Tells what may be changed by who asks: what is their own, and what is the club’s by its keepers. The server
 * asks the same.
 */
export function useMayChange(): (kept: Versioned<unknown>) => boolean {
  const me = useMe().data;
  return ({ club }) => club !== true || me?.accounts === false || me?.person?.keeper === true;
}

export const signIn = (name: string, password: string) =>
  request<Me>('POST', '/api/sign-in', { name, password });
export const recover = (name: string, code: string, password: string) =>
  request<Me>('POST', '/api/recover', { name, code, password });
export const comeIn = (by: 'first' | 'join', token: string, name: string, password: string) =>
  request<CameIn>('POST', `/api/${by}`, { token, name, password });
export const pair = (token: string) => request<Me>('POST', '/api/pair', { token });
/** Whoever comes next on this device finds nothing of mine carried on it. */
export async function signOut(): Promise<void> {
  await request('POST', '/api/sign-out');
  await keptReferences.clear();
  for (const { outingId } of await listCarried().catch(() => [])) await dropCarried(outingId);
}
export const makePairing = () => request<Pass>('POST', '/api/pairings');
export const newCodes = (password: string) => request<CameIn>('POST', '/api/recovery-codes', { password });
export const newPassword = (password: string, next: string) =>
  request('POST', '/api/password', { password, next });

export function useDevices() {
  const { mutate } = useSWRConfig();
  const answer = useSWR<Device[], Error>('/api/devices');
  return {
    ...answer,
    end: async (id: number) => {
      await request('DELETE', `/api/devices/${id}`);
      await mutate('/api/devices');
    },
  };
}
export function useClub() {
  const { mutate } = useSWRConfig();
  const answer = useSWR<Club, Error>('/api/people');
  const then = async <T>(work: Promise<T>): Promise<T> => {
    const done = await work;
    await mutate('/api/people');
    return done;
  };
  return {
    ...answer,
    invite: (note: string) => then(request<Pass>('POST', '/api/invitations', { note })),
    withdraw: (id: number) => then(request('DELETE', `/api/invitations/${id}`)),
    remove: (id: string) => then(request('DELETE', `/api/people/${id}`)),
    makeKeeper: (id: string) => then(request('POST', `/api/people/${id}/keeper`)),
    handOver: (id: string) => then(request('POST', `/api/people/${id}/owner`)),
  };
}
export interface Noted {
  at: string;
  who: string;
  what: string;
  detail: string;
  address: string;
}
export const useAudit = (on: boolean) => useSWR<Noted[], Error>(on ? '/api/audit' : null);
