<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';

/** The sum of buying: a need, what is on the shelf, and the sizes that are to be had. */
const { t } = useI18n();
const { format } = useSession();
const { busy, refusal, run, at } = useSubmit();
const need = ref('');
const onShelf = ref('');
const packs = ref(Array.from({ length: 4 }, () => ({ size: '', price: '' })));
const found = ref<Schemas['Purchase'] | null>(null);
const solve = async (): Promise<void> => {
  const body = {
    need: need.value,
    ...(onShelf.value ? { onShelf: onShelf.value } : {}),
    packs: packs.value.filter((p) => p.size !== ''),
  };
  const done = await run(() => unwrap(api.POST('/mix/purchase', { body })));
  if (done) found.value = done;
};
</script>

<template>
  <h2>{{ t('sums.buy') }}</h2>
  <form class="stack" novalidate @submit.prevent="solve">
    <div class="row">
      <QuantityField v-model="need" :label="t('sums.needed')" :fault="at('/need')" width="9em" sample="7 L" />
      <QuantityField v-model="onShelf" :label="t('sums.onShelf')" :fault="at('/onShelf')" width="9em" sample="0.5 L" />
    </div>
    <div v-for="(p, i) in packs" :key="i" class="row">
      <QuantityField
        v-model="p.size"
        :label="t('sums.size')"
        :fault="at(`/packs/${i}/size`)"
        width="8em"
        sample="2.5 gal"
      />
      <TextField
        v-model="p.price"
        :label="t('sums.price')"
        :fault="at(`/packs/${i}/price`)"
        width="7em"
        inputmode="decimal"
      />
      <span class="fault">{{ at(`/packs/${i}`) }}</span>
    </div>
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    <ActButton main type="submit" :busy="busy">{{ t('sums.solve') }}</ActButton>
  </form>
  <div v-if="found" class="stack" aria-live="polite">
    <p class="pour">
      {{ found.bought.length ? found.bought.map((b) => `${b.count} × ${b.sold}`).join(' + ') : t('sums.nothing') }}
    </p>
    <p>
      {{ t('sums.cost') }} <b>{{ found.cost }}</b>. {{ t('sums.left', { left: format(found.left) }) }}
    </p>
    <p v-if="!found.proven" class="note small">{{ t('sums.notProven') }}</p>
  </div>
</template>
