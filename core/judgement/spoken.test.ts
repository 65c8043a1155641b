import { afterAll, describe, expect, it } from 'vitest';
import { handlingFor } from '../catalog/species/handling';
import { speciesTable } from '../catalog/species/species';
import { demo } from '../demo/demo';
import { sayRepair } from '../editing/repair';
import { sayExposures } from '../exposures/sayExposures';
import { catalogue } from '../needs/catalogue';
import { sayMeans, wantedWords, whyNeed } from '../needs/sayNeeds';
import { inWords } from '../units/amount';
import { METRIC, type SpeechName, speakIn, speechNames, speeches } from '../units/speaking';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { sayFinding } from './allRules';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
afterAll(() => speakIn(METRIC));

/** Names are the angler's own words: "Float 20 g" is not translated. */
const names = [
  ...references.items,
  ...references.waters,
  ...references.craft,
  ...outings.flatMap(({ rigs }) => rigs),
]
  .map(({ name }) => name)
  .toSorted((a, b) => b.length - a.length);
const withoutNames = (text: string) => names.reduce((rest, name) => rest.replaceAll(name, '…'), text);

function allThatIsSaid(): { said: string[]; judged: unknown } {
  const said: string[] = [];
  const judged: unknown[] = [];
  for (const outing of outings) {
    // A bare boat brings out what is said of everything that is missing.
    for (const one of [outing, { ...outing, loadout: [], rigs: [] }]) {
      const result = assess(one, references, noAnswers, now);
      judged.push(
        result.findings.map(({ key, level, extent, facts, repairs }) => ({
          key,
          level,
          extent,
          facts,
          repairs,
        })),
      );
      said.push(...sayExposures(result.exposures).flatMap(({ title, text }) => [title, text]));
      for (const finding of result.findings) {
        const { title, text } = sayFinding(finding.facts);
        said.push(title, text, finding.otherwise ?? '', ...finding.repairs.map(sayRepair));
      }
      for (const need of result.needs)
        said.push(whyNeed(need), wantedWords(need), ...need.means.map(sayMeans));
      for (const step of result.steps)
        said.push(step.title, step.how, step.bad, ...step.items.flatMap(({ how, bad }) => [how, bad]));
    }
  }
  for (const species of Object.values(speciesTable))
    said.push(inWords(species.note), ...Object.values(handlingFor(species, true)));
  for (const need of Object.values(catalogue)) said.push(inWords(need.fits ?? ''));
  return { said: said.map(withoutNames), judged };
}
/** Units of a measure that must not be read where another was chosen. */
const foreign: Record<SpeechName, RegExp | null> = {
  metric: /\d ?(ft|in|mi|nmi|kn|mph|lb|lbf|oz|°F|US qt|UK pt|am|pm)\b/,
  'imperial, US': /\d ?(m|km|cm|mm|kg|g|N|L|m\/s|kn|nmi|m²)(?![\w/²³])|\d ?°C/,
  'imperial, UK': /\d ?(m|km|cm|mm|kg|g|N|L|m\/s|kn|nmi|m²)(?![\w/²³])|\d ?°F|\b[ap]m\b/,
  nautical: /\d ?(km|ft|in|mi|mph|m\/s|lb|lbf|oz|°F|US qt|UK pt|am|pm)\b/,
};

describe('what is said', () => {
  speakIn(METRIC);
  const plain = allThatIsSaid();
  it.each(speechNames)('in %s has no unit of another, and judges the same', (name) => {
    speakIn(speeches[name]);
    const { said, judged } = allThatIsSaid();
    const wrong = said.filter((text) => foreign[name]?.test(text));
    expect([...new Set(wrong)]).toEqual([]);
    expect(judged).toEqual(plain.judged);
    expect(said.length).toBe(plain.said.length);
    if (name !== 'metric')
      expect(said.filter((text, i) => text !== plain.said[i]).length).toBeGreaterThan(60);
  });
});
