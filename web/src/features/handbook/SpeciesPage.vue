<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { shedQuery, speciesQuery } from '@/api/queries';
import { monthDayText } from '@/components/dates';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import PlantDrawing from '@/components/figures/PlantDrawing.vue';
import type { Time } from '@/components/figures/plant';
import PickField from '@/components/form/PickField.vue';
import FieldCard from './FieldCard.vue';
import { harmOf } from './harm';
import StateList from './StateList.vue';

const props = defineProps<{ id: string }>();
const { t, te } = useI18n();
const { user, units } = useSession();
const { busy, refusal, run } = useSubmit();
const { data: s, error } = useQuery(computed(() => speciesQuery(props.id)));
const { data: shed } = useQuery(shedQuery());
const event = (name: string): string => (te(`handbook.event.${name}`) ? t(`handbook.event.${name}`) : name);
const TIMES: readonly Time[] = ['leaf', 'flower', 'fruit', 'bare'];
const time = ref<Time>('flower');
const harm = computed(() => (s.value ? harmOf(s.value.drawing, t) : []));
const print = (): void => window.print();
const list = async (listing: 'protected' | 'regulated' | 'none'): Promise<void> => {
  // until the Shed's new revision is here too, a second press would be taken for somebody else's change
  await run(async () => {
    await unwrap(
      api.PUT('/handbook/species/{id}/listing', {
        params: { path: { id: props.id }, header: { 'If-Match': `"${shed.value?.revision ?? 0}"` } },
        body: { listing },
      }),
    );
  });
};
</script>

