<script setup lang="ts">
import { computed } from 'vue';
import { STOCKED, type KindNeed, type Place } from '#core/cupboard';
import { isCustomKind, customKindLabel, propKind, sizeOfPiece, type Sized } from '#core/props';
import AppIcon from '../../ui/AppIcon.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import PropGlyph from '../../widgets/props/PropGlyph.vue';
import { inUnit, lengthUnit } from '../../ui/lengths';
import RecordTable from '../../ui/RecordTable.vue';

/** What lies in a cupboard, kind by kind, and what a plan needs of it at the same moment. */
const { place, needs, accept } = defineProps<{
  place: Place;
  /** What a plan needs for its group; undefined while no plan is looked at. */
  needs: readonly KindNeed[] | undefined;
  accept: (name: string, patch: Partial<Place>) => string | undefined;
}>();

type Row = {
  id: string;
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
  return {
    id: piece.kind,
    piece,
    label: propKind(piece.kind).plural,
    own: isCustomKind(piece.kind),
    there,
    need,
    short,
    accept: set,
  };
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
  return size ? [size.widthCm, size.depthCm, size.heightCm].map(inUnit).join(' × ') + ` ${lengthUnit()}` : '';
}
const columns = computed(() => [
  { key: 'label', label: 'Kind', of: ({ label }: Row) => label },
  { key: 'measures', label: 'Measurements' },
  { key: 'there', label: 'Available', number: true, of: ({ there }: Row) => there },
  ...(needs
    ? [
        { key: 'need', label: 'Needed', number: true, of: ({ need }: Row) => need?.group ?? '' },
        { key: 'short', label: 'Enough?', of: ({ short }: Row) => short },
      ]
    : []),
]);
</script>

<template>
  <RecordTable class="stock" name="stock" label="Props" :columns="columns" :rows="rows" unsearched>
    <template #label="{ row }">
      <span class="kind" :class="{ none: row.there === 0 && !row.need }">
        <PropGlyph :piece="row.piece" :scale="0.7" />
        {{ row.label }} <span v-if="row.own" class="yours">custom</span>
      </span>
    </template>
    <template #measures="{ row }"
      ><span class="quiet small">{{ measures(row.piece) }}</span></template
    >
    <template #there="{ row }">
      <NumberField hide-label :label="`${row.label} available`" :model-value="row.there" :accept="row.accept" />
    </template>
    <template #short="{ row }">
      <span v-if="row.short > 0" class="caution strong small">
        <AppIcon name="warn" :size="14" /> {{ row.short }} short
      </span>
    </template>
  </RecordTable>
</template>

<style scoped>
.kind {
  display: grid;
  grid-template-columns: 62px auto auto 1fr;
  gap: 8px;
  align-items: center;
}
.kind :deep(svg) {
  justify-self: center;
}
.none {
  color: var(--ink-2);
  font-weight: 400;
}
.stock :deep(input) {
  width: 56px;
  text-align: right;
}
.caution {
  display: flex;
  gap: 4px;
  align-items: center;
  white-space: nowrap;
}
</style>
