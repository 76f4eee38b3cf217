<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { api, unwrap } from '@/api/client';
import { groundsQuery, handbookQuery, patchQuery } from '@/api/queries';
import OutlineDrawing from '@/components/OutlineDrawing.vue';
import { useAct } from '@/composables/useAct';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import NewGround from './NewGround.vue';

const { t } = useI18n();
const { say, user, mayWrite } = useSession();
const client = useQueryClient();
const router = useRouter();
const { data, isPending } = useQuery(groundsQuery());
const { data: book } = useQuery(handbookQuery());
const { busy, refusal, run, at } = useAct();

const groundId = ref<string | null>(null);
const ground = computed(() => data.value?.data.find((g) => g.id === groundId.value) ?? data.value?.data[0] ?? null);
const patchId = ref<string | null>(null);
const patch = computed(() => ground.value?.patches.find((p) => p.id === patchId.value) ?? ground.value?.patches[0] ?? null);
const { data: whole } = useQuery(computed(() => ({ ...patchQuery(patch.value?.id ?? ''), enabled: patch.value !== null })));

const adding = ref(false);
const form = ref({ name: '', setting: 'woods', outline: '' });
const { restoredAt, drop } = useDraft(() => (user.value && ground.value ? draftKey(user.value.id, 'new-patch', ground.value.id) : ''), form);

const upload = async (e: Event): Promise<void> => {
  const file = (e.target as HTMLInputElement).files?.[0];
  if (file) form.value.outline = file.size > 2_000_000 ? '' : await file.text();
};
const fresh = () => client.invalidateQueries();
const savePatch = async (): Promise<void> => {
  const to = ground.value;
  if (!to) return;
  const made = await run(() => {
    let outline: Record<string, never> | undefined;
    try {
      outline = form.value.outline.trim() === '' ? undefined : (JSON.parse(form.value.outline) as Record<string, never>);
    } catch {
      outline = { type: 'unreadable' } as unknown as Record<string, never>;
    }
    return unwrap(api.POST('/grounds/{ground}/patches', { params: { path: { ground: to.id } }, body: { name: form.value.name, setting: form.value.setting, ...(outline ? { outline } : {}) } }));
  });
  if (!made) return;
  await drop();
  form.value = { name: '', setting: 'woods', outline: '' };
  adding.value = false;
  patchId.value = made.id;
  await fresh();
};
const keeper = ref({ kind: 'tree', name: '', distance: '', crownRadius: '', height: '' });
const KINDS = ['tree', 'shrub', 'planting', 'grass', 'forbs', 'crop', 'hive', 'well', 'stream', 'pond', 'drain', 'path', 'fence', 'building', 'stock'] as const;
const addKeeper = async (): Promise<void> => {
  const p = patch.value;
  if (!p) return;
  const { kind, name, ...sizes } = keeper.value;
  const given = Object.fromEntries(Object.entries(sizes).filter(([, v]) => v !== ''));
  const done = await run(() => unwrap(api.POST('/patches/{patch}/keepers', { params: { path: { patch: p.id } }, body: { kind: kind as (typeof KINDS)[number], name, ...given } })));
  if (done) {
    keeper.value = { kind: 'tree', name: '', distance: '', crownRadius: '', height: '' };
    await fresh();
  }
};
const newStand = async (): Promise<void> => {
  const p = patch.value;
  if (!p) return;
  const made = await run(() => unwrap(api.POST('/patches/{patch}/stands', { params: { path: { patch: p.id } }, body: {} })));
  if (made) {
    await fresh();
    await router.push({ name: 'scout', params: { stand: made.id } });
  }
};
</script>

