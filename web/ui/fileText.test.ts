import { describe, expect, it } from 'vitest';
import { textOf } from './fileText';

const bytes = (...list: number[]) => new Uint8Array(list);
describe('the text of a file', () => {
  it.each([
    ['UTF-8', new TextEncoder().encode('Böen'), 'Böen'],
    ['UTF-8 with a mark', bytes(0xef, 0xbb, 0xbf, 0x42, 0xc3, 0xb6), 'Bö'],
    ['Western Windows', bytes(0x42, 0xf6, 0x65, 0x6e), 'Böen'],
    ['UTF-16, low byte first', bytes(0xff, 0xfe, 0x42, 0, 0xf6, 0), 'Bö'],
    ['UTF-16, high byte first', bytes(0xfe, 0xff, 0, 0x42, 0, 0xf6), 'Bö'],
    [
      'what XML says of itself',
      bytes(...[...'<?xml version="1.0" encoding="ISO-8859-2"?><a>'].map((c) => c.charCodeAt(0)), 0xb1),
      '<?xml version="1.0" encoding="ISO-8859-2"?><a>ą',
    ],
    ['nothing', bytes(), ''],
  ])('in %s', (_, file, text) => expect(textOf(file)).toBe(text));
  it('of an encoding that nobody knows is read as Western', () => {
    const file = bytes(...[...'<?xml version="1.0" encoding="mine"?>'].map((c) => c.charCodeAt(0)), 0xf6);
    expect(textOf(file)).toMatch(/ö$/u);
  });
});
