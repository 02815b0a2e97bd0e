<script setup lang="ts">
import { computed } from 'vue';
import { STOCKED, type KindNeed, type Place } from '#core/cupboard';
import { isCustomKind, customKindLabel, propKind, sizeOfPiece, type Sized } from '#core/props';
import AppIcon from '../../ui/AppIcon.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import PropGlyph from '../../widgets/props/PropGlyph.vue';

/** What lies in a cupboard, kind by kind, and what a plan needs of it at the same moment. */
const { place, needs, accept } = defineProps<{
  place: Place;
  /** What a plan needs for its group; undefined while no plan is looked at. */
  needs: readonly KindNeed[] | undefined;
  accept: (name: string, patch: Partial<Place>) => string | undefined;
}>();

type Row = {
  piece: Sized;
  label: string;
  own: boolean;
  there: number;
  need: KindNeed | undefined;
  short: number;
  accept: (count: number) => string | undefined;
};
function rowOf(piece: Sized, there: number, set: Row['accept']): Row {
  const need = needs?.find(({ kind }) => kind === piece.kind);
  const short = Math.max(0, (need?.group ?? 0) - there);
  return { piece, label: propKind(piece.kind).plural, own: isCustomKind(piece.kind), there, need, short, accept: set };
}
const rows = computed((): Row[] => [
  ...STOCKED.map((kind) =>
    rowOf({ kind, state: Object.keys(propKind(kind).states)[0] ?? '' }, place.stock[kind] ?? 0, (count) =>
      accept('count stock', { stock: { ...place.stock, [kind]: count } }),
    ),
  ),
  ...place.own.map(({ kind, count: there }, i) =>
    rowOf(
      { kind: customKindLabel(kind), state: kind.faces[0]?.label ?? '', size: kind.faces[0]?.size },
      there,
      (count) => accept('count stock', { own: place.own.map((one, at) => (at === i ? { ...one, count } : one)) }),
    ),
  ),
]);
function measures(piece: Sized): string {
  const size = sizeOfPiece(piece);
  return size ? `${size.widthCm} × ${size.depthCm} × ${size.heightCm} cm` : '';
}
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
      <tr v-for="row in rows" :key="row.piece.kind" :class="{ none: row.there === 0 && !row.need }">
        <td class="glyph"><PropGlyph :piece="row.piece" :scale="0.7" /></td>
        <th scope="row">{{ row.label }} <span v-if="row.own" class="yours">your own</span></th>
        <td class="quiet small">{{ measures(row.piece) }}</td>
        <td class="number">
          <NumberField hide-label :label="`${row.label} there`" :model-value="row.there" :accept="row.accept" />
        </td>
        <td v-if="needs" class="number">{{ row.need?.group ?? '' }}</td>
        <td v-if="needs" class="mark">
          <span v-if="row.short > 0" class="caution strong small">
            <AppIcon name="warn" :size="14" /> {{ row.short }} short
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
