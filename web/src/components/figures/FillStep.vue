<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';
import SaidAmount from './SaidAmount.vue';
import { cupOf } from './cups';
import { useSaid } from './useSaid';

/** One thing that goes into the tank: product as the tool in hand measures it, all else up to a mark. */
const props = defineProps<{
  load: Pick<Schemas['Load'], 'measure'>;
  step: Schemas['Load']['steps'][number];
}>();
const { t } = useI18n();
const { format, units } = useSession();
const { mark } = useSaid();
const cup = computed(() => cupOf(props.load, props.step.what, units.value));
const filled = computed(() =>
  cup.value?.fullCups
    ? t('mixing.cups', {
        n: cup.value.fullCups,
        holds: cup.value.holds,
        last: cup.value.lastFill,
        tool: cup.value.tool,
      })
    : cup.value
      ? t('mix.inTool', { tool: cup.value.tool })
      : null,
);
</script>

<template>
  <span class="fill"
    ><b class="amount"
      ><template v-if="cup?.measured">{{ cup.measured }}</template
      ><SaidAmount v-else :of="step.amount"
    /></b>
    {{ step.name }}<br /><span class="small soft"
      ><template v-if="filled">{{ filled }}, {{ t('mix.exactly', { amount: format(step.amount) }) }} · </template
      >{{ t('mix.mark', { mark: mark(step.mark) }) }}</span
    ></span
  >
</template>
