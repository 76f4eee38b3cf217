import { ref } from 'vue';

/** The password dialog of the frame; resolves true when the password was given. */
export const passwordAsked = ref<((given: boolean) => void) | null>(null);
export const askPassword = (): Promise<boolean> =>
  new Promise((resolve) => {
    passwordAsked.value = (given) => {
      passwordAsked.value = null;
      resolve(given);
    };
  });
