/** A part of a text, under a heading or without one. */
interface Part {
  heading?: string;
  lines: readonly string[];
}

/** Parts as plain text, each under its heading; those without a line are left out. */
export function paragraphs(title: string, parts: readonly Part[]): string {
  const written = parts
    .map(({ heading, lines }) => ({ heading, lines: lines.map((line) => line.trim()).filter(Boolean) }))
    .filter(({ lines }) => lines.length > 0)
    .map(({ heading, lines }) =>
      heading === undefined ? lines.join('\n') : [heading, ...lines.map((line) => `- ${line}`)].join('\n'),
    );
  return `${[title, ...written].join('\n\n')}\n`;
}
