import type { Page } from '@playwright/test';

/** Words that lie over other words, over a picture, or that are cut off; empty if everything has its place. */
export const misplacedWords = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    interface Box {
      what: string;
      /** The text it is part of; none for a picture. */
      words: Node | null;
      left: number;
      right: number;
      top: number;
      bottom: number;
    }
    const stage = document.querySelector('main.teach')!;
    function clips(element: Element): boolean {
      const { overflow, display } = getComputedStyle(element);
      return overflow !== 'visible' && display !== 'contents';
    }
    /** What is left of a box within every ancestor that cuts off what is outside it. */
    function visible(box: Box, from: Element): Box {
      const seen = { ...box };
      for (let at: Element | null = from; at && at !== stage.parentElement; at = at.parentElement) {
        if (!clips(at)) continue;
        const by = at.getBoundingClientRect();
        seen.left = Math.max(seen.left, by.left);
        seen.right = Math.min(seen.right, by.right);
        seen.top = Math.max(seen.top, by.top);
        seen.bottom = Math.min(seen.bottom, by.bottom);
      }
      return seen;
    }
    const boxes: Box[] = [];
    const cutOff: string[] = [];
    const walker = document.createTreeWalker(stage, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement!;
      const text = node.textContent!.trim();
      // The ribbon is a drawing whose labels are placed by its own rules.
      if (text === '' || parent.closest('svg, .sr-only, .ribbon')) continue;
      const style = getComputedStyle(parent);
      if (style.visibility === 'hidden' || style.display === 'none') continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      // A line box is as high as the font says; the letters have their place within the line height.
      const lineHeight = parseFloat(style.lineHeight) || parseFloat(style.fontSize);
      const inside = Math.min(lineHeight, parseFloat(style.fontSize)) * 0.72;
      for (const rect of range.getClientRects()) {
        const middle = (rect.top + rect.bottom) / 2;
        const [top, bottom] = [middle - inside / 2, middle + inside / 2];
        const box = {
          what: `${text.slice(0, 40)} [${parent.className || parent.parentElement!.className || parent.tagName}]`,
          words: node,
          left: rect.left,
          right: rect.right,
          top,
          bottom,
        };
        const seen = visible(box, parent);
        const must = parent.closest('.time, .side, .part, .prompt, .more, h1');
        const isCut = seen.bottom < bottom - 1 || seen.top > top + 1;
        if (must && isCut)
          cutOff.push(
            `cut off: ${box.what} (${Math.round(seen.top - top)} above, ${Math.round(bottom - seen.bottom)} below)`,
          );
        if (seen.right - seen.left > 1 && seen.bottom - seen.top > 1) boxes.push(seen);
      }
    }
    for (const svg of stage.querySelectorAll('.stage svg, .coming svg')) {
      if (svg.closest('.ribbon, button')) continue;
      const { left, right, top, bottom } = svg.getBoundingClientRect();
      const seen = visible({ what: 'a figure', words: null, left, right, top, bottom }, svg.parentElement!);
      if (seen.right - seen.left > 1 && seen.bottom - seen.top > 1) boxes.push(seen);
    }
    const over: string[] = [];
    for (const [i, one] of boxes.entries()) {
      for (const other of boxes.slice(i + 1)) {
        // Two pictures may touch; lines of one text are set by the browser.
        if (one.words === other.words) continue;
        const across = Math.min(one.right, other.right) - Math.max(one.left, other.left);
        const down = Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top);
        if (across > 2 && down > 2)
          over.push(`${one.what} / ${other.what} (${Math.round(across)}×${Math.round(down)})`);
      }
    }
    if (!document.querySelector('.stage .time, .stage .pacer')) cutOff.push('no time is shown');
    return [...cutOff, ...over];
  });
