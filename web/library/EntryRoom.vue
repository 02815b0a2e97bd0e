<script setup lang="ts">
import SelectButton from 'primevue/selectbutton';
import { computed, ref, shallowRef, watch } from 'vue';
import { ORDINARY, TABLE_STATURE_CM, VIEWS, type Flexibility } from '#core/body';
import { APPROACH_LABELS, APPROACHES, familyLabel } from '#core/catalogue';
import { mirrorSetUp, setUpRowInWords } from '#core/props';
import FigureView from '../figures/FigureView.vue';
import { requestFor, useDrawnFigure } from '../figures/use-figure';
import { useMoving } from '../figures/use-moving';
import AppIcon from '../shared/AppIcon.vue';
import BodySliders from './BodySliders.vue';
import EntryActions from './EntryActions.vue';
import MeasuredRow from './MeasuredRow.vue';
import UsedIn from './UsedIn.vue';
import VariationCard from './VariationCard.vue';
import { momentInWords, reboundInWords } from './moments';
import { SIDES_WORDS, TRAIT_WORDS, usualInWords } from './words';
import { useLibrary } from '../stores/library';

/** One position: how it looks from all sides and for whom, how it is taught, and where it is used. */
const { id } = defineProps<{ id: string }>();
const library = useLibrary();

const entry = computed(() => library.all.position(id));
const setUpId = ref('');
const side = ref<'left' | 'right'>('left');
const statureCm = ref(TABLE_STATURE_CM);
const flexibility = shallowRef<Flexibility>({ ...ORDINARY });
const { moving, setMoving } = useMoving();

watch(
  entry,
  (now) => {
    setUpId.value = now?.setUps[0]?.id ?? '';
    side.value = 'left';
  },
  { immediate: true },
);

const setUp = computed(() => entry.value?.setUps.find((one) => one.id === setUpId.value) ?? entry.value?.setUps[0]);
const twoSided = computed(() => entry.value?.sides === 'each' || entry.value?.sides === 'crossing');
const rows = computed(() => {
  const items = setUp.value?.items ?? [];
  return side.value === 'right' ? mirrorSetUp(items) : items;
});
const body = computed(() => ({ statureCm: statureCm.value, flexibility: flexibility.value }));
const request = (view?: (typeof VIEWS)[keyof typeof VIEWS], coarse = moving.value) =>
  requestFor({
    position: entry.value,
    setUp: setUp.value?.items ?? [],
    body: body.value,
    coarse,
    ...(view ? { view } : {}),
  });
const own = useDrawnFigure(() => request());
const views = [
  { name: 'From the side', ...useDrawnFigure(() => (moving.value ? undefined : request(VIEWS.side))) },
  { name: 'From above', ...useDrawnFigure(() => (moving.value ? undefined : request(VIEWS.above))) },
  { name: 'From the front', ...useDrawnFigure(() => (moving.value ? undefined : request(VIEWS.front))) },
];
const names = computed(() => [entry.value?.names.sanskrit, entry.value?.names.yin].filter(Boolean).join(' · '));
const approaches = computed(() => APPROACHES.filter((approach) => entry.value?.defaults[approach]));
const after = computed(() => {
  if (!entry.value) return [];
  const { rebound, loosen, answer } = entry.value;
  const rest = rebound.when === 'none' ? '' : reboundInWords(rebound);
  return [
    { what: 'Rest', says: rest },
    { what: 'Loosen', says: loosen },
    { what: 'Answer', says: answer },
  ].filter(({ says }) => says !== '');
});
const variations = computed(() =>
  entry.value
    ? [
        { title: 'Easier', variation: entry.value.easier },
        { title: 'Stronger', variation: entry.value.stronger },
      ].filter(({ variation }) => variation.words !== '')
    : [],
);
const sideOptions = [
  { label: 'Left side', value: 'left' },
  { label: 'Right side', value: 'right' },
];
</script>

