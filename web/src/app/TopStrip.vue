<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';
import { dayText } from '@/components/dates';
import HintTip from '@/components/feedback/HintTip.vue';
import ActButton from '@/components/form/ActButton.vue';
import { sendNow, useSending } from '@/features/field-mode/sending';

defineProps<{ stand: Schemas['Stand'] | null }>();
const emit = defineEmits<{ search: []; more: [] }>();
const { t } = useI18n();
const { user, units, change } = useSession();
const { state, unsent } = useSending();
</script>

<template>
  <div class="strip" role="region" :aria-label="t('frame.inHand')">
    <p class="hand">
      <template v-if="stand">
        <b>{{ stand.name }}</b>
        <span class="place">{{ stand.patch }}, {{ stand.ground }}</span>
        <HintTip :hint="t('frame.shiftHelp')">
          <span class="soft season" tabindex="0">
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
        </HintTip>
      </template>
      <span v-else class="soft">{{ t('frame.noStand') }}</span>
    </p>
    <div class="tools">
      <button v-if="unsent" type="button" class="unsent" @click="sendNow()">
        {{ t('fieldMode.unsent', { n: unsent }, unsent) }}
        <span class="visually-hidden">{{ t(`fieldMode.sending.${state}`) }}</span>
      </button>
      <HintTip :hint="t('frame.keySearch')">
        <ActButton quiet small @click="emit('search')">{{ t('frame.search') }}</ActButton>
      </HintTip>
      <HintTip :hint="t('frame.keyUnits')">
        <ActButton quiet small class="units" @click="change({ units: units === 'us' ? 'metric' : 'us' })"
          ><span class="visually-hidden">{{ t('frame.units') }}</span> {{ t(`frame.${units}`) }}</ActButton
        >
      </HintTip>
      <HintTip :hint="user?.email">
        <ActButton quiet small @click="emit('more')">{{ t('frame.more') }}</ActButton>
      </HintTip>
    </div>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  justify-content: space-between;
  align-items: center;
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
  min-width: 0;
}
.tools {
  display: flex;
  gap: 6px;
  align-items: center;
  flex: none;
}
.unsent {
  min-height: 32px;
  border: 1px solid var(--gorse);
  border-radius: var(--corner);
  background: var(--gorse-fill);
  font-size: var(--size-s);
  font-weight: 600;
}
/* one line: what is in hand, the search, the rest */
@media (max-width: 860px) {
  .strip {
    padding: 4px 10px;
    gap: 8px;
  }
  .hand {
    display: block;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .place {
    margin-left: 8px;
    font-size: var(--size-s);
  }
  .season,
  .units {
    display: none;
  }
}
@media print {
  .strip {
    display: none;
  }
}
</style>
