<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import type { Schemas } from '@/api/client';
import { clearDrafts, countDrafts } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import { leave } from '@/features/session/leaving';
import { dayText } from '@/components/dates';

defineProps<{ stand: Schemas['Stand'] | null }>();
const emit = defineEmits<{ search: []; help: [] }>();
const { t } = useI18n();
const { user, units, change, set } = useSession();
const router = useRouter();
const client = useQueryClient();

const LIGHTS = ['day', 'sun', 'dusk'] as const;
const signOut = async (): Promise<void> => {
  const id = user.value?.id ?? '';
  if ((await countDrafts(id)) > 0) {
    if (!window.confirm(t('frame.unsent'))) return;
    await clearDrafts(id);
  }
  const out = await leave();
  client.clear();
  set(out);
  await router.push({ name: 'sign-in' });
};
</script>

<template>
  <div class="strip" role="region" :aria-label="t('frame.inHand')">
    <div class="hand">
      <template v-if="stand">
        <b>{{ stand.name }}</b>
        <span>{{ stand.patch }}, {{ stand.ground }}</span>
        <span class="soft season" :title="t('frame.shiftHelp')">
          {{ dayText(stand.season.day) }} ·
          {{
            stand.season.trusted
              ? t('frame.shift', {
                  days: Math.abs(stand.season.shiftDays),
                  way: stand.season.shiftDays < 0 ? t('frame.earlier') : t('frame.later'),
                })
              : t('frame.shiftUnknown')
          }}
        </span>
      </template>
      <span v-else class="soft">{{ t('frame.noStand') }}</span>
    </div>
    <div class="tools">
      <button class="btn small quiet" type="button" :title="t('frame.keySearch')" @click="emit('search')">
        {{ t('frame.search') }}
      </button>
      <button
        class="btn small quiet"
        type="button"
        :title="t('frame.keyUnits')"
        @click="change({ units: units === 'us' ? 'metric' : 'us' })"
      >
        <span class="visually-hidden">{{ t('frame.units') }}</span>
        {{ units === 'us' ? t('frame.us') : t('frame.metric') }}
      </button>
      <label class="visually-hidden" for="light">{{ t('frame.light') }}</label>
      <select
        id="light"
        class="field light"
        :value="user?.light"
        @change="change({ light: ($event.target as HTMLSelectElement).value as 'day' })"
      >
        <option v-for="l in LIGHTS" :key="l" :value="l">{{ t(`frame.lights.${l}`) }}</option>
      </select>
      <button
        class="btn small quiet help"
        type="button"
        :aria-label="t('frame.help')"
        :title="t('frame.keyHelp')"
        @click="emit('help')"
      >
        ?
      </button>
      <button class="btn small quiet" type="button" :title="user?.email" @click="signOut">
        {{ t('frame.signOut') }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  justify-content: space-between;
  align-items: center;
  flex-wrap: wrap;
  gap: 6px 20px;
  padding: 8px 28px;
  border-bottom: 1px solid var(--rule);
  min-height: 52px;
}
.hand {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: baseline;
}
.tools {
  display: flex;
  gap: 6px;
  align-items: center;
}
.light {
  min-height: 32px;
  padding: 2px 6px;
  font-size: var(--size-s);
  border-color: var(--rule);
}
@media (max-width: 860px) {
  .strip {
    padding: 8px 14px;
  }
  .light {
    min-height: var(--touch);
  }
  .season,
  .help {
    display: none;
  }
  .tools {
    flex-wrap: wrap;
  }
}
@media print {
  .strip {
    display: none;
  }
}
</style>
