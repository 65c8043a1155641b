/** The months in the common languages, by the beginnings that tell each from the others, accents left out. */
const MONTHS: readonly (readonly string[])[] = [
  ['jan', 'ene', 'gen', 'jän', 'janv'],
  ['feb', 'fev', 'fév', 'févr'],
  ['mar', 'mär', 'mrz', 'maa', 'mrt'],
  ['apr', 'abr', 'avr'],
  ['may', 'mai', 'maj', 'mei', 'mag', 'mayo', 'maio'],
  ['jun', 'juin', 'giu'],
  ['jul', 'juil', 'lug'],
  ['aug', 'ago', 'aou', 'aoû'],
  ['sep', 'set'],
  ['oct', 'okt', 'ott', 'out'],
  ['nov'],
  ['dec', 'dez', 'des', 'dic', 'déc'],
];
/**
 * The number of a month by its name or the beginning of it, in the common languages, 1 to 12; null: it names
 * none.
 */
export function monthOf(word: string): number | null {
  const plain = withoutAccents(word).replace(/\.$/, '');
  if (!/^[a-z]{3,10}$/.test(plain)) return null;
  const at = MONTHS.findIndex((starts) => starts.some((start) => plain.startsWith(withoutAccents(start))));
  return at < 0 ? null : at + 1;
}
const WEEKDAYS =
  'mon tue wed thu fri sat sun montag dienstag mittwoch donnerstag freitag samstag sonnabend sonntag mo di mi do fr sa so lun mar mer jeu ven sam dim lundi mardi mercredi jeudi vendredi samedi dimanche mie jue vie sab dom lunes martes miercoles jueves viernes sabado domingo gio ma wo za zo maandag dinsdag woensdag donderdag vrijdag zaterdag zondag man tir ons tor lor son mandag tirsdag onsdag torsdag fredag lordag sondag seg ter qua qui sex'.split(
    ' ',
  );
const weekdays = new Set([
  ...WEEKDAYS,
  'monday',
  'tuesday',
  'wednesday',
  'thursday',
  'friday',
  'saturday',
  'sunday',
  'tues',
  'thur',
  'thurs',
  'weds',
]);
/** Whether a word is a day of the week, in the common languages. */
export function isWeekday(word: string): boolean {
  return weekdays.has(withoutAccents(word).replace(/[.,]+$/, ''));
}
export function withoutAccents(word: string): string {
  return word
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replaceAll('ø', 'o')
    .replaceAll('æ', 'ae')
    .replaceAll('œ', 'oe')
    .replaceAll('ß', 'ss');
}
