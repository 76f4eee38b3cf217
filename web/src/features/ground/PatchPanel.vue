<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { outlinesQuery, patchesQuery, patchQuery } from '@/api/queries';
import { KEEPER_KINDS } from '@/api/vocabulary';
import { dayText } from '@/components/dates';
import LoadFault from '@/components/feedback/LoadFault.vue';
import SaidAmount from '@/components/figures/SaidAmount.vue';
import { useSubmit } from '@/composables/useSubmit';
import { useOnward } from '@/composables/useOnward';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import type { Shape } from './shapes';

const props = defineProps<{ patchId: string }>();
const emit = defineEmits<{
  task: [task: 'outline' | 'split' | 'hole' | 'zone'];
  keeper: [id: string];
  changed: [];
  /** An earlier outline to be shown on the map; null for none. */ ghost: [shape: Shape | null];
}>();
const { t } = useI18n();
const { mayWrite } = useSession();
const onward = useOnward();
const { busy, refusal, run, at } = useSubmit();
const { data: patch, error } = useQuery(computed(() => patchQuery(props.patchId)));
const historyOpen = ref(false);
const { data: history } = useQuery(computed(() => ({ ...outlinesQuery(props.patchId), enabled: historyOpen.value })));
const joining = ref<string[] | null>(null);
const { data: others } = useQuery(
  computed(() => ({
    ...patchesQuery(patch.value?.groundId ?? '', {
      page: 1,
      sort: 'name',
      order: 'asc',
      q: '',
      setting: '',
      archived: false,
    }),
    enabled: joining.value !== null && Boolean(patch.value),
  })),
);
const match = computed(() => ({
  path: { patch: props.patchId },
  header: { 'If-Match': `"${patch.value?.revision ?? 0}"` },
}));
const edgeWidth = ref('');
const reason = ref('');
const putting = ref(false);

const after = <T,>(made: T | null): T | null => {
  if (made) emit('changed');
  return made;
};
const newStand = async (): Promise<void> => {
  const go = onward();
  const made = await run(() =>
    unwrap(api.POST('/patches/{patch}/stands', { params: { path: { patch: props.patchId } }, body: {} })),
  );
  if (made) {
    await go({ name: 'scout', params: { stand: made.id } });
  }
};
const join = async (): Promise<void> => {
  if (
    after(
      await run(() =>
        unwrap(api.POST('/patches/{patch}/merge', { params: match.value, body: { patches: joining.value ?? [] } })),
      ),
    )
  )
    joining.value = null;
};
const archive = async (archived: boolean): Promise<void> => {
  if (
    after(
      await run(() =>
        unwrap(
          api.POST('/patches/{patch}/archive', {
            params: match.value,
            body: archived ? { archived, reason: reason.value } : { archived },
          }),
        ),
      ),
    )
  ) {
    putting.value = false;
    reason.value = '';
  }
};
const edge = async (): Promise<void> => {
  if (
    after(
      await run(() =>
        unwrap(
          api.POST('/patches/{patch}/zones', {
            params: { path: { patch: props.patchId } },
            body: { edgeWidth: edgeWidth.value },
          }),
        ),
      ),
    )
  )
    edgeWidth.value = '';
};
const dropZone = async (zone: string): Promise<void> =>
  void after(await run(() => unwrap(api.DELETE('/zones/{zone}', { params: { path: { zone } } }))));
const words = ref({ kind: 'tree' as (typeof KEEPER_KINDS)[number], name: '', distance: '' });
const tell = async (): Promise<void> => {
  const made = await run(() =>
    unwrap(
      api.POST('/patches/{patch}/keepers', {
        params: { path: { patch: props.patchId } },
        body: {
          kind: words.value.kind,
          name: words.value.name,
          ...(words.value.distance ? { distance: words.value.distance } : {}),
        },
      }),
    ),
  );
  if (after(made)) words.value = { kind: words.value.kind, name: '', distance: '' };
};
</script>

