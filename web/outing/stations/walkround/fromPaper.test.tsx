import { cleanup, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { demo } from '#core/demo/demo';
import type { Outing } from '#core/documents/outing';
import { lookUp } from '#core/documents/references';
import { assess } from '#core/judgement/assess';
import { clockAt, instantOf } from '#core/units/time';
import { noAnswers } from '#core/walkround/answers';
import { ToastProvider } from '../../../ui/Toast';
import { type OutingWorkspace, OutingWorkspaceContext } from '../../outingWorkspace';
import { FromPaper } from './FromPaper';

afterEach(cleanup);

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings as [Outing];
const looked = lookUp(ready, references);
const assessment = assess(ready, references, noAnswers, now, { withRepairs: false });
const zone = looked.water?.timeZone ?? 'utc';

function shown() {
  const answer = vi.fn();
  const onClose = vi.fn();
  const desk = { assessment, looked, now, walk: { answer } } as unknown as OutingWorkspace;
  render(
    <ToastProvider>
      <OutingWorkspaceContext value={desk}>
        <FromPaper onClose={onClose} />
      </OutingWorkspaceContext>
    </ToastProvider>,
  );
  return { answer, onClose };
}
const box = (title: string) => screen.getByRole('checkbox', { name: title });

describe('what was ticked on paper', () => {
  it('is written in with the hour at which it was, and nothing that was not ticked', async () => {
    const { answer, onClose } = shown();
    expect(screen.getAllByRole('checkbox').every((one) => !(one as HTMLInputElement).checked)).toBe(true);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Write in 0' }).disabled).toBe(true);
    await userEvent.click(box('Bow and its handle'));
    await userEvent.click(box('Yourself'));
    const clock = screen.getByLabelText('Looked at by');
    await userEvent.clear(clock);
    await userEvent.type(clock, '16:30');
    await userEvent.tab();
    await userEvent.click(screen.getByRole('button', { name: 'Write in 2' }));
    const at = instantOf('2026-05-15', '16:30', zone);
    const given = answer.mock.calls.map(([id, verdict, moment]: unknown[]) => [id, verdict, moment]);
    const ids = assessment.steps
      .filter(({ title }) => title === 'Bow and its handle' || title === 'Yourself')
      .map(({ id }) => id);
    expect(given).toEqual(ids.map((id) => [id, 'good', { at }]));
    expect(onClose).toHaveBeenCalled();
  });
  it('of a list of the evening counts for each thing in it', async () => {
    const { answer } = shown();
    const step = assessment.steps.find(({ phase, items }) => phase === 'evening' && items.length > 1);
    if (!step) throw new Error('The evening has a list.');
    await userEvent.click(box(step.title));
    await userEvent.click(screen.getByRole('button', { name: 'Write in 1' }));
    expect(answer.mock.calls.map(([id]: unknown[]) => id)).toEqual([
      step.id,
      ...step.items.map(({ stepId }) => stepId),
    ]);
  });
  it('is not taken for an hour that is still to come', async () => {
    const { answer } = shown();
    await userEvent.click(box('Yourself'));
    const clock = screen.getByLabelText('Looked at by');
    await userEvent.clear(clock);
    await userEvent.type(clock, clockAt(now + 2 * 3_600_000, zone));
    await userEvent.tab();
    expect(screen.getByText('That is still to come.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Write in 1' }).disabled).toBe(true);
    expect(answer).not.toHaveBeenCalled();
  });
});
