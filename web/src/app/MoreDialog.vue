<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { clearDrafts, countDrafts } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import { clearField, countUnsent } from '@/features/field-mode/fieldStore';
import { LOCALES, nameOf } from './language';
import { leave } from '@/features/session/leaving';
import ActButton from '@/components/form/ActButton.vue';
import PickField from '@/components/form/PickField.vue';

/** What is set once and rarely touched: light, units, who is signed in, the way out. */
const emit = defineEmits<{ close: []; help: [] }>();
const { t } = useI18n();
const { user, units, change, set } = useSession();
const router = useRouter();
const client = useQueryClient();
const LIGHTS = ['day', 'sun', 'dusk'] as const;
const UNITS = ['us', 'metric'] as const;
/** Notes of this device that would go with the person. */
const unsent = ref(0);
const signOut = async (): Promise<void> => {
  const id = user.value?.id ?? '';
  if (unsent.value === 0) {
    unsent.value = (await countDrafts(id)) + (await countUnsent(id));
    if (unsent.value > 0) return;
  } else await clearDrafts(id);
  await clearField(id);
  const out = await leave();
  client.clear();
  set(out);
  emit('close');
  await router.push({ name: 'sign-in' });
};
</script>

<template>
  <el-dialog :model-value="true" :title="t('frame.more')" width="420" @close="emit('close')">
    <div class="stack">
      <PickField
        :model-value="user?.light"
        :label="t('frame.light')"
        :help="t('frame.lightHelp')"
        :options="LIGHTS.map((l) => ({ value: l, label: t(`frame.lights.${l}`) }))"
        @change="change({ light: $event })"
      />
      <PickField
        :model-value="units"
        :label="t('frame.unitsOf')"
        :options="UNITS.map((u) => ({ value: u, label: t(`frame.${u}`) }))"
        @change="change({ units: $event })"
      />
      <PickField
        :model-value="user?.locale"
        :label="t('account.language')"
        :options="LOCALES.map((l) => ({ value: l, label: nameOf(l) }))"
        @change="change({ locale: $event })"
      />
      <p class="row">
        <RouterLink class="btn quiet small" :to="{ name: 'account' }" @click="emit('close')">{{
          t('account.title')
        }}</RouterLink>
        <RouterLink class="btn quiet small" :to="{ name: 'crew' }" @click="emit('close')">{{
          t('crew.title')
        }}</RouterLink>
      </p>
      <div class="row">
        <ActButton quiet small @click="emit('help')">{{ t('frame.help') }}</ActButton>
        <ActButton small @click="signOut">{{ unsent ? t('frame.signOutAll') : t('frame.signOut') }}</ActButton>
        <span class="small soft">{{ user?.email }}</span>
      </div>
      <p v-if="unsent" class="warn" role="alert">{{ t('frame.unsent', { n: unsent }, unsent) }}</p>
    </div>
  </el-dialog>
</template>
