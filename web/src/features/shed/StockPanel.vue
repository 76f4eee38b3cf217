<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import DayField from '@/components/form/DayField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';

/** What stands on the shelf: each container with its level, what was drawn from it, and what to do with it. */
const props = defineProps<{ shed: Schemas['Shed'] }>();
const { t } = useI18n();
const { format, mayWrite } = useSession();
const { busy, refusal, run, at } = useSubmit();
type Container = Schemas['ShedContainer'];
const blank = () => ({
  cardId: props.shed.cards[0]?.id ?? '',
  size: '',
  left: '',
  lot: '',
  place: '',
  expiresOn: '',
  tare: '',
});
const form = ref(blank());
const adding = ref(false);
const put = async (): Promise<void> => {
  const f = form.value;
  const given = Object.fromEntries(
    (['left', 'lot', 'place', 'expiresOn', 'tare'] as const).filter((k) => f[k] !== '').map((k) => [k, f[k]]),
  );
  if (await run(() => unwrap(api.POST('/shed/containers', { body: { cardId: f.cardId, size: f.size, ...given } })))) {
    adding.value = false;
    form.value = blank();
  }
};
/** The container in hand, and what is said of it. */
const inHand = ref<string | null>(null);
const KINDS = ['measured', 'weighed', 'spilled', 'disposed'] as const;
const draw = ref({ kind: 'measured' as (typeof KINDS)[number], amount: '', reason: '' });
const take = (c: Container): void => {
  inHand.value = inHand.value === c.id ? null : c.id;
  draw.value = { kind: 'measured', amount: '', reason: '' };
};
const write = async (c: Container): Promise<void> => {
  const d = draw.value;
  const body = {
    kind: d.kind,
    ...(d.kind === 'weighed' ? { weight: d.amount } : { amount: d.amount }),
    ...(d.reason ? { reason: d.reason } : {}),
  };
  if (
    await run(() =>
      unwrap(api.POST('/shed/containers/{container}/draws', { params: { path: { container: c.id } }, body })),
    )
  )
    inHand.value = null;
};
const drop = (c: Container): Promise<unknown> =>
  run(() => unwrap(api.DELETE('/shed/containers/{container}', { params: { path: { container: c.id } } })));
const place = ref<Record<string, string>>({});
const move = (c: Container): Promise<unknown> =>
  run(() =>
    unwrap(
      api.PATCH('/shed/containers/{container}', {
        params: { path: { container: c.id }, header: { 'If-Match': `"${c.revision}"` } },
        body: {
          place: place.value[c.id] ?? c.place ?? '',
          ...(c.lot ? { lot: c.lot } : {}),
          ...(c.expiresOn ? { expiresOn: c.expiresOn } : {}),
        },
      }),
    ),
  );
/** One draw in a line: when, what, how much, by whom, for which mix, why. */
const drawn = (d: Schemas['Shed']['stock'][number]['draws'][number]): string => {
  const mix = d.batch ? ` (${t('stock.batch', { n: d.batch })}${d.recordId ? `, ${t('stock.recorded')}` : ''})` : '';
  return `${dayText(d.on)} ${t(`stock.kind.${d.kind}`)} ${d.typed}, ${d.by}${mix}${d.reason ? `: ${d.reason}` : ''}`;
};
</script>

