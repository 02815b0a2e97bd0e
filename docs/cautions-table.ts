import {
  CAUTION_TRAIT_WORDS,
  LEVEL_WORDS,
  SESSION_DEMANDS,
  TRAIT_UNITS,
  type Knowledge,
  type Rule,
  type SessionDemand,
} from '#core/caution';

const SESSION_WORDS: Record<SessionDemand, string> = {
  flatRest: 'The class: longest rest flat on the back',
  strokes: 'The class: pumps in all',
  retention: 'The class: any holding of the breath',
  gettingUp: 'The class: getting up from lying',
  fromFloor: 'The class: getting up from the floor',
  eyesClosed: 'The class: time with the eyes closed',
  prone: 'The class: time face down in all',
  length: 'The class: its length',
};
const SESSION_UNITS: Record<SessionDemand, string> = {
  flatRest: 's',
  strokes: 'pumps',
  retention: 's',
  gettingUp: 'times',
  fromFloor: 'times',
  eyesClosed: 's',
  prone: 's',
  length: 's',
};

function onWords({ on }: Rule, { library }: Knowledge): string {
  switch (on.kind) {
    case 'trait':
      return (
        CAUTION_TRAIT_WORDS[on.trait] +
        (on.atLeast === undefined ? '' : `, from ${on.atLeast} ${TRAIT_UNITS[on.trait] ?? ''}`)
      );
    case 'position':
      return library.position(on.position)?.names.english ?? on.position;
    case 'technique':
      return library.technique(on.technique)?.names.english ?? on.technique;
    case 'session':
      return SESSION_WORDS[on.of] + (on.atLeast === undefined ? '' : `, from ${on.atLeast} ${SESSION_UNITS[on.of]}`);
  }
}

function whenWords({ degrees, weeks, beforeMonths, fromMonths, condition }: Rule, { conditions }: Knowledge): string {
  const known = conditions.find(({ id }) => id === condition)?.degrees ?? [];
  return [
    ...(degrees ?? []).map((id) => known.find((degree) => degree.id === id)?.words ?? id),
    ...(weeks
      ? [
          weeks[1] > 42
            ? `from week ${weeks[0]}`
            : weeks[0] === 0
              ? `before week ${weeks[1]}`
              : `weeks ${weeks[0]} to ${weeks[1] - 1}`,
        ]
      : []),
    ...(beforeMonths === undefined ? [] : [`in the first ${beforeMonths} months`]),
    ...(fromMonths === undefined ? [] : [`after ${fromMonths} months`]),
  ].join('; ');
}

const row = (cells: readonly string[]): string => `| ${cells.map((cell) => cell.replaceAll('|', '/')).join(' | ')} |`;

/** All rules as a document for a professional to review: condition by condition, and which traits have which levels. */
export function cautionsDocument(knowledge: Knowledge): string {
  const { conditions, rules } = knowledge;
  const traits = [...new Set(rules.flatMap(({ on }) => (on.kind === 'trait' ? [on.trait] : [])))];
  const cell = (condition: string, trait: string): string => {
    const own = rules.filter(({ on, condition: of }) => of === condition && on.kind === 'trait' && on.trait === trait);
    return [...new Set(own.map(({ level }) => LEVEL_WORDS[level]))].join(', ');
  };
  const overview = [
    row(['Condition', ...traits.map((trait) => CAUTION_TRAIT_WORDS[trait])]),
    row(['---', ...traits.map(() => '---')]),
    ...conditions.map(({ id, name }) => row([name, ...traits.map((trait) => cell(id, trait))])),
  ];
  const byCondition = conditions.flatMap(({ id, name, terms, degrees, since }) => [
    `### ${name}`,
    '',
    [
      terms,
      ...(degrees.length > 0 ? [`asked: ${degrees.map(({ words }) => words).join(' / ')}`] : []),
      ...(since === 'none' ? [] : [since === 'weeks' ? 'asked: which week' : 'asked: since when']),
    ]
      .filter(Boolean)
      .join('; '),
    '',
    row(['What a step asks', 'When', 'Level', 'Reason', 'Instead']),
    row(['---', '---', '---', '---', '---']),
    ...rules
      .filter(({ condition }) => condition === id)
      .map((rule) =>
        row([
          onWords(rule, knowledge),
          whenWords(rule, knowledge),
          LEVEL_WORDS[rule.level],
          rule.reason,
          rule.instead.words,
        ]),
      ),
    '',
  ]);
  return `# The usual cautions

Written by \`npm run docs:cautions\` from \`library/cautions\`, for a doctor or licensed practitioner to review: ${conditions.length} conditions,
${rules.length} rules, ${traits.length} things a step can ask of a body and ${SESSION_DEMANDS.length} that a whole class can. They are rules of thumb as teachers hand them
on, not medical advice, and no rule promises that something helps. What is not known of a condition (how it is, since when) is
taken in the more careful way.

"Leave out", "change" and "watch" are for one person at one step; the teacher decides, and the decision is kept with who and when.

## Conditions against what a step asks

Where a cell has several levels they go by degree, time or measure; the rules themselves stand below.

<!-- prettier-ignore-start -->
${overview.join('\n')}

## Rule by rule

${byCondition.join('\n')}<!-- prettier-ignore-end -->
`;
}
