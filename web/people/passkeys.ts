import type * as Library from '@simplewebauthn/browser';
import type {
  PublicKeyCredentialCreationOptionsJSON,
  PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';
import useSWR, { useSWRConfig } from 'swr';
import { ApiError, get, request } from '../documents/api';
import type { Me } from './queries';

export interface Passkey {
  id: string;
  name: string;
  createdAt: string;
  usedAt: string | null;
}

/**
 * Whether this browser makes passkeys for this page: not where the page has no name but numbers, nor where it
 * is served in the open.
 */
export function passkeysWork(): boolean {
  const named = /[a-z]/i.test(window.location.hostname) && !window.location.hostname.includes(':');
  return named && window.isSecureContext && 'PublicKeyCredential' in window;
}

/** What the browser does with a key; that nobody touched it in time is said as what it is. */
async function asked<T>(work: (lib: typeof Library) => Promise<T>): Promise<T> {
  const lib = await import('@simplewebauthn/browser');
  try {
    return await work(lib);
  } catch (failure) {
    throw new ApiError(
      400,
      failure instanceof Error && failure.name === 'InvalidStateError'
        ? 'This device has a passkey of yours already.'
        : 'The browser gave no passkey. It may have been dismissed, or waited too long.',
    );
  }
}

export async function signInByPasskey(): Promise<Me> {
  const optionsJSON = await request<PublicKeyCredentialRequestOptionsJSON>(
    'POST',
    '/api/passkey-sign-in/options',
  );
  const answer = await asked((lib) => lib.startAuthentication({ optionsJSON }));
  return request<Me>('POST', '/api/passkey-sign-in', { answer });
}

const PASSKEYS = '/api/passkeys';
export function usePasskeys() {
  const { mutate } = useSWRConfig();
  const then = async (work: Promise<unknown>) => {
    await work;
    await mutate(PASSKEYS);
  };
  const add = async (name: string, password: string) => {
    const optionsJSON = await request<PublicKeyCredentialCreationOptionsJSON>('POST', `${PASSKEYS}/options`, {
      password,
    });
    const answer = await asked((lib) => lib.startRegistration({ optionsJSON }));
    await request('POST', PASSKEYS, { name, answer });
  };
  return {
    ...useSWR<Passkey[], Error>(PASSKEYS, get),
    add: (name: string, password: string) => then(add(name, password)),
    remove: (id: string) => then(request('DELETE', `${PASSKEYS}/${encodeURIComponent(id)}`)),
  };
}
