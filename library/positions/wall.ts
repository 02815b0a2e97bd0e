import { home, prompt, say, studio, definePosition, type PositionText } from '../entry';
import { half, row } from '../rows';

/** At the wall and with a chair. */
export const WALL: PositionText[] = [
  definePosition({
    id: 'legs-up-wall',
    names: ['Legs up the wall', 'viparīta karaṇī'],
    short: 'Legs up the wall',
    family: 'wall',
    outInto: 'sideLying',
    lengths: {
      restorative: [480, 300, 900, 0],
      yin: [300, 180, 600, 1],
      blended: [360, 180, 600, 0],
      pranayama: [300, 180, 600, 0],
    },
    times: [30, 30, 15],
    areas: ['feet', 'calves', 'hamstrings', 'whole body'],
    aims: 'Rests legs that have stood all day. The aim is light feet and a quiet belly.',
    setUps: [
      studio(
        'blanket',
        'Blanket under the pelvis',
        row('wall', 'legs'),
        row('blanket', 'sacrum', {
          state: 'longHalf',
          lie: 'crosswise',
          why: 'tilts the pelvis a little and lengthens the low back',
        }),
        row('eyePillow', 'eyes', { optional: true }),
      ),
      home('a pillow', row('wall', 'legs'), row('pillow', 'sacrum', { lie: 'crosswise' })),
    ],
    waysIn: [
      'Sit sideways, one hip at the wall.',
      'Swing the legs up as you lie back; move closer or further away until the legs stand by themselves.',
    ],
    waysOut: ['Bend the knees, soles on the wall, and roll to the side.', 'Stay there until the head is clear.'],
    prompts: [prompt(half, 'Arms a little wider')],
    easier: say('Calves on a chair seat.', 'calves-on-chair'),
    stronger: say('A higher support under the pelvis.', 'legs-up-wall-blankets'),
    loosen: 'Bend the knees, feet circle, roll to one side.',
    rebound: [45, 'none'],
    answer: 'Rest on the side before sitting up.',
    effect: 'quieting',
    traits: ['inversion', 'flatSupine', 'headBelowHeart'],
    caution: 'Not with glaucoma or high blood pressure that is not controlled; calves on a chair is the easier way.',
  }),
  definePosition({
    id: 'calves-on-chair',
    names: ['Calves on a chair'],
    short: 'Calves on a chair',
    family: 'supine',
    outInto: 'sideLying',
    lengths: {
      restorative: [480, 300, 900, 0],
      yin: [300, 180, 600, 0],
      blended: [360, 240, 600, 0],
      pranayama: [300, 180, 600, 0],
    },
    times: [30, 30, 15],
    areas: ['calves', 'low back', 'whole body'],
    aims: 'Rests the legs on a chair. The aim is to let the low back settle by itself.',
    setUps: [
      studio(
        'chair',
        'Chair with a blanket',
        row('chair', 'calves', { state: 'sideways' }),
        row('blanket', 'calves', { state: 'quarter', lie: 'crosswise', why: 'softens the edge behind the knees' }),
      ),
      home('two folded pillows', row('pillow', 'calves', { state: 'folded', lie: 'crosswise', count: 2 })),
    ],
    waysIn: [
      'Lie on one side close to the chair, roll onto the back and lift the calves onto the seat.',
      'The backs of the knees meet the edge; the low back is wide.',
    ],
    waysOut: ['Draw the knees to the chest and roll to one side.'],
    prompts: [prompt(half, 'Let the thighs lean where they like')],
    easier: say('A bolster under the knees on the floor.', 'knees-in-rest'),
    stronger: say('Legs up the wall.', 'legs-up-wall'),
    loosen: 'Knees to the chest, roll to one side.',
    rebound: [30, 'none'],
    answer: 'Rest on the side before sitting up.',
    traits: ['flatSupine', 'longUnmovingHold'],
    caution: 'After 20 weeks of pregnancy lie on the left side with a pillow between the knees instead.',
  }),
];
