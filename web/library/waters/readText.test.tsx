import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { readStreamText } from '#core/exchange/streamText';
import { ToastProvider } from '../../ui/Toast';
import { ReadText } from './ReadText';

afterEach(cleanup);
/** A table in its field, and what is said once the field is gone. */
function left(text: string) {
  const read = text === '' ? null : readStreamText(text);
  const field = (
    <ReadText
      {...{ label: 'The stream', placeholder: '', hint: '', text, maxRows: 3 }}
      read={read}
      understood={() => 'all of it'}
      onChange={() => undefined}
    />
  );
  const page = render(<ToastProvider>{field}</ToastProvider>);
  page.rerender(<ToastProvider>{null}</ToastProvider>);
}

describe('a table that is pasted', () => {
  it('is not let go of in silence where it was not taken', () => {
    left('bananas');
    expect(screen.getByText(/^The stream: what was written was not taken\. /)).toBeDefined();
  });
  it('is left without a word where it was taken, or nothing was written', () => {
    left('');
    expect(screen.queryByText(/was not taken/)).toBeNull();
    cleanup();
    left('hour,towards,springs (kn),neaps (kn)\n-6,045,2,1\n+6,225,1,0.5');
    expect(screen.queryByText(/was not taken/)).toBeNull();
  });
});
