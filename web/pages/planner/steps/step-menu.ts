import { computed, type ComputedRef } from 'vue';
import { useStepClipboard } from '../../../state/step-clipboard';
import type { MenuAction } from '../../../ui/menus/menu-action';
import type { StepActions } from './use-step-actions';

/** The menu of the chosen steps, the same at a row and in the inspector, with the keys of the list. */
export function useStepMenu(actions: StepActions): ComputedRef<MenuAction[][]> {
  const clipboard = useStepClipboard();
  return computed(() => {
    const steps = actions.chosen();
    const many = steps.length > 1;
    const what = many ? `${steps.length} steps` : 'step';
    const lengths = many ? 'their lengths' : 'its length';
    return [
      [
        { label: 'Move up', shortcut: 'Alt ↑', command: () => actions.move(-1) },
        { label: 'Move down', shortcut: 'Alt ↓', command: () => actions.move(1) },
        {
          label: `${steps.every(({ locked }) => locked) ? 'Unlock' : 'Lock'} ${lengths}`,
          shortcut: 'L',
          command: actions.toggleLock,
        },
      ],
      [
        { label: `Duplicate ${what}`, shortcut: 'D', command: actions.duplicate },
        { label: `Copy ${what}`, shortcut: 'Ctrl C', command: actions.copy },
        {
          label: 'Paste after this',
          shortcut: 'Ctrl V',
          disabled: clipboard.last.length === 0,
          command: actions.paste,
        },
      ],
      [{ label: `Delete ${what}`, shortcut: 'Delete', command: actions.remove }],
    ];
  });
}
