<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { useSession } from '@/composables/useSession';
import { useShed } from '@/composables/useShed';

/** How this crew works where practitioners differ, and how the owner stands to herbicide. */
const props = defineProps<{ shed: Schemas['Shed'] }>();
const { t } = useI18n();
const { isLead } = useSession();
const { refusal, keep } = useShed();
const { data: book } = useQuery(handbookQuery());
const choose = (body: { schools?: Record<string, string>; stance?: 'any' | 'least-hazard' | 'none'; fuelOil?: boolean }): Promise<boolean> =>
  keep(() => unwrap(api.PATCH('/shed/choices', { params: { header: { 'If-Match': `"${props.shed.revision}"` } }, body })));
/** Questions on which practitioners differ, by the work they bear on. */
const GROUPS: readonly { key: string; of: RegExp }[] = [
  { key: 'basal', of: /basal|beech/ },
  { key: 'cuts', of: /^injection|^clonal/ },
  { key: 'stump', of: /^stump/ },
  { key: 'girdle', of: /^girdle/ },
  { key: 'leaf', of: /^foliar|^mow-first|^single/ },
  { key: 'pull', of: /^deep|^leave|^pulled/ },
  { key: 'preventer', of: /^preventer/ },
  { key: 'after', of: /^refill|^bed-mulch/ },
  { key: 'people', of: /^glove|^own/ },
];
const schoolsOf = (of: RegExp) => (book.value?.schools ?? []).filter((s) => of.test(s.id));
const STANCES = ['any', 'least-hazard', 'none'] as const;
</script>

<template>
  <section class="stack narrow">
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
    <h2>{{ t('shed.choices') }}</h2>
    <label class="label"
      >{{ t('shed.stance')
      }}<select class="field" :disabled="!isLead" :value="shed.stance" @change="choose({ stance: ($event.target as HTMLSelectElement).value as 'any' })">
        <option v-for="s in STANCES" :key="s" :value="s">{{ t(`shed.stances.${s}`) }}</option>
      </select></label
    >
    <label class="ticked"
      ><input type="checkbox" :disabled="!isLead" :checked="shed.fuelOil" @change="choose({ fuelOil: ($event.target as HTMLInputElement).checked })" /> {{ t('shed.fuelOil') }}</label
    >
    <details v-for="g in GROUPS" :key="g.key">
      <summary>{{ t(`shed.groups.${g.key}`) }}</summary>
      <div class="stack folded">
        <label v-for="s in schoolsOf(g.of)" :key="s.id" class="label"
          >{{ s.name }}
          <select
            class="field"
            :disabled="!isLead"
            :value="shed.schools[s.id] ?? s.choices.find((c) => c.default)?.id"
            @change="choose({ schools: { [s.id]: ($event.target as HTMLSelectElement).value } })"
          >
            <option v-for="c in s.choices" :key="c.id" :value="c.id">{{ c.name }}</option>
          </select>
          <span class="soft" style="font-weight: 400">{{ s.reason }}</span>
        </label>
      </div>
    </details>
  </section>
</template>

<style scoped>
.narrow {
  max-width: 760px;
}
summary {
  min-height: 36px;
  cursor: pointer;
  font-weight: 600;
}
.folded {
  padding: 4px 0 12px;
}
</style>
