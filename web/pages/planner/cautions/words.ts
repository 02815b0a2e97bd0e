import { LEVEL_WORDS, LEVELS, openLevel, type Cell, type Level, type MatrixRow } from '#core/caution';

/** The state of a cell in one or two words. */
export function cellInWords(cell: Cell): string {
  if (cell.state === 'instead') return cell.insteadLevel === null ? 'instead' : 'check again';
  if (cell.state === 'seen') return 'seen';
  return cell.level === null ? '' : LEVEL_WORDS[cell.level];
}

/** How many cautions of each level are open in a row, the most careful first: `1 to avoid, 2 to change`. */
export function openInWords({ cells, session }: MatrixRow): string {
  const open = [...cells, session].map(openLevel);
  const words: Record<Level, string> = { avoid: 'to avoid', change: 'to change', watch: 'to watch' };
  return [...LEVELS]
    .reverse()
    .flatMap((level) => {
      const count = open.filter((one) => one === level).length;
      return count > 0 ? [`${count} ${words[level]}`] : [];
    })
    .join(', ');
}

/** Where nobody decided anything and nothing is to be known. */
export const isBare = (cell: Cell): boolean => cell.level === null && cell.state !== 'instead';
