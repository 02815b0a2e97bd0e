/** On or at what a step takes place. */
export const WHERE_NAMES = ['floor', 'bed', 'sofa', 'chair', 'wall', 'outdoors'] as const;
export type Where = (typeof WHERE_NAMES)[number];

/** Where a whole class takes place: as a step does, or online, with everybody at home. */
export const CLASS_WHERE_NAMES = [...WHERE_NAMES, 'online'] as const;
export type ClassWhere = (typeof CLASS_WHERE_NAMES)[number];

export const WHERE_WORDS: Readonly<Record<ClassWhere, string>> = {
  floor: 'on the floor',
  bed: 'in bed',
  sofa: 'on a sofa',
  chair: 'on a chair',
  wall: 'at the wall',
  outdoors: 'outdoors',
  online: 'online',
};
