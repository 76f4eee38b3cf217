import { StorageSerializers, useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';

/** The stand in hand (B35): stays across stations and reloads. */
export const useHand = defineStore('hand', () => {
  const standId = useLocalStorage<string | null>('thicket.stand', null, {
    serializer: StorageSerializers.string,
    // another window has another stand in hand
    listenToStorageChanges: false,
  });
  const take = (id: string | null): void => {
    standId.value = id;
  };
  return { standId, take };
});
