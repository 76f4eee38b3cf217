<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';
import { useSaid } from './useSaid';

/** An amount as people say it; a tap shows the exact figure, and another puts it back. */
const props = defineProps<{ of: Schemas['Quantity'] | null | undefined }>();
const { t } = useI18n();
const { format } = useSession();
const { said } = useSaid();
const exact = ref(false);
const told = computed(() => said(props.of));
</script>

<template>
  <button
    v-if="told !== format(of)"
    type="button"
    class="said"
    :aria-label="t(exact ? 'said.round' : 'said.exact', { amount: exact ? format(of) : told })"
    @click.stop="exact = !exact"
  >
    {{ exact ? format(of) : told }}
  </button>
  <template v-else>{{ format(of) }}</template>
</template>

<style scoped>
.said {
  all: unset;
  cursor: pointer;
  text-decoration: underline dotted;
  text-underline-offset: 0.2em;
}
.said:focus-visible {
  outline: 3px solid var(--sloe);
  outline-offset: 2px;
}
</style>
