import { breathCost, breathProgram, fitBreath, type BreathPractice, type BreathSet } from '#core/breath';
import { cuesAhead, foldRun } from '#core/run';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { builtInLibrary, TEMPLATES, TECHNIQUES } from '#library';
import { msFigure, percentile, timed, type Figure } from './measure';

const usual = (id: string): BreathPractice => {
  const found = TECHNIQUES.find((technique) => technique.id === id);
  if (!found) throw new Error(`no technique ${id}`);
  return found.practice;
};
const median = (times: number, work: () => void): number => percentile(timed(times, work), 0.5);

/** Breath: unfolding an hour of it, its cost, fitting it with a count that may change, and the tones that are due. */
export function benchBreath(): Figure[] {
  const [even] = usual('equal-breath').sets as [BreathSet];
  const hour: BreathPractice = {
    countSeconds: 1,
    sets: Array.from({ length: 3 }, (_, i) => ({ ...even, id: `s${i}`, rounds: 120 })),
  };
  const four: BreathPractice = {
    countSeconds: 1,
    sets: ['equal-breath', 'long-out-breath', 'alternate-with-hold', 'belly-strokes'].flatMap((id) => usual(id).sets),
  };
  const [first] = four.sets as [BreathSet];
  const grown: BreathPractice = {
    ...four,
    sets: [{ ...first, ramp: { of: 'out', to: 8.5, steps: 'tenths' } }, ...four.sets.slice(1)],
  };
  const workshop = TEMPLATES.find(({ id }) => id === 'workshop')!.plan;
  const timeline = compileTimeline(workshop, builtInLibrary);
  const alternate = timeline.phases.find(({ stepIndex, kind }) => stepIndex === 3 && kind === 'in')?.startMs ?? 0;
  const run = foldRun(timeline, [{ id: 'bench-started', atMs: 0, kind: 'started' }]);
  return [
    msFigure(
      'breath, an hour of cycles unfolded and counted',
      median(40, () => [breathProgram(hour), breathCost(hour)]),
      5,
    ),
    msFigure(
      'breath, four sets fitted to 15:00',
      median(10, () => fitBreath(four, 900)),
      50,
    ),
    msFigure(
      'breath, the same, the count within a tenth',
      median(3, () => fitBreath(four, 901, { countWithin: 0.1 })),
      50,
    ),
    msFigure(
      'breath, the same, one set growing in tenths',
      median(3, () => fitBreath(grown, 901, { countWithin: 0.1 })),
      200,
    ),
    msFigure(
      'breath, tones and bells due within 2.5 s',
      median(60, () => cuesAhead(DEFAULT_RULES, run, alternate + 20_000, 2500)),
      2,
    ),
  ];
}
