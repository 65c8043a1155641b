import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { atDesk, demoOuting } from '../testing/atOutingWorkspace';
import { OutingWorkspaceContext, useOutingWorkspace } from './outingWorkspace';
import { StaleLine } from './StaleLine';

afterEach(cleanup);
const ready = demoOuting('pollack-long-grey');

/** The line at a desk where so much has changed since the signature. */
function Since({ changes }: Pick<ReturnType<typeof useOutingWorkspace>, 'changes'>) {
  const desk = useOutingWorkspace();
  return (
    <OutingWorkspaceContext value={{ ...desk, changes }}>
      <StaleLine />
    </OutingWorkspaceContext>
  );
}

it('a signature that no longer stands is told wherever one is, with what changed first; one that stands is not', () => {
  const { unmount } = atDesk(
    ready,
    <Since changes={[{ of: null, what: 'fish kept', from: 'two', to: 'three', whole: false }]} />,
  );
  expect(screen.getByRole('status').textContent).toMatch(
    /No longer as signed\. Fish kept was two; now three\./,
  );
  expect(screen.getByRole('link').getAttribute('href')).toBe(`/outings/${ready.id}/walk-round`);
  unmount();
  for (const changes of [[], null]) {
    const there = atDesk(ready, <Since changes={changes} />);
    expect(screen.queryByText(/No longer/)).toBeNull();
    there.unmount();
  }
});
