import { cleanup, render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PhotoField } from './PhotoField';

const onChange = vi.fn();
const sent = vi.fn<(body: { dataUrl: string }) => Response>();
const kept = () => Response.json({ id: 'abc' });
const drawn: { width: number; height: number }[] = [];
/** How long the picture comes out at each quality asked for. */
let lengthAt: (quality: number) => number;
const realCanvas = document.createElement.bind(document);

beforeEach(() => {
  drawn.length = 0;
  onChange.mockReset();
  sent.mockReset().mockImplementation(kept);
  lengthAt = () => 100;
  vi.stubGlobal('fetch', (_url: string, { body }: { body: string }) =>
    Promise.resolve(sent(JSON.parse(body) as { dataUrl: string })),
  );
  vi.stubGlobal('createImageBitmap', (file: File) =>
    file.type.startsWith('image/')
      ? Promise.resolve({ width: 4000, height: 1000, close: () => undefined })
      : Promise.reject(new Error('no picture')),
  );
  // A canvas of the browser's: what it draws on, and how well it presses.
  vi.spyOn(document, 'createElement').mockImplementation(((tag: string) => {
    if (tag !== 'canvas') return realCanvas(tag);
    const canvas = {
      width: 0,
      height: 0,
      getContext: () => ({
        drawImage: (_bitmap: unknown, _x: number, _y: number, width: number, height: number) =>
          drawn.push({ width, height }),
      }),
      toDataURL: (_type: string, quality: number) => `data:${quality},`.padEnd(lengthAt(quality), 'x'),
    };
    return canvas as unknown as HTMLElement;
  }) as typeof document.createElement);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

const show = (value: string | null = null) =>
  render(<PhotoField name="Drogue" value={value} onChange={onChange} />);
const photo = new File(['…'], 'shelf.jpg', { type: 'image/jpeg' });
const give = (file: File) =>
  userEvent.upload(screen.getByLabelText('Picture file'), file, { applyAccept: false });

describe('a picture of an item', () => {
  it('is made small, its shape kept, before it is sent; the item then has its address', async () => {
    show();
    await give(photo);
    await vi.waitFor(() => expect(onChange).toHaveBeenCalledWith('abc'));
    expect(drawn).toEqual([{ width: 360, height: 90 }]);
    expect(screen.queryByRole('alert')).toBeNull();
  });
  it('is pressed harder until it is small enough to be kept', async () => {
    lengthAt = (quality) => (quality > 0.5 ? 90_000 : 70_000);
    show();
    await give(photo);
    await vi.waitFor(() => expect(onChange).toHaveBeenCalledOnce());
    expect(sent.mock.calls[0]?.[0].dataUrl).toMatch(/^data:0\.4,/);
  });
  it('that cannot be read, or not be made small enough, is said by its name, and nothing is sent', async () => {
    show();
    await give(new File(['…'], 'letter.pdf', { type: 'application/pdf' }));
    expect((await screen.findByRole('alert')).textContent).toBe(
      'letter.pdf is no picture that can be read here.',
    );
    lengthAt = () => 90_000;
    await give(photo);
    await vi.waitFor(() =>
      expect(screen.getByRole('alert').textContent).toMatch(/^shelf\.jpg is no picture/),
    );
    expect(sent).not.toHaveBeenCalled();
    expect(onChange).not.toHaveBeenCalled();
  });
  it('that the server does not take leaves the item as it was, and the next one clears what was said', async () => {
    sent.mockImplementationOnce(() =>
      Response.json(
        { status: 413, title: 'Too large', detail: 'The picture is too large.' },
        { status: 413 },
      ),
    );
    show();
    await give(photo);
    expect((await screen.findByRole('alert')).textContent).toContain('too large');
    expect(onChange).not.toHaveBeenCalled();
    await give(photo);
    await vi.waitFor(() => expect(onChange).toHaveBeenCalledWith('abc'));
    expect(screen.queryByRole('alert')).toBeNull();
  });
  it('is shown with the name of its item, and can be taken away', async () => {
    show('abc');
    expect(screen.getByRole('img', { name: 'Picture of Drogue' }).getAttribute('src')).toBe(
      '/api/pictures/abc',
    );
    await userEvent.click(screen.getByRole('button', { name: 'No picture' }));
    expect(onChange).toHaveBeenCalledWith(null);
  });
});
