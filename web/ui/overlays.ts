const OVERLAYS = '#overlays';

/**
 * Where lists and menus open: in a landmark of their own at the end of the page, over everything. In a page without it,
 * such as that of a test, at the end of the body.
 */
export const overlays = (): string => (document.querySelector(OVERLAYS) ? OVERLAYS : 'body');
