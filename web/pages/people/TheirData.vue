<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { useToast } from 'primevue/usetoast';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { forgetPerson } from '../../client/people';
import { usePeople } from '../../state/people';
import ShareButton from '../../widgets/share/ShareButton.vue';
import { PERSON_FORMS, writePerson } from './share-person';

/** Everything that is stored about someone: handed to them, and forgotten for good. Both are explained first. */
const { id, name } = defineProps<{ id: string; name: string }>();
const emit = defineEmits<{ forgotten: [] }>();

const router = useRouter();
const people = usePeople();
const toast = useToast();
const asking = ref(false);
const wrong = ref('');

async function forget(): Promise<void> {
  try {
    const { swept, backupsLeft } = await forgetPerson(id);
    emit('forgotten');
    if (!swept || backupsLeft.length > 0) {
      const file = swept ? '' : 'Another program still has the database open; the rest is deleted when it is closed.';
      const backups =
        backupsLeft.length > 0 ? `They are still in ${backupsLeft.join(', ')}; delete that yourself.` : '';
      toast.add({
        severity: 'warn',
        summary: 'Forgotten, but not everywhere yet',
        detail: `${file} ${backups}`.trim(),
      });
    }
    people.changed();
    asking.value = false;
    await router.push('/people');
  } catch (error) {
    wrong.value = (error as Error).message;
  }
}
const ask = (): void => {
  [asking.value, wrong.value] = [true, ''];
};
</script>

<template>
  <section aria-label="Their data">
    <h2>Their data</h2>
    <p class="small quiet">
      Health notes stay in this database. No plan file, printout or link contains them; elsewhere people appear by their
      initials.
    </p>
    <p>
      <ShareButton
        header="Everything that is kept about them"
        label="Share their data"
        :name="name"
        :forms="PERSON_FORMS"
        :write="(form) => writePerson(form, id)"
        :inside="`Health notes are in it, in plain words: conditions, notes, measurements, groups and classes. Give it only to ${name}, and delete it where you no longer need it.`"
      />
      <button type="button" class="link-button caution forget" @click="ask">Forget for good</button>
    </p>
    <Dialog v-model:visible="asking" modal :header="`Forget ${name} for good?`" :style="{ width: '480px' }">
      <p>
        Their page, their place in groups and all decisions for them are deleted at once and cannot be recovered.
        Sessions stay, with one more unnamed person in them. To be able to restore them for 30 days, use the bin above
        instead.
      </p>
      <p v-if="wrong" class="caution" role="alert">{{ wrong }}</p>
      <template #footer>
        <Button text label="Keep them" @click="asking = false" />
        <Button label="Forget for good" @click="forget" />
      </template>
    </Dialog>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
  line-height: 24px;
}
button.forget {
  margin-left: 14px;
  color: var(--caution);
}
p {
  margin: 2px 0 6px;
}
</style>
