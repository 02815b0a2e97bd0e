/** What ships with Zovrin: positions, techniques, and plans to start from. */
import { libraryOf, type Library } from '#core/catalogue';
import { figureOf, POSITIONS, TECHNIQUES } from './entries';

/** The library that ships with Zovrin. */
export const builtInLibrary: Library = libraryOf(POSITIONS, TECHNIQUES);

export { figureOf, POSITIONS, TECHNIQUES };
export { exitsOf, type Exit } from './exits';
export { TEMPLATES } from './templates';
