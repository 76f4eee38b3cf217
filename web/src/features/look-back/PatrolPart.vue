<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { PATROL_FINDS } from '@/api/vocabulary';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import DayField from '@/components/form/DayField.vue';
import PickField from '@/components/form/PickField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

/** Looks at cleared ground, for as long as seed lasts in it; only then is the stand offered to be closed. */
const props = defineProps<{ stand: Schemas['Stand'] }>();
const { t } = useI18n();
const { format, mayWrite, today } = useSession();
const { busy, refusal, run, at } = useSubmit();
const closing = useSubmit();
const patrols = computed(() => props.stand.patrols ?? null);
const form = ref({ lookedOn: today(), found: 'none' as (typeof PATROL_FINDS)[number], count: '', text: '' });
const reason = ref('');
const keep = async (): Promise<void> => {
  const { lookedOn, found, count, text } = form.value;
  const kept = await run(() =>
    unwrap(
      api.POST('/stands/{stand}/patrols', {
        params: { path: { stand: props.stand.id } },
        body: {
          lookedOn,
          found,
          ...(found !== 'none' && /^\d+$/.test(count.trim()) ? { count: Number(count) } : {}),
          ...(text.trim() ? { text } : {}),
        },
      }),
    ),
  );
  if (kept) form.value = { lookedOn: today(), found: 'none', count: '', text: '' };
};
const close = (): Promise<unknown> =>
  closing.run(() =>
    unwrap(
      api.POST('/stands/{stand}/close', {
        params: { path: { stand: props.stand.id }, header: { 'If-Match': `"${props.stand.revision}"` } },
        body: { reason: reason.value },
      }),
    ),
  );
</script>

<template>
  <section v-if="patrols" class="stack" aria-labelledby="patrol-h">
    <h3 id="patrol-h">{{ t('patrol.heading') }}</h3>
    <p v-if="stand.closed" class="note">
      <b>{{ t('patrol.closed') }}</b> {{ stand.closedReason }}
    </p>
    <p>{{ format(patrols.text) }}</p>
    <p v-if="patrols.judgeAgain">{{ t('patrol.judgeAgain', { day: dayText(patrols.judgeAgain, true) }) }}</p>
    <template v-if="!stand.closed">
      <p :class="{ warn: patrols.due }">
        <b>{{ t(patrols.due ? 'patrol.due' : 'patrol.next', { day: dayText(patrols.next, true) }) }}</b>
      </p>
      <form v-if="mayWrite" class="stack" novalidate @submit.prevent="keep">
        <div class="row">
          <DayField v-model="form.lookedOn" :label="t('look.lookedOn')" :fault="at('/lookedOn')" />
          <TextField
            v-if="form.found !== 'none'"
            v-model="form.count"
            :label="t('patrol.count')"
            :fault="at('/count')"
            width="8em"
            inputmode="numeric"
          />
        </div>
        <PickField
          v-model="form.found"
          :label="t('patrol.found')"
          :options="PATROL_FINDS.map((f) => ({ value: f, label: t(`patrol.what.${f}`) }))"
        />
        <TextField v-model="form.text" :label="t('patrol.text')" :fault="at('/text')" maxlength="500" />
        <ActButton class="start" type="submit" :busy="busy">{{ t('patrol.keep') }}</ActButton>
        <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
      </form>
      <form v-if="patrols.mayClose && mayWrite" class="note stack" novalidate @submit.prevent="close">
        <p>{{ t('patrol.mayClose') }}</p>
        <TextField v-model="reason" :label="t('patrol.why')" :fault="closing.at('/reason')" maxlength="300" />
        <ActButton class="start" type="submit" :busy="closing.busy.value" :disabled="reason.trim() === ''">{{
          t('patrol.close')
        }}</ActButton>
      </form>
      <p v-else-if="!patrols.forGood" class="small soft">
        {{ t('patrol.notYet', { day: dayText(patrols.until, true) }) }}
      </p>
    </template>
    <ul v-if="patrols.looks.length" class="plain ruled">
      <li v-for="l in patrols.looks" :key="l.id">
        {{ dayText(l.lookedOn, true) }}: {{ t(`patrol.what.${l.found}`)
        }}<template v-if="l.count">, {{ l.count }}</template
        ><template v-if="l.text">. {{ l.text }}</template> <span class="soft small">{{ l.by }}</span>
      </li>
    </ul>
  </section>
</template>
