<script setup lang="ts">
import Button from 'primevue/button';
import { CONSENT, screeningQuestions, STOP_SIGNS } from '#core/caution';
import AppIcon from '../../../ui/AppIcon.vue';
import BackLink from '../../../ui/BackLink.vue';
import { useKnowledge } from '../../../state/knowledge';

/** The screening form to print and fill in with a pen. It carries nobody's data. */
const groups = screeningQuestions(useKnowledge().knowledge);
const print = (): void => window.print();
</script>

<template>
  <main class="sheet paper">
    <p class="screen-only bar">
      <BackLink to="/people" label="People" />
      <Button size="small" label="Print" @click="print"
        ><template #icon><AppIcon name="print" /></template
      ></Button>
      <span class="quiet small">Two pages. Type the answers on the person’s page, under “Screening form”.</span>
    </p>
    <h1>Before the first class</h1>
    <p class="lead">
      Tick all that apply. If you tick anything, ask a doctor or licensed practitioner first whether this practice suits
      you. {{ STOP_SIGNS }}
    </p>
    <p class="lines"><span>Name</span><span>Date</span></p>
    <div class="columns">
      <section v-for="group in groups" :key="group.area">
        <h2>{{ group.title }}</h2>
        <p v-for="question in group.questions" :key="question.id" class="question">
          <span class="box" />
          <span
            >{{ question.question }}
            <span v-for="degree in question.degrees" :key="degree.id" class="degree quiet"
              >◦ {{ degree.words }}</span
            ></span
          >
        </p>
      </section>
    </div>
    <p class="lines wide"><span>Anything else</span></p>
    <p class="consent">
      <span class="box" /> <span>{{ CONSENT }}</span>
    </p>
    <p class="lines"><span>Signature</span></p>
  </main>
</template>

<style scoped>
.paper {
  max-width: 900px;
  padding: 10px 32px 40px;
}
.bar {
  display: flex;
  gap: 16px;
  align-items: center;
}
h1 {
  font-size: 24px;
  line-height: 30px;
}
h2 {
  margin-top: 0;
  font-size: 15px;
  line-height: 19px;
}
.lead {
  font-size: 13.5px;
  line-height: 17px;
}
.columns {
  columns: 2;
  column-gap: 28px;
}
section {
  break-inside: avoid;
  padding-top: 4px;
}
.question,
.consent {
  display: grid;
  grid-template-columns: 12px minmax(0, 1fr);
  gap: 7px;
  padding: 1.5px 0;
  break-inside: avoid;
  font-size: 13px;
  line-height: 16px;
}
.degree {
  margin-left: 6px;
}
.box {
  width: 11px;
  height: 11px;
  margin-top: 2px;
  border: 1px solid var(--ink);
}
.lines {
  display: flex;
  gap: 20px;
  padding: 10px 0 6px;
}
.lines span {
  flex: 1;
  border-bottom: 1px solid var(--ink);
  font-size: 13px;
}
@media print {
  .paper {
    color: #000;
  }
  .question,
  .consent,
  .lead {
    font-size: 10.5px;
    line-height: 12.5px;
  }
  h2 {
    font-size: 12px;
    line-height: 14px;
  }
}
@media (width < 640px) {
  .columns {
    columns: 1;
  }
}
</style>
