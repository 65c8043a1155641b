/** A number for people: at most so many decimals, no trailing noughts, a true minus sign. */
export function figure(value: number, decimals = 1): string {
  const text = String(Number(value.toFixed(decimals)));
  return text.startsWith('-') ? `−${text.slice(1)}` : text;
}

/** Minutes as "40 min", "2 h" or "2 h 05 min". Minutes in. */
export function duration(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 1 && minutes > 0) return 'under a minute';
  if (whole < 60) return `${whole} min`;
  const rest = whole % 60;
  return rest === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${String(rest).padStart(2, '0')} min`;
}

/**
 * An estimate of time by what it is good for: to five minutes under an hour, half an hour under four, then
 * whole hours. Minutes in.
 */
export function roughly(minutes: number): string {
  const step = minutes < 60 ? 5 : minutes < 240 ? 30 : 60;
  return duration(Math.max(step, Math.round(minutes / step) * step));
}

/** An amount of food: megajoules from ten on, else kilojoules. Kilojoules in. */
export function energy(kj: number): string {
  return kj >= 10_000 ? `${figure(kj / 1000)} MJ` : `${figure(kj, 0)} kJ`;
}

/** The numbers from one to twelve as they are written in words. */
export const countedWords = 'one two three four five six seven eight nine ten eleven twelve'.split(' ');
/** "one" to "twelve" in words, then figures. */
export function count(n: number): string {
  return n === 0 ? 'none' : (countedWords[n - 1] ?? String(n));
}

/** "no box", "one box", "three boxes". */
export function howMany(n: number, one: string, many = `${one}s`): string {
  return n === 0 ? `no ${one}` : `${count(n)} ${plural(n, one, many)}`;
}

/** "a", "a and b", "a, b and c"; or with "or". */
export function listed(parts: readonly string[], joint: 'and' | 'or' = 'and'): string {
  if (parts.length < 2) return parts[0] ?? '';
  return `${parts.slice(0, -1).join(', ')} ${joint} ${parts[parts.length - 1] ?? ''}`;
}

export function plural(n: number, one: string, many = `${one}s`): string {
  return n === 1 ? one : many;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
/** As it stands within a sentence. */
export function uncapital(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

const MONTHS = 'January February March April May June July August September October November December'.split(
  ' ',
);

/** "16 May 2026" for yyyy-mm-dd. */
export function dayWords(date: string): string {
  const [y = '', m = '', d = ''] = date.split('-');
  return `${Number(d)} ${MONTHS[Number(m) - 1] ?? m} ${y}`;
}
