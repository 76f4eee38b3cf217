/** Growth stages that can be noted, and that a label may part its directions by; the words are `value.STAGE`. */
export const STAGES = [
  ...['cotyledon', 'seedling', 'rosette', 'vegetative', 'tillering', 'shoot-emergence', 'bolting', 'boot', 'heading', 'bud', 'flower', 'full-flower', 'seed-set', 'seed'],
  ...['sap-rise', 'leaf-out', 'new-soft-flush', 'full-leaf', 'fruit', 'after-fruit', 'colour-change', 'leaf-fall', 'autumn-regrowth', 'dormant'],
] as const;
