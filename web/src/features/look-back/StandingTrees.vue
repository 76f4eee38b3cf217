<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

/** Trees that the work left dying on their feet: looked at every year, until they are down. */
const props = defineProps<{ trees: NonNullable<Schemas['Record']['standing']> }>();
const { t } = useI18n();
const { format, mayWrite } = useSession();
const { busy, refusal, run } = useSubmit();
const say = (state: 'looked' | 'down'): Promise<unknown> =>
  run(() =>
    unwrap(api.PUT('/standing-trees/{standing}', { params: { path: { standing: props.trees.id } }, body: { state } })),
  );
</script>

<template>
  <section class="stack" aria-labelledby="standing-h">
    <h3 id="standing-h">{{ t('standing.heading', { n: trees.count }, trees.count) }}</h3>
    <p v-if="trees.downOn">{{ t('standing.downSince', { day: dayText(trees.downOn, true) }) }}</p>
    <template v-else>
      <p>
        {{ t(trees.snags ? 'standing.snags' : 'standing.dying', { day: dayText(trees.since, true) }) }}
        <template v-if="trees.reach">{{ t('standing.reach', { reach: format(trees.reach) }) }}</template>
      </p>
      <p class="small soft">
        {{ trees.lookedOn ? t('standing.lookedOn', { day: dayText(trees.lookedOn, true) }) : t('standing.never') }}
        {{ t('standing.lookBy', { day: dayText(trees.lookBy, true) }) }}
      </p>
      <div v-if="mayWrite" class="row">
        <ActButton small :disabled="busy" @click="say('looked')">{{ t('standing.looked') }}</ActButton>
        <ActButton small :disabled="busy" @click="say('down')">{{ t('standing.down') }}</ActButton>
      </div>
      <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
    </template>
  </section>
</template>
