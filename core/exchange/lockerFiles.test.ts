import { describe, expect, it } from 'vitest';
import { kindIds } from '../catalog/gear/kinds';
import type { Item } from '../documents/item';
import { lockerCsvAsks, lockerCsvHeader, lockerTemplate, readLockerCsv, writeLockerCsv } from './lockerCsv';

const read = (text: string, answers = {}) => readLockerCsv(text, (i) => `i${i}`, { answers });
/** "whistle x2 0.02kg expires". */
const say = ({ kind, name, quantity, massKg, expiresOn }: Item) =>
  `${kind} "${name}" x${quantity} ${massKg}kg${expiresOn === null ? '' : ` ${expiresOn}`}`;
const said = (result: ReturnType<typeof read>) => (result.taken ? result.value.map(say) : [result.why]);
const two = ['whistle "Pea" x2 0.02kg', 'pump "Big pump" x1 0.4kg'];

describe('a list of gear as people keep it', () => {
  it.each<[string, string]>([
    ['its own heads', 'name,kind,quantity,massKg\nPea,whistle,2,0.02\nBig pump,pump,1,0.4'],
    ['heads in words', 'Name,Kind,How many,"Mass of one, kg"\nPea,Whistle,2,0.02\nBig pump,Hand pump,1,0.4'],
    ['other heads', 'Item,Type,Qty,Weight (kg)\nPea,Whistle,2,0.02\nBig pump,Hand pump,1,0.4'],
    ['grams in brackets', 'Item,Category,Count,Weight (g)\nPea,Whistle,2,20\nBig pump,Hand pump,1,400'],
    ['grams behind a space', 'Item,Category,Count,Weight g\nPea,Whistle,2,20\nBig pump,Hand pump,1,400'],
    [
      'grams behind an underscore',
      'item,category,count,weight_g\nPea,Whistle,2,20\nBig pump,Hand pump,1,400',
    ],
    ['grams in the cells', 'Item,Category,Count,Weight\nPea,Whistle,2,20 g\nBig pump,Hand pump,1,400g'],
    [
      'units of each its own in the cells',
      'Item,Category,Count,Weight\nPea,Whistle,2,20 g\nBig pump,Hand pump,1,0.4 kg',
    ],
    ['semicolons', 'Item;Type;Qty;Weight (kg)\nPea;Whistle;2;0,02\nBig pump;Hand pump;1;0,4'],
    ['tabs', 'Item\tType\tQty\tWeight (kg)\nPea\tWhistle\t2\t0.02\nBig pump\tHand pump\t1\t0.4'],
    ['bars', 'Item|Type|Qty|Weight (kg)\nPea|Whistle|2|0.02\nBig pump|Hand pump|1|0.4'],
    [
      'a mark and Windows’ line ends',
      '\uFEFFItem,Type,Qty,Weight (kg)\r\nPea,Whistle,2,0.02\r\nBig pump,Hand pump,1,0.4\r\n',
    ],
    [
      'quotes',
      '"Item","Type","Qty","Weight (kg)"\n"Pea","Whistle","2","0.02"\n"Big pump","Hand pump","1","0.4"',
    ],
    ['columns in another order', 'Weight (kg),Qty,Type,Item\n0.02,2,Whistle,Pea\n0.4,1,Hand pump,Big pump'],
    [
      'columns that nothing is known of',
      'Item,Shelf,Type,Qty,Weight (kg)\nPea,A,Whistle,2,0.02\nBig pump,B,Hand pump,1,0.4',
    ],
    ['empty lines between', 'Item,Type,Qty,Weight (kg)\n\nPea,Whistle,2,0.02\n\nBig pump,Hand pump,1,0.4\n'],
    ['kinds in capitals', 'ITEM,TYPE,QTY,WEIGHT (KG)\nPea,WHISTLE,2,0.02\nBig pump,HAND PUMP,1,0.4'],
    ['kinds in the plural', 'Item,Type,Qty,Weight (kg)\nPea,whistles,2,0.02\nBig pump,hand pumps,1,0.4'],
    [
      'kinds by another word',
      'Item,Type,Qty,Weight (kg)\nPea,safety whistle,2,0.02\nBig pump,bilge pump,1,0.4',
    ],
    ['German', 'Gegenstand;Typ;Anzahl;Gewicht (g)\nPea;whistle;2;20\nBig pump;pump;1;400'],
    ['French', 'Objet;Catégorie;Quantité;Poids (g)\nPea;whistle;2;20\nBig pump;pump;1;400'],
    ['Spanish', 'Artículo;Tipo;Cantidad;Peso (g)\nPea;whistle;2;20\nBig pump;pump;1;400'],
    ['Italian', 'Oggetto;Categoria;Quantità;Peso (kg)\nPea;whistle;2;0,02\nBig pump;pump;1;0,4'],
    ['Dutch', 'Naam;Soort;Aantal;Gewicht (g)\nPea;whistle;2;20\nBig pump;pump;1;400'],
    ['Danish', 'Navn;Kategori;Antal;Vægt (g)\nPea;whistle;2;20\nBig pump;pump;1;400'],
  ])('is read with %s', (_, text) => {
    expect(said(read(text))).toEqual(two);
  });
  it.each<[string, string, string]>([
    ['a mass in ounces', 'name,kind,weight (oz)\nPea,whistle,1', 'whistle "Pea" x1 0.028349523kg'],
    ['a mass in pounds', 'name,kind,weight lb\nPea,pump,2', 'pump "Pea" x1 0.90718474kg'],
    [
      'a thousand grams with a comma',
      'name,kind,weight (g),price\nPea,pump,"1,250",12.50',
      'pump "Pea" x1 1.25kg',
    ],
    ['a day in full', 'name,kind,expires\nPea,hand-flare,2027-03-31', 'hand-flare "Pea" x1 0.2kg 2027-03-31'],
    [
      'a day with points',
      'name;kind;Ablauf\nPea;hand-flare;31.03.2027',
      'hand-flare "Pea" x1 0.2kg 2027-03-31',
    ],
    [
      'a day in words',
      'name,kind,expiry date\nPea,hand-flare,31 March 2027',
      'hand-flare "Pea" x1 0.2kg 2027-03-31',
    ],
    [
      'the month first, as a day tells',
      'name,kind,expires\nPea,hand-flare,3/31/2027',
      'hand-flare "Pea" x1 0.2kg 2027-03-31',
    ],
    [
      'eight figures for a day',
      'name,kind,expires\nPea,hand-flare,20270331',
      'hand-flare "Pea" x1 0.2kg 2027-03-31',
    ],
    ['a kind alone', 'kind\nwhistle', 'whistle "Whistle" x1 0.02kg'],
    ['names alone, that are kinds', 'name\nWhistle', 'whistle "Whistle" x1 0.02kg'],
    ['a price with its sign', 'name,kind,price\nPea,whistle,€ 4.50', 'whistle "Pea" x1 0.02kg'],
    ['a state in other words', 'name,kind,state\nPea,whistle,used', 'whistle "Pea" x1 0.02kg'],
    ['always as a cross', 'name,kind,always\nPea,whistle,x', 'whistle "Pea" x1 0.02kg'],
    [
      'packed sizes in millimetres',
      'name,kind,"packed length, mm"\nPea,whistle,60',
      'whistle "Pea" x1 0.02kg',
    ],
    ['a volume in millilitres', 'name,kind,holds (ml)\nPea,water-bottle,750', 'water-bottle "Pea" x1 0.15kg'],
  ])('has %s', (_, text, expected) => {
    const [first] = said(read(text));
    expect(first?.replace(/ [\d.]+kg(?= 20|$)/, '')).toBe(expected.replace(/ [\d.]+kg(?= 20|$)/, ''));
    if (/weight/.test(text)) expect(first).toBe(expected);
  });
  it('turns units into its own', () => {
    const [bottle] = ((result) => (result.taken ? result.value : []))(
      read('name,kind,holds (ml)\nPea,water-bottle,750'),
    );
    expect(bottle?.attributes.litres).toBe(0.75);
    const [box] = ((result) => (result.taken ? result.value : []))(
      read('name,kind,"packed length, mm"\nPea,whistle,60'),
    );
    expect(box?.sizeM?.[0]).toBeCloseTo(0.06, 9);
  });

  it.each<[string, string, string, string, string]>([
    ['the unit of a mass', 'name,kind,weight\nPea,pump,2', 'unit massKg', 'lb', 'pump "Pea" x1 0.90718474kg'],
    [
      'whether a comma parts thousands',
      'name;kind;weight (g)\nPea;pump;1,250',
      'decimal',
      '.',
      'pump "Pea" x1 1.25kg',
    ],
    [
      'day or month',
      'name,kind,expires\nPea,hand-flare,3/4/2027',
      'day order',
      'month first',
      'hand-flare "Pea" x1 0.2kg 2027-03-04',
    ],
  ])('asks %s, and goes by the answer', (_, text, id, answer, expected) => {
    const asked = read(text);
    expect(asked.taken ? [] : asked.asks?.map((one) => one.id)).toEqual([id]);
    const head = lockerCsvHeader(text);
    expect(head.taken && lockerCsvAsks(text, head.value.guess, {}).map((one) => one.id)).toEqual([id]);
    const [first] = said(read(text, { [id]: answer }));
    expect(first?.split(' ').at(-1)).toBe(expected.split(' ').at(-1));
  });
  it('says what it took by another word, and what may be two things', () => {
    const result = read('name,kind\nOld one,pfd\nMine,rod');
    const told = result.taken ? result.troubles.join(' ') : result.why;
    expect(told).toMatch(/"rod" may be .+, or .+: write one of them/);
  });
  it('has a template with a line for each kind, of which nothing is owned yet', () => {
    const template = lockerTemplate();
    expect(template.startsWith('\uFEFF')).toBe(true);
    expect(template.trim().split('\n')).toHaveLength(kindIds.length + 1);
    expect(said(read(template))[0]).toMatch(/No line could be taken/);
    const own = template.replace(/^(Whistle,whistle),0,/m, '$1,2,');
    expect(said(read(own))).toEqual(['whistle "Whistle" x2 0.02kg']);
  });
  it('is written with the mark by which a spreadsheet knows its letters', () => {
    expect(writeLockerCsv([]).charCodeAt(0)).toBe(0xfeff);
  });
});
