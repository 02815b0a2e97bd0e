/** Every shortcut, as shown on `?`. The pages handle the keys. */
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
      { press: ['Enter'], does: 'On a prop of the tray: add it, then choose its place' },
      { press: ['Enter'], does: 'On a kind of the prop shelf: go to the step that needs the most' },
      { press: ['← →'], does: 'On a corner of a breath’s wave: a count less or more' },
      { press: ['← →'], does: 'Fit, on a weight: give way first, as usual, keep its length' },
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
      { press: ['+'], does: 'Half a minute more; a round in a breath, five seconds in its holds' },
      { press: ['−'], does: 'So much less' },
      { press: ['E'], does: 'End this hold' },
      { press: ['M'], does: 'Second side as the first' },
      { press: ['H'], does: 'Hold until I say, or again for its time' },
      { press: ['R'], does: 'A minute of rest after this' },
      { press: ['S'], does: 'Exchange the next two steps' },
      { press: ['C'], does: 'Catch up: refit what is to come' },
      { press: ['Z'], does: 'Take back what was just done, for ten seconds' },
      { press: ['B'], does: 'Ring the bell' },
      { press: ['N'], does: 'Note' },
      { press: ['Page Down', 'Page Up'], does: 'Next and back, from a presenter’s remote' },
      { press: ['Esc'], does: 'Leave, after asking' },
    ],
  },
  {
    room: 'People, cupboard and house rules',
    keys: [
      { press: ['Space'], does: 'Measuring: at every turn of the breath, or held down through it' },
      { press: ['Ctrl', 'Z'], does: 'Undo a change of a place or the house rules; Ctrl Shift Z brings it back' },
    ],
  },
];
