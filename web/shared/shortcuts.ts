/** Every shortcut, as shown on `?`. The rooms handle the keys; this is what they promise. */
export const SHORTCUTS: readonly { room: string; keys: readonly { press: readonly string[]; does: string }[] }[] = [
  {
    room: 'Plan',
    keys: [
      { press: ['A'], does: 'Add a step' },
      { press: ['↑', '↓'], does: 'Choose a step in the list; on the ribbon ← and →' },
      { press: ['Alt', '↑ ↓'], does: 'Move the chosen step' },
      { press: ['Enter'], does: 'Go to the step’s fields; Esc goes back to the list' },
      { press: ['D'], does: 'Duplicate the chosen step' },
      { press: ['L'], does: 'Lock or free its length' },
      { press: ['Delete'], does: 'Delete it' },
      { press: ['Ctrl', 'Z'], does: 'Undo' },
      { press: ['Ctrl', 'Shift', 'Z'], does: 'Redo' },
    ],
  },
  {
    room: 'Library',
    keys: [
      { press: ['/'], does: 'Search' },
      { press: ['↑ ↓ ← →'], does: 'Walk the figures; Enter opens one' },
      { press: ['Ctrl', 'S'], does: 'Save an entry of your own' },
      { press: ['Ctrl', 'Z'], does: 'Undo in it; Ctrl Shift Z brings it back' },
    ],
  },
  {
    room: 'Teach',
    keys: [
      { press: ['Space'], does: 'Begin, pause, go on' },
      { press: ['→'], does: 'Next' },
      { press: ['←'], does: 'Back' },
      { press: ['+'], does: 'Half a minute more, or one round more' },
      { press: ['−'], does: 'Half a minute less, or one round less' },
      { press: ['E'], does: 'End this hold' },
      { press: ['M'], does: 'Second side as the first' },
      { press: ['B'], does: 'Ring the bell' },
      { press: ['N'], does: 'Note' },
      { press: ['Esc'], does: 'Leave, after asking' },
    ],
  },
];
