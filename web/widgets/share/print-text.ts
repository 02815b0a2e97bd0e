const escaped = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

/**
 * Prints a page, or plain text, without leaving this one: in a frame that is taken away afterwards. No script of the page
 * runs in it.
 */
export function printText(text: string, type: string, title: string): void {
  const frame = document.createElement('iframe');
  frame.sandbox.add('allow-same-origin', 'allow-modals');
  frame.className = 'sr-only';
  frame.ariaHidden = 'true';
  frame.srcdoc =
    type === 'text/html'
      ? text
      : `<!doctype html><title>${escaped(title)}</title><pre style="white-space:pre-wrap;font:11pt/15pt sans-serif">${escaped(text)}</pre>`;
  frame.addEventListener('load', () => {
    const page = frame.contentWindow;
    if (!page) return;
    page.addEventListener('afterprint', () => frame.remove());
    page.print();
  });
  document.body.append(frame);
}
