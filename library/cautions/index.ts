import { strainsOfRow, type Strains } from '#core/body';
import { strainsFrom, type Knowledge, type Rule, type ToMeasure } from '#core/caution';
import type { Library, Position, Technique } from '#core/catalogue';
import { POSITIONS, TECHNIQUES } from '../entries';
import { libraryOf } from '#core/catalogue';
import { MEASURED } from '../measured';
import { CONDITIONS } from './conditions';
import { BREATH_RULES, CLASS_RULES } from './rules/breath';
import { POSITION_RULES } from './rules/positions';

/** The usual cautions: rules of thumb as teachers hand them on, for a professional to review; not medical advice. */
export const RULES: readonly Rule[] = [...POSITION_RULES, ...BREATH_RULES, ...CLASS_RULES];
export { CONDITIONS };

/** Entries no rule reaches, and why that is so. */
export const UNREACHED: Readonly<Record<string, string>> = {
  'chair-seat': 'An upright seat on a chair: the easier way that most cautions lead to.',
};

const tabled = (position: string, setUp: string): Strains | undefined => {
  const row = MEASURED[`${position}/${setUp}`];
  return row && strainsOfRow(row);
};

/**
 * What screening stands on, with the entries of a library beside those that ship.
 * @param measured what was measured of other set-ups and bodies than the standard ones
 */
export const knowledgeWith = (
  library: Library,
  positions: readonly Position[],
  techniques: readonly Technique[],
  measured?: (wanted: ToMeasure) => Strains | undefined,
): Knowledge => ({
  conditions: CONDITIONS,
  rules: RULES,
  library,
  positions,
  techniques,
  strains: strainsFrom(tabled, measured),
});

/** What screening stands on as it ships. */
export const builtInKnowledge: Knowledge = knowledgeWith(libraryOf(POSITIONS, TECHNIQUES), POSITIONS, TECHNIQUES);
