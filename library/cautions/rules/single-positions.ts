import type { Rule } from '#core/caution';
import { onPosition } from './rows';

/** Single positions, beyond what they ask. */
export const SINGLE: readonly Rule[] = [
  ...onPosition(
    'crossed-thighs',
    {
      words: 'Lie on the back with the knees bent and side by side.',
      positions: ['constructive-rest', 'knees-in-rest'],
    },
    ['hip-replaced', 'avoid', 'A leg drawn across the middle can slip a new hip out.'],
  ),
  ...onPosition(
    'crossed-twist',
    { words: 'Knees side by side on a bolster, no crossing.', positions: ['constructive-rest', 'knees-in-rest'] },
    ['hip-replaced', 'avoid', 'A leg drawn across the middle can slip a new hip out.'],
  ),
  ...onPosition(
    'toes-tucked',
    { words: 'Sit on a chair and roll the soles over a ball.', positions: ['chair-seat', 'straight-seat'] },
    ['arthritis', 'avoid', 'Inflamed toes must not bear the weight of the body.', { degrees: ['flare'] }],
    ['ankle', 'change', 'The foot is pressed to its end under weight.'],
    ['diabetes-feeling', 'change', 'Toes without feeling can be hurt unnoticed.'],
  ),
  ...onPosition(
    'straight-seat',
    {
      words: 'Sit higher, bend the knees, or lie down with a strap.',
      positions: ['chair-seat', 'leg-with-strap', 'constructive-rest'],
    },
    ['sciatica', 'watch', 'Long legs pull on the nerve.', { instead: 'Knees bent over a roll.' }],
    [
      'disc-low-back',
      'watch',
      'The low back rounds when the legs are long.',
      { degrees: ['fresh'], instead: 'Sit higher, back against a wall, knees bent.' },
    ],
  ),
  ...onPosition(
    'leg-with-strap',
    {
      words: 'Knee bent, well below the first pull.',
      positions: ['constructive-rest', 'calves-on-chair', 'knees-in-rest'],
    },
    ['sciatica', 'change', 'A raised long leg pulls on the nerve.'],
  ),
  ...onPosition(
    'side-lying',
    { words: 'Turn the whole set-up round, or prop up on the back.', positions: ['propped-rest', 'knees-in-rest'] },
    ['shoulder', 'change', 'Weight on a sore shoulder.', { degrees: ['sore'] }],
    [
      'hip-replaced',
      'watch',
      'The upper leg must not fall across.',
      { instead: 'A bolster between the knees; the other side below.' },
    ],
    ['ear', 'watch', 'Weight on an ear that hurts.', { instead: 'The other side below.' }],
    [
      'pregnancy',
      'watch',
      'The left side below frees the great vein.',
      { weeks: [20, 99], instead: 'Left side below.' },
    ],
  ),
  ...onPosition(
    'supported-cactus',
    { words: 'Elbows down beside the ribs.', positions: ['constructive-rest', 'knees-in-rest'] },
    [
      'shoulder',
      'watch',
      'Open arms can pinch a sore shoulder.',
      { instead: 'Cushions under the elbows, or elbows down.' },
    ],
  ),
  ...onPosition(
    'downward-dog-held',
    { words: 'Half-way, hands at the wall or on a chair.', positions: ['chair-half-fold', 'wall-half-fold'] },
    ['ankle', 'watch', 'Heels pull on the ankle.', { instead: 'Heels on a rolled blanket.' }],
  ),
];