<template>
  <LoadFault v-if="error && !patch" :of="error" />
  <section v-if="patch" class="stack" aria-labelledby="patch-h">
    <h2 id="patch-h">{{ patch.name }}</h2>
    <p v-if="patch.area">
      <span class="pour size"><SaidAmount :of="patch.area" /></span> <span class="soft">{{ patch.setting.name }}</span>
    </p>
    <p v-else class="soft">{{ t('ground.noOutline') }}</p>
    <p v-if="patch.archived" class="note">{{ t('ground.archive.is', { reason: patch.archivedReason ?? '' }) }}</p>
    <p v-if="patch.season.leafOut" class="small soft">
      {{
        t('ground.season.seen', {
          day: dayText(patch.season.leafOut.day, true),
          days: patch.season.shiftDays,
          place: patch.season.byPlaceDays,
        })
      }}
    </p>
    <h3>{{ t('ground.stands') }}</h3>
    <ul class="ruled plain">
      <li v-for="s in patch.stands" :key="s.id">
        <RouterLink :to="{ name: s.station, params: { stand: s.id } }">{{ s.name }}</RouterLink>
        <span class="soft">{{ s.act.text }}</span>
        <span v-if="s.assignee" class="small soft"> · {{ s.assignee.name }}</span>
      </li>
      <li v-if="patch.stands.length === 0" class="soft">{{ t('ground.noStands') }}</li>
    </ul>
    <ActButton v-if="mayWrite && !patch.archived" :disabled="busy" @click="newStand">{{
      t('ground.newStand')
    }}</ActButton>
    <h3>{{ t('ground.near') }}</h3>
    <ul class="ruled plain">
      <li v-for="k in patch.keepers" :key="k.id">
        <button v-if="k.source === 'map' && mayWrite" type="button" class="plainlink" @click="emit('keeper', k.id)">
          {{ k.name }}</button><b v-else>{{ k.name }}</b>
        <span class="soft">{{ k.kindName }}</span>
        <span v-if="k.distance?.value === '0'"> · {{ t('ground.within') }}</span>
        <span v-else-if="k.distance">
          · <SaidAmount :of="k.distance" />
          {{ k.bearing ? t('ground.toThe', { side: k.bearing.name, degrees: k.bearing.degrees }) : '' }}</span
        >
        <span v-if="k.downwind" class="reach">{{ t('ground.downwind') }}</span>
        <span v-if="k.inRootReach" class="reach"
          ><i18n-t keypath="ground.roots" scope="global"
            ><template #reach><SaidAmount :of="k.rootReach" /></template></i18n-t
        ></span>
        <span class="small soft"> · {{ t(`ground.source.${k.source}`) }}</span>
      </li>
      <li v-if="patch.keepers.length === 0" class="soft">{{ t('ground.noKeepers') }}</li>
    </ul>
    <details v-if="mayWrite">
      <summary>{{ t('ground.addKeeper') }}</summary>
      <form class="row tell" novalidate @submit.prevent="tell">
        <ChoiceField
          v-model="words.kind"
          :label="t('ground.kind')"
          :options="KEEPER_KINDS.map((k) => ({ value: k, label: t(`keeper.${k}`) }))"
        />
        <TextField
          v-for="f in ['name', 'distance'] as const"
          :key="f"
          v-model="words[f]"
          :label="t(`ground.field.${f}`)"
          :fault="at(`/${f}`)"
        />
        <ActButton type="submit" :busy="busy">{{ t('ground.tell') }}</ActButton>
      </form>
    </details>
    <template v-if="patch.zones.length">
      <h3>{{ t('ground.zones.title') }}</h3>
      <ul class="ruled plain">
        <li v-for="z in patch.zones" :key="z.id" class="row">
          <b>{{ z.name }}</b> <SaidAmount :of="z.area" />
          <ActButton v-if="mayWrite" quiet small @click="dropZone(z.id)">{{
            t('ground.zones.drop', { name: z.name })
          }}</ActButton>
        </li>
      </ul>
    </template>
    <details v-if="mayWrite && !patch.archived" class="edits">
      <summary>{{ t('ground.edit') }}</summary>
      <div class="row">
        <ActButton small @click="emit('task', 'outline')">{{
          t(patch.outline ? 'ground.task.outline' : 'ground.task.firstOutline')
        }}</ActButton>
        <template v-if="patch.outline">
          <ActButton small @click="emit('task', 'split')">{{ t('ground.task.split') }}</ActButton>
          <ActButton small :aria-expanded="joining !== null" @click="joining = joining ? null : []">{{
            t('ground.task.join')
          }}</ActButton>
          <ActButton small @click="emit('task', 'hole')">{{ t('ground.task.hole') }}</ActButton>
          <ActButton small @click="emit('task', 'zone')">{{ t('ground.task.zone') }}</ActButton>
        </template>
        <ActButton quiet small :aria-expanded="putting" @click="putting = !putting">{{
          t('ground.archive.put')
        }}</ActButton>
      </div>
      <form v-if="joining" class="stack" @submit.prevent="join">
        <TickField
          v-for="o in (others?.data ?? []).filter((p) => p.id !== patch?.id && p.area)"
          :key="o.id"
          v-model="joining"
          :value="o.id"
          >{{ o.name }}</TickField
        >
        <p class="small soft">{{ t('ground.joinHelp') }}</p>
        <ActButton type="submit" :disabled="busy || joining.length === 0">{{ t('ground.join') }}</ActButton>
      </form>
      <form v-if="patch.outline && patch.zones.length === 0" class="row" @submit.prevent="edge">
        <TextField v-model="edgeWidth" :label="t('ground.zones.edge')" :fault="at('/edgeWidth')" width="7em" />
        <ActButton type="submit" :disabled="busy || edgeWidth === ''">{{ t('ground.zones.make') }}</ActButton>
      </form>
      <form v-if="putting" class="row" @submit.prevent="archive(true)">
        <TextField v-model="reason" :label="t('ground.archive.why')" :fault="at('/reason')" />
        <ActButton type="submit" :busy="busy">{{ t('ground.archive.put') }}</ActButton>
      </form>
    </details>
    <ActButton v-if="mayWrite && patch.archived" :disabled="busy" @click="archive(false)">{{
      t('ground.archive.back')
    }}</ActButton>
    <details
      @toggle="
        historyOpen = ($event.target as HTMLDetailsElement).open;
        emit('ghost', null);
      "
    >
      <summary>{{ t('ground.history.title') }}</summary>
      <ul class="ruled plain">
        <li v-for="(o, i) in history?.data ?? []" :key="i">
          <button
            type="button"
            class="plainlink"
            :aria-label="t('ground.history.show', { day: dayText(o.validFrom, true) })"
            @click="emit('ghost', o.outline as unknown as Shape)"
          >
            {{ dayText(o.validFrom, true) }}
          </button>
          <SaidAmount :of="o.area" /> <span class="small soft">{{ [o.how, o.by].filter(Boolean).join(', ') }}</span>
        </li>
      </ul>
    </details>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.problem?.errors?.[0]?.message ?? refusal.message }}</p>
  </section>
</template>

<style scoped>
.size {
  font-size: var(--size-xl);
}
.plainlink {
  border: 0;
  background: none;
  padding: 2px 0;
  min-height: 24px;
  font-weight: 650;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.reach {
  display: block;
  color: var(--gorse);
  font-size: var(--size-s);
  font-weight: 600;
}
.tell,
.edits > .row,
.edits > form {
  padding-top: 8px;
}
.tell .btn {
  align-self: end;
}
</style>
