import { type ReactNode, Suspense, lazy, useState } from 'react';
import { useSignedOut } from '../documents/signedOut';

const SignIn = lazy(async () => ({ default: (await import('./SignIn')).SignIn }));
const ComeIn = lazy(async () => ({ default: (await import('./ComeIn')).ComeIn }));
const Pair = lazy(async () => ({ default: (await import('./Pair')).Pair }));

/**
 * What stands before the program: coming in by an address, or signing in where the server wants to know who
 * asks.
 */
export function Door({ children }: { children: ReactNode }) {
  const signedOut = useSignedOut();
  const [past, setPast] = useState(false);
  // Taken once: the secret of an address does not stay in the bar.
  const [{ path, token }] = useState(takeAddress);
  if (path === '/first-keeper' || path === '/join')
    return (
      <Suspense>
        <ComeIn by={path === '/join' ? 'join' : 'first'} token={token} />
      </Suspense>
    );
  if (path === '/pair')
    return (
      <Suspense>
        <Pair token={token} />
      </Suspense>
    );
  if (signedOut && !past)
    return (
      <Suspense>
        <SignIn onPast={() => setPast(true)} />
      </Suspense>
    );
  return children;
}

const SECRET = /^\/(first-keeper|join|pair)$/;
function takeAddress(): { path: string; token: string } {
  const { pathname, hash } = window.location;
  if (!SECRET.test(pathname)) return { path: '', token: '' };
  const token = hash.slice(1);
  window.history.replaceState(null, '', pathname);
  return { path: pathname, token };
}
