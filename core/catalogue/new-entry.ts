import { cycleOf, setOf } from '#core/breath';
import type { Figure } from '#core/body';
import type { CustomEntry } from './custom-entry';
import { positionDocument, techniqueDocument } from './custom-entry';

/** A custom position to begin with: nothing said yet, held for three minutes, with a figure to start from. */
export const blankPosition = (id: string, figure: Figure): CustomEntry =>
  positionDocument({
    id,
    names: { english: '', sanskrit: '', yin: '' },
    short: '',
    family: 'seated',
    comesOutInto: 'seated',
    sides: 'together',
    leftMeans: '',
    defaults: { blended: { seconds: 180, minSeconds: 60, maxSeconds: 300, strength: 2 } },
    enterSeconds: 15,
    leaveSeconds: 15,
    switchSeconds: 15,
    areas: [],
    aims: '',
    setUps: [{ id: 'set-up', name: 'Without props', home: false, items: [] }],
    stages: [],
    waysIn: [],
    waysOut: [],
    prompts: [],
    easier: { words: '' },
    stronger: { words: '' },
    rebound: { seconds: 30, when: 'none' },
    loosen: '',
    answer: '',
    traits: [],
    caution: '',
    figure,
  });

/** A custom technique to begin with: an even breath for three minutes. */
export const blankTechnique = (id: string): CustomEntry =>
  techniqueDocument({
    id,
    names: { english: '', sanskrit: '' },
    short: '',
    round: '1 round = 1 cycle',
    practice: {
      countSeconds: 1,
      sets: [setOf('set', [cycleOf([4, 0, 4, 0])], 22)],
    },
    range: { minSeconds: 60, maxSeconds: 600 },
    gates: '',
    traits: [],
    seat: '',
    taught: [],
    mistakes: '',
    caution: '',
  });

/** A copy of an entry under another id, to be edited. */
export const copyOf = (like: CustomEntry, id: string): CustomEntry => {
  const copy = JSON.parse(JSON.stringify(like)) as CustomEntry;
  copy.entry.id = id;
  return copy;
};
