/** JSON with sorted keys, so that equal content has equal text and so an equal hash. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (value !== null && typeof value === 'object') {
    const entries = Object.entries(value).filter(([, part]) => part !== undefined);
    entries.sort(([a], [b]) => (a < b ? -1 : 1));
    return `{${entries.map(([key, part]) => `${JSON.stringify(key)}:${canonical(part)}`).join(',')}}`;
  }
  return JSON.stringify(value);
}

/** Whether two values differ in content; what is not there is as nothing. */
export const differs = (a: unknown, b: unknown): boolean =>
  a !== b && canonical(a ?? null) !== canonical(b ?? null);
