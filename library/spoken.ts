import type { SpokenLine } from '#core/catalogue';

/** A longer pause: a breath or two more than elsewhere. */
const longer = (text: string, pause = 2): SpokenLine => ({ text, pause });

/** What people are led through, line by line, by the technique's id. */
export const SPOKEN: Readonly<Record<string, readonly SpokenLine[]>> = {
  'body-scan': [
    longer('Let the body be as heavy as it is. You need not move, and you need not stay awake.'),
    { text: 'Bring your attention to the soles of both feet.' },
    { text: 'All ten toes.' },
    { text: 'The ankles.' },
    { text: 'The calves, and the shins.' },
    { text: 'The knees, from behind.' },
    { text: 'The thighs, where they rest.' },
    { text: 'The hips.' },
    { text: 'The sacrum, wide and heavy.' },
    { text: 'The belly, and the breath in it.' },
    { text: 'The low back.' },
    { text: 'The ribs at the sides.' },
    { text: 'The ribs behind, on the floor.' },
    { text: 'The chest.' },
    { text: 'Both shoulders.' },
    { text: 'The upper arms, down to the elbows.' },
    { text: 'The forearms, and the wrists.' },
    { text: 'The palms of the hands.' },
    { text: 'All ten fingers.' },
    { text: 'The neck, and the throat.' },
    { text: 'The jaw, and the tongue in the mouth.' },
    { text: 'The eyes, and the space between the brows.' },
    { text: 'The crown of the head.' },
    longer('Now the whole body at once, from the crown to the soles.', 4),
    longer('Stay with the breath as it comes and goes.', 4),
  ],
  'counting-down': [
    longer('Let the breath come as it likes.'),
    longer('With the next breath out, count twenty-seven. With the one after it, twenty-six.', 4),
    longer('Whenever you lose count, begin again at the last number you are sure of.', 6),
    longer('However far you are, let the numbers go, and stay with the breath.', 2),
  ],
  'quiet-sitting': [
    longer('Sit as high as you need to. Let the hands rest.', 2),
    longer('Feel one breath, from its beginning to its end.', 4),
    longer('When you notice that you are thinking, come back to one breath.', 8),
    longer('There is nothing to get right.', 8),
    longer('Feel the seat, the hands, and the room around you.', 2),
  ],
  'breath-awareness': [
    longer('Notice where you feel the breath first.', 3),
    longer('Follow one breath from its beginning to its end.', 3),
    longer('And the next, without helping it.', 4),
    longer('Let it be as small as it likes.', 4),
  ],
};
