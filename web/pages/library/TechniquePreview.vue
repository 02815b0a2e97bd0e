<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { breathProgram, roundInWords, type BreathPlace, type BreathSet } from '#core/breath';
import { breathSeats, type Technique } from '#core/catalogue';
import { breathFrom, emptyPlan } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import SelectField from '../../ui/fields/SelectField.vue';
import BreathCost from '../../widgets/breath/BreathCost.vue';
import PlaceFigure from '../../widgets/breath/PlaceFigure.vue';
import TryIt from '../../widgets/breath/TryIt.vue';
import PositionFigure from '../../widgets/figures/PositionFigure.vue';
import StepRibbon from '../../widgets/ribbon/StepRibbon.vue';
import { useLibrary } from '../../state/library';
import { phaseWords } from './words';

/** How a technique looks: its seat with the place of the breath, one round of each set to scale, and what it costs. */
const { technique } = defineProps<{ technique: Technique }>();

const library = useLibrary();
const trying = ref(false);

/** The seats it can be practised in; the place of the breath is drawn on the first. */
const DRAWN_SEAT = 'easy-seat';
const seat = ref(DRAWN_SEAT);
const seats = computed(() => [
  { value: DRAWN_SEAT, label: library.all.position(DRAWN_SEAT)?.names.english ?? '' },
  ...breathSeats(library.positions)
    .filter(({ id }) => id !== DRAWN_SEAT)
    .map(({ id, names }) => ({ value: id, label: names.english })),
]);
const seated = computed(() => library.all.position(seat.value));
const places = computed((): BreathPlace[] => [
  ...new Set(
    technique.practice.sets.flatMap(({ parts }) =>
      parts.flatMap((part) => ('place' in part && part.place ? [part.place] : [])),
    ),
  ),
]);

const once = (set: BreathSet): BreathSet => ({ ...set, rounds: 1, ramp: null, restSeconds: 0 });
/** One round of each set, as the ribbon draws it, with the counts under its parts. */
const rounds = computed(() =>
  technique.practice.sets.map((set) => {
    const practice = { ...technique.practice, sets: [once(set)] };
    const step = { ...breathFrom(technique, 'round'), practice, setupSeconds: 0 };
    const program = breathProgram(practice);
    const totalMs = program.at(-1)?.endMs ?? 1;
    const share = (ms: number): string => `${(100 * ms) / totalMs}%`;
    return {
      id: set.id,
      step,
      timeline: compileTimeline({ ...emptyPlan('A round'), steps: [step] }, library.all),
      labels: program.map((phase, i) => ({
        i,
        left: share(phase.startMs),
        width: share(phase.endMs - phase.startMs),
        words: phaseWords(phase),
      })),
      says: [set.label, roundInWords(set), set.rounds > 1 ? `${set.rounds} rounds` : ''].filter(Boolean).join(' · '),
    };
  }),
);
</script>

<template>
  <section class="look" aria-label="How it looks">
    <div class="top">
      <div>
        <SelectField v-model="seat" class="small" label="Seat" :options="seats" />
        <div class="seat">
          <PlaceFigure v-if="seat === DRAWN_SEAT" :place="places" :least="700" />
          <PositionFigure
            v-else
            :position="seated"
            :set-up="seated?.setUps[0]?.items ?? []"
            :label="`Seat: ${seated?.names.english ?? ''}`"
          />
        </div>
        <p v-if="technique.seat" class="small quiet">{{ technique.seat }}</p>
      </div>
      <div class="cost">
        <BreathCost :practice="technique.practice" />
        <Button label="Try it" @click="trying = true" />
      </div>
    </div>
    <TryIt v-model:visible="trying" :practice="technique.practice" :name="technique.names.english" />
    <h2>{{ rounds.length === 1 ? 'One round, to scale' : 'One round of each set, to scale' }}</h2>
    <ol>
      <li v-for="{ id, step, timeline, labels, says } in rounds" :key="id">
        <StepRibbon :timeline="timeline" :step="step" :index="0" :height="64" />
        <div class="labels small" aria-hidden="true">
          <span v-for="label in labels" :key="label.i" :style="{ left: label.left, width: label.width }">{{
            label.words
          }}</span>
        </div>
        <p class="small quiet">{{ says }}</p>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.look {
  padding: 16px 32px 24px;
  border-right: 1px solid var(--line-strong);
  background: var(--sheet);
}
.top {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  gap: 28px;
  align-items: center;
}
.seat {
  height: 230px;
  margin: 8px 0;
}
.cost {
  display: flex;
  flex-direction: column;
  gap: 20px;
  align-items: flex-start;
}
h2 {
  margin-top: 14px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
  font-size: 19px;
  line-height: 24px;
}
li {
  padding: 4px 0 10px;
}
.labels {
  position: relative;
  height: 34px;
  margin-top: -30px;
}
.labels span {
  position: absolute;
  overflow: hidden;
  text-align: center;
  line-height: 16px;
}
@media (width < 900px) {
  .look {
    border-right: 0;
  }
}
@media (width < 640px) {
  .look {
    padding-right: 16px;
    padding-left: 16px;
  }
  .top {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