<template>
  <main v-if="entry && setUp">
    <header>
      <RouterLink to="/library" class="back"><AppIcon name="back" />Library</RouterLink>
      <div class="title">
        <h1>{{ entry.names.english }}</h1>
        <EntryActions :entry="entry" />
      </div>
      <p class="quiet">
        {{ names }}<template v-if="names"> · </template>{{ familyLabel(entry.family) }}, {{ SIDES_WORDS[entry.sides] }}
        <template v-if="entry.leftMeans"> (left: {{ entry.leftMeans }})</template>
      </p>
    </header>
    <div class="page">
      <section class="look" aria-label="How it looks">
        <div class="choices">
          <SelectButton
            v-model="setUpId"
            :options="entry.setUps"
            option-label="name"
            option-value="id"
            :allow-empty="false"
            aria-label="Set-up"
          />
          <SelectButton
            v-if="twoSided"
            v-model="side"
            :options="sideOptions"
            option-label="label"
            option-value="value"
            :allow-empty="false"
            aria-label="Side"
          />
        </div>
        <div class="large">
          <FigureView
            :figure="own.drawn.value"
            :mirrored="side === 'right'"
            :label="`${entry.names.english}, ${setUp.name}`"
          />
          <p v-if="own.trouble.value" class="caution" role="alert">{{ own.trouble.value }}</p>
        </div>
        <div class="views">
          <figure v-for="{ name, drawn } in views" :key="name">
            <FigureView :figure="drawn.value" :mirrored="side === 'right'" :label="name" />
            <figcaption class="small quiet">{{ name }}</figcaption>
          </figure>
        </div>
        <BodySliders v-model:stature-cm="statureCm" v-model:flexibility="flexibility" @moving="setMoving" />
        <MeasuredRow v-if="own.drawn.value" :measures="own.drawn.value.measures" :mirrored="side === 'right'" />
      </section>
      <section class="told">
        <p v-if="entry.aims" class="aims">{{ entry.aims }}</p>
        <p class="small quiet">Works on {{ entry.areas.join(', ') }}.</p>
        <dl>
          <template v-for="approach in approaches" :key="approach">
            <dt>{{ APPROACH_LABELS[approach] }}</dt>
            <dd>{{ usualInWords(entry.defaults, approach) }}</dd>
          </template>
        </dl>
        <h2>{{ setUp.name }}</h2>
        <ul v-if="rows.length > 0" class="lines">
          <li v-for="row in rows" :key="row.id">
            {{ setUpRowInWords(row) }}<span v-if="row.optional" class="quiet">, if wished</span
            ><span v-if="row.why" class="quiet">: {{ row.why }}</span>
          </li>
        </ul>
        <p v-else class="quiet">No props.</p>
        <template v-if="entry.waysIn.length > 0">
          <h2>Way in</h2>
          <ol class="lines">
            <li v-for="way in entry.waysIn" :key="way">{{ way }}</li>
          </ol>
        </template>
        <template v-if="entry.prompts.length > 0">
          <h2>What to say</h2>
          <ul class="lines">
            <li v-for="prompt in entry.prompts" :key="prompt.text">
              <span class="quiet">{{ momentInWords(prompt.at) }}:</span> {{ prompt.text }}
            </li>
          </ul>
        </template>
        <template v-if="entry.waysOut.length > 0">
          <h2>Way out</h2>
          <ol class="lines">
            <li v-for="way in entry.waysOut" :key="way">{{ way }}</li>
          </ol>
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
            @set-up="setUpId = $event"
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
    </div>
  </main>
  <main v-else class="missing">
    <h1>Not in the library</h1>
    <p>This entry is not here any more. <RouterLink to="/library">Back to the library</RouterLink></p>
  </main>
</template>

<style scoped>
header {
  padding: 10px 32px 12px;
  border-bottom: 1px solid var(--line-strong);
}
.title {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
.back {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  min-height: 24px;
  color: var(--main);
  font-weight: 600;
  text-decoration: none;
}
h1 {
  font-size: 30px;
  line-height: 36px;
}
.page {
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
}
.look {
  padding: 16px 32px 24px;
  border-right: 1px solid var(--line-strong);
  background: var(--sheet);
}
.told {
  padding: 16px 32px 32px 28px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.large {
  height: 320px;
  margin: 14px 0;
}
.views {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 16px;
  margin-bottom: 16px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
}
figure {
  margin: 0;
}
.views :deep(svg) {
  height: 130px;
}
figcaption {
  margin-top: 4px;
  text-align: center;
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
ol.lines {
  padding-left: 18px;
  list-style: decimal;
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
.missing {
  padding: 40px 32px;
}
@media (width < 900px) {
  .page {
    grid-template-columns: 1fr;
  }
  .look {
    border-right: 0;
  }
}
@media (width < 640px) {
  header,
  .look,
  .told {
    padding-right: 16px;
    padding-left: 16px;
  }
  .views {
    grid-template-columns: 1fr;
  }
  .variations {
    grid-template-columns: 1fr;
  }
}
</style>
