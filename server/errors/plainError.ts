/** Something the person who starts the server can mend; its message is one plain sentence. */
export class PlainError extends Error {
  constructor(
    readonly code:
      | 'in-use'
      | 'unwritable'
      | 'port'
      | 'bad-setting'
      | 'database'
      | 'damaged'
      | 'backup'
      | 'newer',
    message: string,
  ) {
    super(message);
    this.name = 'PlainError';
  }
}

/** The system's error code (EACCES ...), or null. */
export function systemCode(error: unknown): string | null {
  return error instanceof Error && 'code' in error && typeof error.code === 'string' ? error.code : null;
}
