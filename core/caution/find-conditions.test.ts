import { describe, expect, test } from '@jest/globals';
import { CONDITIONS } from '#library/cautions';
import { conditionsLike, nearestConditions } from './index';

const first = (typed: string): string | undefined => conditionsLike(typed, CONDITIONS)[0]?.id;

describe('a condition as people say it', () => {
  test.each([
    ['slipped disc', 'disc-low-back'],
    ['hiatus hernia', 'hernia-hiatal'],
    ['seizures', 'epilepsy'],
    ['fits', 'epilepsy'],
    ['GERD', 'reflux'],
    ['GORD', 'reflux'],
    ['acid reflux', 'reflux'],
    ['heart attack', 'heart'],
    ['bad back', 'low-back'],
    ['SI joint', 'si-pain'],
    ['DVT', 'clots'],
    ['warfarin', 'clots'],
    ['POTS', 'fainting'],
    ['c-section', 'after-birth'],
    ['hysterectomy', 'operation-belly'],
    ['mastectomy', 'operation-chest'],
    ['cataract', 'eye-operation'],
    ['frozen shoulder', 'shoulder'],
    ['torn meniscus', 'knee'],
    ['osteoarthritis', 'worn-joints'],
    ['osteopenia', 'osteoporosis'],
    ['Ehlers-Danlos', 'hypermobile'],
    ['spondylolisthesis', 'slipped-vertebra'],
    ['diastasis', 'belly-wall'],
    ['prolapse', 'pelvic-floor'],
    ['lymphedema', 'lymph'],
    ['chemo', 'cancer'],
    ['parkinson', 'parkinsons'],
    ['MS', 'ms'],
    ['PTSD', 'trauma'],
    ['panic attacks', 'panic'],
    ['depressed', 'low-mood'],
    ['bipolar', 'bipolar'],
    ['type 1 diabetes', 'insulin'],
    ['long covid', 'fatigue'],
    ['sprained ankle', 'ankle'],
    ['pacemaker', 'pacemaker'],
    ['glaucoma', 'glaucoma'],
    ['detached retina', 'retina'],
    // A letter or two wrong.
    ['glaucome', 'glaucoma'],
    ['hyperttension', 'high-pressure'],
    ['siatica', 'sciatica'],
    ['asthama', 'asthma'],
  ])('%s is %s', (typed, id) => {
    expect([typed, first(typed)]).toEqual([typed, id]);
  });

  test('a trapped nerve may be several: all of them are offered', () => {
    const found = conditionsLike('trapped nerve', CONDITIONS).map(({ id }) => id);
    expect(found).toEqual(expect.arrayContaining(['disc-low-back', 'disc-neck', 'sciatica']));
  });

  test('what none of them is called is asked back with the three nearest', () => {
    expect(conditionsLike('a tired thyroid', CONDITIONS)).toEqual([]);
    const near = nearestConditions('discks', CONDITIONS).map(({ id }) => id);
    expect(near).toHaveLength(3);
    expect(near).toEqual(expect.arrayContaining(['disc-low-back']));
  });

  test('every condition is found by its own name, by each of its terms, and by each thing it is also called', () => {
    for (const condition of CONDITIONS) {
      for (const name of [condition.name, ...condition.terms.split(', '), ...condition.alsoCalled]) {
        const found = conditionsLike(name, CONDITIONS);
        expect([name, found.includes(condition)]).toEqual([name, true]);
      }
    }
  });
});
