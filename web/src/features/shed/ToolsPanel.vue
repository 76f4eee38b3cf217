<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import { MEASURING_KINDS } from '@/api/vocabulary';
import { useSubmit } from '@/composables/useSubmit';

/** Hand tools with jaw or blade, measuring tools with their marks, and who has them now. */
const props = defineProps<{ shed: Schemas['Shed'] }>();
const { t } = useI18n();
const { mayWrite } = useSession();
const { busy, refusal, run, at } = useSubmit();
type Tool = Schemas['ShedTool'];
const { data: book } = useQuery(handbookQuery());
const clearanceName = (id: string): string => book.value?.clearances.find((c) => c.id === id)?.name ?? id;
const groups = computed(() => [
  { key: 'hand', tools: props.shed.tools.filter((x) => !x.measures) },
  { key: 'measuring', tools: props.shed.tools.filter((x) => x.measures) },
]);
const blank = () => ({ name: '', kind: 'lever-puller', jaw: '', blade: '', graduation: '', holds: '', clearance: '' });
const form = ref(blank());
const adding = ref(false);
const measures = computed(() => (MEASURING_KINDS as readonly string[]).includes(form.value.kind));
const save = async (): Promise<void> => {
  const f = form.value;
  const sizes = (measures.value ? (['graduation', 'holds'] as const) : (['jaw', 'blade', 'clearance'] as const)).filter(
    (k) => f[k] !== '',
  );
  if (
    await run(() =>
      unwrap(
        api.POST('/shed/tools', {
          body: { name: f.name, kind: f.kind, ...Object.fromEntries(sizes.map((k) => [k, f[k]])) },
        }),
      ),
    )
  ) {
    adding.value = false;
    form.value = blank();
  }
};
const lending = ref<string | null>(null);
const loan = ref({ to: '', dueOn: '' });
const lend = async (x: Tool): Promise<void> => {
  if (
    await run(() =>
      unwrap(
        api.POST('/shed/tools/{tool}/loans', {
          params: { path: { tool: x.id } },
          body: { to: loan.value.to, ...(loan.value.dueOn ? { dueOn: loan.value.dueOn } : {}) },
        }),
      ),
    )
  ) {
    lending.value = null;
    loan.value = { to: '', dueOn: '' };
  }
};
const back = (id: string): Promise<unknown> =>
  run(() => unwrap(api.POST('/shed/loans/{loan}/return', { params: { path: { loan: id } } })));
const drop = (x: Tool): Promise<unknown> =>
  run(() => unwrap(api.DELETE('/shed/tools/{tool}', { params: { path: { tool: x.id } } })));
</script>

