import { useMediaQuery } from '@vueuse/core';
import type { ComputedRef } from 'vue';

/** Whether there is room for two panes; below it a phone is meant. The sheets of styles part at the same width. */
export const useDesk = (): ComputedRef<boolean> => useMediaQuery('(min-width: 861px)');
