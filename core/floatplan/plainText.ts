import { onOneLine } from '../documents/field';
import type { Position } from '../units/position';
import { byClock } from '../units/clockWords';
import { clockAt, clockName, dateAt, dayInWords } from '../units/time';
import type { FloatPlan } from './floatPlan';

/** Letters of one text message, alone and as a part of several (3GPP TS 23.038, seven bits and sixteen). */
const ALONE = { plain: 160, wide: 70 };
const PART = { plain: 153, wide: 67 };
/** A plan goes into so many messages; what does not fit is left out from the end. */
const MOST_MESSAGES = 4;

// The default alphabet of text messages; the second row counts for two.
const BASIC = new Set(
  '@£$¥èéùìòÇ\nØø\rÅåΔ_ΦΓΛΩΠΨΣΘΞÆæßÉ !"#¤%&\'()*+,-./0123456789:;<=>?¡ABCDEFGHIJKLMNOPQRSTUVWXYZÄÖÑÜ§¿abcdefghijklmnopqrstuvwxyzäöñüà',
);
const DOUBLE = new Set('^{}\\[~]|€');

/** How many text messages a text takes. */
export function messagesOf(text: string): number {
  const letters = [...text];
  const plain = letters.every((one) => BASIC.has(one) || DOUBLE.has(one));
  const size = plain ? letters.reduce((sum, one) => sum + (DOUBLE.has(one) ? 2 : 1), 0) : text.length;
  const kind = plain ? 'plain' : 'wide';
  return size <= ALONE[kind] ? 1 : Math.ceil(size / PART[kind]);
}

/** A position without signs that a text message has to pay for. */
function shortPosition({ latDeg, lonDeg }: Position): string {
  const say = (deg: number, letters: string) => {
    const tenths = Math.round(Math.abs(deg) * 6000);
    return `${Math.floor(tenths / 6000)} ${((tenths % 6000) / 100).toFixed(2).padStart(5, '0')}${letters.charAt(deg < 0 ? 1 : 0)}`;
  };
  return `${say(latDeg, 'NS')} ${say(lonDeg, 'EW')}`;
}
/** Marks that a text message sends dearly, by what stands for them. */
function cheap(text: string): string {
  return text
    .replaceAll(/[’‘′`]/g, "'")
    .replaceAll(/[“”″]/g, '"')
    .replaceAll(/[–—−]/g, '-')
    .replaceAll('°', ' deg')
    .replaceAll('×', 'x')
    .replaceAll(/[\u00a0\u202f]/g, ' ');
}

/**
 * The plan in a few text messages: what whoever calls needs, the most needed first.
 * @param page where it can be watched; empty: nowhere
 */
export function plainText(plan: FloatPlan, page = ''): string {
  const { zone, times, way, rescue } = plan;
  const at = (iso: string) => {
    const moment = Date.parse(iso);
    return `${byClock(`${clockAt(moment, zone)} ${dayInWords(dateAt(moment, zone))}`)} ${clockName(moment, zone)}`;
  };
  const find = (label: string) =>
    plan.sections.flatMap(({ lines }) => lines).find((one) => one.label === label)?.text ?? '';
  const spot = (kind: FloatPlan['way'][number]['kind']) => way.find((one) => one.kind === kind);
  const [launch, place, landing] = [spot('launch'), spot('place'), spot('landing')];
  const lines = [
    `${plan.who || 'A kayak angler'}${plan.phone ? ` ${plan.phone}` : ''}: ${plan.title}`,
    `Afloat ${at(times.launchAt)}, home ${at(times.homeAt)}. Nothing heard by ${at(times.callAt)}: call ${[rescue.name, rescue.phone].filter(Boolean).join(' ') || 'the emergency service'}.`,
    `Boat: ${find('Boat')}`,
    launch ? `From ${launch.name} ${shortPosition(launch)}` : `From ${find('Launch')}, ${find('Water')}`,
    place ? `To ${place.name} ${shortPosition(place)}` : find('Place') && `To ${find('Place')}`,
    landing && launch && landing.name !== launch.name
      ? `Lands ${landing.name} ${shortPosition(landing)}`
      : '',
    `Party: ${find('Party')}`,
    page,
    `Vehicle: ${plan.vehicle}`,
    find('Wears') && `Wears ${find('Wears')}`,
    find('Heard, seen') && `Has ${find('Heard, seen')}`,
    find('To know') && `To know: ${find('To know')}`,
  ]
    .filter((one) => one !== '' && !one.endsWith(': '))
    .map((one) => cheap(onOneLine(one)));
  let text = '';
  for (const one of lines) {
    const more = text === '' ? one : `${text}\n${one}`;
    if (messagesOf(more) <= MOST_MESSAGES) text = more;
  }
  return text;
}
