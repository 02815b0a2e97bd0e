<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, useTemplateRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { sidesInAll, type ClassSegment, type FixedSegment } from '#core/exchange';
import { PLAN_LIMITS } from '#core/plan';
import { clockOfMs } from '#core/time';
import { useIncoming } from '../../../state/incoming';
import { useLibrary } from '../../../state/library';
import { useSettings } from '../../../state/settings';
import AppIcon from '../../../ui/AppIcon.vue';
import IconButton from '../../../ui/IconButton.vue';
import { useUndoKeys } from '../../../ui/use-undo-keys';
import ImportHead from '../ImportHead.vue';
import ClassRibbon from './ClassRibbon.vue';
import FilmBeside from './FilmBeside.vue';
import KeepDialog from './KeepDialog.vue';
import PlanChoices from './PlanChoices.vue';
import SegmentPanel from './SegmentPanel.vue';
import { useCaptions } from './use-captions';
import { useKeep } from './use-keep';
import { announcedInWords, foundInWords, heldInWords, KIND_WORDS, PROBLEM_WORDS, sidesInWords } from './words';

/** Captions of a class, as they were understood: corrected where that is needed, and made a plan. */
const incoming = useIncoming();
const library = useLibrary();
const settings = useSettings();
const router = useRouter();
void settings.ready();
const captions = useCaptions();
const { result, segments, unknown, unknownOf, trouble, isFixed, move, free, undo, redo, canUndo, canRedo } = captions;
useUndoKeys(undo, redo);

const isHeld = ({ kind }: ClassSegment): boolean => kind === 'hold' || kind === 'breath';
const MIN_LISTED_MS = 30_000;
const listed = computed(() =>
  segments.value.filter(
    (one) => isHeld(one) || (one.kind !== 'in' && one.kind !== 'out' && one.endMs - one.startMs >= MIN_LISTED_MS),
  ),
);
const held = computed(() => segments.value.filter(isHeld));
const toCheck = computed(() => held.value.filter(({ doubts }) => doubts.length > 0).length);
const status = computed(() => {
  if (!result.value?.ok) return '';
  return [foundInWords(held.value), toCheck.value > 0 ? `${toCheck.value} to check` : ''].filter(Boolean).join(', ');
});
const sentence = computed(() => sidesInWords(sidesInAll(segments.value)));

/** A moment in what is chosen: the segment there, also after everything was read anew. */
const chosenMs = ref<number>();
const chosen = computed(() => {
  const ms = chosenMs.value;
  return ms === undefined ? undefined : segments.value.find(({ startMs, endMs }) => ms >= startMs && ms < endMs);
});
const choose = ({ startMs, endMs }: ClassSegment): void => void (chosenMs.value = (startMs + endMs) / 2);
watch(held, (now) => {
  const first = now.find(({ doubts }) => doubts.length > 0) ?? now[0];
  if (chosenMs.value === undefined && first) choose(first);
});
const next = computed(() => held.value.find(({ startMs }) => chosen.value && startMs >= chosen.value.endMs));
const endMs = computed(() => segments.value.at(-1)?.endMs ?? 0);

const nameOf = ({ kind, id, side }: ClassSegment): string => {
  if (kind === 'breath') return library.all.technique(id ?? '')?.names.english ?? KIND_WORDS.breath;
  if (kind !== 'hold') return KIND_WORDS[kind];
  return heldInWords(unknownOf(id)?.name ?? library.all.position(id ?? '')?.names.english ?? '', side);
};
/** Gives what is chosen a name that no position has. */
function call(name: string, isSided: boolean): void {
  const one = chosen.value;
  if (!one) return;
  const { id } = captions.nameIt(name, isSided);
  const side = !isSided ? 'both' : one.side === 'both' ? 'left' : one.side;
  fixAt({ kind: 'hold', id, side, startMs: one.startMs, endMs: one.endMs });
}
/** The names in this class that the library does not have. */
const newNames = computed(() => unknown.value.filter(({ id }) => held.value.some((one) => one.id === id)));
const withNew = ref(true);
function detailOf(segment: ClassSegment): string {
  const { breath } = segment;
  if (!breath) return announcedInWords(segment);
  const counts = breath.counts.join('–');
  return [breath.counts[0] > 0 ? counts : '', breath.rounds === null ? '' : `${breath.rounds} rounds`]
    .filter(Boolean)
    .join(', ');
}
function moveTo(segment: ClassSegment, startMs: number, segmentEndMs: number): void {
  chosenMs.value = (startMs + segmentEndMs) / 2;
  move(segment, startMs, segmentEndMs);
}
function fixAt(...fixedSegments: FixedSegment[]): void {
  const [first] = fixedSegments;
  if (first) chosenMs.value = (first.startMs + first.endMs) / 2;
  captions.fix(...fixedSegments);
}

const film = useTemplateRef('film');
const hasFilm = ref(false);

const lengths = ref<'led' | 'announced'>('led');
const even = ref(false);
const title = computed(() =>
  (incoming.files[0]?.name.replace(/\.\w{2,4}$/, '') || 'From captions').slice(0, PLAN_LIMITS.maxTitle),
);
const { savePlan, saveSession } = useKeep(() => (withNew.value ? newNames.value : []));
const keeps = ref(false);
const saveTrouble = ref('');
const busy = ref(false);
/** Saves what was read, and goes there. After a failure all of it is still here. */
async function save(what: () => Promise<string>): Promise<void> {
  if (busy.value) return;
  [busy.value, saveTrouble.value] = [true, ''];
  try {
    const path = await what();
    incoming.discard();
    await router.push(path);
  } catch (error) {
    saveTrouble.value = `${(error as Error).message} What was read is still here.`;
  }
  busy.value = false;
}
const create = (): Promise<void> =>
  save(async () => {
    const how = { title: title.value, lengths: lengths.value, even: even.value };
    return `/plans/${(await savePlan(segments.value, how)).id}`;
  });
