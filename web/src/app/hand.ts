import { defineStore } from 'pinia';
import { ref } from 'vue';

/** The stand in hand (B35): stays across stations and reloads. */
export const useHand = defineStore('hand', () => {
  const standId = ref<string | null>(localStorage.getItem('thicket.stand'));
  const take = (id: string | null): void => {
    standId.value = id;
    if (id) localStorage.setItem('thicket.stand', id);
    else localStorage.removeItem('thicket.stand');
  };
  return { standId, take };
});
