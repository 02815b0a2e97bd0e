import type { BreathPractice } from '#core/breath';

/** A practice without holds, pumps and locks; undefined if nothing is left. */
export function withoutHolding(practice: BreathPractice): BreathPractice | undefined {
  const sets = practice.sets.flatMap((set) => {
    const parts = set.parts.flatMap((part): typeof set.parts => {
      if (part.kind === 'strokes' || part.kind === 'retention') return [];
      return [part.kind === 'cycle' ? { ...part, holdFull: 0, holdEmpty: 0, locks: [] } : part];
    });
    const breathes = parts.some(({ kind }) => kind !== 'recover');
    const ramp = set.ramp && (set.ramp.of === 'in' || set.ramp.of === 'out') ? set.ramp : null;
    return breathes ? [{ ...set, parts, ramp }] : [];
  });
  return sets.length > 0 ? { ...practice, sets } : undefined;
}
