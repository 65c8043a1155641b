import { type RefObject, useEffect } from 'react';

/**
 * What is left of the smaller of A4 and Letter, in CSS pixels, after margins of a centimetre and the outing's
 * heading.
 */
const PAGE = { width: 680, height: 860 };
const LARGEST = 0.75;
const SMALLEST = 0.36;
const STEP = 0.03;

/**
 * Just before printing, finds the largest size at which a sheet stands on one page, and leaves it in
 * `--print-zoom`.
 */
export function usePrintFit(sheet: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const fit = () => {
      const node = sheet.current;
      if (!node) return;
      const hidden = [...node.querySelectorAll<HTMLElement>('[data-screen-only]')];
      const before = hidden.map((one) => one.style.display);
      for (const one of hidden) one.style.display = 'none';
      const { maxWidth, width } = node.style;
      node.style.maxWidth = 'none';
      let zoom = LARGEST;
      for (; zoom > SMALLEST; zoom -= STEP) {
        node.style.width = `${PAGE.width / zoom}px`;
        if (node.scrollHeight * zoom <= PAGE.height) break;
      }
      Object.assign(node.style, { maxWidth, width });
      hidden.forEach((one, i) => (one.style.display = before[i] ?? ''));
      node.style.setProperty('--print-zoom', zoom.toFixed(2));
    };
    window.addEventListener('beforeprint', fit);
    return () => window.removeEventListener('beforeprint', fit);
  }, [sheet]);
}
