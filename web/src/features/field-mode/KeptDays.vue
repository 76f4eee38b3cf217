<script setup lang="ts">
import { liveQuery } from 'dexie';
import { onScopeDispose, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import TodayLine from '@/features/today/TodayLine.vue';
import { field, type KeptDay } from './fieldStore';

/** The jobs that this phone has with it: what is left of Today where there is no signal. */
const { t } = useI18n();
const { user } = useSession();
const days = shallowRef<KeptDay[]>([]);
let stop = (): void => {};
watch(
  () => user.value?.id,
  (me) => {
    stop();
    if (!me) return;
    const asked = liveQuery(() => field().days.where('user').equals(me).toArray()).subscribe(
      (all) =>
        (days.value = all
          .filter((d) => !d.signed)
          .sort((a, b) => a.sheet.snapshot.place.patch.localeCompare(b.sheet.snapshot.place.patch))),
    );
    stop = () => asked.unsubscribe();
  },
  { immediate: true },
);
onScopeDispose(() => stop());
</script>

<template>
  <section class="stack" aria-labelledby="kept-h">
    <h2 id="kept-h">{{ t('fieldMode.onPhone') }}</h2>
    <ul v-if="days.length" class="ruled lines">
      <TodayLine
        v-for="d in days"
        :key="d.key"
        :to="{ name: 'field', params: { sheet: d.sheet.id } }"
        :name="`${d.sheet.snapshot.method.name}, ${d.sheet.snapshot.target.name}`"
        :where="`${d.sheet.snapshot.place.patch}, ${d.sheet.snapshot.place.ground}`"
        >{{ d.withdrawn ? t('fieldMode.isWithdrawn') : dayText(d.sheet.snapshot.day) }}</TodayLine
      >
    </ul>
    <p v-else class="soft">{{ t('fieldMode.nothingOnPhone') }}</p>
  </section>
</template>