<template>
  <div class="stack">
    <h1>{{ t('station.ground') }}</h1>
    <p v-if="isPending" role="status">{{ t('frame.loading') }}</p>
    <template v-else-if="data">
      <div v-if="data.data.length" class="row" role="group" :aria-label="t('ground.grounds')">
        <button
          v-for="g in data.data"
          :key="g.id"
          type="button"
          class="btn small"
          :class="{ main: g.id === ground?.id }"
          :aria-pressed="g.id === ground?.id"
          @click="((groundId = g.id), (patchId = null))"
        >
          {{ g.name }}
        </button>
      </div>
      <NewGround v-if="mayWrite" :open="data.data.length === 0" @made="(id) => ((groundId = id), fresh())" />
      <div v-if="ground" class="bench">
        <section class="stack" aria-labelledby="patches-h">
          <h2 id="patches-h">{{ ground.name }}</h2>
          <p class="small soft">{{ t('ground.facts', { lat: Number(ground.latitude).toFixed(2), elevation: say(ground.elevation), days: ground.shiftDays }) }}</p>
          <OutlineDrawing v-if="ground.patches.some((p) => p.outline)" :patches="ground.patches" :chosen="patch?.id ?? null" @choose="(id) => (patchId = id)" />
          <p v-if="ground.patches.length === 0">{{ t('ground.noPatches') }}</p>
          <div v-else class="table-wrap">
            <table>
              <thead>
                <tr>
                  <th>{{ t('ground.patch') }}</th>
                  <th>{{ t('ground.setting') }}</th>
                  <th>{{ t('ground.area') }}</th>
                  <th>{{ t('ground.stands') }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="p in ground.patches" :key="p.id" :class="{ chosen: p.id === patch?.id }">
                  <td>
                    <button class="link" type="button" :aria-pressed="p.id === patch?.id" @click="patchId = p.id">{{ p.name }}</button>
                  </td>
                  <td>{{ p.setting.name }}</td>
                  <td>{{ say(p.area) }}</td>
                  <td>{{ p.stands.length }}</td>
                </tr>
              </tbody>
            </table>
          </div>
          <button v-if="mayWrite && !adding" class="btn" type="button" @click="adding = true">{{ t('ground.newPatch') }}</button>
          <form v-if="adding" class="stack sheetlike" novalidate @submit.prevent="savePatch">
            <h3>{{ t('ground.newPatch') }}</h3>
            <p v-if="restoredAt" class="note small">{{ t('frame.restored', { when: restoredAt.toLocaleString('en-GB') }) }}</p>
            <label class="label">{{ t('ground.name') }}<input v-model="form.name" class="field" :aria-invalid="at('/name') !== null" /></label>
            <p class="fault">{{ at('/name') }}</p>
            <label class="label"
              >{{ t('ground.setting') }}
              <select v-model="form.setting" class="field">
                <option v-for="s in book?.settings ?? []" :key="s.id" :value="s.id">{{ s.name }}</option>
              </select>
            </label>
            <label class="label">{{ t('ground.outline') }}<textarea v-model="form.outline" class="field code" rows="4" spellcheck="false" :aria-invalid="at('/outline') !== null"></textarea></label>
            <label class="label">{{ t('ground.upload') }}<input type="file" accept=".json,.geojson,application/geo+json" @change="upload" /></label>
            <p class="fault">{{ at('/outline') }}</p>
            <div class="row">
              <button class="btn main" type="submit" :disabled="busy">{{ t('ground.savePatch') }}</button><button class="btn quiet" type="button" @click="adding = false">{{ t('frame.back') }}</button>
            </div>
          </form>
        </section>
        <section v-if="patch" class="stack why" aria-labelledby="patch-h">
          <h2 id="patch-h">{{ patch.name }}</h2>
          <p v-if="patch.area">
            <span class="pour" style="font-size: var(--size-xl)">{{ say(patch.area) }}</span> <span class="soft">{{ patch.setting.name }}</span>
          </p>
          <p v-else class="soft">{{ t('ground.noOutline') }}</p>
          <h3>{{ t('ground.stands') }}</h3>
          <ul class="ruled plain">
            <li v-for="s in patch.stands" :key="s.id">
              <RouterLink :to="{ name: s.station, params: { stand: s.id } }">{{ s.name }}</RouterLink> <span class="soft">{{ s.act.text }}</span>
            </li>
            <li v-if="patch.stands.length === 0" class="soft">{{ t('ground.noStands') }}</li>
          </ul>
          <button v-if="mayWrite" class="btn" type="button" :disabled="busy" @click="newStand">{{ t('ground.newStand') }}</button>
          <h3>{{ t('ground.keep') }}</h3>
          <ul class="ruled plain">
            <li v-for="k in whole?.keepers ?? []" :key="k.name">
              <b>{{ k.name }}</b> <span class="soft">{{ k.kindName }}</span> <span v-if="k.distance"> · {{ t('ground.away', { distance: say(k.distance) }) }}</span
              ><span v-if="k.crownRadius"> · {{ t('ground.crown', { radius: say(k.crownRadius) }) }}</span
              ><span v-if="k.height"> · {{ t('ground.high', { height: say(k.height) }) }}</span>
            </li>
            <li v-if="whole && whole.keepers.length === 0" class="soft">{{ t('ground.noKeepers') }}</li>
          </ul>
          <details v-if="mayWrite">
            <summary>{{ t('ground.addKeeper') }}</summary>
            <form class="stack" novalidate style="padding-top: 8px" @submit.prevent="addKeeper">
              <label class="label"
                >{{ t('ground.kind')
                }}<select v-model="keeper.kind" class="field">
                  <option v-for="k in KINDS" :key="k" :value="k">{{ t(`keeper.${k}`) }}</option>
                </select></label
              >
              <label v-for="f in ['name', 'distance', 'crownRadius', 'height'] as const" :key="f" class="label"
                >{{ t(`ground.field.${f}`) }}<input v-model="keeper[f]" class="field" :aria-invalid="at(`/${f}`) !== null" /><span class="fault">{{ at(`/${f}`) }}</span></label
              >
              <button class="btn" type="submit" :disabled="busy">{{ t('ground.addKeeper') }}</button>
            </form>
          </details>
          <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.link {
  border: 0;
  background: none;
  padding: 4px 0;
  min-height: 28px;
  color: var(--sloe);
  font-weight: 600;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.chosen td {
  background: var(--sloe-pale);
}
.code {
  font-family: var(--font-amount);
  font-size: var(--size-s);
}
</style>
