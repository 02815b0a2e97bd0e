/** Every shortcut, as shown on `?`. The pages handle the keys. */
export const SHORTCUTS: readonly { room: string; keys: readonly { press: readonly string[]; does: string }[] }[] = [
  {
    room: 'Anywhere',
    keys: [
      {
        press: ['/'],
        does: 'Search positions, breaths, plans, people, pages and actions; in the library, its entries',
      },
      { press: ['?'], does: 'This list' },
      { press: ['N'], does: 'On the plans page: a new plan' },
    ],
  },
  {
    room: 'Plan',
    keys: [
      { press: ['A'], does: 'Add a step' },
      { press: ['↑', '↓'], does: 'Select a step in the list; on the ribbon, ← and →' },
      { press: ['Shift', '↑ ↓'], does: 'Select several steps; Ctrl with a click or Space adds one or takes it away' },
      { press: ['Ctrl', 'A'], does: 'Select all steps' },
      { press: ['Alt', '↑ ↓'], does: 'Move what is selected' },
      { press: ['Enter'], does: 'Go to the step’s fields; Esc goes back to the list' },
      { press: ['D'], does: 'Duplicate what is selected' },
      { press: ['Ctrl', 'C X V'], does: 'Copy, cut and paste steps, also into another plan' },
      { press: ['L'], does: 'Lock or unlock lengths' },
      { press: ['Delete'], does: 'Delete what is selected' },
      { press: ['Ctrl', 'Z'], does: 'Undo' },
      { press: ['Ctrl', 'Shift', 'Z'], does: 'Redo' },
      { press: ['Enter'], does: 'On a prop in the tray: add it, then choose its place' },
      { press: ['Enter'], does: 'On a prop in the shelf: go to the step that needs the most' },
      { press: ['← →'], does: 'On a corner of the breath wave: one count less or more' },
      { press: ['← →'], does: 'In Fit, on a priority: shorten first, as usual, keep its length' },
    ],
  },
  {
    room: 'Library',
    keys: [
      { press: ['↑ ↓ ← →'], does: 'Move between the figures; Enter opens one' },
      { press: ['Ctrl', 'S'], does: 'Save a custom entry' },
      { press: ['Ctrl', 'Z'], does: 'Undo in a custom entry; Ctrl Shift Z redoes' },
    ],
  },
  {
    room: 'Teach',
    keys: [
      { press: ['Space'], does: 'Start, pause, resume' },
      { press: ['→'], does: 'Next' },
      { press: ['←'], does: 'Back' },
      { press: ['+'], does: 'Half a minute more; in a breath one round, in its retentions five seconds' },
      { press: ['−'], does: 'The same amount less' },
      { press: ['E'], does: 'End this hold' },
      { press: ['M'], does: 'Make the second side as long as the first' },
      { press: ['H'], does: 'Hold until I end it, or back to its planned time' },
      { press: ['R'], does: 'A minute of rest after this' },
      { press: ['S'], does: 'Swap the next two steps' },
      { press: ['C'], does: 'Catch up: refit what is still to come' },
      { press: ['Z'], does: 'Undo what was just done, for ten seconds' },
      { press: ['B'], does: 'Ring the bell' },
      { press: ['N'], does: 'Note' },
      { press: ['Page Down', 'Page Up'], does: 'Next and back, from a presenter’s remote' },
      { press: ['Esc'], does: 'Leave, after asking' },
    ],
  },
  {
    room: 'People, places and settings',
    keys: [
      { press: ['Space'], does: 'Measuring: press at every turn of the breath, or hold through each in-breath' },
      { press: ['Ctrl', 'Z'], does: 'Undo a change to a place or the settings; Ctrl Shift Z redoes' },
    ],
  },
];
