import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { withItem } from '../editing/edit';
import type { Outing } from '../documents/outing';
import type { References } from '../documents/references';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { differenceOf } from './difference';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const named = (id: string) => outings.find((one) => one.id === id) as Outing;
const said = (outing: Outing, refs: References = references) => assess(outing, refs, noAnswers, now).findings;

describe('the difference of two judgements', () => {
  it('of the same outing is none', () => {
    const findings = said(named('ling-anchored'));
    expect(differenceOf(findings, findings)).toEqual({ come: [], gone: [], turned: [] });
  });
  it('names what comes with a change, and turned round what goes', () => {
    const ling = named('ling-anchored');
    const items = references.items.map((item) =>
      item.id === 'long-anchor' ? { ...item, attributes: { ...item.attributes, rodeM: 70 } } : item,
    );
    const [before, after] = [said(ling), said(ling, { ...references, items })];
    expect(differenceOf(before, after).come.map((one) => one.facts.code)).toEqual(['anchor-scope']);
    expect(differenceOf(after, before).gone.map((one) => one.facts.code)).toEqual(['anchor-scope']);
  });
  it('says when the same cause reads otherwise, and is silent about notes', () => {
    const ling = named('ling-anchored');
    const later = { ...ling, brief: { ...ling.brief, launchAt: '08:45' } };
    const { turned } = differenceOf(said(ling), said(later));
    expect(turned.map((one) => one.facts.code)).toContain('anchor-shut');
    const more = withItem(ling, 'jig-box', 9);
    const { come, gone } = differenceOf(said(ling), said(more));
    expect([...come, ...gone].every((one) => one.level !== 'note')).toBe(true);
  });
});
