import { describe, expect, it } from 'vitest';
import {
  clockText,
  dateText,
  idText,
  instantText,
  lineText,
  nameText,
  noteText,
  quantity,
  wholeNumber,
  zoneText,
} from './field';

const message = (result: { success: boolean; error?: { issues: { message: string }[] } }) =>
  result.success ? null : result.error?.issues[0]?.message;

describe('fields of documents', () => {
  it('refuse text that the database cannot keep, and empty names', () => {
    expect(message(nameText.safeParse('a\u0000b'))).toContain('cannot be kept');
    expect(message(nameText.safeParse('a\ud800b'))).toContain('cannot be kept');
    expect(nameText.safeParse('Ålesund 🎣').success).toBe(true);
    expect(message(nameText.safeParse('   '))).toBe('Give it a name.');
  });
  it('put names and lines on one line, whatever breaks they came with', () => {
    for (const lines of ['Long\nGrey', 'Long \r\n Grey', 'Long\u2028Grey'])
      for (const field of [nameText, lineText]) expect(field.parse(lines)).toBe('Long Grey');
    expect(noteText.parse('one\ntwo')).toBe('one\ntwo');
    expect(message(nameText.safeParse('\n'))).toBe('Give it a name.');
  });
  it('know real days, clock times, moments and zones', () => {
    expect(dateText.safeParse('2028-02-29').success).toBe(true);
    for (const bad of ['2027-02-29', '2026-5-1', '1800-01-01', 7])
      expect(dateText.safeParse(bad).success).toBe(false);
    for (const bad of ['24:00', '7:00', '07:60']) expect(clockText.safeParse(bad).success).toBe(false);
    expect(instantText.safeParse('2026-05-16T04:00:00+02:00').success).toBe(true);
    expect(instantText.safeParse('2026-05-16T04:00:00').success).toBe(false);
    expect(zoneText.safeParse('UTC+1').success).toBe(true);
    expect(zoneText.safeParse('Mars/Base').success).toBe(false);
  });
  it('name range and unit for a number out of range, never taking NaN or infinity', () => {
    const depth = quantity(0, 500, 'm');
    expect(depth.safeParse(500).success).toBe(true);
    for (const bad of [-0.1, 500.1, NaN, Infinity, null, '5'])
      expect(message(depth.safeParse(bad))).toBe('A number from 0 to 500 m.');
    expect(message(wholeNumber(1, 12).safeParse(2.5))).toBe('A whole number from 1 to 12.');
  });
  it('take identifiers of lower-case letters, digits and hyphens', () => {
    expect(idText.safeParse('grey-wagtail-2').success).toBe(true);
    for (const bad of ['', '-a', 'A', 'a b', 'a'.repeat(65)])
      expect(idText.safeParse(bad).success).toBe(false);
  });
});
