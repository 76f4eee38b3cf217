import { describe, expect, it } from 'vitest';
import { blocksOf, sentAt, typedRows } from '@/features/when/weather';

describe('a forecast that is typed in', () => {
  it('sends the stretches that say something, each figure with the unit of its column or its own', () => {
    const rows = typedRows();
    expect(blocksOf(rows, '2026-09-03', 'us')).toEqual([]);
    Object.assign(rows[1]!, { air: ' 68 ', wind: '5', gust: '12 km/h', cloud: '40' });
    Object.assign(rows[3]!, { rain: '0.1' });
    expect(blocksOf(rows, '2026-09-03', 'us')).toEqual([
      { day: '2026-09-03', from: 10, hours: 4, air: '68 degF', wind: '5 mph', gust: '12 km/h', cloud: '40' },
      { day: '2026-09-03', from: 18, hours: 4, rain: '0.1 in' },
    ]);
    // a fault of the fourth row is told of the second that was sent
    expect([sentAt(rows, 1), sentAt(rows, 3)]).toEqual([0, 1]);
    expect(blocksOf(rows, '2026-09-03', 'metric')[1]).toMatchObject({ rain: '0.1 mm' });
  });
});
