<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { INCIDENTS, SURFACES } from '@/api/vocabulary';
import ActButton from '@/components/form/ActButton.vue';
import PickField from '@/components/form/PickField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';
import type { FieldNote } from './fieldStore';

/** What happens on the way: a bottle filled, something spilt, anything worth a word. */
const props = defineProps<{ snapshot: Schemas['SheetSnapshot']; notes: FieldNote[] }>();
const emit = defineEmits<{ note: [kind: FieldNote['kind'], body: Record<string, unknown>] }>();
const { t } = useI18n();
const opened = ref<'refill' | 'incident' | 'note' | null>(null);
const amount = ref('');
const what = ref<(typeof INCIDENTS)[number]>('spill');
const on = ref<(typeof SURFACES)[number]>('soil');
const text = ref('');
const steps = computed(() => props.snapshot.field?.spill.find((s) => s.on === on.value)?.steps ?? []);
const keep = (): void => {
  if (opened.value === 'refill') emit('note', 'refill', { amount: amount.value });
  else if (opened.value === 'incident')
    emit('note', 'incident', {
      what: what.value,
      ...(what.value === 'spill' ? { on: on.value } : {}),
      text: text.value,
    });
  else emit('note', 'note', { text: text.value });
  amount.value = text.value = '';
  opened.value = null;
};
</script>

<template>
  <section class="stack" aria-labelledby="happened-h">
    <h2 id="happened-h">{{ t('fieldMode.happened') }}</h2>
    <div v-if="!opened" class="row">
      <ActButton v-if="snapshot.recipe" @click="opened = 'refill'">{{ t('fieldMode.refill') }}</ActButton>
      <ActButton @click="opened = 'incident'">{{ t('fieldMode.incident') }}</ActButton>
      <ActButton quiet @click="opened = 'note'">{{ t('fieldMode.note') }}</ActButton>
    </div>
    <form v-else class="stack" novalidate @submit.prevent="keep">
      <QuantityField v-if="opened === 'refill'" v-model="amount" :label="t('fieldMode.filled')" sample="1 qt" />
      <template v-if="opened === 'incident'">
        <PickField
          v-model="what"
          :label="t('fieldMode.what')"
          :options="INCIDENTS.map((k) => ({ value: k, label: t(`fieldMode.incidents.${k}`) }))"
        />
        <template v-if="what === 'spill'">
          <PickField
            v-model="on"
            :label="t('fieldMode.spiltOn')"
            :options="SURFACES.map((s) => ({ value: s, label: t(`fieldMode.surfaces.${s}`) }))"
          />
          <div class="warn">
            <ol>
              <li v-for="step in steps" :key="step">{{ step }}</li>
            </ol>
          </div>
        </template>
        <p v-else-if="what === 'exposure' || what === 'injury'" class="warn">
          {{ t('field.poison') }} <b>{{ snapshot.emergency.poisonCentre ?? t('field.poisonUnset') }}</b>.
          {{ snapshot.product?.firstAid }}
        </p>
      </template>
      <TextField v-if="opened !== 'refill'" v-model="text" :label="t('fieldMode.inWords')" maxlength="2000" />
      <div class="row">
        <ActButton main type="submit" :disabled="opened === 'refill' ? !amount.trim() : !text.trim()">{{
          t('fieldMode.keep')
        }}</ActButton>
        <ActButton quiet @click="opened = null">{{ t('fieldMode.leaveIt') }}</ActButton>
      </div>
    </form>
  </section>
</template>