<template>
  <div class="stack species">
    <p>
      <RouterLink :to="{ name: 'handbook' }">{{ t('station.handbook') }}</RouterLink>
    </p>
    <LoadFault :of="error" />
    <template v-if="s">
      <h1>{{ s.name }}</h1>
      <p>
        <span class="latin">{{ s.scientific }}</span>, {{ s.family }} · {{ s.habit
        }}<template v-if="s.height">
          · {{ t('handbook.upTo', { height: s.height.told?.[units] ?? s.height.shown[units] }) }}</template
        ><b v-if="s.kept" class="kept"> · {{ s.kept }}</b>
      </p>
      <p v-if="s.listing" class="warn">
        <b>{{ t(`handbook.listing.${s.listing}`) }}</b>
      </p>
      <p v-for="h in s.hazards" :key="h" class="warn">{{ h }}</p>
      <div class="bench">
        <div class="stack">
          <div class="portrait">
            <figure class="stack">
              <PlantDrawing :drawing="s.drawing" :name="s.name" :time="time" />
              <figcaption class="small soft">{{ t('plant.notPortrait') }}</figcaption>
            </figure>
            <div class="stack">
              <PickField
                v-model="time"
                :label="t('plant.times')"
                :options="TIMES.map((x) => ({ value: x, label: t(`plant.time.${x}`) }))"
              />
              <p v-for="l in harm" :key="l" class="harm small">
                <b>{{ l }}</b>
              </p>
              <ActButton quiet small class="start no-print" @click="print">{{ t('plant.card') }}</ActButton>
            </div>
          </div>
          <p>{{ s.why }}</p>
          <p>{{ s.mechanical }}</p>
          <p class="soft">{{ s.lookFirst }} {{ s.origin }}</p>
          <p class="small">{{ t('handbook.troubles') }} {{ s.settings.join(', ') }}.</p>
          <p v-if="s.instead" class="small">{{ t('handbook.plantInstead') }} {{ s.instead }}.</p>
          <p class="small">{{ t('handbook.alsoCalled') }} {{ s.names.join(', ') }}</p>
          <section v-if="s.lookAlikes.length" class="stack" aria-labelledby="la-h">
            <h2 id="la-h">{{ t('handbook.lookAlikes') }}</h2>
            <ul class="plain ruled">
              <li v-for="l in s.lookAlikes" :key="l.id">
                <RouterLink :to="{ name: 'species', params: { id: l.id } }"
                  ><b>{{ l.name }}</b></RouterLink
                >
                <span class="latin soft small"> {{ l.scientific }}</span>
                <b v-if="l.danger !== 'none'" class="small" :class="l.danger === 'hazardous' ? 'danger' : 'kept'">
                  {{ t(`handbook.danger.${l.danger}`) }}</b
                >
                <div class="pair">
                  <figure>
                    <PlantDrawing :drawing="s.drawing" :name="s.name" :time="time" :differs="l.differs" />
                    <figcaption class="small">{{ s.name }}</figcaption>
                  </figure>
                  <figure>
                    <PlantDrawing :drawing="l.drawing" :name="l.name" :time="time" :differs="l.differs" />
                    <figcaption class="small">{{ l.name }}</figcaption>
                  </figure>
                </div>
                <p class="small">
                  {{
                    l.differs.length
                      ? t('plant.apart', { what: l.differs.map((c) => t(`character.${c}`)).join(', ') })
                      : t('plant.noneApart')
                  }}
                </p>
                <p v-for="x in l.tests" :key="x.question" class="small">
                  {{ x.question }} {{ t('handbook.testPoints', { yes: x.yes, no: x.no }) }}
                </p>
                <RouterLink class="small" :to="{ name: 'compare', query: { species: `${s.id},${l.id}` } }">{{
                  t('scout.sideBySide')
                }}</RouterLink>
              </li>
            </ul>
          </section>
          <section class="stack" aria-labelledby="looks-h">
            <h2 id="looks-h">{{ t('compare.looks') }}</h2>
            <table>
              <tbody>
                <tr v-for="c in s.characters" :key="c.id">
                  <td class="what">{{ t(`character.${c.id}`) }}</td>
                  <td><StateList :character="c.id" :states="c.states" /></td>
                </tr>
              </tbody>
            </table>
          </section>
        </div>
        <div class="why stack">
          <table>
            <tbody>
              <tr>
                <td>{{ t('handbook.root') }}</td>
                <td>{{ s.root }}{{ s.rootSuckering ? `, ${t('handbook.suckers')}` : '' }}</td>
              </tr>
              <tr v-for="f in s.facts" :key="f.id">
                <td>{{ t(`handbook.fact.${f.id}`) }}</td>
                <td>
                  <template v-if="f.value !== null">{{ f.value }}</template><span v-else class="soft">{{
                    t('handbook.notKnown')
                  }}</span>
                </td>
              </tr>
              <tr v-for="(day, name) in s.phenology" :key="name">
                <td>{{ event(String(name)) }}</td>
                <td>{{ monthDayText(day) }}</td>
              </tr>
            </tbody>
          </table>
          <p class="small soft">{{ t('handbook.dates') }}</p>
          <h2>{{ t('handbook.responses') }}</h2>
          <table>
            <tbody>
              <tr v-for="r in s.responses" :key="r.active">
                <td>{{ r.active }}</td>
                <td>{{ t(`handbook.effect.${r.effect}`) }}</td>
              </tr>
            </tbody>
          </table>
          <p class="small soft">{{ t('handbook.typical') }}</p>
          <template v-if="user?.role === 'lead' && shed">
            <h2>{{ t('handbook.law') }}</h2>
            <p class="small">{{ t('handbook.lawHelp') }}</p>
            <div class="row" role="group" :aria-label="t('handbook.law')">
              <ActButton
                v-for="l in ['none', 'regulated', 'protected'] as const"
                :key="l"
                small
                :class="{ main: (s.listing ?? 'none') === l }"
                :aria-pressed="(s.listing ?? 'none') === l"
                :disabled="busy"
                @click="list(l)"
                >{{ t(`handbook.listed.${l}`) }}</ActButton
              >
            </div>
            <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
          </template>
        </div>
      </div>
      <FieldCard :species="s" :harm="harm" />
    </template>
  </div>
</template>

<style scoped>
figure {
  margin: 0;
}
.portrait {
  display: grid;
  grid-template-columns: minmax(0, 240px) minmax(0, 1fr);
  gap: 24px;
  align-items: center;
}
.harm {
  border-left: 6px solid var(--haw);
  padding-left: 10px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 150px));
  gap: 24px;
}
.kept {
  color: var(--moss);
}
.danger {
  color: var(--haw);
}
.what {
  width: 130px;
}
@media print {
  .species > *:not(.field-card) {
    display: none;
  }
}
</style>
