/** A time of the day as people type it ("930", "9.30", "9:30 pm"), as HH:MM; what is no time stays as it was typed. */
export function timeOf(typed: string): string {
  const found = /^(\d{1,2})(?:[:. ]?(\d{2}))?\s*([ap])?\.?m?\.?$/i.exec(typed.trim());
  if (!found) return typed;
  const half = found[3]?.toLowerCase();
  const hour = Number(found[1]);
  if (half !== undefined && (hour < 1 || hour > 12)) return typed;
  const hours = half === undefined ? hour : (hour % 12) + (half === 'p' ? 12 : 0);
  const minutes = Number(found[2] ?? '0');
  if (hours > 23 || minutes > 59) return typed;
  return `${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`;
}
