<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { propNeeds } from '#core/cupboard';
import { pieceCount } from '#core/props';
import { clockOfMs } from '#core/time';
import { people } from '../../../widgets/session/words';
import PresentFields from '../../../widgets/session/PresentFields.vue';
import { SPEEDS } from '../../../widgets/session/session-clock';
import CheckIn from './CheckIn.vue';
import LastTime from './LastTime.vue';
import type { TheClass } from '../../../state/use-class';
import type { Session } from '../use-session';
import FoldedPart from '../../../ui/FoldedPart.vue';

/** Before the first bell: the plan, and the props to set out. */
const { session, theClass } = defineProps<{ session: Session; theClass: TheClass }>();
const emit = defineEmits<{ begin: [] }>();
/** Attendance, if it is entered before the session begins. */
const present = defineModel<{ people: string[]; others: number }>('present', { required: true });
const here = computed(() => {
  const count = present.value.people.length + present.value.others;
  return count > 0 ? `: ${people(count)}` : '';
});

/** What is new today, and who came without a record, as the title of the part that asks. */
const checkedIn = computed(() => {
  const fresh = theClass.checkIns.value.length;
  const guests = theClass.guests.value.length;
  const words = [
    fresh > 0 ? `${fresh} with something new` : '',
    guests > 0 ? `${guests} ${guests === 1 ? 'guest' : 'guests'}` : '',
  ].filter(Boolean);
  return `Check in${words.length > 0 ? `: ${words.join(', ')}` : ': anything new today?'}`;
});
const bring = computed(() =>
  propNeeds(session.timeline, session.plan.groupSize).map(({ kind, group }) => pieceCount(kind, group)),
);
</script>

<template>
  <section>
    <h2>{{ session.plan.title }}</h2>
    <p class="quiet">
      {{ [session.plan.group, people(session.plan.groupSize), session.plan.place].filter(Boolean).join(' · ') }}
    </p>
    <p class="length numeral">{{ clockOfMs(session.timeline.totals.totalMs) }}</p>
    <p v-if="bring.length > 0">Set out: {{ bring.join(', ') }}</p>
    <LastTime class="who" :plan-id="session.planId" :plan="session.plan" />
    <FoldedPart v-if="!session.clock.rehearsal" class="who" :title="`Who is here${here}`">
      <PresentFields
        :people="present.people"
        :others="present.others"
        @change="(people, others) => (present = { people, others })"
      />
    </FoldedPart>
    <FoldedPart v-if="!session.clock.rehearsal" class="who" :title="checkedIn">
      <CheckIn :the-class="theClass" :here="present.people" />
    </FoldedPart>
    <p class="quiet safe">
      Leave a position at once for sharp pain, tingling, numbness, breathlessness or dizziness. Nobody has to hold their
      breath. Cautions about people are the usual ones, not medical advice; anyone with a condition should ask a doctor
      or licensed practitioner first.
    </p>
    <Button
      :label="session.clock.rehearsal ? 'Begin the rehearsal' : 'Begin'"
      class="begin"
      autofocus
      @click="emit('begin')"
    />
    <p v-if="!session.clock.rehearsal" class="rehearse quiet">
      or rehearse it, without recording, at
      <RouterLink v-for="speed in SPEEDS" :key="speed" :to="{ query: { rehearse: speed } }">{{ speed }}×</RouterLink>
    </p>
  </section>
</template>

<style scoped>
section {
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: center;
  justify-content: center;
  overflow: auto;
  padding: 16px 24px;
  background: var(--lit);
  text-align: center;
}
h2 {
  font-size: 38px;
  line-height: 44px;
  overflow-wrap: anywhere;
}
.length {
  font-size: 96px;
  line-height: 110px;
}
.safe {
  max-width: 620px;
  font-size: 16px;
}
.who {
  font-size: 16px;
  text-align: left;
}
.rehearse {
  display: flex;
  gap: 12px;
  font-size: 16px;
}
.rehearse a {
  min-width: 24px;
  color: var(--main);
}
.begin {
  height: 64px;
  margin-top: 12px;
  padding: 0 56px;
  font-size: 21px;
}
</style>
