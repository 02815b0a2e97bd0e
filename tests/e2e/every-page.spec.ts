/// <reference lib="dom" />
import { expect, test, type Locator } from '@playwright/test';
import { findings } from './accessible';
import { pagesWith } from './pages';
import { newPlan, openPlan, openTab, rows, walker } from './support';

test('nothing scrolls sideways: at a desk, on a tablet, and 320 pixels wide', async ({ page, request }) => {
  const walkTo = walker(page);
  await page.goto('/');
  const shown = new Set<string>();
  const sizes = [
    { width: 1280, height: 800 },
    { width: 820, height: 1180 },
    { width: 320, height: 640 },
  ];
  const over = (): Promise<number> => page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  const { id } = await newPlan(request, 'yin', {
    title: 'A title that goes on and on for singers, potters and nurses of the whole estuary '.repeat(2),
  });
  for (const path of pagesWith(id)) {
    await walkTo(path);
    await expect(page.locator('main')).not.toBeEmpty();
    shown.add((await page.locator('main').innerText()).slice(0, 300));
    for (const size of sizes) {
      await page.setViewportSize(size);
      await expect.poll(over, { message: `${path} at ${size.width}` }).toBe(0);
    }
  }
  // Each page was really there, and not one of them all the time.
  expect(shown.size).toBeGreaterThan(20);
  await page.goto('/library/head-to-knee');
  await page.getByRole('button', { name: 'Make a copy' }).click();
  await page.getByRole('button', { name: 'Set its joints' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Quay fold '.repeat(8).trim());
  await page.keyboard.press('Tab');
  await expect(page.getByRole('slider', { name: 'Knee, bend' })).toBeVisible();
  for (const size of sizes) {
    await page.setViewportSize(size);
    await expect.poll(over).toBe(0);
  }
});

test('every page has one heading of the first order, the others in order, and nothing is found on it', async ({
  page,
  request,
}) => {
  test.setTimeout(300_000);
  const walkTo = walker(page);
  await page.goto('/');
  const { id } = await newPlan(request, 'yin', { title: 'Every page of it' });
  for (const path of pagesWith(id)) {
    await walkTo(path);
    await expect(page.locator('main')).not.toBeEmpty();
    expect([path, await page.getByRole('heading', { level: 1 }).count()]).toEqual([path, 1]);
    expect([path, ...(await findings(page))]).toEqual([path]);
  }
});

test('with the spacing of text that some need, nothing is cut off and nothing scrolls sideways', async ({
  page,
  request,
}) => {
  test.setTimeout(240_000);
  const walkTo = walker(page);
  await page.goto('/');
  const { id } = await newPlan(request, 'yin', { title: 'Spaced out' });
  const spacing =
    '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important; } p { margin-bottom: 2em !important; }';
  await page.addStyleTag({ content: spacing });
  /** Words that are cut off: their box hides what does not fit, and no ellipsis with the whole as its title says so. */
  const cut = () =>
    page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('main *')]
        .filter((element) => {
          const { overflowX, overflowY, textOverflow } = getComputedStyle(element);
          const hasWords = [...element.childNodes].some(
            ({ nodeType, nodeValue }) => nodeType === 3 && nodeValue?.trim(),
          );
          if (!hasWords || element.closest('.sr-only, .p-hidden-accessible')) return false;
          // The whole is its title.
          if (element.closest<HTMLElement>('[title]')?.title.includes(element.textContent.trim())) return false;
          const isWide =
            overflowX === 'hidden' && textOverflow !== 'ellipsis' && element.scrollWidth > element.clientWidth + 1;
          const isHigh = overflowY === 'hidden' && element.scrollHeight > element.clientHeight + 2;
          return isWide || (isHigh && textOverflow !== 'ellipsis');
        })
        .map(({ outerHTML }) => outerHTML.slice(0, 120)),
    );
  for (const path of pagesWith(id)) {
    await walkTo(path);
    expect([path, ...(await cut())]).toEqual([path]);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect([path, over]).toEqual([path, 0]);
  }
});

