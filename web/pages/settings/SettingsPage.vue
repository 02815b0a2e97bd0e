<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import type { Settings, SecondSide } from '#core/settings';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import IconButton from '../../ui/IconButton.vue';
import DocumentStatus from '../../widgets/documents/DocumentStatus.vue';
import { usePageTitle } from '../../ui/page-title';
import { useUndoKeys } from '../../ui/use-undo-keys';
import { useSettings } from '../../state/settings';
import SampleHouse from '../../widgets/settings/SampleHouse.vue';
import UsualFields from '../../widgets/settings/UsualFields.vue';
import BackupSettings from './backup/BackupSettings.vue';
import BreathSettings from './BreathSettings.vue';
import CalendarSettings from './CalendarSettings.vue';
import DisplaySettings from './DisplaySettings.vue';
import LockFields from './LockFields.vue';
import SchoolSettings from './SchoolSettings.vue';

/** The settings in groups, one at a time, with the list of groups at the side. */
const GROUPS = [
  { id: 'display', label: 'Display and keyboard' },
  { id: 'plans', label: 'New plans' },
  { id: 'school', label: 'How you teach' },
  { id: 'breath', label: 'Breath' },
  { id: 'teaching', label: 'Teaching' },
  { id: 'lock', label: 'Lock' },
  { id: 'calendar', label: 'Calendar' },
  { id: 'backup', label: 'Backup' },
  { id: 'sample', label: 'Sample house' },
] as const;

const settings = useSettings();
void settings.ready();
const route = useRoute();
const group = computed(() => GROUPS.find(({ id }) => id === route.query.group) ?? GROUPS[0]);
usePageTitle(() => [group.value.label, 'Settings']);

const SECOND_SIDES: readonly { value: SecondSide; label: string }[] = [
  { value: 'always', label: 'automatically' },
  { value: 'ask', label: 'when I ask' },
  { value: 'never', label: 'never' },
];
const putBreath = (name: string, patch: Partial<Settings['breath']>): string | undefined =>
  settings.change(name, { ...settings.current, breath: { ...settings.current.breath, ...patch } });
const setSecondSide = (secondSide: SecondSide) =>
  settings.change('second side', { ...settings.current, teach: { ...settings.current.teach, secondSide } });

useUndoKeys(settings.undo, settings.redo);
</script>

<template>
  <main class="settings">
    <header>
      <h1>Settings</h1>
      <span class="small quiet" role="status">{{ settings.isSaving ? 'Saving…' : '' }}</span>
      <IconButton icon="undo" label="Undo" hint="Undo (Ctrl Z)" :disabled="!settings.canUndo" @click="settings.undo" />
      <IconButton
        icon="redo"
        label="Redo"
        hint="Redo (Ctrl Shift Z)"
        :disabled="!settings.canRedo"
        @click="settings.redo"
      />
    </header>
    <nav aria-label="Groups of settings">
      <RouterLink
        v-for="{ id, label } in GROUPS"
        :key="id"
        :to="{ query: { group: id } }"
        replace
        :class="{ on: id === group.id }"
        :aria-current="id === group.id ? 'page' : undefined"
        >{{ label }}</RouterLink
      >
    </nav>
    <section :aria-label="group.label">
      <h2 class="sr-only">{{ group.label }}</h2>
      <DocumentStatus
        noun="settings"
        :trouble="settings.trouble"
        :conflict="settings.conflict"
        :resolve="settings.resolve"
        @save="settings.save"
      />
      <DisplaySettings v-if="group.id === 'display'" />
      <SchoolSettings
        v-else-if="group.id === 'school'"
        :settings="settings.current"
        :accept="(name, next) => settings.change(name, next)"
      />
      <BreathSettings v-else-if="group.id === 'breath'" :breath="settings.current.breath" :accept="putBreath" />
      <FieldGroup
        v-else-if="group.id === 'teaching'"
        title="Second side"
        says="when you made the first side longer or shorter"
      >
        <span class="quiet">give the second side the same length</span>
        <ChoiceField
          label="Give the second side the same length"
          :options="SECOND_SIDES"
          :model-value="settings.current.teach.secondSide"
          @update:model-value="setSecondSide"
        />
      </FieldGroup>
      <FieldGroup v-else-if="group.id === 'plans'" title="New plans" says="what a new plan begins with">
        <UsualFields />
      </FieldGroup>
      <FieldGroup v-else-if="group.id === 'sample'" title="Sample house">
        <p>
          An invented community hall with three groups, their plans and six weeks of classes, to look around in. It
          stands beside your own data and can be removed again without touching it.
        </p>
        <SampleHouse class="sample" />
      </FieldGroup>
      <CalendarSettings v-else-if="group.id === 'calendar'" />
      <BackupSettings v-else-if="group.id === 'backup'" />
      <LockFields v-else />
    </section>
  </main>
</template>

<style scoped>
.settings {
  display: grid;
  grid-template-columns: 200px minmax(0, 720px);
  gap: 8px 48px;
  padding: 18px 32px 40px;
}
header {
  display: flex;
  grid-column: 1 / -1;
  gap: 4px;
  align-items: center;
}
h1 {
  margin-right: auto;
  font-size: 27px;
  line-height: 34px;
}
nav {
  display: flex;
  flex-direction: column;
}
nav a {
  padding: 7px 10px;
  border-left: 3px solid transparent;
  color: var(--ink-2);
  text-decoration: none;
}
nav a:hover {
  color: var(--ink);
}
nav .on {
  border-left-color: var(--ink);
  color: var(--ink);
  font-weight: 600;
}
@media (width < 760px) {
  .settings {
    grid-template-columns: minmax(0, 1fr);
    padding: 12px 16px 32px;
  }
  nav {
    flex-flow: row wrap;
  }
  nav a {
    border-bottom: 3px solid transparent;
    border-left: 0;
  }
  nav .on {
    border-bottom-color: var(--ink);
  }
}
</style>
