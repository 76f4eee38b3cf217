/** Hardiness zones of the server, 1 to 13, and none noted, for a list to choose from. */
export const zoneChoices = (unknown: string): { value: string; label: string }[] => [
  { value: '', label: unknown },
  ...Array.from({ length: 13 }, (_, i) => ({ value: String(i + 1), label: String(i + 1) })),
];