<template>
  <div class="stack">
    <h2 class="visually-hidden">{{ t('shed.view.stock') }}</h2>
    <p class="soft small">{{ t('stock.help') }}</p>
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    <ul class="plain jugs">
      <li v-for="c in shed.stock" :key="c.id" class="jug">
        <svg viewBox="0 0 60 100" role="img" :aria-label="t('stock.level', { left: format(c.left), size: c.sold })">
          <path d="M22 4h16v12l14 12v66a3 3 0 0 1-3 3H11a3 3 0 0 1-3-3V28l14-12Z" class="wall" />
          <clipPath :id="`jug-${c.id}`">
            <path d="M22 4h16v12l14 12v66a3 3 0 0 1-3 3H11a3 3 0 0 1-3-3V28l14-12Z" />
          </clipPath>
          <rect
            x="0"
            :y="97 - Number(c.share) * 69"
            width="60"
            :height="Number(c.share) * 69"
            class="liquid"
            :clip-path="`url(#jug-${c.id})`"
          />
        </svg>
        <div class="stack" style="gap: 4px">
          <h3>{{ c.product }}</h3>
          <p>
            <b class="left">{{ format(c.left) }}</b> <span class="soft">{{ t('stock.of', { size: c.sold }) }}</span>
          </p>
          <p class="small">
            <template v-if="c.lot">{{ t('stock.lot', { lot: c.lot }) }} · </template
            ><template v-if="c.openedOn">{{ t('stock.opened', { day: dayText(c.openedOn, true) }) }} · </template
            >{{ c.expiresOn ? t('stock.expires', { day: dayText(c.expiresOn, true) }) : t('stock.noExpiry') }}
          </p>
          <p v-if="c.place" class="small">{{ c.place }}</p>
          <p
            v-if="c.advice"
            :class="c.advice.code === 'stock.expires-soon' || c.advice.code === 'stock.no-place' ? 'note' : 'warn'"
            class="small"
          >
            {{ c.advice.text }}
          </p>
          <div v-if="mayWrite" class="row">
            <ActButton small :aria-expanded="inHand === c.id" @click="take(c)">{{ t('stock.say') }}</ActButton>
            <ActButton v-if="c.left.value === '0'" quiet small :disabled="busy" @click="drop(c)">{{
              t('stock.gone')
            }}</ActButton>
          </div>
          <form v-if="inHand === c.id" class="stack" novalidate @submit.prevent="write(c)">
            <div class="row">
              <ChoiceField
                v-model="draw.kind"
                :label="t('stock.what')"
                :options="KINDS.map((k) => ({ value: k, label: t(`stock.kind.${k}`) }))"
              />
              <QuantityField
                v-model="draw.amount"
                :label="
                  t(
                    draw.kind === 'measured'
                      ? 'stock.leftNow'
                      : draw.kind === 'weighed'
                        ? 'stock.weight'
                        : 'stock.amount',
                  )
                "
                :fault="at('/amount') ?? at('/weight')"
                width="8em"
                :sample="draw.kind === 'weighed' ? '2.8 kg' : '1.2 L'"
              />
              <TextField v-model="draw.reason" :label="t('stock.reason')" maxlength="300" />
            </div>
            <div class="row">
              <ActButton small type="submit" :busy="busy">{{ t('stock.write') }}</ActButton>
              <TextField v-model="place[c.id]" :label="t('stock.place')" :placeholder="c.place ?? ''" maxlength="120" />
              <ActButton quiet small :disabled="busy || !place[c.id]" @click="move(c)">{{ t('stock.move') }}</ActButton>
            </div>
          </form>
          <details v-if="c.draws.length">
            <summary class="small">{{ t('stock.draws', { n: c.draws.length }, c.draws.length) }}</summary>
            <ul class="small">
              <li v-for="d in c.draws" :key="d.id">
                {{ drawn(d) }}
              </li>
            </ul>
          </details>
        </div>
      </li>
    </ul>
    <p v-if="shed.stock.length === 0">{{ t('stock.none') }}</p>
    <ActButton v-if="mayWrite && !adding && shed.cards.length" @click="adding = true">{{ t('stock.add') }}</ActButton>
    <form v-if="adding" class="stack sheetlike" novalidate @submit.prevent="put">
      <h3>{{ t('stock.add') }}</h3>
      <div class="row">
        <ChoiceField
          v-model="form.cardId"
          :label="t('stock.product')"
          :options="shed.cards.map((c) => ({ value: c.id, label: c.product }))"
        />
        <QuantityField
          v-for="f in ['size', 'left'] as const"
          :key="f"
          v-model="form[f]"
          :label="t(`stock.${f === 'size' ? 'size' : 'leftNow'}`)"
          :fault="at(`/${f}`)"
          width="8em"
          sample="5 L"
        />
        <TextField v-model="form.lot" :label="t('stock.lotNumber')" width="9em" />
        <DayField v-model="form.expiresOn" :label="t('stock.goodTill')" />
        <TextField v-model="form.place" :label="t('stock.place')" maxlength="120" />
        <QuantityField v-model="form.tare" :label="t('stock.tare')" :fault="at('/tare')" width="8em" sample="400 g" />
      </div>
      <div class="row">
        <ActButton main type="submit" :busy="busy">{{ t('stock.put') }}</ActButton><ActButton
          quiet
          @click="adding = false"
          >{{ t('frame.back') }}</ActButton
        >
      </div>
    </form>
  </div>
</template>

<style scoped>
.jugs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(360px, 100%), 1fr));
  gap: 20px 32px;
}
.jug {
  display: grid;
  grid-template-columns: 60px minmax(0, 1fr);
  gap: 16px;
  border-top: 2px solid var(--ink);
  padding-top: 10px;
  align-items: start;
}
.left {
  font-size: var(--size-l);
}
.wall {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 3;
}
.liquid {
  fill: var(--gorse-fill);
  stroke: none;
  mix-blend-mode: multiply;
}
summary {
  cursor: pointer;
  min-height: 28px;
}
</style>
