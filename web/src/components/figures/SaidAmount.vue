<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';

/** A length or an area as people say it; a tap shows the exact figure, and another puts it back. */
const props = defineProps<{ of: Schemas['Quantity'] | null | undefined }>();
const { t } = useI18n();
const { format, units } = useSession();
const exact = ref(false);
const told = computed(() =>
  props.of?.told && props.of.told[units.value] !== props.of.shown[units.value] ? props.of.told[units.value] : null,
);
</script>

<template>
  <button
    v-if="told"
    type="button"
    class="said"
    :aria-label="
      t(exact ? 'said.round' : 'said.exact', { amount: exact ? format(of) : t('said.about', { amount: told }) })
    "
    @click.stop="exact = !exact"
  >
    {{ exact ? format(of) : t('said.about', { amount: told }) }}
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
