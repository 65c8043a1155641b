import { cleanup, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { atDesk, demoOuting, world } from '../../../../testing/atOutingWorkspace';
import { Sentence } from './Sentence';

afterEach(cleanup);
const ready = demoOuting('pollack-long-grey');
const sentence = () => screen.getByRole('region', { name: 'The outing in one sentence' }).textContent;
const open = async (asks: string) => {
  await userEvent.click(screen.getByRole('button', { name: new RegExp(`^${asks}:`) }));
  return within(screen.getByRole('dialog', { name: asks }));
};
const pick = async (asks: string, choice: RegExp) =>
  userEvent.click((await open(asks)).getByRole('menuitem', { name: choice }));

describe('the sentence', () => {
  it('says the whole outing, and names each blank by what it asks', () => {
    atDesk(ready, <Sentence />);
    expect(sentence()).toMatch(
      /^For pollack and sea bass, keeping two, from Gannet Slip out to the Long Grey, on .+, afloat .+ to .+ the same day, alone, landing at Gannet Slip, in Grey Wagtail, .+: out through the surf, casting and jigging, seated\. If nothing is heard, Sample Contact calls for help at .+\.$/,
    );
    expect(screen.getByRole('button', { name: 'Fish kept: two' })).toBeDefined();
  });
  it('asks in its own words where nothing is said, and shows the way where nothing is kept', async () => {
    const blank = {
      ...ready,
      brief: { ...ready.brief, targets: [], waterId: null, launchId: null, areaId: null, craftId: null },
    };
    atDesk(blank, <Sentence />, { references: { ...world.references, waters: [], craft: [] } });
    expect(screen.getByRole('button', { name: 'Which fish: not said yet' }).textContent).toBe('which fish,');
    expect((await open('Boat')).getByRole('link').getAttribute('href')).toBe('/boats');
    await userEvent.keyboard('{Escape}');
    expect((await open('Launch')).getByRole('link').getAttribute('href')).toBe('/waters');
    await userEvent.keyboard('{Escape}');
    expect((await open('Place to fish')).getByText(/Say the launch first/)).toBeDefined();
  });
  it('another water takes its only place, a kind of trip that fits, and lets the way go', async () => {
    const { doc } = atDesk(ready, <Sentence />);
    await pick('Launch', /Saltern Gap/);
    expect(doc().brief).toMatchObject({ waterId: 'saltern-beach', areaId: null, landingId: null });
    expect(doc().brief.trip, 'surf fits an open beach').toBe('beyond-surf');
    expect(doc().brief.route).toEqual({ out: [], home: [] });
    await pick('Launch', /upper bridge/);
    expect(doc().brief).toMatchObject({ areaId: 'two-rapids', trip: 'river-day', techniques: ['casting'] });
  });
  it('another launch of the same water keeps the place and the way', async () => {
    const { doc } = atDesk(ready, <Sentence />);
    await pick('Launch', /Kelp Steps/);
    expect(doc().brief).toMatchObject({
      launchId: 'kelp-steps',
      areaId: 'long-grey',
      route: ready.brief.route,
    });
  });
  it('the place, the landing, the boat and how one sits are picked, and each closes its blank', async () => {
    const { doc } = atDesk(ready, <Sentence />);
    await pick('Place to fish', /inner sound/);
    await pick('Landing', /Kelp Steps/);
    expect(doc().brief.landingId).toBe('kelp-steps');
    await pick('Landing', /Gannet Slip/);
    expect(doc().brief.landingId, 'where one launches is no landing of its own').toBeNull();
    await pick('Boat', /^Dunlin/);
    await pick('Seated or standing', /^Standing/);
    expect(doc().brief).toMatchObject({
      areaId: 'inner-sound',
      craftId: 'dunlin',
      setUpId: null,
      standing: true,
    });
    expect(screen.queryByRole('dialog')).toBeNull();
  });
  it('a kind of trip brings its techniques, which are then one’s own to change', async () => {
    const { doc } = atDesk(ready, <Sentence />);
    await pick('Kind of trip', /^Trolling a lake/);
    expect(doc().brief).toMatchObject({ trip: 'lake-trolling', techniques: ['trolling'] });
    const how = await open('How you fish');
    await userEvent.click(how.getByRole('checkbox', { name: 'Casting' }));
    await userEvent.click(how.getByRole('checkbox', { name: 'Trolling' }));
    expect(doc().brief.techniques).toEqual(['casting']);
    await userEvent.click(how.getByRole('button', { name: 'Done' }));
    expect(sentence()).toContain(': trolling a lake, casting, ');
  });
  it('fish are found by letters, the chosen first, and no more than six', async () => {
    const { doc } = atDesk(ready, <Sentence />);
    const fish = await open('Which fish');
    const names = () => fish.getAllByRole('checkbox').map((one) => one.getAttribute('aria-label'));
    expect(names().slice(0, 2)).toEqual(['Pollack', 'Sea bass']);
    await userEvent.type(fish.getByLabelText('Find'), 'perch');
    expect(names()).toContain('Perch');
    expect(names()).toContain('Pollack');
    expect(names()).not.toContain('Cod');
    await userEvent.click(fish.getByRole('checkbox', { name: 'Perch' }));
    expect(doc().brief.targets).toEqual(['pollack', 'sea-bass', 'perch']);
    await userEvent.clear(fish.getByLabelText('Find'));
    for (const name of ['Cod', 'Ling', 'Pike']) await userEvent.click(fish.getByRole('checkbox', { name }));
    expect(fish.getByRole('checkbox', { name: 'Zander' }).hasAttribute('disabled')).toBe(true);
  });
  it('a count is stepped or typed; what is no count stays where it was typed and is not taken', async () => {
    const { doc } = atDesk(ready, <Sentence />);
    const kept = await open('Fish kept');
    await userEvent.click(kept.getByRole('button', { name: 'Fish kept: one more' }));
    expect(doc().brief.keep).toBe(3);
    const field = kept.getByLabelText('Fish kept');
    await userEvent.clear(field);
    await userEvent.type(field, 'five');
    await userEvent.click(kept.getByRole('button', { name: 'Done' }));
    expect(kept.getByText('A whole number from 0 to 50.')).toBeDefined();
    expect(doc().brief.keep).toBe(3);
    await userEvent.clear(field);
    await userEvent.type(field, '999999{Enter}');
    expect(doc().brief.keep, 'no digit of it was taken').toBe(3);
    await userEvent.clear(field);
    await userEvent.type(field, '0');
    expect(doc().brief.keep, 'nothing before it is whole').toBe(3);
    await userEvent.keyboard('{Enter}');
    expect(doc().brief.keep).toBe(0);
    expect(screen.queryByRole('dialog')).toBeNull();
  });
  it('a date or a time that is none stays in its blank, which does not close over it; Escape lets it go and says so', async () => {
    const { doc } = atDesk(ready, <Sentence />);
    const home = await open('Time home');
    const field = home.getByLabelText('Home');
    await userEvent.clear(field);
    await userEvent.type(field, '25:99');
    expect(doc().brief.homeAt).toBe(ready.brief.homeAt);
    await userEvent.click(home.getByRole('button', { name: 'Done' }));
    expect(home.getByText('Write the time as hh:mm, 00:00 to 23:59.')).toBeDefined();
    await userEvent.keyboard('{Escape}');
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(screen.getByText(`“25:99” was not taken. Home: ${ready.brief.homeAt}.`)).toBeDefined();
    expect(doc().brief.homeAt).toBe(ready.brief.homeAt);
    const again = await open('Time home');
    await userEvent.clear(again.getByLabelText('Home'));
    await userEvent.type(again.getByLabelText('Home'), '14:05');
    await userEvent.click(again.getByRole('button', { name: 'Done' }));
    expect(doc().brief.homeAt).toBe('14:05');
  });
  it('nights, the next morning and the party are said in words', async () => {
    const overnight = { ...ready, brief: { ...ready.brief, launchAt: '21:00', homeAt: '03:00', party: 2 } };
    const { doc } = atDesk(overnight, <Sentence />);
    expect(sentence()).toContain('the next morning, two together');
    const nights = await open('Nights out');
    await userEvent.click(nights.getByRole('button', { name: 'Nights out: one more' }));
    await userEvent.click(nights.getByRole('button', { name: 'Done' }));
    expect(doc().brief.nights).toBe(1);
    expect(sentence()).toContain('after one night out');
  });
  it('whoever waits ashore is typed or taken from the profile, and the hour follows coming home', async () => {
    const { doc } = atDesk(
      { ...ready, brief: { ...ready.brief, contact: { name: '', phone: '', email: '' } } },
      <Sentence />,
    );
    const person = await open('Person ashore');
    await userEvent.type(person.getByLabelText('Name'), 'Sample Neighbour');
    expect(doc().brief.contact.name).toBe('Sample Neighbour');
    await userEvent.click(person.getByRole('button', { name: /from your profile$/ }));
    expect(doc().brief.contact).toEqual(world.references.angler?.contact);
    const hour = await open('Hour to call for help');
    await userEvent.click(hour.getByRole('button', { name: 'An hour after coming home' }));
    expect(doc().brief.alarmAt > doc().brief.homeAt).toBe(true);
  });
});
