import { type Locator, type Page, expect } from '@playwright/test';

/** Tabs forward, or back where it lies behind, until something has the focus. */
export async function tabTo(page: Page, target: Locator, most = 250): Promise<void> {
  for (let i = 0; i < most; i += 1) {
    const way = await target
      .evaluate((element) => {
        const at = document.activeElement;
        if (at === element) return 'here';
        return at && at.compareDocumentPosition(element) & Node.DOCUMENT_POSITION_PRECEDING
          ? 'Shift+Tab'
          : 'Tab';
      })
      .catch(() => 'Tab');
    if (way === 'here') return;
    await page.keyboard.press(way);
  }
  throw new Error('The keyboard does not reach it.');
}

/** Presses as a hand makes them: a click, a choice, or one field typed into. */
export class Hand {
  presses = 0;
  constructor(readonly page: Page) {}
  async press(what: Locator) {
    this.presses += 1;
    await what.click();
  }
  button(name: string | RegExp) {
    return this.press(this.page.getByRole('button', { name }).first());
  }
  link(name: string | RegExp) {
    return this.press(this.page.getByRole('link', { name }).first());
  }
  async type(label: string | RegExp, text: string) {
    this.presses += 1;
    await this.page.getByLabel(label).first().fill(text);
  }
  async choose(label: string, option: string) {
    this.presses += 2;
    await this.page.getByLabel(label, { exact: true }).click();
    await this.page.getByRole('option', { name: option, exact: true }).click();
  }
  async key(name: string) {
    this.presses += 1;
    await this.page.keyboard.press(name);
  }
  /** Holds down what is held to sign. */
  async hold(what: Locator, until: Locator) {
    this.presses += 1;
    await what.hover();
    await this.page.mouse.down();
    await expect(until).toBeVisible();
    await this.page.mouse.up();
  }
  /** The margin lies beside what is done; on a phone it is opened first, and closed again. */
  async inMargin(work: () => Promise<void>) {
    await work();
  }
}

/** The same by keyboard alone: what is pressed is reached by Tab. */
export class KeyHand extends Hand {
  override async press(what: Locator) {
    await tabTo(this.page, what);
    const type = await what.getAttribute('type');
    await this.key(type === 'checkbox' ? 'Space' : 'Enter');
  }
  override async type(label: string | RegExp, text: string) {
    await tabTo(this.page, this.page.getByLabel(label).first());
    await this.page.keyboard.press('ControlOrMeta+a');
    await this.page.keyboard.type(text);
  }
  override async choose(label: string, option: string) {
    await this.press(this.page.getByLabel(label, { exact: true }));
    const focused = this.page.locator('[role=option]:focus');
    await expect(focused).toHaveCount(1);
    await this.key('Home');
    for (let i = 0; i < 30 && (await focused.innerText()) !== option; i += 1) await this.key('ArrowDown');
    await this.key('Enter');
  }
  override async hold(what: Locator, until: Locator) {
    await tabTo(this.page, what);
    await this.page.keyboard.down('Space');
    await expect(until).toBeVisible();
    await this.page.keyboard.up('Space');
  }
}

/** The same on a phone. */
export class ThumbHand extends Hand {
  override async inMargin(work: () => Promise<void>) {
    await this.button(/^Margin:/);
    const margin = this.page.getByRole('dialog', { name: 'Margin' });
    await expect(margin).toBeVisible();
    await work();
    // What leads on from the margin closes it.
    const hidden = margin.waitFor({ state: 'hidden', timeout: 2000 });
    const closed = await hidden.then(
      () => true,
      () => false,
    );
    if (!closed) await this.press(margin.getByRole('button', { name: 'Close' }));
    await expect(margin).toBeHidden();
  }
}
