const FIELDS = 'input, textarea, select, [contenteditable]';
/** What has keys of its own: fields, buttons, links, and everything that lies over a page. */
const CONTROLS = `${FIELDS}, button, a[href], summary, label, [role="dialog"], [role="menu"], [role="radio"], .p-popover`;

const within = (target: EventTarget | null, selector: string): boolean =>
  target instanceof Element && target.closest(selector) !== null;

/** Whether the keys pressed there belong to a control or a panel, and not to the page. */
export const belongsToControl = (target: EventTarget | null): boolean => within(target, CONTROLS);

let singleKeys = true;
/** Switches shortcuts of a single letter or sign on or off. */
export function setSingleKeys(on: boolean): void {
  singleKeys = on;
}
/**
 * Whether a key pressed may be a shortcut: a single letter or sign only where these are switched on; arrows, the space
 * bar and whatever is pressed with Ctrl, Alt or Cmd always.
 */
export const mayBeShortcut = ({ key, ctrlKey, altKey, metaKey }: KeyboardEvent): boolean =>
  singleKeys || key.length > 1 || key === ' ' || ctrlKey || altKey || metaKey;
