/** The part of `http_ece` (RFC 8188) that a phone of the tests reads a notice with. */
declare module 'http_ece' {
  import type { ECDH } from 'node:crypto';
  const ece: {
    decrypt(
      body: Buffer,
      keys: { version: 'aes128gcm'; privateKey: ECDH; authSecret: Buffer },
    ): Buffer;
  };
  export default ece;
}
