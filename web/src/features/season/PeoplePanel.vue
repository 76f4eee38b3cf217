<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import DayField from '@/components/form/DayField.vue';
import FilesField from '@/components/form/FilesField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import PersonWeek from './PersonWeek.vue';
import type { Season } from './season';

/** Who works on which days of the week, how long, and when they are away. */
const props = defineProps<{ season: Season }>();
const { t } = useI18n();
const { mayWrite } = useSession();
const { busy, refusal, run, at } = useSubmit();
const blank = () => ({ person: '', first: '', last: '', note: '' });
const form = ref(blank());
const whose = ref(props.season.people[0]?.id ?? '');
const name = (id: string | null): string =>
  id === null ? t('season.everybody') : (props.season.people.find((p) => p.id === id)?.name ?? '');
const people = computed(() => props.season.people.map((p) => ({ value: p.id, label: p.name })));
const add = async (): Promise<void> => {
  const f = form.value;
  const done = await run(() =>
    unwrap(
      api.POST('/season-plan/away', {
        body: {
          person: f.person || null,
          first: f.first,
          last: f.last || f.first,
          ...(f.note.trim() ? { note: f.note } : {}),
        },
      }),
    ),
  );
  if (done) form.value = blank();
};
const drop = (id: string): Promise<unknown> =>
  run(() => unwrap(api.DELETE('/season-plan/away/{away}', { params: { path: { away: id } } })));
const read = async (files: File[]): Promise<void> => {
  const file = files[0];
  if (!file) return;
  const document = await file.text();
  await run(
    () => unwrap(api.POST('/season-plan/busy', { body: { person: whose.value, document } })),
    t('season.busyRead', { name: name(whose.value) }),
  );
};
</script>

<template>
  <div class="bench">
    <section class="stack" aria-labelledby="weeks-h">
      <h2 id="weeks-h">{{ t('season.weeks') }}</h2>
      <p class="small soft">{{ t('season.weeksHelp') }}</p>
      <ul class="plain ruled">
        <PersonWeek v-for="p in season.people" :key="`${p.id}-${p.revision}`" :person="p" />
      </ul>
    </section>
    <section class="stack why" aria-labelledby="away-h">
      <h2 id="away-h">{{ t('season.away') }}</h2>
      <p v-if="season.away.length === 0" class="soft">{{ t('season.nobodyAway') }}</p>
      <ul v-else class="plain ruled">
        <li v-for="a in season.away" :key="a.id" class="head">
          <span
            ><b>{{ name(a.person) }}</b
            >: {{ dayText(a.first) }}<template v-if="a.last !== a.first"> – {{ dayText(a.last) }}</template
            ><span v-if="a.note || a.source === 'calendar'" class="small soft">
              · {{ a.source === 'calendar' ? t('season.fromCalendar') : a.note }}</span
            ></span
          >
          <ActButton
            v-if="mayWrite"
            quiet
            small
            :disabled="busy"
            :aria-label="t('season.backOf', { name: name(a.person), day: dayText(a.first) })"
            @click="drop(a.id)"
            >{{ t('season.dropAway') }}</ActButton
          >
        </li>
      </ul>
      <form v-if="mayWrite" class="stack" novalidate @submit.prevent="add">
        <h3>{{ t('season.addAway') }}</h3>
        <ChoiceField
          v-model="form.person"
          :label="t('season.who')"
          width="16em"
          :options="[{ value: '', label: t('season.everybody') }, ...people]"
        />
        <div class="row">
          <DayField v-model="form.first" :label="t('season.from')" :fault="at('/first')" :from="season.day" />
          <DayField v-model="form.last" :label="t('season.until')" :fault="at('/last')" :from="form.first" />
        </div>
        <TextField v-model="form.note" :label="t('season.note')" maxlength="120" />
        <ActButton type="submit" :busy="busy" :disabled="!form.first">{{ t('season.addIt') }}</ActButton>
      </form>
      <div v-if="mayWrite" class="stack">
        <h3>{{ t('season.busy') }}</h3>
        <ChoiceField v-model="whose" :label="t('season.who')" width="16em" :options="people" />
        <FilesField
          :label="t('season.busyFile')"
          accept=".ics,text/calendar"
          :help="t('season.busyHelp')"
          :fault="at('/document')"
          :disabled="busy"
          @files="read"
        />
      </div>
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    </section>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: start;
}
</style>
