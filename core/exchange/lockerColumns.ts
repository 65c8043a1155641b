import { attributeIds, attributes } from '../catalog/gear/attributes';
import { withoutAccents } from './calendarWords';
import { headerParts } from './headers';

/** What a column may hold, and what it is called for people. */
const plain = {
  name: 'name',
  kind: 'kind',
  quantity: 'how many',
  massKg: 'mass of one, kg',
  condition: 'condition',
  expiresOn: 'in date until',
  always: 'goes on every outing',
  stays: 'stays aboard because',
  qualities: 'what it is',
  livesIn: 'lives in, by name',
  runsOn: 'runs on, by name',
  lengthCm: 'packed length, cm',
  widthCm: 'packed width, cm',
  heightCm: 'packed height, cm',
  cost: 'what was paid',
  boughtOn: 'bought on',
  servicedOn: 'looked over on',
  note: 'note',
} as const;
export type Plain = keyof typeof plain;
export const plainIds = Object.keys(plain) as Plain[];
export type LockerColumn = Plain | (typeof attributeIds)[number];
export const lockerColumns: readonly { id: LockerColumn; name: string }[] = [
  ...plainIds.map((id) => ({ id, name: plain[id] })),
  ...attributeIds.map((id) => ({
    id,
    name: attributes[id].unit === '' ? attributes[id].name : `${attributes[id].name}, ${attributes[id].unit}`,
  })),
];

/** What else a column is called, in the common languages; accents and capitals left out. */
const otherHeads: Readonly<Partial<Record<LockerColumn, string>>> = {
  name: 'item, article, thing, title, gear, description, product, what, bezeichnung, gegenstand, artikel, nom, objet, nombre, articulo, nome, oggetto, naam, navn, namn, ting',
  kind: 'type, category, class, gear type, art, typ, kategorie, categorie, genre, tipo, categoria, soort, slag, kategori',
  quantity:
    'quantity, qty, count, number, amount, pcs, pieces, no, nr, anzahl, menge, stuck, quantite, nombre de pieces, cantidad, quantita, quantidade, aantal, antal, antall',
  massKg: 'mass, weight, wt, unit weight, weight each, gewicht, masse, poids, peso, massa, vekt, vaegt, vikt',
  condition: 'state, status, zustand, etat, estado, stato, staat, tilstand, skick',
  expiresOn:
    'expires, expiry, expires on, expiry date, expiration, valid until, use by, best before, ablauf, gultig bis, haltbar bis, peremption, expire le, caduca, scadenza, validade, houdbaar tot, udlober, utloper',
  always: 'always, every trip, always packed, immer, toujours, siempre, sempre, altijd, altid, alltid',
  stays: 'reason, why',
  qualities: 'properties, features, tags, eigenschaften, proprietes, propiedades, proprieta, egenskaber',
  livesIn: 'stored in, container, box, packed in, in, bag, behalter, dans, en, contenitore, in bag',
  runsOn: 'powered by, battery, batterie, bateria, batteria, accu',
  lengthCm: 'packed length, length packed, l, lange, longueur, largo, lunghezza, lengte',
  widthCm: 'packed width, width, w, breite, largeur, ancho, larghezza, breedte, bredde, bredd',
  heightCm: 'packed height, height, h, depth, hohe, hauteur, alto, altezza, hoogte, hojde, hoyde, hojd',
  cost: 'price, paid, value, preis, prix, precio, prezzo, preco, prijs, pris, cout, costo',
  boughtOn:
    'bought, purchased, purchase date, date of purchase, gekauft, kaufdatum, achat, date d achat, comprado, acquistato, gekocht, kobt, kopt',
  servicedOn:
    'serviced, last service, inspected, last inspection, checked, gewartet, gepruft, revision, revisado, revisionato',
  note: 'notes, remark, remarks, comment, comments, memo, notiz, bemerkung, remarque, nota, notas, note, opmerking, bemaerkning',
};

/**
 * Units that a column's figures may be in, and how many of its own one of them is. One way alone: it is never
 * asked.
 */
