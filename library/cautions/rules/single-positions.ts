import type { Rule } from '#core/caution';
import { onPosition } from './rows';

const NOT_ACROSS = {
  words: 'No leg across the middle: knees side by side on a bolster.',
  positions: ['constructive-rest', 'knees-in-rest'],
};
const crossing = (position: string): Rule[] =>
  onPosition(
    position,
    NOT_ACROSS,
    ['hip-replaced', 'avoid', 'A leg drawn across the middle can dislocate a new hip.', { beforeMonths: 6 }],
    ['hip-replaced', 'change', 'A leg drawn across the middle loads the replaced hip.', { fromMonths: 6 }],
  );

/** Single positions, beyond what they demand. */
export const SINGLE: readonly Rule[] = [
  ...crossing('crossed-thighs'),
  ...crossing('crossed-twist'),
  ...crossing('reclined-twist'),
  ...onPosition(
    'toes-tucked',
    { words: 'Sit on a chair and roll the soles over a ball.', positions: ['chair-seat', 'straight-seat'] },
    ['arthritis', 'avoid', 'Inflamed toes should not bear the weight of the body.', { degrees: ['flare'] }],
    ['worn-joints', 'watch', 'Worn toes ache under weight.'],
    ['ankle', 'change', 'The foot is pressed to its end under weight.'],
    ['diabetes-feeling', 'change', 'Toes that feel little can be hurt unnoticed.'],
  ),
  ...onPosition(
    'squat',
    { words: 'Heels on a roll, sitting on a block or bolster.', positions: ['knees-to-chest', 'constructive-rest'] },
    ['ankle', 'change', 'The ankles are bent to their end under weight.'],
    ['pelvic-floor', 'change', 'A deep squat bears down on the pelvic floor.'],
    ['after-birth', 'watch', 'A deep squat bears down on the pelvic floor.', { beforeMonths: 6 }],
  ),
  ...onPosition(
    'straight-seat',
    {
      words: 'Sit higher, bend the knees, or lie down with a strap.',
      positions: ['chair-seat', 'leg-with-strap', 'constructive-rest'],
    },
    ['disc-low-back', 'watch', 'The low back rounds when the legs are straight.', { degrees: ['fresh'] }],
  ),
  ...onPosition(
    'side-lying',
    { words: 'The other side down, or propped up on the back.', positions: ['propped-rest', 'knees-in-rest'] },
    ['shoulder', 'change', 'Weight on a sore shoulder.', { degrees: ['sore'] }],
    ['ear', 'watch', 'Weight on a sore ear.'],
    ['pacemaker', 'watch', 'Weight on the device.'],
    ['lymph', 'watch', 'Weight on a swollen arm.'],
    [
      'hip-replaced',
      'watch',
      'The upper leg should not fall across.',
      { instead: 'A bolster between the knees; the other side down.' },
    ],
  ),
  ...onPosition(
    'supported-cactus',
    { words: 'Elbows close to the ribs, hands on the belly.', positions: ['constructive-rest', 'knees-in-rest'] },
    ['operation-chest', 'change', 'Arms spread wide pull on a wound that is healing.', { beforeMonths: 6 }],
    ['shoulder', 'watch', 'Arms spread wide can pinch a sore shoulder.', { degrees: ['sore'] }],
  ),
  ...onPosition('downward-dog-held', { words: 'Half-way, hands on the wall.', positions: ['wall-half-fold'] }, [
    'ankle',
    'watch',
    'The heels pull on the ankles.',
    { instead: 'Heels on a rolled blanket.' },
  ]),
];
