import { practiceMs } from '#core/breath';
import { APPROACH_LABELS, WHERE_WORDS, type Library, type Position } from '#core/catalogue';
import { holdFrom, holdNamed, sideSeconds, type BreathStep, type HoldStep, type Plan, type Step } from '#core/plan';
import type { SetUp, SetUpRow } from '#core/props';
import { clockOfMs, editableClock } from '#core/time';
import { differencesOf } from './differences';
import { OpenLine } from './line';
import { wholeName, type NameIndex } from './names';
import { plainKindOf } from './plain-steps';
import { usualRow } from './props';
import { readOutline } from './read';
import { rowInOutline } from './row';
import { holdDetails, inLine } from './write-details';

/** An outline, and what of the plan is not in it, each in a few words. */
export interface WrittenOutline {
  text: string;
  missing: string[];
}

const minutes = (seconds: number): string => (seconds % 60 === 0 ? `${seconds / 60} min` : editableClock(seconds));

const PLAIN_NAME = /^[\p{L}][\p{L}\p{M} ’'-]*$/u;

/** A name as it stands at the beginning of a line: in quotation marks where it would be read as something else. */
function nameInOutline(name: string, isSafe: boolean): string {
  const words = inLine(name);
  if (isSafe) return words;
  return words.includes('”') ? `"${words}"` : `“${words}”`;
}

function lengthOf({ sides }: HoldStep, position: Position | undefined): string {
  const { left, right } = sideSeconds(sides);
  if (sides.kind === 'together')
    return `${editableClock(left)}${position === undefined || position.sides === 'together' ? '' : ' together'}`;
  if (sides.kind === 'one') return `${editableClock(Math.max(left, right))} ${sides.side} only`;
  const first = sides.first === 'house' ? '' : `, ${sides.first} first`;
  const isCrossing = sides.kind === 'crossing';
  const usual = position?.sides === 'crossing';
  const crossing = isCrossing === usual ? '' : isCrossing ? ', crossing' : ', not crossing';
  const lengths =
    sides.length.kind === 'even'
      ? `${editableClock(left)} each side`
      : `left ${editableClock(left)}, right ${editableClock(right)}`;
  return `${lengths}${first}${crossing}`;
}

/** A row with what is not as the position usually has it, where it lies. */
function rowWithDifferences(row: SetUpRow, position: Position | undefined): string {
  const usual = usualRow(position, row.kind, row.place, row.id);
  const moves = row.side === 'left' || row.side === 'right';
  return rowInOutline(row, [
    row.side === 'centre' && usual.side !== 'centre' ? 'in the middle' : '',
    row.lie === usual.lie ? '' : row.lie,
    row.mirror === usual.mirror || !moves ? '' : row.mirror ? 'changes sides' : 'stays on its side',
    row.optional === usual.optional ? '' : row.optional ? 'optional' : 'needed',
    row.kind === 'wall' && row.wallCm === undefined && usual.wallCm !== undefined ? 'at any distance' : '',
  ]);
}

const movesWithSide = ({ side }: SetUpRow): boolean => side === 'left' || side === 'right';

/** What of a row is otherwise than in a row of the library that is written alike. */
function againstLibrary(row: SetUpRow, librarys: SetUpRow | undefined): string[] {
  if (!librarys) return [];
  return [
    row.lie === librarys.lie ? '' : row.lie,
    row.mirror === librarys.mirror || !movesWithSide(row) ? '' : row.mirror ? 'changes sides' : 'stays on its side',
    row.optional === librarys.optional ? '' : row.optional ? 'optional' : 'needed',
  ].filter(Boolean);
}

/**
 * A set-up that is written as one of the position’s own is read as that: what of it is otherwise is always said, also
 * where it is as usual for such a prop.
 */
function setUpInOutline(setUp: SetUp, usual: SetUp, position: Position | undefined): string {
  if (setUp.length === 0) return usual.length === 0 ? '' : ' – no props';
  const plain = setUp.map((row) => rowInOutline(row)).join('; ');
  const alike = position?.setUps.find(({ items }) => items.map((row) => rowInOutline(row)).join('; ') === plain);
  const otherwise = setUp.map((row, i) => againstLibrary(row, alike?.items[i]));
  if (alike && otherwise.every((words) => words.length === 0)) return ` – ${plain}`;
  const differences = setUp.map((row) => rowWithDifferences(row, position)).join('; ');
  const forced = setUp.map((row, i) => rowInOutline(row, otherwise[i])).join('; ');
  return ` – ${differences === plain ? forced : differences}`;
}

function marksOf(step: Step, kind?: string): string {
  const marks = [
    kind,
    step.locked ? 'locked' : undefined,
    step.pinned ? 'pinned' : undefined,
    step.weight === 'keep' ? 'keep length' : step.weight === 'givesWay' ? 'shorten first' : undefined,
    step.where ? WHERE_WORDS[step.where] : undefined,
  ].filter(Boolean);
  return marks.length === 0 ? '' : ` (${marks.join(', ')})`;
}

function breathCounts({ practice }: BreathStep, usualCount: number | undefined): string {
  const [set] = practice.sets;
  const [part, ...others] = set?.parts ?? [];
  const count = practice.countSeconds === usualCount ? '' : `, count of ${practice.countSeconds} s`;
  if (!set || part?.kind !== 'cycle' || others.length > 0 || practice.sets.length > 1)
    return ` ${clockOfMs(practiceMs(practice))}${count}`;
  const counts = [
    `in ${part.in}`,
    part.holdFull > 0 ? `full ${part.holdFull}` : '',
    `out ${part.out}`,
    part.holdEmpty > 0 ? `empty ${part.holdEmpty}` : '',
  ].filter(Boolean);
  return `: ${counts.join(', ')}, ${set.rounds} ${set.rounds === 1 ? 'round' : 'rounds'}${count}`;
}

interface Writing {
  plan: Plan;
  library: Library;
  index: NameIndex;
}

/** Whether a line that begins with a name is read as that name of that entry, and as nothing else. */
function isReadAs(name: string, kind: 'hold' | 'breath', id: string, index: NameIndex): boolean {
  const line = new OpenLine(inLine(name));
  const found = wholeName(line, index);
  const [only] = found?.entries ?? [];
  return (
    found?.sure === true &&
    only?.kind === kind &&
    only.entry.id === id &&
    found.from === 0 &&
    found.to === line.typed.length
  );
}

function holdInOutline(step: HoldStep, { plan, library, index }: Writing): string[] {
  const position = library.position(step.position);
  const where = step.where ?? plan.where;
  const usual = position ? holdFrom(position, plan.approach, step.id, where) : holdNamed(step.name, step.id);
  const english = position?.names.english ?? '';
  const isKnown = position !== undefined && step.name === english && isReadAs(english, 'hold', step.position, index);
  const isNamed = position !== undefined && isReadAs(english, 'hold', step.position, index);
  const name = isKnown
    ? inLine(english)
    : isNamed
      ? `${inLine(english)} called ${nameInOutline(step.name, false)}`
      : nameInOutline(step.name, false);
  const remaining = step.takesRemaining ? ', rest of the time' : '';
  const setUp = setUpInOutline(step.setUp, usual.setUp, position);
  const marks = marksOf(step, isNamed ? undefined : 'custom hold');
  return [
    `${name} ${lengthOf(step, isNamed ? position : undefined)}${remaining}${setUp}${marks}`,
    ...holdDetails(step, isNamed ? usual : holdNamed(step.name, step.id)),
  ];
}

function breathInOutline(step: BreathStep, { library, index }: Writing): string[] {
  const technique = library.technique(step.technique);
  const english = technique?.names.english ?? step.name;
  const name =
    technique && step.name !== english
      ? `${inLine(english)} called ${nameInOutline(step.name, false)}`
      : inLine(english);
  const seat = step.seat === null ? undefined : library.position(step.seat);
  const isSeat = seat !== undefined && isReadAs(seat.names.english, 'hold', seat.id, index);
  return [
    `${name}${breathCounts(step, technique?.practice.countSeconds)}${setUpInOutline(step.setUp, [], undefined)}${marksOf(step)}`,
    ...(isSeat ? [`seat: ${seat.names.english}`] : []),
    ...(step.setupSeconds === null ? [] : [`set-up ${editableClock(step.setupSeconds)}`]),
    ...(step.afterSeconds === 0 ? [] : [`quiet breathing ${editableClock(step.afterSeconds)} after`]),
  ];
}

const KIND_WORDS = { talk: 'talk', rest: 'rest', move: 'release' } as const;

function stepInOutline(step: Step, writing: Writing): string[] {
  if (step.kind === 'hold') return holdInOutline(step, writing);
  if (step.kind === 'breath') return breathInOutline(step, writing);
  const isSafe =
    PLAIN_NAME.test(step.name) &&
    plainKindOf(step.name) === step.kind &&
    wholeName(new OpenLine(step.name), writing.index, 12) === undefined;
  const remaining = step.takesRemaining ? ', rest of the time' : '';
  const setUp =
    step.kind === 'rest' && step.setUp
      ? step.setUp.length === 0
        ? ' – no props'
        : setUpInOutline(step.setUp, [], undefined)
      : '';
  return [
    `${nameInOutline(step.name, isSafe)} ${editableClock(step.seconds)}${remaining}${setUp}${marksOf(step, isSafe ? undefined : KIND_WORDS[step.kind])}`,
    ...(step.kind === 'rest' && step.setupSeconds !== null ? [`set-up ${editableClock(step.setupSeconds)}`] : []),
  ];
}

function headingOf(plan: Plan): string {
  return [
    minutes(plan.classSeconds),
    APPROACH_LABELS[plan.approach].toLowerCase(),
    plan.groupSize === 1 ? '1 person' : `${plan.groupSize} people`,
    plan.startsAt?.replace('T', ' '),
    plan.where ? WHERE_WORDS[plan.where] : undefined,
    plan.place === ''
      ? undefined
      : PLAIN_PLACE.test(plan.place) && !CLASS_WORDS.test(plan.place)
        ? plan.place
        : `at “${inLine(plan.place)}”`,
  ]
    .filter(Boolean)
    .join(', ');
}
const PLAIN_PLACE = /^[\p{L}][\p{L}\p{M} ’',-]*$/u;
/** Words that a heading understands, so that a place with one of them stands in quotation marks. */
const CLASS_WORDS =
  /\b(?:restorative|yin|pranayama|breathwork|blended|mixed|people|persons?|mon|tue|wed|thu|fri|sat|sun|jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec|online|outdoors|floor|bed|sofa|chair|wall|hours?|minutes?|one|two|three|four|five|six|seven|eight|nine|ten|for|at|on|in|half|end|rest|left|am|pm)/iu;

/** What goes into an outline besides the plan. */
export interface OutlineParts {
  /** The teacher’s notes of the steps, which may be about people. */
  notes: boolean;
}
const EVERYTHING: OutlineParts = { notes: true };

/** The steps of a plan as numbered lines, each with what belongs to it under it. */
export function stepsInOutline(
  plan: Plan,
  library: Library,
  index: NameIndex,
  { notes: withNotes }: OutlineParts = EVERYTHING,
): string {
  const lines = plan.steps.flatMap((step, i) => {
    const [line = '', ...details] = stepInOutline(step, { plan, library, index });
    const notes = step.note === '' || !withNotes ? [] : step.note.split(/\r\n|\r|\n/).map((note) => `note: ${note}`);
    return [`${i + 1}. ${line}`, ...[...details, ...notes].map((detail) => `   - ${detail}`)];
  });
  return lines.map((line) => `${line}\n`).join('');
}

function textOf(plan: Plan, library: Library, index: NameIndex, parts: OutlineParts): string {
  const focus = plan.intent === '' ? [] : plan.intent.split(/\r\n|\r|\n/).map((line) => `Focus: ${line}`);
  const heading = [`# ${inLine(plan.title)}`, headingOf(plan), ...focus].map((line) => `${line}\n`).join('');
  return plan.steps.length === 0 ? heading : `${heading}\n${stepsInOutline(plan, library, index, parts)}`;
}

/**
 * A plan as an outline that a teacher would type, and what of it the outline cannot say: it is read back, and whatever
 * comes back differently is named. Nothing of people is in it.
 */
export function writeOutline(
  plan: Plan,
  library: Library,
  index: NameIndex,
  parts: OutlineParts = EVERYTHING,
): WrittenOutline {
  const text = textOf(plan, library, index, parts);
  let ids = 0;
  const { plan: back } = readOutline(text, {
    index,
    approach: plan.approach,
    where: null,
    today: plan.startsAt?.slice(0, 10) ?? '2000-01-01',
    newId: () => `read-${++ids}`,
  });
  return { text, missing: differencesOf(plan, back) };
}
