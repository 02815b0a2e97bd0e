import { solve as solveProgram } from 'yalps';
import type { Available, PropKind } from '#core/props';
import type { Want } from './moments';
import { substitutesFor, type Substitute } from './substitutes';

/** How one sort of piece is supplied: by the piece itself, or by a substitute. */
export interface Given {
  want: Want;
  /** Undefined: the thing itself. */
  instead?: Substitute;
  /** How many of the wanted pieces are met so. */
  pieces: number;
}

export interface Unmet {
  want: Want;
  pieces: number;
}

/** How the needs of one moment are met from the stock. */
export interface Assignment {
  given: Given[];
  unmet: Unmet[];
  /** Pieces in use of each kind. */
  used: Map<PropKind, number>;
}

const BRINGING = 0.01;

/** One way to meet a need for a piece, with the pieces of each kind that it uses. */
interface Way {
  want: Want;
  instead?: Substitute;
  takes: Map<PropKind, number>;
  unlike: number;
}

function waysOf(want: Want, isThere: (kind: PropKind) => boolean): Way[] {
  const ways: Way[] = isThere(want.kind) ? [{ want, takes: new Map([[want.kind, 1]]), unlike: 0 }] : [];
  for (const substitute of substitutesFor(want.kind, want.state)) {
    if (!substitute.with.every(({ kind }) => isThere(kind))) continue;
    const takes = new Map<PropKind, number>();
    for (const { kind, count } of substitute.with) takes.set(kind, (takes.get(kind) ?? 0) + count);
    ways.push({ want, instead: substitute, takes, unlike: substitute.unlike });
  }
  return ways;
}

function allAsWished(wants: readonly Want[], here: Available): Assignment | undefined {
  const used = new Map<PropKind, number>();
  for (const { kind, pieces } of wants) used.set(kind, (used.get(kind) ?? 0) + pieces);
  for (const [kind, pieces] of used) if (pieces > (here[kind] ?? 0)) return undefined;
  return { given: wants.map((want) => ({ want, pieces: want.pieces })), unmet: [], used };
}

/**
 * Meets the wants of one moment from the pieces that are there, and from `elsewhere` where that is not enough. Optimal:
 * as few needed pieces as possible stay unmet, then as few of those optional, then as little as possible is done with
 * substitutes that are unlike, then as little as possible is brought. Solved as a mixed-integer program, in which a way
 * to meet a want is a variable and the stock of a kind a constraint. Throws if the solver ends without an optimum:
 * leaving everything unmet is always possible, so there is one.
 */
export function assignProps(
  wants: readonly Want[],
  here: Available,
  elsewhere: Available = {},
  solve: typeof solveProgram = solveProgram,
): Assignment {
  const simple = allAsWished(wants, here);
  if (simple) return simple;
  const kinds = (kind: PropKind): number => (here[kind] ?? 0) + (elsewhere[kind] ?? 0);
  const ways = wants.flatMap((want) => waysOf(want, (kind) => kinds(kind) > 0));
  const takenKinds = [...new Set(ways.flatMap(({ takes }) => [...takes.keys()]))];

  const all = wants.reduce((sum, { pieces }) => sum + pieces, 0);
  const brought = takenKinds.reduce((sum, kind) => sum + (elsewhere[kind] ?? 0), 0);
  // Each rank outweighs everything below it.
  const ifWished = 1 + 4 * all + BRINGING * brought;
  const needed = ifWished * (1 + all);

  type Coefficients = [string, number][];
  const variables: [string, Coefficients][] = ways.map(({ want, takes, unlike }, i) => [
    `way ${i}`,
    [
      ['cost', unlike],
      [`want ${wants.indexOf(want)}`, 1],
      ...[...takes].map(([kind, n]): [string, number] => [kind, n]),
    ],
  ]);
  for (const [i, { optional }] of wants.entries())
    variables.push([
      `unmet ${i}`,
      [
        ['cost', optional ? ifWished : needed],
        [`want ${i}`, 1],
      ],
    ]);
  for (const kind of takenKinds)
    if (elsewhere[kind])
      variables.push([
        `bring ${kind}`,
        [
          ['cost', BRINGING],
          [kind, -1],
          [`from ${kind}`, 1],
        ],
      ]);
  const constraints: [string, { equal?: number; max?: number }][] = [
    ...wants.map(({ pieces }, i): [string, { equal: number }] => [`want ${i}`, { equal: pieces }]),
    ...takenKinds.map((kind): [string, { max: number }] => [kind, { max: here[kind] ?? 0 }]),
    ...takenKinds.map((kind): [string, { max: number }] => [`from ${kind}`, { max: elsewhere[kind] ?? 0 }]),
  ];
  const solution = solve(
    { direction: 'minimize', objective: 'cost', constraints, variables, integers: true },
    { includeZeroVariables: true },
  );
  if (solution.status !== 'optimal') throw new Error(`The assignment of props ended as “${solution.status}”.`);
  const values = new Map(solution.variables.map(([name, value]) => [name, Math.round(value)]));

  const used = new Map<PropKind, number>();
  const given = ways.flatMap(({ want, instead, takes }, i): Given[] => {
    const pieces = values.get(`way ${i}`) ?? 0;
    if (pieces === 0) return [];
    for (const [kind, n] of takes) used.set(kind, (used.get(kind) ?? 0) + n * pieces);
    return [{ want, ...(instead && { instead }), pieces }];
  });
  const unmet = wants.flatMap((want, i) => {
    const pieces = values.get(`unmet ${i}`) ?? 0;
    return pieces > 0 ? [{ want, pieces }] : [];
  });
  return { given, unmet, used };
}
