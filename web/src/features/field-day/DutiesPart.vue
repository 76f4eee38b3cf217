<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import DutyForm from './DutyForm.vue';

/** What is settled with others before the job: papers that are held, people who are told. */
const props = defineProps<{ stand: Schemas['Stand'] }>();
const { t } = useI18n();
const { format, mayWrite } = useSession();
const { busy, refusal, run } = useSubmit();
type Duty = Schemas['Duty'];
const key = (d: Duty): string => `${d.kind}|${d.keeper ?? ''}`;
const writing = ref('');

const said = (d: Duty): string => {
  const s = d.settled;
  if (!s) return '';
  const words = [
    t(`duty.${d.paper ? 'paper' : 'notice'}.${s.state}`, { who: s.who, day: dayText(s.on, true) }),
    s.number ? t('duty.numbered', { number: s.number }) : '',
    s.until ? t('duty.holdsTill', { day: dayText(s.until, true) }) : '',
    s.wholeGround && d.paper ? t('duty.ofGround') : '',
    s.boundaryChecked ? t('duty.walked') : '',
    s.text ?? '',
  ];
  return words.filter(Boolean).join(' ');
};
const takeBack = (id: string): Promise<unknown> =>
  run(() => unwrap(api.DELETE('/duties/{duty}', { params: { path: { duty: id } } })));
</script>

<template>
  <section v-if="stand.duties.length" class="stack" aria-labelledby="duties-h">
    <h2 id="duties-h">{{ t('duty.heading') }}</h2>
    <ul class="plain ruled">
      <li v-for="d in props.stand.duties" :key="key(d)" class="stack duty">
        <h3>
          {{ d.name[0]?.toUpperCase() }}{{ d.name.slice(1) }}<template v-if="d.keeper"> ({{ d.keeper }})</template>
        </h3>
        <p v-if="d.settled" :class="{ warn: d.open }">{{ said(d) }}</p>
        <p v-if="d.settled" class="small soft">{{ t('duty.writtenBy', { name: d.settled.by }) }}</p>
        <p v-if="d.takenBack" class="small">
          {{
            t('duty.wasTakenBack', { who: d.takenBack.who, name: d.takenBack.by, day: dayText(d.takenBack.on, true) })
          }}
        </p>
        <template v-if="d.open">
          <p class="small">{{ format(d.why) }}</p>
          <p v-if="d.by" class="small">
            <b>{{ t('duty.tellBy', { day: dayText(d.by, true) }) }}</b> {{ t('duty.tellByHelp') }}
          </p>
          <blockquote v-if="d.message && writing === key(d)" class="small said">{{ d.message }}</blockquote>
        </template>
        <DutyForm
          v-if="mayWrite && writing === key(d)"
          :stand="stand.id"
          :duty="d"
          :ground="stand.ground"
          :patch="stand.patch"
          @done="writing = ''"
        />
        <div v-else-if="mayWrite" class="row">
          <ActButton v-if="d.open" small @click="writing = key(d)">{{ t('duty.record') }}</ActButton>
          <ActButton v-if="d.settled" quiet small :disabled="busy" @click="takeBack(d.settled.id)">{{
            t('duty.takeBack')
          }}</ActButton>
        </div>
      </li>
    </ul>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
  </section>
</template>

<style scoped>
.duty {
  gap: 4px;
}
.said {
  margin: 0;
  padding-left: 12px;
  border-left: 2px solid var(--line);
}
</style>
