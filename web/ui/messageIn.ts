/**
 * What is wrong with a field, with a list as a whole, or with the first of its records that has something
 * wrong.
 */
export function messageIn(error: unknown): string | undefined {
  if (typeof error !== 'object' || error === null) return undefined;
  if ('message' in error && typeof error.message === 'string') return error.message;
  if ('root' in error) return messageIn(error.root);
  for (const [key, part] of Object.entries(error)) {
    const message = key === 'ref' ? undefined : messageIn(part);
    if (message !== undefined) return message;
  }
  return undefined;
}
