export function browserPath(): string;
export function ensureChromium(): void;
