import { holdFrom } from '#core/plan';
import {
  CAUTION_TRAIT_WORDS,
  demandsOf,
  FROM,
  LEVEL_WORDS,
  SESSION_DEMANDS,
  TRAIT_UNITS,
  type CautionTrait,
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

/** Where a caution is said: what is only watched, or changed alike, is said once where it meets several steps. */
const whereWords = ({ on, level, once }: Rule): string =>
  on.kind === 'session'
    ? 'once, for the class'
    : level === 'watch' || once === true
      ? 'once, with its steps'
      : 'at the step';

const measuredIn = (value: number, trait: CautionTrait): string => {
  const unit = TRAIT_UNITS[trait] ?? '';
  return unit === '°' ? `${value}°` : `${value} ${unit}`;
};

/** From how much on a measured demand is watched, changed, avoided. */
const thresholds = (): string[] => [
  row(['Measured', 'watch', 'change', 'avoid']),
  row(['---', '---', '---', '---']),
  ...(Object.keys(FROM) as (keyof typeof FROM)[]).map((trait) => {
    const { watch, change, avoid } = FROM[trait];
    const words =
      trait === 'flatSupine'
        ? (value: number) => `trunk under ${90 - value}°`
        : (value: number) => measuredIn(value, trait);
    return row([CAUTION_TRAIT_WORDS[trait], words(watch), words(change), words(avoid)]);
  }),
];

/** Every position with what each of its set-ups demands, as it is measured on the standard body. */
export function demandsDocument(knowledge: Knowledge): string {
  const rows = knowledge.positions.flatMap((position) => [
    `## ${position.names.english}`,
    '',
    row(['Set-up', 'Demands']),
    row(['---', '---']),
    ...position.setUps.map(({ name, items }) => {
      const [approach] = Object.keys(position.defaults) as (keyof typeof position.defaults)[];
      const step = { ...holdFrom(position, approach ?? 'blended', position.id), setUp: items };
      const asks = [...demandsOf(step, knowledge)].map(([trait, value]) => {
        const words = CAUTION_TRAIT_WORDS[trait];
        if (value === Infinity) return words;
        return trait === 'flatSupine' ? `${words}, trunk at ${90 - value}°` : `${words}, ${measuredIn(value, trait)}`;
      });
      return row([name, asks.join('; ') || 'nothing']);
    }),
    '',
  ]);
  return `# What each position demands

Written by \`npm run docs:cautions\`: what is measured on the standard body in every set-up of the library, and what its entry
states beside it; lengths are the usual ones. The rules that look at it are in \`cautions.md\`.

<!-- prettier-ignore-start -->
${rows.join('\n')}<!-- prettier-ignore-end -->
`;
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
    row(['What a step demands', 'When', 'Level', 'Reason', 'Instead', 'Where it is said']),
    row(['---', '---', '---', '---', '---', '---']),
    ...rules
      .filter(({ condition }) => condition === id)
      .map((rule) =>
        row([
          onWords(rule, knowledge),
          whenWords(rule, knowledge),
          LEVEL_WORDS[rule.level],
          rule.reason,
          rule.instead.words,
          whereWords(rule),
        ]),
      ),
    '',
  ]);
  return `# The usual cautions

Written by \`npm run docs:cautions\` from \`library/cautions\`, for a doctor or licensed practitioner to review: ${conditions.length} conditions,
${rules.length} rules, ${traits.length} things a step can demand of a body and ${SESSION_DEMANDS.length} that a whole class can. They are rules of thumb as teachers hand them
on, not medical advice, and no rule promises that something helps. What is not known of a condition (how it is, since when) is
taken in the more careful way.

"Avoid", "change" and "watch" are for one person at one step; the teacher decides, and the decision is kept with who and when.

What is only to be watched at several steps, and what is changed in the same way at several, is said once for the class with
its steps. What each position demands stands in \`demands.md\`.

## From how much on

A rule says what stands in it from the last threshold of its level on, and less before it. The figures are rules of thumb.

<!-- prettier-ignore-start -->
${thresholds().join('\n')}
<!-- prettier-ignore-end -->

## Conditions against what a step demands

Where a cell has several levels they go by degree, time or measure; the rules themselves stand below.

<!-- prettier-ignore-start -->
${overview.join('\n')}

## Rule by rule

${byCondition.join('\n')}<!-- prettier-ignore-end -->
`;
}