test('nothing is found on what opens: dialogs, menus, lists, tabs, the drawer of a phone', async ({
  page,
  request,
}) => {
  test.setTimeout(240_000);
  const { id } = await newPlan(request, 'restorative');
  /** Looks at what has opened, and closes it. */
  const look = async (opened: Locator): Promise<void> => {
    await expect(opened).toBeVisible();
    await page.evaluate(() => Promise.all(document.getAnimations().map((one) => one.finished)).catch(() => undefined));
    expect(await findings(page)).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(opened).toBeHidden();
  };
  const dialog = page.getByRole('dialog');
  const menu = page.getByRole('menu');
  await page.goto('/');
  await page.getByRole('button', { name: 'New plan' }).click();
  await look(dialog);
  await page
    .getByRole('button', { name: /^More for/ })
    .first()
    .click();
  await look(menu);
  await page.keyboard.press('?');
  await look(dialog);

  await openPlan(page, id);
  await rows(page).nth(4).click();
  for (const tab of ['Props', 'Cues', 'Breath', 'Cautions', 'About', 'Hold'] as const) {
    await openTab(page, tab);
    expect([tab, ...(await findings(page))]).toEqual([tab]);
  }
  await rows(page).nth(4).click({ button: 'right' });
  await look(page.getByRole('menubar', { name: 'Selected steps' }));
  await page.getByRole('button', { name: 'More for this step' }).click();
  await look(menu);
  await page.getByRole('button', { name: 'Show as a table' }).click();
  await look(dialog);
  await page.getByRole('button', { name: /change title, group/ }).click();
  await look(dialog);
  await page.getByRole('button', { name: 'Share', exact: true }).click();
  await look(dialog);
  await page.getByRole('combobox', { name: 'Set-up' }).click();
  await look(page.locator('.p-select-overlay'));
  await rows(page).nth(1).click();
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByRole('heading', { name: '2 steps selected' })).toBeVisible();
  expect(await findings(page)).toEqual([]);

  await page.goto('/people/demo-ines');
  await page.getByRole('button', { name: 'Measure the breath' }).click();
  await look(dialog);
  await page.getByRole('button', { name: 'Forget for good' }).click();
  await look(dialog);
  await page.getByRole('button', { name: 'Open the calendar' }).first().click();
  await look(page.locator('.p-datepicker-panel'));

  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/');
  await page.getByRole('button', { name: /^Menu/ }).click();
  await look(menu);
  await openPlan(page, id);
  await rows(page).nth(4).click();
  await look(page.getByRole('complementary').or(dialog).last());
});

test('in forced colours the selection, the open tab and the clock are there to be seen', async ({ page, request }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  const { id } = await newPlan(request, 'yin');
  await openPlan(page, id);
  await rows(page).nth(5).click();
  const look = (of: Locator, property: string) =>
    of.evaluate((element, name) => getComputedStyle(element).getPropertyValue(name), property);
  const [chosen, other] = [rows(page).nth(5), rows(page).nth(6)];
  expect(await look(chosen, 'outline-style')).not.toBe(await look(other, 'outline-style'));
  const [open, closed] = [page.getByRole('tab', { name: 'Hold' }), page.getByRole('tab', { name: 'Cues' })];
  expect(await look(open, 'outline-style')).not.toBe(await look(closed, 'outline-style'));
  // The ribbon keeps its colours: sides are told by place, and what is left out would not be seen at all.
  expect(await look(page.locator('.ribbon path').first(), 'forced-color-adjust')).toBe('none');
  await page.goto(`/teach/${id}`);
  await page.getByRole('button', { name: 'Begin' }).first().click();
  await expect(page.getByRole('timer').first()).toBeVisible();
  const [ink, paper] = [
    await look(page.getByRole('timer').first(), 'color'),
    await look(page.locator('body'), 'background-color'),
  ];
  expect(ink).not.toBe(paper);
});
