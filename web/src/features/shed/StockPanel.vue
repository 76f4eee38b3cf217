<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

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
            <button class="btn small" type="button" :aria-expanded="inHand === c.id" @click="take(c)">
              {{ t('stock.say') }}
            </button>
            <button v-if="c.left.value === '0'" class="btn small quiet" type="button" :disabled="busy" @click="drop(c)">
              {{ t('stock.gone') }}
            </button>
          </div>
          <form v-if="inHand === c.id" class="stack" novalidate @submit.prevent="write(c)">
            <div class="row">
              <label class="label"
                >{{ t('stock.what') }}
                <select v-model="draw.kind" class="field">
                  <option v-for="k in KINDS" :key="k" :value="k">{{ t(`stock.kind.${k}`) }}</option>
                </select></label
              >
              <label class="label"
                >{{
                  t(
                    draw.kind === 'measured'
                      ? 'stock.leftNow'
                      : draw.kind === 'weighed'
                        ? 'stock.weight'
                        : 'stock.amount',
                  )
                }}<input
                  v-model="draw.amount"
                  class="field"
                  style="width: 8em"
                  :placeholder="draw.kind === 'weighed' ? '2.8 kg' : '1.2 L'"
                  :aria-invalid="at('/amount') !== null || at('/weight') !== null"
              /></label>
              <label class="label"
                >{{ t('stock.reason') }}<input v-model="draw.reason" class="field" maxlength="300"
              /></label>
            </div>
            <p class="fault">{{ at('/amount') ?? at('/weight') }}</p>
            <div class="row">
              <button class="btn small" type="submit" :disabled="busy">{{ t('stock.write') }}</button>
              <label class="label"
                >{{ t('stock.place')
                }}<input v-model="place[c.id]" class="field" :placeholder="c.place ?? ''" maxlength="120"
              /></label>
              <button class="btn small quiet" type="button" :disabled="busy || !place[c.id]" @click="move(c)">
                {{ t('stock.move') }}
              </button>
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
    <button v-if="mayWrite && !adding && shed.cards.length" class="btn" type="button" @click="adding = true">
      {{ t('stock.add') }}
    </button>
    <form v-if="adding" class="stack sheetlike" novalidate @submit.prevent="put">
      <h3>{{ t('stock.add') }}</h3>
      <div class="row">
        <label class="label"
          >{{ t('stock.product') }}
          <select v-model="form.cardId" class="field">
            <option v-for="c in shed.cards" :key="c.id" :value="c.id">{{ c.product }}</option>
          </select></label
        >
        <label v-for="f in ['size', 'left'] as const" :key="f" class="label"
          >{{ t(`stock.${f === 'size' ? 'size' : 'leftNow'}`)
          }}<input
            v-model="form[f]"
            class="field"
            style="width: 8em"
            placeholder="5 L"
            :aria-invalid="at(`/${f}`) !== null"
          /><span class="fault">{{ at(`/${f}`) }}</span></label
        >
        <label class="label"
          >{{ t('stock.lotNumber') }}<input v-model="form.lot" class="field" style="width: 9em"
        /></label>
        <label class="label"
          >{{ t('stock.goodTill') }}<input v-model="form.expiresOn" class="field" type="date"
        /></label>
        <label class="label">{{ t('stock.place') }}<input v-model="form.place" class="field" maxlength="120" /></label>
        <label class="label"
          >{{ t('stock.tare')
          }}<input
            v-model="form.tare"
            class="field"
            style="width: 8em"
            placeholder="400 g"
            :aria-invalid="at('/tare') !== null"
        /></label>
      </div>
      <div class="row">
        <button class="btn main" type="submit" :disabled="busy">{{ t('stock.put') }}</button><button
          class="btn quiet"
          type="button"
          @click="adding = false"
        >
          {{ t('frame.back') }}
        </button>
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
