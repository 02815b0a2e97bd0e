import { planChanges, type Plan } from '#core/plan';
import type { PlanVersion } from '#api';
import { iso } from './store';

/** Of the saves within this time of a version, the latest stands for all. */
const ONE_VERSION_MS = 10 * 60_000;

/** The versions of a plan, the latest first, from its kept saves, the latest first. */
export function versionsOf(saves: readonly { revision: number; savedMs: number; plan: Plan }[]): PlanVersion[] {
  const last: (typeof saves)[number][] = [];
  for (const save of saves) {
    const later = last.at(-1);
    if (!later || later.savedMs - save.savedMs >= ONE_VERSION_MS) last.push(save);
  }
  // Where all that is kept was saved in one go, the plan as it was first made is a version too.
  const first = saves.at(-1);
  const versions = first && first.revision === 1 && !last.includes(first) ? [...last, first] : last;
  return versions.map(({ revision, savedMs, plan }, i) => {
    const before = versions[i + 1];
    return {
      revision,
      savedAt: iso(savedMs),
      title: plan.title,
      changes: before ? planChanges(before.plan, plan) : null,
      isFirst: revision === 1,
    };
  });
}
