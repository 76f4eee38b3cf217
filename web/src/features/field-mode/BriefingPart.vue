<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import TickField from '@/components/form/TickField.vue';
import { useSession } from '@/composables/useSession';
import { isTicked, ticksOf } from './fieldLog';
import type { FieldNote, KeptDay } from './fieldStore';

/** Before anybody begins: what is ticked, the plant and its look-alike, what is kept, the emergency card. */
const props = defineProps<{ day: KeptDay; notes: FieldNote[]; by: string }>();
const emit = defineEmits<{ note: [kind: FieldNote['kind'], body: Record<string, unknown>] }>();
const { t } = useI18n();
const { format } = useSession();
const sheet = computed(() => props.day.sheet.snapshot);
const ticks = computed(() => ticksOf(props.notes));
const briefing = computed(() => sheet.value.field?.briefing ?? []);
const has = (one: (typeof briefing.value)[number]): boolean => isTicked(ticks.value, one, props.by);
const tick = (one: { code: string; each: boolean }, on: boolean): void => {
  if (on) return emit('note', 'tick', { what: one.code, on });
  // taken off by whoever set it
  const whose = one.each ? props.by : [...ticks.value].find((k) => k.startsWith(`${one.code}|`))?.split('|')[1];
  const of = props.notes.findLast((n) => n.kind === 'tick' && n.what === one.code && n.by === whose);
  if (of) emit('note', 'undo', { of: of.id });
};
const open = computed(() => briefing.value.filter((one) => !has(one)).length);
const clipped = (each: boolean) => briefing.value.filter((one) => one.each === each);
</script>

<template>
  <section class="stack" aria-labelledby="brief-h">
    <h2 id="brief-h">{{ open ? t('fieldMode.toTick', { n: open }, open) : t('fieldMode.ticked') }}</h2>
    <p v-for="l in sheet.lookAlikes" :key="l.name" class="warn">
      <b>{{ t('field.notTaken', { name: l.name }) }}</b> {{ l.tests.join(' ') }}
    </p>
    <p v-if="sheet.keepers.length">
      <b>{{ t('fieldMode.kept') }}</b>
      {{ sheet.keepers.map((k) => `${k.name} (${format(k.distance)}${k.side ? `, ${k.side}` : ''})`).join('; ') }}
    </p>
    <template v-for="each in [false, true]" :key="String(each)">
      <h3 v-if="clipped(each).length">{{ each ? t('fieldMode.each', { name: by }) : t('fieldMode.once') }}</h3>
      <ul v-if="clipped(each).length" class="plain ruled ticks">
        <li v-for="one in clipped(each)" :key="one.code">
          <TickField :model-value="has(one)" @update:model-value="tick(one, $event === true)">{{ one.name }}</TickField>
        </li>
      </ul>
    </template>
    <details class="warn">
      <summary>{{ t('field.emergency') }}</summary>
      <p>
        {{ t('field.poison') }} <b>{{ sheet.emergency.poisonCentre ?? t('field.poisonUnset') }}</b>
      </p>
      <p>{{ sheet.emergency.place }} ({{ sheet.emergency.position }})</p>
      <p v-if="sheet.product?.firstAid">{{ sheet.product.firstAid }}</p>
    </details>
    <details>
      <summary>{{ t('field.do') }}</summary>
      <ol>
        <li v-for="s in sheet.method.steps" :key="s">{{ s }}</li>
      </ol>
    </details>
    <details>
      <summary>{{ t('field.mind') }}</summary>
      <ul>
        <li v-for="c in sheet.cautions" :key="c">{{ c }}</li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
.ticks > li {
  padding: 4px 0;
}
summary {
  padding-block: 12px;
  font-weight: 650;
}
</style>
