import { cleanup, render, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { demo } from '#core/demo/demo';
import type { FloatPlan } from '#core/floatplan/floatPlan';
import type { CheckIn } from '#core/documents/checkIn';
import { statusOf } from '#core/floatplan/status';
import { type OutingWorkspace, OutingWorkspaceContext } from '../../outingWorkspace';
import { FromWater } from './FromWater';
import { PlanSheet } from './PlanSheet';
import type { Word } from './useWord';

afterEach(cleanup);

const made = Date.parse('2026-05-15T19:00:00Z');
const plan = demo(made).left[0]?.plan as FloatPlan;
const home = Date.parse(plan.times.homeAt);
const MINUTE = 60_000;

const wordAt = (now: number, checkIns: CheckIn[] = [], more: Partial<Word> = {}) =>
  ({
    left: { at: plan.madeAt, plan },
    checkIns,
    status: statusOf(plan, checkIns, now),
    waiting: 0,
    refused: null,
    sendAgain: vi.fn(),
    checkIn: vi.fn(),
    ...more,
  }) as unknown as Word;
const shown = (word: Word, now: number) =>
  render(
    <OutingWorkspaceContext value={{ now } as OutingWorkspace}>
      <FromWater word={word} />
    </OutingWorkspaceContext>,
  );
const check = (what: CheckIn['what'], at: number): CheckIn => ({
  key: crypto.randomUUID(),
  what,
  at: new Date(at).toISOString(),
  homeBy: null,
});

describe('what is said from the water', () => {
  it('begins with being afloat, by one press', async () => {
    const word = wordAt(home - 300 * MINUTE);
    shown(word, home - 300 * MINUTE);
    expect(screen.getByRole('heading').textContent).toBe('Left, and not launched yet');
    await userEvent.click(screen.getByRole('button', { name: 'Afloat now' }));
    expect(word.checkIn).toHaveBeenCalledWith('afloat', null);
    expect(screen.queryByRole('button', { name: /back/ })).toBeNull();
  });
  it('days before the launch asks whether it is meant', async () => {
    const early = home - 3 * 24 * 60 * MINUTE;
    const word = wordAt(early);
    shown(word, early);
    await userEvent.click(screen.getByRole('button', { name: 'Afloat now' }));
    expect(word.checkIn).not.toHaveBeenCalled();
    const asked = screen.getByRole('group', { name: 'Afloat now?' });
    expect(asked.textContent).toMatch(/By the plan the launch is at .+\. Are you afloat now\?/);
    await userEvent.click(within(asked).getByRole('button', { name: 'No' }));
    expect(screen.queryByRole('group', { name: 'Afloat now?' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Afloat now' }));
    await userEvent.click(screen.getByRole('button', { name: 'Yes, afloat now' }));
    expect(word.checkIn).toHaveBeenCalledWith('afloat', null);
  });
  it('offers later hours counted from home, or from now where that has passed', async () => {
    const out = [check('afloat', home - 300 * MINUTE)];
    const early = wordAt(home - 60 * MINUTE, out);
    shown(early, home - 60 * MINUTE);
    await userEvent.click(screen.getByRole('button', { name: /Still well/ }));
    const group = screen.getByRole('group', { name: 'Home by' });
    await userEvent.click(within(group).getByRole('button', { name: /1 h later/ }));
    expect(early.checkIn).toHaveBeenCalledWith('well', home + 60 * MINUTE);
    cleanup();
    const late = wordAt(home + 30 * MINUTE, out);
    shown(late, home + 30 * MINUTE);
    await userEvent.click(screen.getByRole('button', { name: /Still well/ }));
    await userEvent.click(screen.getByRole('button', { name: /2 h later/ }));
    expect(late.checkIn).toHaveBeenCalledWith('well', home + 150 * MINUTE);
  });
  it('when overdue stands loud, with the number to call', () => {
    const now = home + 90 * MINUTE;
    shown(wordAt(now, [check('afloat', home - 300 * MINUTE)]), now);
    expect(screen.getByRole('heading').textContent).toMatch(/^Overdue: the hour to call was/);
    const todo = screen.getAllByRole('listitem').map((one) => one.textContent);
    expect(todo[1]).toContain('Call Sample Coast Watch, Ostrey, 000 555 0911 now.');
  });
  it('once home asks for nothing more, and can be taken back', async () => {
    const now = home - 10 * MINUTE;
    const word = wordAt(now, [check('afloat', home - 300 * MINUTE), check('home', home - 20 * MINUTE)]);
    shown(word, now);
    expect(screen.queryByRole('button', { name: 'Home' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Take the last one back' }));
    expect(word.checkIn).toHaveBeenCalledWith('taken back', null);
  });
  it('says what waits on this device, and why it was refused', async () => {
    const now = home - 60 * MINUTE;
    const word = wordAt(now, [], { waiting: 2, refused: 'A moment lies between 1900 and 2199.' });
    shown(word, now);
    expect(screen.getByText(/2 words kept on this device/).textContent).toContain('A moment lies between');
    await userEvent.click(screen.getByRole('button', { name: 'Send again' }));
    expect(word.sendAgain).toHaveBeenCalled();
  });
  it('is nothing while no plan was left', () => {
    const { container } = shown({ ...wordAt(home), left: null, status: null } as Word, home);
    expect(container.textContent).toBe('');
  });
});

describe('the plan on the page', () => {
  it('has its hours, whom to call, what to read out, each section and the way', () => {
    render(<PlanSheet plan={plan} />);
    const sheet = screen.getByRole('article', { name: 'The plan' });
    for (const heading of ['Who', 'The boat', 'Where', 'Aboard', 'The forecast it rests on'])
      expect(within(sheet).getByRole('region', { name: heading })).toBeTruthy();
    for (const line of plan.script) expect(sheet.textContent).toContain(line);
    expect(sheet.textContent).toContain('call Sample Coast Watch, Ostrey, 000 555 0911');
    expect(within(sheet).getByRole('img', { name: /The way/ }).innerHTML).toContain('Gannet Slip');
  });
  it('says plainly where nobody wrote whom to call', () => {
    render(<PlanSheet plan={{ ...plan, rescue: { name: '', phone: '', radio: '' } }} />);
    expect(screen.getByRole('article').textContent).toContain('call the emergency service of that place');
  });
});
