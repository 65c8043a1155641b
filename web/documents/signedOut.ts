import { flag, useFlag } from '../offline/flag';

/** Whether the server said that nobody is signed in on this device. */
const signedOut = flag(false);
export const noteSignedOut = signedOut.set;
export const useSignedOut = (): boolean => useFlag(signedOut);
