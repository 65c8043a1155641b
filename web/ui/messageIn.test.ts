import { describe, expect, it } from 'vitest';
import { messageIn } from './messageIn';

describe('what is wrong with a field', () => {
  it.each([
    ['nothing', undefined, undefined],
    ['nothing told', { type: 'too_big' }, undefined],
    ['the field itself', { message: 'Too long.', ref: { message: 'an element' } }, 'Too long.'],
    ['the list as a whole', { root: { message: 'At most 12.' } }, 'At most 12.'],
    [
      'one of its records',
      [undefined, { message: 'A step says what is done.' }],
      'A step says what is done.',
    ],
    ['a field of a record', { 3: { name: { message: 'Give it a name.' } } }, 'Give it a name.'],
  ])('is said of %s', (_, error, message) => {
    expect(messageIn(error)).toBe(message);
  });
});
