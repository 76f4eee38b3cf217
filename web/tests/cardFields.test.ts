import { describe, expect, it } from 'vitest';
import { blankLine, bodyOf, draftOf, placeOf, SECTIONS, textOf } from '@/features/shed/cardFields';

const body = {
  product: 'Glyphosate 360 g/L',
  registration: 'T-2',
  formulation: 'soluble-liquid',
  formerNames: ['Old one', 'Older'],
  actives: [{ active: 'glyphosate', amount: '360 g ae/L' }],
  carriers: ['water'],
  sites: ['woods'],
  methods: [{ method: 'cut-stump', min: '25%', max: '100%' }],
  waterBuffer: '30 ft',
  rainfastHours: 6,
  licensedOnly: false,
  surfactantInside: true,
};

describe('a label card in the form', () => {
  it('comes out as it went in, whatever was typed, read or taken from a file', () => {
    const { licensedOnly, ...rest } = body;
    // no tick and a tick not read are one in a form; what is false by default is left out
    expect(bodyOf(draftOf(body))).toEqual({ ...rest, licensedOnly });
    const imported = {
      ...body,
      waterBuffer: { value: '30', unit: 'ft' },
      actives: [{ active: 'glyphosate', amount: { typed: '360 g ae/L' } }],
    };
    expect(bodyOf(draftOf(imported))).toMatchObject({
      waterBuffer: '30 ft',
      actives: [{ active: 'glyphosate', amount: '360 g ae/L' }],
    });
  });

  it('leaves out what the label does not say, and sends a wrong number as typed, for the server to name', () => {
    const draft = draftOf({});
    expect(Object.keys(bodyOf(draft)).sort()).toEqual(['actives', 'carriers', 'formulation', 'methods', 'sites']);
    draft.texts.rainfastHours = 'six';
    draft.texts.cabRequired = 'no';
    draft.texts.aquaticAllowed = 'yes';
    expect(bodyOf(draft)).toMatchObject({ rainfastHours: 'six', cabRequired: false, aquaticAllowed: true });
  });

  it('sends only the uses that are on, each with the amounts that were given', () => {
    const draft = draftOf(body);
    draft.uses['basal-bark'] = { on: false, lines: [{ ...blankLine(), max: '30%' }] };
    draft.uses['hack-and-squirt'] = { on: true, lines: [{ ...blankLine(), perStem: ' 10 mL ' }] };
    expect(bodyOf(draft).methods).toEqual([
      { method: 'cut-stump', min: '25%', max: '100%' },
      { method: 'hack-and-squirt', perStem: '10 mL' },
    ]);
  });

  it('keeps lines of one use apart by stage and dates, and finds the line that the server means', () => {
    const methods = [
      { method: 'foliar-spot', max: '1%' },
      { method: 'foliar-spot', max: '2%', from: '09-01', to: '10-31', stages: ['rosette', 'bud'] },
      { method: 'cut-stump', max: '100%' },
    ];
    const draft = draftOf({ ...body, methods });
    expect(bodyOf(draft).methods).toEqual(methods);
    draft.uses['basal-bark'] = { on: false, lines: [blankLine()] };
    expect([placeOf(draft, 'foliar-spot', 1), placeOf(draft, 'cut-stump', 0)]).toEqual([1, 2]);
  });

  it('keeps limits of some sites, numbers as numbers, and leaves out what a line does not say', () => {
    const siteLimits = [{ sites: ['pasture'], perYear: '1 kg ae/ha', applications: 2 }];
    expect(bodyOf(draftOf({ ...body, siteLimits })).siteLimits).toEqual(siteLimits);
    expect(bodyOf(draftOf(body))).not.toHaveProperty('siteLimits');
  });

  it('has each field once, in the order of a label', () => {
    const ids = SECTIONS.flatMap((s) => s.fields.map((f) => f.id));
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids.indexOf('product')).toBe(0);
    expect(ids.indexOf('wearing')).toBeLessThan(ids.indexOf('uses'));
    expect(ids.indexOf('uses')).toBeLessThan(ids.indexOf('disposal'));
  });

  it('reads any value as somebody would type it', () => {
    expect(
      [
        null,
        undefined,
        true,
        false,
        6,
        '30 ft',
        { typed: '1 qt' },
        { value: '2', unit: 'L' },
        ['a', 'b'],
        [{ active: 'x', amount: '1 g/L' }],
      ].map(textOf),
    ).toEqual(['', '', 'yes', 'no', '6', '30 ft', '1 qt', '2 L', 'a, b', 'x 1 g/L']);
  });
});
