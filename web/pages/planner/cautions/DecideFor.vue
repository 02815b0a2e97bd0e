<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { bodyOf, modifications, SESSION_STEP, type Cell } from '#core/caution';
import { isAtHand } from '#core/cupboard';
import type { Plan } from '#core/plan';
import type { SetUp } from '#core/props';
import TextField from '../../../ui/fields/TextField.vue';
import StepFigure from '../../../widgets/figures/StepFigure.vue';
import { dayOf } from '../../../ui/dates';
import { useDemand } from '../../../state/demand';
import { useKnowledge } from '../../../state/knowledge';
import { useScreening } from '../../../state/screening';
import CautionReasons from './CautionReasons.vue';
import { useTeacherName } from '../../../state/teacher-name';

/** One person at one step: reasons, alternatives, and the teacher's decision. The plan is the one on the desk. */
const { plan, personId, stepId, cell } = defineProps<{ plan: Plan; personId: string; stepId: string; cell: Cell }>();

const screening = useScreening();
const known = useKnowledge();
const demand = useDemand();
const teacher = useTeacherName();
const wrong = ref('');
const step = computed(() => plan.steps.find(({ id }) => id === stepId));

/** Whether one person can have a set-up from what the place has; where no place is chosen, everything is. */
const atHand = (setUp: SetUp): boolean => !demand.available || isAtHand(setUp, demand.available);
/** What others in the room do in the place of this step. */
const others = computed(
  () =>
    new Set(
      screening.decided.instead.flatMap((one) =>
        one.stepId === stepId && one.personId !== personId && one.step.kind === 'hold' ? [one.step.position] : [],
      ),
    ),
);
const ways = computed(() =>
  step.value
    ? modifications(step.value, screening.activeFor(personId), known.knowledge, {
        approach: plan.approach,
        atHand,
        body: bodyOf(screening.screened.find(({ id }) => id === personId)?.person ?? {}),
        others: others.value,
      })
    : [],
);
const decidedAt = computed(() => (cell.at ? dayOf(new Date(cell.at).getTime()) : ''));
const say = (refused: string | undefined): void => {
  wrong.value = refused ?? '';
};
function setTeacher(name: string): string | undefined {
  if (name.trim() === '') return 'A name or initials.';
  teacher.value = name.trim().slice(0, 60);
  return undefined;
}
</script>

<template>
  <section class="decide" :aria-label="`${screening.shown(personId)} at ${step?.name ?? 'the class'}`">
    <h3>
      {{ screening.shown(personId) }} <span class="quiet">at {{ step?.name ?? 'the class as a whole' }}</span>
    </h3>
    <p v-if="cell.state === 'instead' && cell.step" class="decided">
      <span
        >Does <strong>{{ cell.step.name }}</strong> instead.</span
      >
      <span class="quiet small">{{ cell.by }}, {{ decidedAt }}</span>
      <button type="button" class="link-button small" @click="say(screening.undecide(personId, stepId))">
        Remove this alternative
      </button>
    </p>
    <p v-else-if="cell.state === 'seen'" class="decided">
      Acknowledged, no change. <span class="quiet small">{{ cell.by }}, {{ decidedAt }}</span>
      <button type="button" class="link-button small" @click="say(screening.undecide(personId, stepId))">
        Decide again
      </button>
    </p>
    <p v-if="cell.insteadLevel" class="caution strong" role="alert">
      The alternative now has a caution itself, because something new is known. Please choose again.
    </p>
    <CautionReasons :cautions="cell.cautions" />
    <template v-if="stepId !== SESSION_STEP">
      <h4 class="small quiet">Alternatives without cautions</h4>
      <ul class="ways">
        <li v-for="way in ways" :key="way.words">
          <span class="figure"><StepFigure v-if="way.step.kind === 'hold'" :step="way.step" :least="1500" /></span>
          <span class="words">
            {{ way.words }}
            <span v-if="way.level" class="small quiet"
              >· {{ way.cautions.map(({ rule }) => rule.instead.words).join(' ') }}</span
            >
          </span>
          <Button
            size="small"
            outlined
            label="Use this"
            :aria-label="`Use this for ${screening.shown(personId)}: ${way.words}`"
            @click="say(screening.use(personId, stepId, way.step))"
          />
        </li>
      </ul>
    </template>
    <div v-if="cell.state === 'open' && cell.level" class="leave">
      <Button size="small" text label="Acknowledge, no change" @click="say(screening.leave(personId, stepId, cell))" />
      <TextField class="by" label="as" :model-value="teacher" :accept="setTeacher" />
    </div>
    <p v-if="wrong" class="caution small" role="alert">{{ wrong }}</p>
  </section>
</template>

<style scoped>
h3 {
  font-size: 19px;
  line-height: 24px;
}
h4 {
  margin: 8px 0 2px;
  font-weight: 400;
}
.decided {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: baseline;
  padding: 4px 0;
}
.ways li {
  display: grid;
  grid-template-columns: 58px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  padding: 3px 0;
  border-top: 1px solid var(--line);
}
.figure {
  width: 58px;
  height: 34px;
}
.words {
  font-size: 14px;
  line-height: 17px;
}
.leave {
  display: flex;
  gap: 8px;
  align-items: flex-end;
  padding-top: 8px;
}
.by {
  width: 110px;
}
</style>
