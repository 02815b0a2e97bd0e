/// <reference lib="dom" />
import type { Page } from '@playwright/test';
import { extractText, getDocumentProxy } from 'unpdf';

type PdfOptions = Parameters<Page['pdf']>[0];

/** Without blanks, which a PDF does not keep, and in letters that are written one way only. */
const solid = (text: string): string => text.normalize('NFKC').replace(/[\s\u00AD\u200B]+/gu, '');

/** A page of the browser as it comes out of a printer: the text of each sheet of paper, as a reader of PDFs finds it. */
export async function onPaper(page: Page, options: PdfOptions): Promise<string[]> {
  const pdf = await page.pdf(options);
  const { text } = await extractText(await getDocumentProxy(new Uint8Array(pdf)), { mergePages: false });
  return text;
}

/** The words that the page shows when it is printed and that are on none of some sheets of paper. */
export async function missingOnPaper(page: Page, sheets: readonly string[]): Promise<string[]> {
  await page.emulateMedia({ media: 'print' });
  const shown = await page.evaluate(() => {
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    const found: string[] = [];
    for (let text = texts.nextNode(); text; text = texts.nextNode()) {
      const range = document.createRange();
      range.selectNode(text);
      // What only a screen reader reads is nowhere to be seen.
      const isUnseen = text.parentElement?.closest('.sr-only, .p-hidden-accessible, .skip, script, style, svg');
      if (!isUnseen && range.getClientRects().length > 0) found.push(text.textContent ?? '');
    }
    return found.join(' ');
  });
  await page.emulateMedia({ media: null });
  const paper = solid(sheets.join(''));
  return [...new Set(shown.split(/\s+/))].filter((word) => !paper.includes(solid(word)));
}

/** On which sheet of paper some words are, from 0; −1 where they are on none. */
export const sheetWith = (sheets: readonly string[], words: string): number =>
  sheets.findIndex((sheet) => solid(sheet).includes(solid(words)));
