import type { Locator, Page } from '@playwright/test';

/** What somebody does, counted: a click, a key, and the typing of one text are an action each. */
export class Counted {
  actions = 0;

  constructor(private readonly page: Page) {}

  async click(target: Locator): Promise<void> {
    this.actions += 1;
    await target.click();
  }

  /** Types into whatever has the focus. */
  async type(text: string): Promise<void> {
    this.actions += 1;
    await this.page.keyboard.type(text);
  }

  async press(key: string): Promise<void> {
    this.actions += 1;
    await this.page.keyboard.press(key);
  }
}
