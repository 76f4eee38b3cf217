<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, defineAsyncComponent, ref, watch, watchEffect } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { standQuery } from '@/api/queries';
import { useSession } from '@/composables/useSession';
import { sendFor } from '@/features/field-mode/sending';
import { passwordAsked } from '@/features/session/password';
import { useHand } from './hand';
import { partWords, speak, spoken } from './language';
import StemRail from './StemRail.vue';
import TopStrip from './TopStrip.vue';
import { useKeys } from './useKeys';

// what floats comes when it is asked for
const HelpDialog = defineAsyncComponent(() => import('./HelpDialog.vue'));
const MoreDialog = defineAsyncComponent(() => import('./MoreDialog.vue'));
const PasswordDialog = defineAsyncComponent(() => import('./PasswordDialog.vue'));
const SearchDialog = defineAsyncComponent(() => import('./SearchDialog.vue'));

const { t } = useI18n();
const route = useRoute();
const router = useRouter();
const hand = useHand();
const { session, user, units, change } = useSession();

const signedIn = computed(() => user.value !== null);
const { data: stand, error } = useQuery(
  computed(() => ({ ...standQuery(hand.standId ?? 'none'), enabled: signedIn.value && hand.standId !== null })),
);
watch(error, (e) => e && hand.take(null));
watchEffect(() => {
  if (session.value && !signedIn.value && route.name && !route.meta.open)
    void router.replace({ name: 'sign-in', query: { to: route.fullPath } });
  document.documentElement.dataset.light = user.value?.light ?? 'day';
  document.title =
    route.name && !route.meta.open ? `${t(`station.${String(route.name)}`)} · Gallant Thicket` : 'Gallant Thicket';
});
watch(
  () => user.value?.locale,
  (own) => own && own !== spoken() && void speak(own),
  { immediate: true },
);
// whose notes are sent: never anybody else's
watch(
  () => user.value?.id ?? null,
  (id) => void sendFor(id),
  { immediate: true },
);
const more = ref(false);
const { searching, helping } = useKeys({
  enabled: signedIn,
  stand: () => hand.standId,
  switchUnits: () => void change({ units: units.value === 'us' ? 'metric' : 'us' }),
});
</script>

<template>
  <el-config-provider :locale="partWords as never">
    <RouterView v-if="session && route.meta.open" />
    <template v-else-if="session && signedIn && route.meta.bare">
      <RouterView :key="route.path" />
      <PasswordDialog v-if="passwordAsked" @done="(given) => passwordAsked?.(given)" />
    </template>
    <div v-else-if="session && signedIn" class="frame">
      <a class="skip" href="#bench">{{ t('frame.skip') }}</a>
      <StemRail :stand="stand ?? null" />
      <TopStrip :stand="stand ?? null" @search="searching = true" @more="more = true" />
      <main id="bench" tabindex="-1"><RouterView :key="route.path" /></main>
      <SearchDialog v-if="searching" @close="searching = false" />
      <MoreDialog v-if="more" @close="more = false" @help="((more = false), (helping = true))" />
      <HelpDialog v-if="helping" @close="helping = false" />
      <PasswordDialog v-if="passwordAsked" @done="(given) => passwordAsked?.(given)" />
    </div>
    <p v-else class="wait" role="status">{{ t('frame.loading') }}</p>
  </el-config-provider>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template: auto 1fr / var(--rail) minmax(0, 1fr);
  min-height: 100vh;
}
main {
  padding: 20px 28px 56px;
  max-width: 1320px;
  outline: none;
  min-width: 0;
}
.wait {
  padding: 40px;
}
.skip {
  position: absolute;
  left: -999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 20;
  background: var(--paper);
  padding: 8px 12px;
}
@media (max-width: 860px) {
  .frame {
    grid-template: auto 1fr / minmax(0, 1fr);
    padding-bottom: 68px;
  }
  main {
    padding: 16px 14px 40px;
  }
}
</style>