const keep = (called: string, startedAtMs: number): Promise<void> =>
  save(async () => `/history/${await saveSession(segments.value, called, startedAtMs)}`);
</script>

<template>
  <ImportHead title="From captions" :status="status">
    <IconButton icon="undo" label="Undo" :disabled="!canUndo" @click="undo" />
    <IconButton icon="redo" label="Redo" :disabled="!canRedo" @click="redo" />
    <Button label="Discard" outlined @click="incoming.discard()" />
    <Button label="Keep as a session" outlined :disabled="held.length === 0" @click="keeps = true" />
    <Button label="Create plan" :disabled="held.length === 0" :loading="busy && !keeps" @click="create" />
  </ImportHead>
  <p v-if="trouble" class="caution" role="alert">
    {{ trouble }} <button type="button" class="link-button" @click="captions.read">Try again</button>
  </p>
  <p v-if="saveTrouble && !keeps" class="caution" role="alert">{{ saveTrouble }}</p>
  <KeepDialog
    v-if="keeps"
    v-model:visible="keeps"
    :title="title"
    :length-ms="endMs"
    :trouble="saveTrouble"
    :busy="busy"
    @keep="keep"
  />
  <p v-if="!result && !trouble" class="quiet" role="status">Reading…</p>
  <p v-if="result && !result.ok" class="caution" role="alert">{{ PROBLEM_WORDS[result.problem] }}</p>
  <template v-if="result?.ok">
    <p v-if="held.length === 0" class="caution" role="status">
      No position was found. The English names of {{ library.positions.length }} positions were looked for, with what
      else they are called, and words such as “hold”, “stay”, “left” and “come out”.
      {{ result.read.named > 0 ? '' : 'None of the names was found: this may be no class, or in another language.' }}
    </p>
    <template v-else>
      <h2>{{ sentence || `${foundInWords(held)} in ${clockOfMs(endMs)}` }}</h2>
      <ClassRibbon :segments="segments" :selected="chosen" @select="choose" @move="moveTo" />
      <p v-if="result.unreadable > 0" class="small quiet">
        {{ result.unreadable }} captions have times that cannot be read. They were left out.
      </p>
      <div class="columns">
        <ol aria-label="What was understood">
          <li v-for="segment in listed" :key="segment.startMs" :class="{ quiet: !isHeld(segment) }">
            <button
              type="button"
              class="row"
              :class="{ chosen: segment === chosen }"
              :aria-pressed="segment === chosen"
              @click="choose(segment)"
            >
              <span class="time small">{{ clockOfMs(segment.startMs) }}</span>
              <span class="what">
                {{ nameOf(segment) }}
                <span class="small quiet">{{ detailOf(segment) }}</span>
              </span>
              <span class="length">{{ clockOfMs(segment.endMs - segment.startMs) }}</span>
              <AppIcon v-if="segment.doubts.length > 0" name="warn" :size="16" label="to check" class="mark caution" />
              <AppIcon v-else-if="isFixed(segment)" name="check" :size="16" label="found right" class="mark" />
              <span v-else class="mark" />
            </button>
          </li>
        </ol>
        <div class="beside">
          <FilmBeside ref="film" @open="hasFilm = $event" />
          <SegmentPanel
            v-if="chosen"
            :key="`${chosen.startMs} ${chosen.endMs} ${chosen.id}`"
            :segment="chosen"
            :next="next"
            :lines="result.lines"
            :end-ms="endMs"
            :fixed="isFixed(chosen)"
            :can-play="hasFilm"
            :unknown="unknown"
            @fix="fixAt(...$event)"
            @move="(startMs, toMs) => chosen && moveTo(chosen, startMs, toMs)"
            @free="chosen && free(chosen)"
            @call="call"
            @play="film?.playFrom($event)"
          />
        </div>
      </div>
      <PlanChoices v-model:lengths="lengths" v-model:even="even" v-model:with-new="withNew" :new-names="newNames" />
    </template>
  </template>
</template>

<style scoped>
h2 {
  margin: 4px 0 8px;
  font-size: 20px;
  line-height: 26px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px 32px;
  padding-top: 10px;
}
.beside {
  display: grid;
  gap: 12px;
  align-content: start;
  min-width: 0;
}
ol {
  margin: 0;
  padding: 0;
  border-top: 1px solid var(--line);
  list-style: none;
}
.row {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr) auto 20px;
  gap: 0 10px;
  align-items: center;
  width: 100%;
  min-height: 36px;
  padding: 4px 6px;
  border: 0;
  border-bottom: 1px solid var(--line);
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
  background: none;
}
.row:hover {
  background: var(--well);
}
.row.chosen {
  background: var(--well);
  box-shadow: inset 3px 0 0 var(--ink);
}
.what {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: baseline;
  overflow-wrap: anywhere;
}
li:not(.quiet) .what {
  font-weight: 600;
}
.what .small {
  font-weight: 400;
}
.time,
.length {
  font-variant-numeric: tabular-nums;
}
@media (width < 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
