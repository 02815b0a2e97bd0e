import type { Position } from './position';

/** The energy lines that yin teachers speak of, in pairs: the quieter one first. */
export const ENERGY_LINES = [
  'kidney',
  'bladder',
  'liver',
  'gallbladder',
  'spleen',
  'stomach',
  'heart',
  'small intestine',
  'lung',
  'large intestine',
  'pericardium',
  'triple burner',
] as const;
export type EnergyLine = (typeof ENERGY_LINES)[number];

/**
 * Which lines are said to run through a part of the body. From the usual description of the channels in Chinese
 * tradition: bladder along the back of body and legs, gallbladder along the side, stomach along the front, spleen, liver
 * and kidney up the inside of the leg; lung, heart and pericardium from the chest down the inside of the arm, large and
 * small intestine and triple burner up its outside to shoulder and neck. A traditional map, not anatomy.
 */
const LINES_OF_AREA: Record<Position['areas'][number], readonly EnergyLine[]> = {
  feet: ['kidney', 'bladder', 'liver', 'gallbladder', 'spleen', 'stomach'],
  calves: ['bladder'],
  shins: ['stomach', 'gallbladder'],
  hamstrings: ['bladder'],
  thighs: ['stomach', 'spleen'],
  'inner thighs': ['liver', 'spleen', 'kidney'],
  'outer hips': ['gallbladder'],
  'hip flexors': ['stomach', 'spleen'],
  sacrum: ['bladder'],
  'low back': ['bladder', 'kidney'],
  'upper back': ['bladder'],
  sides: ['gallbladder'],
  chest: ['lung', 'heart', 'pericardium'],
  shoulders: ['large intestine', 'small intestine', 'triple burner'],
  arms: ['lung', 'heart', 'pericardium', 'large intestine', 'small intestine', 'triple burner'],
  neck: ['bladder', 'gallbladder', 'triple burner'],
  breath: ['lung'],
  'whole body': [],
};

/** The energy lines of some parts of the body, each once, in the order of `ENERGY_LINES`. */
export function linesOfAreas(areas: readonly Position['areas'][number][]): EnergyLine[] {
  const found = new Set(areas.flatMap((area) => LINES_OF_AREA[area]));
  return ENERGY_LINES.filter((line) => found.has(line));
}
