import type { UsualSentences } from '#core/settings';

/** What a new hold says where the settings ask for it and the position has no words of its own. */
export const USUAL_SENTENCES: UsualSentences = {
  movement: {
    still: 'Be still, as long as that is comfortable.',
    small: 'Small movements are welcome.',
  },
  release: 'Move as it feels good',
};
