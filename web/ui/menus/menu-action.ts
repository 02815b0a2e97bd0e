import type { MenuItem } from 'primevue/menuitem';

/** An entry of a menu: what it does, and the key that does the same. */
export interface MenuAction {
  label: string;
  shortcut?: string;
  disabled?: boolean;
  command: () => unknown;
}

/** Groups of entries as the menu takes them, with a line between the groups. */
export const menuItems = (groups: readonly (readonly MenuAction[])[]): MenuItem[] =>
  groups
    .filter((group) => group.length > 0)
    .flatMap((group, i): MenuItem[] => [
      ...(i > 0 ? [{ separator: true }] : []),
      ...group.map(({ command, ...action }) => ({ ...action, command: () => void command() })),
    ]);