type Units = Readonly<Record<string, number>>;
const mass = { kg: 1, g: 0.001, oz: 0.028349523, lb: 0.45359237 };
const packed = { cm: 1, mm: 0.1, m: 100, in: 2.54, ft: 30.48 };
const unitsByOwn: Readonly<Record<string, Units>> = {
  m: { m: 1, cm: 0.01, mm: 0.001, ft: 0.3048, in: 0.0254 },
  kg: mass,
  g: { g: 1, kg: 1000, oz: 28.349523, lb: 453.59237 },
  mm: { mm: 1, cm: 10, in: 25.4 },
  L: { L: 1, ml: 0.001, gal: 3.785411784, pt: 0.473176473, qt: 0.946352946 },
  h: { h: 1, min: 1 / 60 },
  Wh: { Wh: 1, kWh: 1000 },
  Ah: { Ah: 1, mAh: 0.001 },
  kJ: { kJ: 1, kcal: 4.184 },
  N: { N: 1, lbf: 4.448222 },
};
const written: Readonly<Record<string, string>> = {
  kilo: 'kg',
  kilos: 'kg',
  kilograms: 'kg',
  gram: 'g',
  grams: 'g',
  gr: 'g',
  gramm: 'g',
  ounce: 'oz',
  ounces: 'oz',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  feet: 'ft',
  foot: 'ft',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  l: 'L',
  litre: 'L',
  litres: 'L',
  liter: 'L',
  liters: 'L',
  hours: 'h',
  hour: 'h',
  hrs: 'h',
  minutes: 'min',
  wh: 'Wh',
  kwh: 'kWh',
  ah: 'Ah',
  mah: 'mAh',
  kj: 'kJ',
  newton: 'N',
  newtons: 'N',
  n: 'N',
};
/** The units that a column may be in; null: it has none. */
export function unitsOf(column: LockerColumn): Units | null {
  if (column === 'massKg') return mass;
  if (column === 'lengthCm' || column === 'widthCm' || column === 'heightCm') return packed;
  return column in attributes
    ? (unitsByOwn[attributes[column as keyof typeof attributes].unit] ?? null)
    : null;
}
export function unitNamed(text: string, units: Units): string | null {
  const plainText = text.trim().replace(/\.$/, '');
  const unit = written[plainText.toLowerCase()] ?? plainText;
  return Object.keys(units).find((one) => one === unit || one.toLowerCase() === unit.toLowerCase()) ?? null;
}

/** A column by its head: what it holds, and the unit that the head names; unit null: it names none. */
export function columnOf(
  head: string,
  taken: ReadonlySet<LockerColumn>,
): { id: LockerColumn; unit: string | null } | null {
  const open = lockerColumns.filter(({ id }) => !taken.has(id));
  // A list that says no other way how many there are says it so.
  if (bare(head) === 'pieces' && !taken.has('quantity')) return { id: 'quantity', unit: null };
  const kilos = taken.has('massKg') ? null : unitNamed(head, mass);
  if (kilos !== null) return { id: 'massKg', unit: kilos };
  const exact = open.find(({ id, name }) => bare(id) === bare(head) || bare(name) === bare(head));
  if (exact) return { id: exact.id, unit: ownUnit(exact.id) };
  const { tokens, unitText } = headerParts(head);
  // The unit may be the last word: "weight g".
  for (const drop of [0, 1]) {
    const words = tokens.slice(0, tokens.length - drop).join(' ');
    if (words === '') continue;
    const found = open.find(({ id, name }) => isCalled(id, name, words));
    const units = found && unitsOf(found.id);
    const named =
      units && (unitNamed(unitText, units) ?? (drop === 1 ? unitNamed(tokens.at(-1) ?? '', units) : null));
    if (found && (drop === 0 || named)) return { id: found.id, unit: named ?? null };
  }
  return null;
}
function isCalled(id: LockerColumn, name: string, words: string): boolean {
  const others = (otherHeads[id] ?? '').split(', ');
  return others.includes(words) || bare(withoutAccents(name.split(',')[0] ?? '')) === bare(words);
}
/** The unit of a column as this program writes it. */
export function ownUnit(column: LockerColumn): string | null {
  const units = unitsOf(column);
  return units && (Object.keys(units).find((unit) => units[unit] === 1) ?? null);
}
function bare(text: string): string {
  return text.toLowerCase().replace(/[^a-z0-9]/g, '');
}
