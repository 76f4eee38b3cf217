<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import { useSession } from '@/composables/useSession';
import RecordForm from '@/features/field-day/RecordForm.vue';
import { saidOf, stemsOf, ticksOf, workingOf } from './fieldLog';
import type { FieldNote, KeptDay } from './fieldStore';

/** After the work: what the day comes to, what two phones said differently, and on to the record. */
const props = defineProps<{ day: KeptDay; notes: FieldNote[]; by: string }>();
const emit = defineEmits<{ note: [kind: FieldNote['kind'], body: Record<string, unknown>] }>();
const { t } = useI18n();
const { format, mayWrite } = useSession();
const FIELDS = ['equipment', 'nozzle', 'leftover', 'remarks'] as const;
const stems = computed(() => stemsOf(props.notes));
const nameOf = (key: string): string => {
  const found = props.day.sheet.snapshot.field?.groups.find((g) => g.key === key);
  return found ? format(found.name) : key;
};
const said = (name: string): FieldNote[] => saidOf(props.notes, name);
const values = (name: string): string[] => [...new Set(said(name).map((n) => String(n.value)))];
const typed = ref<Record<string, string>>({});
const say = (name: string, value: string): void => {
  emit('note', 'say', { field: name, value, over: said(name).map((n) => n.id) });
  typed.value = { ...typed.value, [name]: '' };
};
/** Ticked by whoever's work it is: each cleans what is theirs. */
const ticks = computed(() => ticksOf(props.notes));
const cleaned = computed(
  () =>
    new Set(
      (props.day.sheet.snapshot.cleanUp ?? [])
        .map((c) => c.code)
        .filter((code) => ticks.value.has(`cleanup.${code}|${props.by}`)),
    ),
);
const clean = (code: string, on: boolean): void => emit('note', 'tick', { what: `cleanup.${code}`, on });
const writing = ref(false);
const crew = computed(() => props.day.people.map((name) => ({ name })));
const working = computed(() => [...workingOf(props.notes)]);
</script>

<template>
  <section class="stack" aria-labelledby="close-h">
    <h2 id="close-h">{{ t('fieldMode.sum') }}</h2>
    <p v-if="working.length" class="note">{{ t('fieldMode.stillWorking', { names: working.join(', ') }) }}</p>
    <ul class="plain ruled">
      <li v-for="(of, key) in stems" :key="key">
        <b>{{ nameOf(String(key)) }}</b>: {{ t('fieldMode.treatedN', { n: of.treated })
        }}<template v-if="of.left">, {{ t('fieldMode.left', { n: of.left }) }}</template>
      </li>
    </ul>
    <template v-if="day.sheet.snapshot.cleanUp?.length">
      <h3>{{ t('field.cleanUp') }}</h3>
      <ul class="plain ruled ticks">
        <li v-for="c in day.sheet.snapshot.cleanUp" :key="c.code">
          <TickField :model-value="cleaned.has(c.code)" @update:model-value="clean(c.code, $event === true)">{{
            c.name
          }}</TickField>
        </li>
      </ul>
    </template>
    <div v-for="name in FIELDS" :key="name" class="stack">
      <template v-if="values(name).length > 1">
        <p class="warn" role="alert">{{ t('fieldMode.differ', { what: t(`fieldMode.fields.${name}`) }) }}</p>
        <ul class="plain ruled">
          <li v-for="n in said(name)" :key="n.id" class="row">
            <span
              ><b>{{ n.value }}</b> <span class="small soft">{{ n.by }}</span></span
            >
            <ActButton small @click="say(name, String(n.value))">{{ t('fieldMode.thisOne') }}</ActButton>
          </li>
        </ul>
      </template>
      <p v-else-if="values(name).length">
        {{ t(`fieldMode.fields.${name}`) }}: <b>{{ values(name)[0] }}</b>
      </p>
      <form class="row" novalidate @submit.prevent="say(name, typed[name] ?? '')">
        <TextField v-model="typed[name]" :label="t(`fieldMode.fields.${name}`)" maxlength="1000" />
        <ActButton type="submit" quiet :disabled="!(typed[name] ?? '').trim()">{{ t('fieldMode.keep') }}</ActButton>
      </form>
    </div>
    <details
      v-if="!day.signed && mayWrite"
      :open="writing"
      @toggle="writing = ($event.target as HTMLDetailsElement).open"
    >
      <summary class="btn main">{{ t('fieldMode.toRecord') }}</summary>
      <RecordForm v-if="writing" :sheet="day.sheet" :time-zone="day.timeZone" :crew="crew" :notes="notes" />
    </details>
  </section>
</template>
