<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, Refusal, unwrap } from '@/api/client';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';

const emit = defineEmits<{ done: [given: boolean] }>();
const { t } = useI18n();
const password = ref('');
const fault = ref('');
const give = async (): Promise<void> => {
  try {
    await unwrap(api.POST('/session/password', { body: { password: password.value } }));
    emit('done', true);
  } catch (e) {
    fault.value = e instanceof Refusal ? e.message : '';
    if (!(e instanceof Refusal)) throw e;
  }
};
</script>

<template>
  <el-dialog :model-value="true" :title="t('password.title')" width="420" @close="emit('done', false)">
    <form class="stack" @submit.prevent="give">
      <p>{{ t('password.why') }}</p>
      <TextField
        v-model="password"
        :label="t('password.label')"
        :fault="fault"
        type="password"
        autocomplete="current-password"
        autofocus
      />
      <ActButton main type="submit">{{ t('password.give') }}</ActButton>
    </form>
  </el-dialog>
</template>
