<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref, watchEffect } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { shoppingQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';
import DayField from '@/components/form/DayField.vue';

/**
 * What the saved recipes need beyond the shelf, bought the cheapest way; the sizes a product is sold in; and the kit.
 */
const props = defineProps<{ shed: Schemas['Shed'] }>();
const { t } = useI18n();
const { format, isLead, today } = useSession();
const { busy, refusal, run, at } = useSubmit();
const { data: list, error } = useQuery(shoppingQuery());
interface Pack {
  size: string;
  price: string;
  on: string;
}
const packs = ref<Record<string, Pack[]>>({});
const kit = ref<{ item: string; amount: string; on: string }[]>([]);
watchEffect(() => {
  packs.value = Object.fromEntries(
    props.shed.cards.map((c) => [
      c.id,
      [...c.packs.map((p) => ({ size: p.sold, price: p.price, on: p.on ?? '' })), { size: '', price: '', on: '' }],
    ]),
  );
  kit.value = [
    ...props.shed.kit.map((k) => ({ item: k.item, amount: k.amount, on: k.on ?? '' })),
    { item: '', amount: '', on: '' },
  ];
});
const savePacks = (card: string): Promise<unknown> =>
  run(
    () =>
      unwrap(
        api.PUT('/shed/cards/{card}/packs', {
          params: { path: { card }, header: { 'If-Match': `"${props.shed.revision}"` } },
          body: {
            packs: (packs.value[card] ?? [])
              .filter((p) => p.size !== '')
              .map((p) => ({ size: p.size, price: p.price, on: p.on || today() })),
          },
        }),
      ),
    t('form.kept'),
  );
const saveKit = (): Promise<unknown> =>
  run(
    () =>
      unwrap(
        api.PATCH('/shed/choices', {
          params: { header: { 'If-Match': `"${props.shed.revision}"` } },
          body: {
            kit: kit.value
              .filter((k) => k.item !== '')
              .map((k) => ({ item: k.item, amount: k.amount, on: k.on || today() })),
          },
        }),
      ),
    t('form.kept'),
  );
</script>

<template>
  <div class="bench">
    <section class="stack" aria-labelledby="buy-h">
      <h2 id="buy-h">{{ t('buying.list') }}</h2>
      <p class="soft small">{{ t('buying.help') }}</p>
      <LoadFault :of="error" />
      <template v-if="list">
        <div class="table-wrap">
          <table>
            <thead>
              <tr>
                <th>{{ t('buying.product') }}</th>
                <th>{{ t('buying.need') }}</th>
                <th>{{ t('buying.shelf') }}</th>
                <th>{{ t('buying.buy') }}</th>
                <th class="right">{{ list.currency }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="l in list.lines" :key="l.cardId + l.need.unit">
                <td>
                  {{ l.product }} <span class="soft small">{{ t('buying.jobs', { n: l.jobs }, l.jobs) }}</span>
                </td>
                <td>{{ format(l.need) }}</td>
                <td>{{ format(l.onShelf) }}</td>
                <td>
                  <template v-if="!l.purchase"
                    ><b class="fault">{{ t('buying.noSize') }}</b></template
                  ><template v-else-if="l.purchase.bought.length === 0">{{ t('buying.nothing') }}</template
                  ><template v-else
                    ><b>{{ l.purchase.bought.map((b) => `${b.count} × ${b.sold}`).join(' + ') }}</b
                    ><br /><span class="small soft">{{
                      t('buying.left', { left: format(l.purchase.left) })
                    }}</span></template
                  >
                  <span v-if="l.stale" class="fault small"> {{ t('prices.stale') }}</span>
                </td>
                <td class="right">{{ l.purchase?.cost ?? '–' }}</td>
              </tr>
              <tr v-if="list.lines.length === 0">
                <td colspan="5" class="soft">{{ t('buying.none') }}</td>
              </tr>
              <tr>
                <td colspan="4">
                  <b>{{ t('buying.total') }}</b>
                </td>
                <td class="right">
                  <b>{{ list.cost }}</b>
                </td>
              </tr>
              <tr v-if="list.kit.length">
                <td colspan="4">{{ t('buying.kitCost') }}</td>
                <td class="right">{{ list.kitCost }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <a class="btn small" href="/api/v1/shed/shopping.csv" download>{{ t('buying.csv') }}</a>
      </template>
    </section>
    <section class="stack why" aria-labelledby="packs-h">
      <h2 id="packs-h">{{ t('buying.sizes') }}</h2>
      <form
        v-for="c in shed.cards"
        :key="c.id"
        class="stack"
        style="gap: 4px"
        novalidate
        @submit.prevent="savePacks(c.id)"
      >
        <b>{{ c.product }}</b>
        <div v-for="(p, i) in packs[c.id] ?? []" :key="i" class="row">
          <QuantityField
            v-model="p.size"
            :label="t('buying.size')"
            :bare="i > 0"
            width="7em"
            sample="5 L"
            :readonly="!isLead"
          />
          <TextField
            v-model="p.price"
            :label="t('buying.price', { currency: list?.currency ?? '' })"
            :bare="i > 0"
            width="6em"
            inputmode="decimal"
            :readonly="!isLead"
          />
          <DayField v-model="p.on" :label="t('prices.on')" :bare="i > 0" :readonly="!isLead" />
          <span v-if="c.packs[i]?.stale" class="fault small">{{ t('prices.stale') }}</span>
        </div>
        <ActButton v-if="isLead" quiet small class="start" type="submit" :busy="busy">{{
          t('buying.keepSizes')
        }}</ActButton>
      </form>
      <h2>{{ t('buying.kit') }}</h2>
      <form class="stack" style="gap: 4px" novalidate @submit.prevent="saveKit">
        <div v-for="(k, i) in kit" :key="i" class="row">
          <TextField v-model="k.item" :label="t('buying.item')" :bare="i > 0" maxlength="80" :readonly="!isLead" />
          <TextField
            v-model="k.amount"
            :label="t('buying.price', { currency: list?.currency ?? '' })"
            :bare="i > 0"
            width="6em"
            inputmode="decimal"
            :readonly="!isLead"
          />
          <DayField v-model="k.on" :label="t('prices.on')" :bare="i > 0" :readonly="!isLead" />
        </div>
        <ActButton v-if="isLead" quiet small class="start" type="submit" :busy="busy">{{
          t('buying.keepKit')
        }}</ActButton>
      </form>
      <p v-if="refusal" class="fault" role="alert">{{ at('/packs') ?? at('/kit') ?? refusal.message }}</p>
    </section>
  </div>
</template>

<style scoped>
.right {
  text-align: right;
  padding-right: 0;
}
.start {
  justify-self: start;
}
</style>
