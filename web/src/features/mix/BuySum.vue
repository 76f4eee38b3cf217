<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';

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
      <label class="label"
        >{{ t('sums.needed')
        }}<input
          v-model="need"
          class="field"
          style="width: 9em"
          placeholder="7 L"
          :aria-invalid="at('/need') !== null"
        /><span class="fault">{{ at('/need') }}</span></label
      >
      <label class="label"
        >{{ t('sums.onShelf')
        }}<input
          v-model="onShelf"
          class="field"
          style="width: 9em"
          placeholder="0.5 L"
          :aria-invalid="at('/onShelf') !== null"
        /><span class="fault">{{ at('/onShelf') }}</span></label
      >
    </div>
    <div v-for="(p, i) in packs" :key="i" class="row">
      <label class="label"
        >{{ t('sums.size')
        }}<input
          v-model="p.size"
          class="field"
          style="width: 8em"
          placeholder="2.5 gal"
          :aria-invalid="at(`/packs/${i}/size`) !== null"
      /></label>
      <label class="label"
        >{{ t('sums.price')
        }}<input
          v-model="p.price"
          class="field"
          style="width: 7em"
          inputmode="decimal"
          :aria-invalid="at(`/packs/${i}/price`) !== null"
      /></label>
      <span class="fault">{{ at(`/packs/${i}`) }}</span>
    </div>
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    <button class="btn main" type="submit" :disabled="busy">{{ t('sums.solve') }}</button>
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
