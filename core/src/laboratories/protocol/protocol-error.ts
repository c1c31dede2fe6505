/** Something is wrong in a protocol; `path` says where: `quantities[3].formula`. */
export class ProtocolError extends Error {
  override readonly name = 'ProtocolError';
  constructor(
    readonly path: string,
    readonly reason: string,
  ) {
    super(path === '' ? reason : `${path}: ${reason}`);
  }
}
