/** What a deep fold and a back bend are: what asks for a counterpose, and what is one. */
export const BENDS = ['fold', 'back'] as const;
export type Bend = (typeof BENDS)[number];

export const EFFECTS = ['rousing', 'quieting'] as const;
/** Whether something rouses or quiets; most positions do neither more than others. */
export type Effect = (typeof EFFECTS)[number];
