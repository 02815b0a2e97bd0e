<script setup lang="ts">
import { STOCKED, type KindNeed, type Place } from '#core/cupboard';
import { nameOfOwn, propKind, type KnownKind, type PropKind } from '#core/props';
import AppIcon from '../shared/AppIcon.vue';
import NumberField from '../shared/fields/NumberField.vue';
import PropGlyph from '../shared/props/PropGlyph.vue';

/** What lies in a cupboard, kind by kind, and what a plan needs of it at the same moment. */
const { place, needs, accept } = defineProps<{
  place: Place;
  /** What a plan needs for its group; undefined while no plan is looked at. */
  needs: readonly KindNeed[] | undefined;
  accept: (name: string, patch: Partial<Place>) => string | undefined;
}>();

const firstState = (kind: KnownKind): string => Object.keys(propKind(kind).states)[0] ?? '';
function sizeOf(kind: KnownKind): string {
  const size = propKind(kind).states[firstState(kind)];
  return size ? `${size.widthCm} × ${size.depthCm} × ${size.heightCm} cm` : '';
}
const rows = STOCKED.map((kind) => ({
  kind,
  label: propKind(kind).plural,
  state: firstState(kind),
  size: sizeOf(kind),
}));
const needOf = (kind: PropKind): KindNeed | undefined => needs?.find((need) => need.kind === kind);
const short = (kind: PropKind, there: number): number => Math.max(0, (needOf(kind)?.group ?? 0) - there);
const setStock = (kind: KnownKind, count: number) =>
  accept('count stock', { stock: { ...place.stock, [kind]: count } });
const setOwn = (index: number, count: number) =>
  accept('count stock', { own: place.own.map((one, i) => (i === index ? { ...one, count } : one)) });
</script>

<template>
  <table class="figures stock">
    <thead>
      <tr>
        <th scope="col" colspan="2">Kind</th>
        <th scope="col">Measures</th>
        <th scope="col" class="number">There</th>
        <th v-if="needs" scope="col" class="number">Needed</th>
        <th v-if="needs" scope="col"><span class="sr-only">Whether it is enough</span></th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="{ kind, label, state, size } in rows"
        :key="kind"
        :class="{ none: !place.stock[kind] && !needOf(kind) }"
      >
        <td class="glyph"><PropGlyph :piece="{ kind, state }" :scale="0.7" /></td>
        <th scope="row">{{ label }}</th>
        <td class="quiet small">{{ size }}</td>
        <td class="number">
          <NumberField
            hide-label
            :label="`${label} there`"
            :model-value="place.stock[kind] ?? 0"
            :accept="(count) => setStock(kind, count)"
          />
        </td>
        <td v-if="needs" class="number">{{ needOf(kind)?.group ?? '' }}</td>
        <td v-if="needs" class="mark">
          <span v-if="short(kind, place.stock[kind] ?? 0) > 0" class="caution strong small">
            <AppIcon name="warn" :size="14" /> {{ short(kind, place.stock[kind] ?? 0) }} short
          </span>
        </td>
      </tr>
      <tr v-for="({ kind, count }, i) in place.own" :key="kind.label">
        <td class="glyph">
          <PropGlyph
            v-if="kind.faces[0]"
            :piece="{ kind: nameOfOwn(kind), state: kind.faces[0].label, size: kind.faces[0].size }"
            :scale="0.7"
          />
        </td>
        <th scope="row">{{ propKind(nameOfOwn(kind)).plural }} <span class="yours">your own</span></th>
        <td class="quiet small">
          {{ kind.faces[0]?.size.widthCm }} × {{ kind.faces[0]?.size.depthCm }} × {{ kind.faces[0]?.size.heightCm }} cm
        </td>
        <td class="number">
          <NumberField
            hide-label
            :label="`${kind.label} there`"
            :model-value="count"
            :accept="(pieces) => setOwn(i, pieces)"
          />
        </td>
        <td v-if="needs" class="number">{{ needOf(nameOfOwn(kind))?.group ?? '' }}</td>
        <td v-if="needs" class="mark">
          <span v-if="short(nameOfOwn(kind), count) > 0" class="caution strong small">
            <AppIcon name="warn" :size="14" /> {{ short(nameOfOwn(kind), count) }} short
          </span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.stock td,
.stock th {
  padding-top: 1px;
  padding-bottom: 1px;
}
.glyph {
  width: 48px;
}
.none th {
  font-weight: 400;
}
.stock :deep(input) {
  height: 26px;
  text-align: right;
}
.mark span {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  white-space: nowrap;
}
</style>
