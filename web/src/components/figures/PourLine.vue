<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';
import { cupsOf } from './cups';

/**
 * What to pour, read off the tool in hand, load by load; the exact figure small beneath. Recipes kept before name no
 * tool and say the amount.
 */
const props = defineProps<{ recipe: Schemas['Recipe'] }>();
const { t } = useI18n();
const { format, units } = useSession();
interface Line {
  key: string;
  times: string | null;
  measured: string | null;
  tool: string;
  product: string | null;
  exact: string;
  coarse: boolean;
}
const lines = computed((): Line[] => {
  const { loads, products } = props.recipe;
  const several = (products?.length ?? 1) > 1;
  const many = loads.length > 1 || (loads[0]?.times ?? 1) > 1;
  const out = loads.flatMap((load, i) => {
    const cups = cupsOf(load, units.value);
    const poured = load.products?.length ? load.products : [{ what: 'product', product: '', amount: load.product }];
    return poured.map((p): Line => {
      const cup = cups.find((c) => c.what === p.what) ?? (several ? undefined : cups[0]);
      return {
        key: `${i}-${p.what}`,
        times: many ? t(load.part ? 'mix.pourPart' : 'mix.pourFull', { n: load.times }, load.times) : null,
        measured: cup?.measured ?? null,
        tool: cup?.tool ?? '',
        product: several ? p.product : null,
        exact: format(p.amount ?? (several ? null : props.recipe.product)),
        coarse: cup === undefined && load.measure !== undefined && p.amount !== null,
      };
    });
  });
  return out.length > 0
    ? out
    : [...(several ? (products ?? []) : [{ what: 'product', product: null, amount: props.recipe.product }])].map(
        (p) => ({
          key: p.what,
          times: null,
          measured: null,
          tool: '',
          product: several ? (p.product ?? null) : null,
          exact: format(p.amount),
          coarse: false,
        }),
      );
});
</script>

<template>
  <template v-for="l in lines" :key="l.key">
    <p class="pour">
      {{ l.measured ?? l.exact }}
      <span class="of">{{
        [l.product, l.measured ? t('mix.inTool', { tool: l.tool }) : null, l.times].filter(Boolean).join(', ')
      }}</span>
    </p>
    <p v-if="l.measured" class="small soft">{{ t('mix.exactly', { amount: l.exact }) }}</p>
    <p v-if="l.coarse" class="warn">{{ t('mix.tooCoarse', { amount: l.exact }) }}</p>
  </template>
</template>

<style scoped>
.of {
  font-size: var(--size-l);
  font-weight: 400;
}
</style>
