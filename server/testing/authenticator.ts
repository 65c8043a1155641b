import { type KeyObject, createHash, generateKeyPairSync, randomBytes, sign } from 'node:crypto';

const url64 = (bytes: Uint8Array | string) => Buffer.from(bytes).toString('base64url');
const sha256 = (bytes: Uint8Array | string) => createHash('sha256').update(bytes).digest();
/**
 * A text or some bytes as CBOR (RFC 8949) in its shortest form: enough of it for what an authenticator says.
 */
const text = (value: string) => Buffer.concat([Buffer.from([0x60 + value.length]), Buffer.from(value)]);
const bytes = (value: Uint8Array) =>
  Buffer.concat([
    Buffer.from(value.length < 256 ? [0x58, value.length] : [0x59, value.length >> 8, value.length & 255]),
    value,
  ]);

const PRESENT_AND_VERIFIED = 0x05;
const WITH_KEY = 0x40;

/**
 * An authenticator in software: one P-256 key without attestation, as a browser would answer for it at an
 * origin.
 */
export class Authenticator {
  readonly id = randomBytes(24);
  counter = 0;
  private readonly keys = generateKeyPairSync('ec', { namedCurve: 'P-256' }) as {
    publicKey: KeyObject;
    privateKey: KeyObject;
  };
  constructor(
    readonly origin: string,
    readonly rpId = new URL(origin).hostname,
  ) {}

  /** The answer to options for a new passkey. */
  register({ challenge }: { challenge: string }) {
    const { x = '', y = '' } = this.keys.publicKey.export({ format: 'jwk' });
    // kty 2 (EC2), alg -7 (ES256), crv 1 (P-256), x, y: RFC 9053.
    const key = Buffer.concat([
      ...[Buffer.from([0xa5, 0x01, 0x02, 0x03, 0x26, 0x20, 0x01, 0x21]), bytes(Buffer.from(x, 'base64url'))],
      ...[Buffer.from([0x22]), bytes(Buffer.from(y, 'base64url'))],
    ]);
    const authData = Buffer.concat([
      this.authData(PRESENT_AND_VERIFIED | WITH_KEY),
      ...[Buffer.alloc(16), Buffer.from([0, this.id.length]), this.id, key],
    ]);
    const attestationObject = Buffer.concat([
      ...[Buffer.from([0xa3]), text('fmt'), text('none'), text('attStmt'), Buffer.from([0xa0])],
      ...[text('authData'), bytes(authData)],
    ]);
    return this.answer({
      clientDataJSON: url64(this.clientData('webauthn.create', challenge)),
      attestationObject: url64(attestationObject),
    });
  }
  /** The answer to options for signing in. @param counter as the device counts its uses */
  signIn({ challenge }: { challenge: string }, counter = this.counter + 1) {
    this.counter = counter;
    const clientData = this.clientData('webauthn.get', challenge);
    const authData = this.authData(PRESENT_AND_VERIFIED);
    const signature = sign('sha256', Buffer.concat([authData, sha256(clientData)]), this.keys.privateKey);
    return this.answer({
      ...{
        clientDataJSON: url64(clientData),
        authenticatorData: url64(authData),
        signature: url64(signature),
      },
    });
  }

  private clientData(type: string, challenge: string): string {
    return JSON.stringify({ type, challenge, origin: this.origin, crossOrigin: false });
  }
  private authData(flags: number): Buffer {
    const count = Buffer.alloc(4);
    count.writeUInt32BE(this.counter);
    return Buffer.concat([sha256(this.rpId), Buffer.from([flags]), count]);
  }
  private answer(response: Record<string, string>) {
    const id = url64(this.id);
    return { id, rawId: id, type: 'public-key', response, clientExtensionResults: {} };
  }
}
