<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { calendarQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import { useSubmit } from '@/composables/useSubmit';

/** One's own days as a file, or under a private address that a calendar program reads and that can be taken back. */
const { t } = useI18n();
const { busy, refusal, run } = useSubmit();
const { data } = useQuery(calendarQuery());
const changed = ref<Schemas['CalendarFeed'] | null>(null);
const feed = computed(() => changed.value ?? data.value ?? null);
const give = async (): Promise<void> => {
  changed.value = (await run(() => unwrap(api.POST('/session/calendar')))) ?? changed.value;
};
const takeBack = async (): Promise<void> => {
  changed.value = (await run(() => unwrap(api.DELETE('/session/calendar')))) ?? changed.value;
};
</script>

<template>
  <section class="stack" aria-labelledby="calendar-h">
    <h3 id="calendar-h">{{ t('calendar.title') }}</h3>
    <p class="small soft">{{ t('calendar.help') }}</p>
    <TextField v-if="feed?.address" :model-value="feed.address" :label="t('calendar.address')" readonly />
    <p v-if="feed?.address" class="small">{{ t('calendar.once') }}</p>
    <p v-else-if="feed?.given" class="small">
      {{ t('calendar.given', { day: dayText(feed.given.slice(0, 10), true) }) }}
      {{ feed.read ? t('calendar.read', { day: dayText(feed.read.slice(0, 10), true) }) : t('calendar.neverRead') }}
    </p>
    <div class="row">
      <a class="btn quiet small" href="/api/v1/calendar.ics" download="thicket.ics">{{ t('calendar.file') }}</a>
      <ActButton small :busy="busy" @click="give">{{ t(feed?.given ? 'calendar.anew' : 'calendar.give') }}</ActButton>
      <ActButton v-if="feed?.given" quiet small :disabled="busy" @click="takeBack">{{
        t('calendar.takeBack')
      }}</ActButton>
    </div>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
  </section>
</template>
