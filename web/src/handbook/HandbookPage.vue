<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { handbookQuery } from '@/api/queries';

const { t } = useI18n();
const { data: book } = useQuery(handbookQuery());
const words = ref('');
const species = computed(() => book.value?.species.filter((s) => `${s.name} ${s.scientific}`.toLowerCase().includes(words.value.toLowerCase())) ?? []);
</script>

<template>
  <div class="stack">
    <h1>{{ t('station.handbook') }}</h1>
    <p class="soft">{{ t('handbook.intro') }}</p>
    <div v-if="book" class="bench">
      <section class="stack" aria-labelledby="sp-h">
        <h2 id="sp-h">{{ t('handbook.species') }}</h2>
        <label class="label">{{ t('handbook.find') }}<input v-model="words" class="field" /></label>
        <table>
          <tbody>
            <tr v-for="s in species" :key="s.id">
              <td>
                <RouterLink :to="{ name: 'species', params: { id: s.id } }">{{ s.name }}</RouterLink>
              </td>
              <td class="latin">{{ s.scientific }}</td>
              <td class="soft">{{ s.habit }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section class="stack why">
        <h2>{{ t('handbook.methods') }}</h2>
        <details v-for="m in book.methods" :key="m.id">
          <summary>
            <b>{{ m.name }}</b> <span class="soft small">{{ m.family }}</span>
          </summary>
          <ol>
            <li v-for="s in m.steps" :key="s">{{ s }}</li>
          </ol>
          <p class="small">{{ t('handbook.wrong') }} {{ m.mistakes.join(' ') }}</p>
        </details>
        <h2>{{ t('handbook.actives') }}</h2>
        <details v-for="a in book.actives" :key="a.id">
          <summary>
            <b>{{ a.name }}</b> <span class="soft small">{{ t('handbook.group', { n: a.group }) }}</span>
          </summary>
          <p class="small">
            {{ t(`handbook.selectivity.${a.selectivity}`) }}<template v-if="a.soilActive"> {{ t('handbook.soilActive') }}</template>
          </p>
          <ul>
            <li v-for="c in a.cautions" :key="c">{{ c }}</li>
          </ul>
        </details>
        <h2>{{ t('handbook.schools') }}</h2>
        <details v-for="s in book.schools" :key="s.id">
          <summary>
            <b>{{ s.name }}</b>
          </summary>
          <ul>
            <li v-for="c in s.choices" :key="c.id">
              {{ c.name }}<b v-if="c.default"> ({{ t('methods.ours') }})</b>
            </li>
          </ul>
          <p class="small">{{ s.reason }}</p>
        </details>
      </section>
    </div>
  </div>
</template>

<style scoped>
summary {
  min-height: 32px;
  cursor: pointer;
}
</style>
