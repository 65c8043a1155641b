/** The project's folder. */
export const root: string;
export function ensureBuilt(): Promise<void>;
