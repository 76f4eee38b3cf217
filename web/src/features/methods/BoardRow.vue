<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import VerdictMark from '@/components/figures/VerdictMark.vue';
import { useSession } from '@/composables/useSession';
import TickField from '@/components/form/TickField.vue';

defineProps<{ row: Schemas['BoardRow']; picked: boolean; compared: boolean; full: boolean }>();
defineEmits<{ pick: []; compare: [] }>();
const { t } = useI18n();
const { format } = useSession();
</script>

<template>
  <div class="line" :class="{ picked }">
    <button type="button" class="brow" :class="{ picked }" :aria-pressed="picked" @click="$emit('pick')">
      <span class="what"
        ><b>{{ row.method.name }}</b> {{ ' '
        }}<span v-if="row.active" class="soft small act-name"
          >{{ row.active.name }}{{ row.typical ? ` · ${t('methods.typical')}` : '' }}</span
        ></span
      >
      <span class="verd"
        ><VerdictMark :outcome="row.outcome" :name="row.outcomeName" /><span v-if="row.opens" class="small soft">
          {{ t('methods.opens', { day: row.opens.text }) }}</span
        ></span
      >
      <span class="lead small">{{ format(row.lead) }}</span>
      <span class="figs small soft">
        <span v-if="row.measures.control">{{ t('methods.control', row.measures.control) }} · </span
        ><span v-if="row.measures.hours">{{ t('methods.work', { time: format(row.measures.hours) }) }} · </span
        ><span>{{ t('methods.harm', { n: row.measures.harm }) }}</span
        ><span v-if="row.measures.keepInjury > 1"> · {{ t('methods.keepInjury', { n: row.measures.keepInjury }) }}</span
        ><span v-if="row.active"> · {{ row.active.kind }}, {{ t('methods.group', { group: row.active.group }) }}</span>
      </span>
    </button>
    <TickField class="beside" :model-value="compared" :disabled="full && !compared" @change="$emit('compare')"
      ><span class="visually-hidden">{{
        t('besides.tickOf', { name: row.active ? `${row.method.name}, ${row.active.name}` : row.method.name })
      }}</span></TickField
    >
  </div>
</template>

<style scoped>
.beside {
  padding: 4px 12px 0;
}
.brow {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 16px;
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  padding: 9px 10px;
  cursor: pointer;
}
.brow:hover {
  background: var(--lichen-deep);
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  border-top: 1px solid var(--rule);
}
.line.picked {
  background: var(--sloe-pale);
  box-shadow: inset 4px 0 0 var(--sloe);
}
.verd {
  text-align: right;
}
.act-name {
  margin-left: 8px;
}
.lead,
.figs {
  grid-column: 1 / 3;
}
</style>
