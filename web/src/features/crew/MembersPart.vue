<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { api, unwrap, type Schemas } from '@/api/client';
import { shedQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import PickField from '@/components/form/PickField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

/** Who is of the crew and in which role; how one more comes in. */
const props = defineProps<{ crew: Schemas['Crew'] }>();
const { t } = useI18n();
const { isLead, set, session } = useSession();
const router = useRouter();
const client = useQueryClient();
const { data: shed } = useQuery(shedQuery());
const { busy, refusal, run, at } = useSubmit();
const acts = useSubmit();
type Role = Schemas['Role'];
const ROLES: readonly Role[] = ['lead', 'member', 'viewer'];
const roles = computed(() => ROLES.map((r) => ({ value: r, label: t(`crew.role.${r}`) })));

const form = ref<{ role: Role; name: string; email: string; personId: string }>({
  role: 'member',
  name: '',
  email: '',
  personId: '',
});
/** Told once: the link of the last invitation, or the code of the last reset. */
const link = ref<{ address: string; sent: boolean } | null>(null);
const code = ref<{ name: string; code: string } | null>(null);
const free = computed(() => {
  const taken = props.crew.members.map((m) => m.personId);
  return (shed.value?.people ?? []).filter((p) => !taken.includes(p.id));
});
const invite = async (): Promise<void> => {
  const { role, name, email, personId } = form.value;
  const answer = await run(() =>
    unwrap(
      api.POST('/crew/invites', {
        body: {
          role,
          ...(name.trim() ? { name } : {}),
          ...(email.trim() ? { email } : {}),
          ...(personId ? { personId } : {}),
        },
      }),
    ),
  );
  if (!answer) return;
  link.value = { address: answer.link ?? '', sent: answer.sent ?? false };
  form.value = { role: 'member', name: '', email: '', personId: '' };
};
const takeBack = (id: string): Promise<unknown> =>
  acts.run(() => unwrap(api.DELETE('/crew/invites/{invite}', { params: { path: { invite: id } } })));
const change = (member: string, role: Role): Promise<unknown> =>
  acts.run(() => unwrap(api.PATCH('/crew/members/{member}', { params: { path: { member } }, body: { role } })));
/** Twice the same act: who goes is named in between. */
const going = ref('');
const remove = async (member: string): Promise<void> => {
  if (going.value !== member) {
    going.value = member;
    return;
  }
  going.value = '';
  const answer = await acts.run(() => unwrap(api.DELETE('/crew/members/{member}', { params: { path: { member } } })));
  if (answer && 'setupNeeded' in answer) {
    client.clear();
    set(answer);
    await router.push({ name: 'sign-in' });
  }
};
const giveCode = async (m: Schemas['Crew']['members'][number]): Promise<void> => {
  const answer = await acts.run(() =>
    unwrap(api.POST('/crew/members/{member}/reset-code', { params: { path: { member: m.id } } })),
  );
  if (answer) code.value = { name: m.name, code: answer.code };
};
</script>

<template>
  <div class="bench">
    <section class="stack" aria-labelledby="members-h">
      <h2 id="members-h">{{ t('crew.members') }}</h2>
      <ul class="plain ruled">
        <li v-for="m in crew.members" :key="m.id" class="member">
          <span
            ><b>{{ m.name }}</b
            ><template v-if="m.me"> ({{ t('crew.you') }})</template><br /><span class="small soft"
              >{{ m.email }}
              {{ t('crew.since', { day: dayText(m.since.slice(0, 10), true) }) }}
              <template v-if="m.secondFactor">{{ t('crew.factor') }}</template></span
            ></span
          >
          <span class="row">
            <ChoiceField
              v-if="isLead"
              :model-value="m.role"
              :label="t('crew.roleOf', { name: m.name })"
              bare
              :options="roles"
              @change="change(m.id, $event)"
            />
            <span v-else>{{ t(`crew.role.${m.role}`) }}</span>
            <ActButton
              v-if="isLead && !m.me"
              small
              :aria-label="t('crew.codeFor', { name: m.name })"
              @click="giveCode(m)"
              >{{ t('crew.code') }}</ActButton
            >
            <ActButton v-if="isLead" quiet small @click="remove(m.id)">{{
              going === m.id ? t('crew.removeSure', { name: m.name }) : t('crew.remove')
            }}</ActButton>
          </span>
        </li>
      </ul>
      <p v-if="acts.refusal.value" class="fault" role="alert">{{ acts.refusal.value.message }}</p>
      <div v-if="code" class="note stack" role="status">
        <p>{{ t('crew.codeTold', { name: code.name }) }}</p>
        <p class="told">{{ code.code }}</p>
        <ActButton quiet small class="start" @click="code = null">{{ t('account.factor.kept') }}</ActButton>
      </div>
      <template v-if="crew.invites.length">
        <h3>{{ t('crew.asked') }}</h3>
        <ul class="plain ruled">
          <li v-for="i in crew.invites" :key="i.id" class="line">
            <span
              >{{ i.name ?? i.email ?? t('crew.someone') }}, {{ t(`crew.role.${i.role}`) }}<br /><span
                class="small soft"
                >{{ t('crew.until', { by: i.by, day: dayText(i.until.slice(0, 10), true) }) }}</span
              ></span
            >
            <ActButton small @click="takeBack(i.id)">{{ t('crew.takeBack') }}</ActButton>
          </li>
        </ul>
      </template>
      <h3>{{ t('crew.roles') }}</h3>
      <dl class="small">
        <template v-for="r in ROLES" :key="r">
          <dt>
            <b>{{ t(`crew.role.${r}`) }}</b>
          </dt>
          <dd>{{ t(`crew.roleDoes.${r}`) }}</dd>
        </template>
      </dl>
    </section>
    <section v-if="isLead" class="stack why" aria-labelledby="invite-h">
      <h2 id="invite-h">{{ t('crew.invite') }}</h2>
      <p class="small soft">{{ t('crew.inviteHelp') }}</p>
      <form class="stack" novalidate @submit.prevent="invite">
        <PickField v-model="form.role" :label="t('crew.inviteRole')" :options="roles" />
        <TextField v-model="form.name" :label="t('crew.inviteName')" :fault="at('/name')" maxlength="120" />
        <TextField
          v-model="form.email"
          :label="t('crew.inviteEmail')"
          :help="t('crew.inviteEmailHelp')"
          :fault="at('/email')"
          type="email"
        />
        <ChoiceField
          v-if="free.length"
          v-model="form.personId"
          :label="t('crew.invitePerson')"
          :options="[{ value: '', label: t('crew.nobodyYet') }, ...free.map((p) => ({ value: p.id, label: p.name }))]"
        />
        <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
        <ActButton main type="submit" :busy="busy">{{ t('crew.makeLink') }}</ActButton>
      </form>
      <div v-if="link" class="note stack" role="status">
        <TextField :model-value="link.address" :label="t('crew.link')" readonly />
        <p class="small">{{ t(link.sent ? 'crew.linkSent' : 'crew.linkTold') }}</p>
        <p v-if="link.sent && session?.demo" class="small soft">{{ t('crew.mailLog') }}</p>
      </div>
    </section>
  </div>
</template>

<style scoped>
.member {
  display: grid;
  gap: 6px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 6px 12px;
  align-items: start;
}
.told {
  font-family: var(--font-amount);
  font-size: 28px;
}
dd {
  margin: 0 0 6px;
}
</style>