<template>
  <div class="stack">
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    <div class="bench">
      <section v-for="(g, i) in groups" :key="g.key" class="stack" :class="{ why: i === 1 }">
        <h2>{{ t(`tools.${g.key}`) }}</h2>
        <ul class="plain ruled">
          <li v-for="x in g.tools" :key="x.id">
            <div class="head">
              <span
                ><b>{{ x.name }}</b> <span class="soft small">{{ x.kindName }}</span><br /><span class="small"
                  >{{ x.jaw ? t('tools.jawOf', { size: x.jaw }) : ''
                  }}{{ x.blade ? t('tools.bladeOf', { size: x.blade }) : ''
                  }}{{ x.graduation ? t('tools.marks', { every: x.graduation, holds: x.holds }) : ''
                  }}{{ x.clearance ? ` ${t('tools.cleared', { clearance: clearanceName(x.clearance) })}` : '' }}</span
                ></span
              >
              <span v-if="mayWrite" class="row">
                <button v-if="x.loan" class="btn small" type="button" :disabled="busy" @click="back(x.loan.id)">
                  {{ t('tools.back') }}
                </button>
                <button v-else class="btn small quiet" type="button" @click="lending = lending === x.id ? null : x.id">
                  {{ t('tools.lend') }}
                </button>
                <button
                  v-if="!x.loan"
                  class="btn small quiet"
                  type="button"
                  :disabled="busy"
                  :aria-label="t('tools.dropOf', { name: x.name })"
                  @click="drop(x)"
                >
                  {{ t('tools.drop') }}
                </button>
              </span>
            </div>
            <p v-if="x.loan" :class="x.loan.late ? 'warn' : 'note'" class="small">
              {{
                t(x.loan.late ? 'tools.late' : 'tools.out', { to: x.loan.to, day: dayText(x.loan.dueOn ?? x.loan.on) })
              }}
            </p>
            <form v-if="lending === x.id" class="row" novalidate @submit.prevent="lend(x)">
              <label class="label"
                >{{ t('tools.to')
                }}<input v-model="loan.to" class="field" maxlength="120" :aria-invalid="at('/to') !== null"
              /></label>
              <label class="label"
                >{{ t('tools.due')
                }}<input v-model="loan.dueOn" class="field" type="date" :aria-invalid="at('/dueOn') !== null"
              /></label>
              <button class="btn small" type="submit" :disabled="busy">{{ t('tools.lendIt') }}</button><span
                class="fault"
                >{{ at('/to') ?? at('/dueOn') }}</span
              >
            </form>
          </li>
          <li v-if="g.tools.length === 0" class="soft">{{ t('tools.none') }}</li>
        </ul>
      </section>
    </div>
    <button v-if="mayWrite && !adding" class="btn" type="button" @click="adding = true">{{ t('tools.add') }}</button>
    <form v-if="adding" class="stack sheetlike" novalidate @submit.prevent="save">
      <h3>{{ t('tools.add') }}</h3>
      <div class="row">
        <label class="label"
          >{{ t('tools.kind') }}
          <select v-model="form.kind" class="field">
            <optgroup :label="t('tools.hand')">
              <option v-for="k in book?.tools ?? []" :key="k.id" :value="k.id">{{ k.name }}</option>
            </optgroup>
            <optgroup :label="t('tools.measuring')">
              <option v-for="k in MEASURING_KINDS" :key="k" :value="k">{{ t(`tools.kinds.${k}`) }}</option>
            </optgroup>
          </select></label
        >
        <label class="label"
          >{{ t('tools.name')
          }}<input v-model="form.name" class="field" maxlength="80" :aria-invalid="at('/name') !== null"
        /></label>
        <template v-if="measures">
          <label class="label"
            >{{ t('tools.graduation')
            }}<input
              v-model="form.graduation"
              class="field"
              style="width: 8em"
              :placeholder="form.kind === 'scale' ? '0.1 g' : '0.5 fl oz'"
              :aria-invalid="at('/graduation') !== null"
          /></label>
          <label class="label"
            >{{ t('tools.holds')
            }}<input
              v-model="form.holds"
              class="field"
              style="width: 8em"
              :placeholder="form.kind === 'scale' ? '200 g' : '8 fl oz'"
              :aria-invalid="at('/holds') !== null"
          /></label>
        </template>
        <template v-else>
          <label class="label"
            >{{ t('tools.jaw')
            }}<input
              v-model="form.jaw"
              class="field"
              style="width: 7em"
              placeholder="2 in"
              :aria-invalid="at('/jaw') !== null"
          /></label>
          <label class="label"
            >{{ t('tools.blade')
            }}<input
              v-model="form.blade"
              class="field"
              style="width: 7em"
              placeholder="12 in"
              :aria-invalid="at('/blade') !== null"
          /></label>
          <label class="label"
            >{{ t('tools.who') }}
            <select v-model="form.clearance" class="field">
              <option value="">{{ t('tools.anybody') }}</option>
              <option v-for="c in book?.clearances ?? []" :key="c.id" :value="c.id">
                {{ t('tools.cleared', { clearance: c.name }) }}
              </option>
            </select></label
          >
        </template>
      </div>
      <p v-if="refusal" class="fault" role="alert">
        {{ at('/name') ?? at('/graduation') ?? at('/holds') ?? at('/jaw') ?? at('/blade') ?? refusal.message }}
      </p>
      <div class="row">
        <button class="btn main" type="submit" :disabled="busy">{{ t('tools.keep') }}</button><button
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
.head {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: start;
}
</style>
