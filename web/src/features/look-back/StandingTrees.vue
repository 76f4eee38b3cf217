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
const say = (down: boolean): Promise<unknown> =>
  run(() =>
    unwrap(
      api.POST('/standing-trees/{standing}/looks', {
        params: { path: { standing: props.trees.id } },
        body: { down },
      }),
    ),
  );
</script>

<template>
  <section class="stack" aria-labelledby="standing-h">
    <h3 id="standing-h">{{ t('standing.heading', { n: trees.count }, trees.count) }}</h3>
    <template v-if="trees.downOn">
      <p>{{ t('standing.downSince', { day: dayText(trees.downOn, true), name: trees.lookedBy ?? '' }) }}</p>
      <ActButton v-if="mayWrite" quiet small class="start" :disabled="busy" @click="say(false)">{{
        t('standing.stillUp')
      }}</ActButton>
    </template>
    <template v-else>
      <p>
        {{ t(trees.snags ? 'standing.snags' : 'standing.dying', { day: dayText(trees.since, true) }) }}
        <template v-if="trees.reach">{{ t('standing.reach', { reach: format(trees.reach) }) }}</template>
      </p>
      <p class="small soft">
        {{
          trees.lookedOn
            ? t('standing.lookedOn', { day: dayText(trees.lookedOn, true), name: trees.lookedBy ?? '' })
            : t('standing.never')
        }}
        {{ t('standing.lookBy', { day: dayText(trees.lookBy, true) }) }}
      </p>
      <div v-if="mayWrite" class="row">
        <ActButton small :disabled="busy" @click="say(false)">{{ t('standing.looked') }}</ActButton>
        <ActButton small :disabled="busy" @click="say(true)">{{ t('standing.down') }}</ActButton>
      </div>
    </template>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
  </section>
</template>
