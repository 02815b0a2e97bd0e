const FIELDS = 'input, textarea, select, [contenteditable]';
/** What has keys of its own: fields, buttons, links, and everything that lies over a page. */
const CONTROLS = `${FIELDS}, button, a[href], summary, label, [role="dialog"], [role="menu"], [role="radio"], .p-popover`;

const within = (target: EventTarget | null, selector: string): boolean =>
  target instanceof Element && target.closest(selector) !== null;

/** Whether the keys pressed there belong to a control or a panel, and not to the page. */
export const belongsToControl = (target: EventTarget | null): boolean => within(target, CONTROLS);
