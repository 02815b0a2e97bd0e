<script setup lang="ts">
import type { Position } from '#core/catalogue';
import PositionFigure from '../../widgets/figures/PositionFigure.vue';
import { useLibrary } from '../../state/library';
import AppIcon from '../../ui/AppIcon.vue';
import SidesMark from './SidesMark.vue';
import { useOwnTags } from './use-own-tags';
import { propsInWords, rangeInWords } from './words';

const { entry, drawn = true } = defineProps<{
  entry: Position;
  /** Whether its figure is drawn yet. */
  drawn?: boolean;
}>();
const library = useLibrary();
const { isFavourite } = useOwnTags(() => entry.id);
</script>

<template>
  <li>
    <RouterLink :to="`/library/${entry.id}`" class="card">
      <span class="picture"
        ><PositionFigure v-if="drawn" :position="entry" :set-up="entry.setUps[0]?.items ?? []" label=""
      /></span>
      <strong
        >{{ entry.names.english }} <span v-if="library.ownEntry(entry.id)" class="yours">yours</span>
        <span v-if="isFavourite" class="star" role="img" aria-label="a favourite">
          <AppIcon name="favourite" :size="14" fill="currentColor" />
        </span>
      </strong>
      <span class="small quiet other">{{ entry.names.sanskrit || entry.names.yin }}</span>
      <span class="small facts">
        <SidesMark :sides="entry.sides" />
        <span>{{ rangeInWords(entry) }}</span>
        <span class="quiet props">{{ propsInWords(entry) }}</span>
      </span>
    </RouterLink>
  </li>
</template>

<style scoped>
li {
  /* Cards out of sight are laid out and painted when they come near. */
  content-visibility: auto;
  contain-intrinsic-size: auto 222px;
  border-right: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
}
.card {
  display: flex;
  flex-direction: column;
  height: 100%;
  padding: 8px 14px 10px;
  text-decoration: none;
}
.card:hover {
  background: var(--sheet);
}
.card:focus-visible {
  outline-offset: -3px;
  background: var(--sheet);
}
.picture {
  height: 138px;
  margin-bottom: 8px;
}
.star {
  display: inline-flex;
  vertical-align: -2px;
}
.other {
  min-height: 17px;
}
.facts {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-top: 4px;
  white-space: nowrap;
}
.props {
  overflow: hidden;
  margin-left: auto;
  text-overflow: ellipsis;
}
</style>
