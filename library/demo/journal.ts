import { newJournalEntry, type JournalEntry } from '#core/journal';

export interface DemoJournalEntry {
  id: string;
  entry: JournalEntry;
}

/** Two mornings by oneself. */
export const demoJournal: readonly DemoJournalEntry[] = [
  {
    id: 'demo-journal-1',
    entry: {
      ...newJournalEntry('2026-11-08T06:40'),
      title: 'Before the ferry',
      seconds: 1500,
      holds: [
        { id: 'a', position: 'reclined-twist', name: 'Reclined twist', left: 240, right: 240, both: 0, strength: 3 },
        { id: 'b', position: 'legs-up-wall', name: 'Legs up the wall', left: 0, right: 0, both: 480, strength: 1 },
      ],
      note: 'Right side easier than in the evening.',
    },
  },
  {
    id: 'demo-journal-2',
    entry: {
      ...newJournalEntry('2026-11-22T06:50'),
      title: 'Breath by the window',
      seconds: 900,
      breaths: [
        {
          id: 'a',
          technique: 'long-out-breath',
          name: 'Longer out-breath',
          seconds: 600,
          rounds: 50,
          breathsPerMinute: 5,
          longestRetention: null,
        },
      ],
    },
  },
];
