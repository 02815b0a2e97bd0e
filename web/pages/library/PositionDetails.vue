<script setup lang="ts">
import { computed } from 'vue';
import {
  APPROACH_LABELS,
  APPROACHES,
  counterposeFor,
  TRAIT_WORDS,
  type Bend,
  type Effect,
  type NamedSetUp,
  type Position,
} from '#core/catalogue';
import { mirrorSetUp, setUpRowInWords } from '#core/props';
import { positionScript } from '#core/script';
import { clockOfSeconds } from '#core/time';
import { prerequisiteOf } from '#library/prerequisites';
import { taughtPosition } from '#library/teaching';
import { useLibrary } from '../../state/library';
import AppIcon from '../../ui/AppIcon.vue';
import ScriptLines from '../../widgets/script/ScriptLines.vue';
import WorksOn from '../../widgets/positions/WorksOn.vue';
import EntryTags from './EntryTags.vue';
import UsedIn from './UsedIn.vue';
import VariationCard from './VariationCard.vue';
import { reboundInWords, usualInWords } from './words';

/**
 * The details of a position: lengths, set-up, getting in and coming out, mistakes, what comes after, other ways,
 * cautions, where it is used.
 */
const { entry, setUp, side } = defineProps<{ entry: Position; setUp: NamedSetUp; side: 'left' | 'right' }>();
const emit = defineEmits<{ setUp: [id: string] }>();

const rows = computed(() => (side === 'right' ? mirrorSetUp(setUp.items) : setUp.items));
const approaches = computed(() => APPROACHES.filter((approach) => entry.defaults[approach]));
const after = computed(() => {
  const { rebound, loosen, answer } = entry;
  return [
    { what: 'Rest', says: rebound.when === 'none' ? '' : reboundInWords(rebound) },
    { what: 'Release', says: loosen },
    { what: 'Counterpose', says: answer },
    {
      what: 'Counterpose for',
      says: counterposeFor(entry)
        .map((bend) => BEND_PLURALS[bend])
        .join(', '),
    },
    { what: 'Effect', says: entry.effect ? EFFECT_WORDS[entry.effect] : '' },
  ].filter(({ says }) => says !== '');
});
const library = useLibrary();
/** What usually comes before it, and why. */
const before = computed(() => {
  const found = prerequisiteOf(entry.id);
  return found && { positions: found.knows.flatMap((id) => library.all.position(id) ?? []), reason: found.reason };
});
const taught = computed(() => taughtPosition(entry));
/** What is said on this side, from getting in to coming out. */
const script = computed(() => {
  const lines = positionScript(entry, side);
  return SCRIPT_TITLES.map(({ part, title }) => ({ title, lines: lines.filter((line) => line.part === part) })).filter(
    (one) => one.lines.length > 0,
  );
});
const SCRIPT_TITLES = [
  { part: 'in', title: 'Getting in' },
  { part: 'hold', title: 'What to say' },
  { part: 'out', title: 'Coming out' },
] as const;
/** How long it is held where its script has these moments. */
const heldFor = computed(() => {
  const [first] = approaches.value;
  return clockOfSeconds((first && entry.defaults[first]?.seconds) ?? 0);
});
const BEND_PLURALS: Record<Bend, string> = { fold: 'deep folds', back: 'back bends' };
const EFFECT_WORDS: Record<Effect, string> = { rousing: 'rouses', quieting: 'quiets' };
const variations = computed(() =>
  [
    { title: 'Easier', variation: entry.easier },
    { title: 'Stronger', variation: entry.stronger },
  ].filter(({ variation }) => variation.words !== ''),
);
</script>

<template>
  <section class="told">
    <p v-if="entry.aims" class="aims">{{ entry.aims }}</p>
    <WorksOn :areas="entry.areas" />
    <EntryTags :entry="entry.id" />
    <dl>
      <template v-for="approach in approaches" :key="approach">
        <dt>{{ APPROACH_LABELS[approach] }}</dt>
        <dd>{{ usualInWords(entry.defaults, approach) }}</dd>
      </template>
    </dl>
    <p v-if="before">
      Usually after
      <template v-for="({ id, names }, i) in before.positions" :key="id"
        ><template v-if="i > 0"> and </template
        ><RouterLink :to="`/library/${id}`">{{ names.english }}</RouterLink></template
      >. {{ before.reason }}
    </p>
    <h2>{{ setUp.name }}</h2>
    <ul v-if="rows.length > 0" class="lines">
      <li v-for="row in rows" :key="row.id">
        {{ setUpRowInWords(row) }}<span v-if="row.optional" class="quiet">, optional</span
        ><span v-if="row.why" class="quiet">: {{ row.why }}</span>
      </li>
    </ul>
    <p v-else class="quiet">No props.</p>
    <template v-for="{ title, lines } in script" :key="title">
      <h2>
        {{ title }} <span v-if="title === 'What to say'" class="small quiet">if held for {{ heldFor }}</span>
      </h2>
      <ScriptLines :lines="lines" />
    </template>
    <template v-if="taught.mistakes">
      <h2>Common mistakes</h2>
      <p>{{ taught.mistakes }}</p>
    </template>
    <template v-if="taught.watch">
      <h2>What you see from outside</h2>
      <p>{{ taught.watch }}</p>
    </template>
    <template v-if="after.length > 0">
      <h2>After</h2>
      <dl>
        <template v-for="{ what, says } in after" :key="what">
          <dt>{{ what }}</dt>
          <dd>{{ says }}</dd>
        </template>
      </dl>
    </template>
    <div class="variations">
      <VariationCard
        v-for="{ title, variation } in variations"
        :key="title"
        :title="title"
        :variation="variation"
        :entry="entry"
        @set-up="emit('setUp', $event)"
      />
    </div>
    <div class="cautions">
      <AppIcon name="warn" :size="16" class="caution" />
      <div>
        <p v-if="entry.caution">{{ entry.caution }}</p>
        <p v-if="entry.traits.length > 0" class="small quiet">
          Look out for: {{ entry.traits.map((trait) => TRAIT_WORDS[trait].toLowerCase()).join(', ') }}.
        </p>
        <p class="small quiet">
          Usual cautions, not medical advice. With a condition, ask a doctor or licensed practitioner.
        </p>
      </div>
    </div>
    <UsedIn :entry="entry.id" />
  </section>
</template>

<style scoped>
.told {
  padding: 16px 32px 32px 28px;
}
.aims {
  font-size: 17px;
  line-height: 23px;
}
h2 {
  margin-top: 16px;
  font-size: 19px;
  line-height: 24px;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 0 14px;
  margin: 10px 0 0;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
.lines li {
  padding: 2px 0;
}
.variations {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
  margin-top: 16px;
}
.cautions {
  display: flex;
  gap: 10px;
  margin-top: 16px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}
@media (width < 640px) {
  .told {
    padding-right: 16px;
    padding-left: 16px;
  }
  .variations {
    grid-template-columns: 1fr;
  }
}
</style>
