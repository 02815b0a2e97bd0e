import type { Drawing } from './drawing';
import type { Tone } from './tones';

/** The colours are CSS variables of the page, so that another theme redraws nothing. */
const FILL: Record<Tone, string> = {
  farTrousers: 'var(--f-leg-far)',
  trousers: 'var(--f-leg)',
  farTop: 'var(--f-top-far)',
  top: 'var(--f-top)',
  farSkin: 'var(--f-skin-far)',
  skin: 'var(--f-skin)',
  hair: 'var(--f-hair)',
};
const FACE = {
  lid: { stroke: 'var(--f-lid)', width: 3.2 },
  brow: { stroke: 'var(--f-brow)', width: 2.6 },
  ear: { stroke: 'var(--f-brow)', width: 2.6 },
  mouth: { stroke: 'var(--f-brow)', width: 2.6 },
};

/** Stands for the id of clip paths until a figure is put into a page. */
export const ID_MARK = '§';

/**
 * The inside of an `svg` element for a drawing, in millimetres of the room. `id` must be the only one of its kind in
 * the page (the body's outline and the props are clip paths).
 */
export function svgOf(drawing: Drawing, id: string): string {
  const { body, props } = drawing;
  // What is drawn more than once is there once and used.
  const outlines = [
    `<path id="${id}o" d="${body}"/>`,
    ...props.map(({ outline }, i) => `<path id="${id}o${i}" d="${outline}"/>`),
  ];
  const parts: string[] = [`<defs>${outlines.join('')}</defs>`];
  if (drawing.mat) {
    parts.push(
      `<path d="${drawing.mat}" fill="var(--f-mat)" stroke="var(--f-mat)" stroke-width="20" stroke-linejoin="round"/>`,
    );
  }
  if (drawing.wall) parts.push(`<path d="${drawing.wall}" fill="var(--f-wall)"/>`);
  if (!drawing.level) {
    parts.push(`<use href="#${id}o" transform="translate(8 14)" fill="var(--f-press)" opacity="var(--f-ground-o)"/>`);
  }
  for (const [i, prop] of props.entries()) {
    const { material } = prop;
    parts.push(
      `<use href="#${id}o${i}" fill="var(--p-${material})" stroke="var(--p-${material}-e)" stroke-width="3"/>`,
    );
    if (prop.lit) parts.push(`<path d="${prop.lit}" fill="var(--p-lit)" opacity=".2"/>`);
    if (prop.dim) parts.push(`<path d="${prop.dim}" fill="var(--p-dim)" opacity=".1"/>`);
    for (const line of prop.lines) {
      parts.push(`<path d="${line}" fill="none" stroke="var(--p-${material}-e)" stroke-width="2.6"/>`);
    }
  }
  if (props.length > 0) {
    const cover = props.map((_, i) => `<use href="#${id}o${i}"/>`).join('');
    parts.push(`<clipPath id="${id}p">${cover}</clipPath>`);
    parts.push(
      `<use href="#${id}o" transform="translate(${drawing.above ? 6 : 0} 13)" fill="var(--f-press)" opacity="var(--f-press-o)" clip-path="url(#${id}p)" />`,
    );
  }
  parts.push(`<clipPath id="${id}b"><use href="#${id}o"/></clipPath><g clip-path="url(#${id}b)">`);
  for (const { tone, path } of drawing.tones) {
    parts.push(`<path d="${path}" fill="${FILL[tone]}" stroke="${FILL[tone]}" stroke-width="4"/>`);
  }
  if (drawing.shade) parts.push(`<path d="${drawing.shade}" fill="var(--f-shade)" opacity=".08"/>`);
  if (drawing.lines.length > 0) {
    parts.push(`<path d="${drawing.lines.join('')}" fill="var(--f-line)" opacity="var(--f-line-o)"/>`);
  }
  for (const { kind, path } of drawing.face) {
    const { stroke, width } = FACE[kind];
    parts.push(`<path d="${path}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round"/>`);
  }
  parts.push('</g>');
  for (const band of drawing.bands) {
    parts.push(
      `<path d="${band}" fill="none" stroke="var(--p-strap)" stroke-width="16" stroke-linejoin="round" stroke-linecap="round"/>`,
    );
  }
  return parts.join('');
}
