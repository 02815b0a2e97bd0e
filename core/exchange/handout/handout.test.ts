import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { builtInLibrary, TEMPLATES } from '#library';
import { sideSeconds, type Plan } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import { plan as anyPlan } from '../../../tests/support/arbitraries';
import { handoutOf, handoutPage, homePlan, type Handout } from './index';

const plan = (id: string): Plan => {
  const found = TEMPLATES.find((template) => template.id === id);
  if (!found) throw new Error(`no template ${id}`);
  return found.plan;
};
const PARTS = { figures: [], script: 'run("</script>")', style: 'a{}' };
const made = (of: Plan, words = ''): Handout => handoutOf(homePlan(of, builtInLibrary, true), builtInLibrary, words);

describe('a handout', () => {
  test.each(TEMPLATES.map(({ id }) => id))(
    '%s: has all that is done, in lengths that grow, each without a gap',
    (id) => {
      const whole = plan(id);
      const { steps, lengths } = made(whole);
      expect(steps.map(({ name }) => name)).toEqual(
        whole.steps.filter(({ kind }) => kind !== 'talk').map(({ name }) => name),
      );
      const totals = lengths.map(({ totalMs }) => totalMs);
      expect([...totals].sort((a, b) => a - b)).toEqual(totals);
      expect(lengths.length).toBeLessThanOrEqual(8);
      for (const { totalMs, phases, steps: words, bells, prompts } of lengths) {
        expect(phases.reduce((sum, { ms }) => sum + ms, 0)).toBe(totalMs);
        expect(words).toHaveLength(steps.length);
        for (const { atMs } of [...bells, ...prompts]) expect(atMs >= 0 && atMs <= totalMs).toBe(true);
        expect(phases.every(({ step }) => step >= 0 && step < steps.length)).toBe(true);
      }
    },
  );

  test('shortened, both sides of a hold stay equal, and nothing is shorter than a minute a side that was not', () => {
    const { lengths } = made(plan('restorative'));
    for (const { phases } of lengths) {
      const held = new Map<string, number>();
      for (const { step, side, part, ms } of phases) {
        const key = `${step} ${side}`;
        if (part === 'hold') held.set(key, (held.get(key) ?? 0) + ms);
      }
      for (const [key, ms] of held) {
        if (key.endsWith('left')) expect(held.get(key.replace('left', 'right'))).toBe(ms);
        expect(ms).toBeGreaterThanOrEqual(60_000);
      }
    }
    expect(lengths.length).toBeGreaterThan(4);
    expect(lengths[0]!.totalMs).toBeLessThan(lengths.at(-1)!.totalMs * 0.75);
  });

  test('the longest is the plan as it is, without what is only said in class', () => {
    const whole = plan('restorative');
    const home = homePlan(whole, builtInLibrary, false);
    expect(home.steps.map(({ kind }) => kind)).not.toContain('talk');
    expect(made(whole).lengths.at(-1)!.totalMs).toBe(
      compileTimeline(homePlan(whole, builtInLibrary, true), builtInLibrary).totals.totalMs,
    );
    const lengths = (of: Plan) => of.steps.flatMap((step) => (step.kind === 'hold' ? [sideSeconds(step.sides)] : []));
    expect(lengths(home)).toEqual(lengths(whole));
  });

  test('nothing about people or the class is in it, whatever a plan says of them', () => {
    const whole = plan('restorative');
    const secret: Plan = {
      ...whole,
      group: 'Singers of the quay',
      groupId: 'group-7',
      intent: 'For Ilse’s glaucoma',
      place: 'Wrackline Hall',
      steps: whole.steps.map((step) => ({ ...step, note: 'Ilse: not today, operation in May' })),
    };
    const page = handoutPage(made(secret), PARTS);
    for (const word of ['Ilse', 'Singers', 'group-7', 'Wrackline', 'operation in May'])
      expect(page).not.toContain(word);
  });

  test('a page asks nothing of anywhere, and no text in it can end the element it is in', () => {
    fc.assert(
      fc.property(anyPlan, fc.string({ unit: 'grapheme' }), (some, words) => {
        const nasty = {
          ...some,
          title: '</script><script src="https://x.test/a.js"></script><img src=x onerror=go()>',
        };
        const page = handoutPage(made(nasty, words), PARTS);
        expect(page.match(/<script/g)).toHaveLength(2);
        expect(page.match(/<\/script>/g)).toHaveLength(2);
        const json = /<script type="application\/json" id="handout">(.*?)<\/script>/s;
        const data = json.exec(page)?.[1] ?? '';
        // As data a text may say anything; as a page it names no address.
        const shown = page.replace(json, '');
        expect(shown).not.toMatch(/<(?:img|link|iframe|object|embed)\b/i);
        expect(shown).not.toMatch(/\bsrc=(?!x|&quot;)|url\(/i);
        expect((JSON.parse(data) as Handout).title).toBe(nasty.title);
      }),
      { numRuns: 60 },
    );
  });

  test('a plan without steps, or of talk alone, is an empty page and no fault', () => {
    const whole = plan('restorative');
    const page = handoutPage(made({ ...whole, steps: [] }), PARTS);
    expect(page).toContain('0:00 in total');
  });
});
