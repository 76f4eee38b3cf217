<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

/** What signed records say of the figures that plans go by; what is out of the common waits for a person. */
const props = defineProps<{ shed: Schemas['Shed']; mayChange: boolean }>();
const { t } = useI18n();
const { format } = useSession();
const { busy, refusal, run, at } = useSubmit();
type Lesson = Schemas['Lesson'];
const opened = ref('');
const why = ref('');
const isOpen = (l: Lesson): boolean => l.asked !== null && !l.answered;
const nameOf = (f: Lesson['figures'][number]): string =>
  f.below ? `${f.name} ${t('figures.below', { size: format(f.below) })}` : f.name;
const titleOf = (l: Lesson): string => t(`lessons.of.${l.of}`, { n: l.record });
const open = (l: Lesson): void => {
  opened.value = l.id;
  why.value = '';
};
const say = async (l: Lesson, counts: boolean): Promise<void> => {
  const done = await run(
    () =>
      unwrap(
        api.PUT('/shed/lessons/{lesson}', {
          params: { path: { lesson: l.id }, header: { 'If-Match': `"${props.shed.revision}"` } },
          body: { counts, why: why.value },
        }),
      ),
    t('form.kept'),
  );
  if (done) opened.value = '';
};
</script>

<template>
  <section class="stack" aria-labelledby="lessons-h">
    <h2 id="lessons-h">{{ t('lessons.heading') }}</h2>
    <p class="small soft">{{ t(shed.lessons.length ? 'lessons.how' : 'lessons.none') }}</p>
    <ul class="plain ruled">
      <li v-for="l in shed.lessons" :key="l.id" class="stack">
        <div>
          <b>{{ titleOf(l) }}</b>
          <span class="small soft"> {{ l.patch }}, {{ dayText(l.workedOn, true) }}</span>
          <ul class="plain small">
            <li v-for="f in l.figures" :key="f.path">
              {{ nameOf(f) }}: <b>{{ f.seen }}</b> {{ t('lessons.said', { planned: f.planned, unit: f.unit }) }}
            </li>
          </ul>
          <p v-if="isOpen(l)" class="asks">{{ t(`lessons.${l.asked}`) }}</p>
          <p v-else class="small">
            {{ t(l.counted ? 'lessons.counts' : 'lessons.leftOut')
            }}<template v-if="l.answered"
              >: {{ l.why }} <span class="soft">({{ l.by }})</span></template
            >
          </p>
        </div>
        <ActButton
          v-if="mayChange && opened !== l.id"
          small
          :quiet="!isOpen(l)"
          class="start"
          :aria-label="t('lessons.decideOf', { what: titleOf(l) })"
          @click="open(l)"
          >{{ t(isOpen(l) ? 'lessons.decide' : 'lessons.change') }}</ActButton
        >
        <form v-if="opened === l.id" class="stack" novalidate @submit.prevent>
          <TextField v-model="why" :label="t('lessons.why')" :fault="at('/why')" maxlength="500" />
          <div class="row">
            <ActButton main :busy="busy" @click="say(l, true)">{{ t('lessons.count') }}</ActButton>
            <ActButton :busy="busy" @click="say(l, false)">{{ t('lessons.leave') }}</ActButton>
            <ActButton quiet @click="opened = ''">{{ t('fieldMode.leaveIt') }}</ActButton>
          </div>
          <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
        </form>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.asks {
  color: var(--gorse);
  font-weight: 600;
}
</style>
