import { dayComesFirst, readMoment, writeMoment } from './moments';

const before = '2026-11-26T08:40';

test('the day comes before its month but where it is written the other way (Unicode CLDR)', () => {
  expect(['en-GB', 'de-DE', 'fr-FR', 'en-AU', 'es-MX'].map(dayComesFirst)).toEqual(Array(5).fill(true));
  expect(['en-US', 'ja-JP'].map(dayComesFirst)).toEqual([false, false]);
});

test('a day and an hour as people write them, by 24 hours', () => {
  const said = (text: string) => readMoment(text, before, true, true);
  for (const text of [
    '26 Nov 2026, 07:05',
    '26 november 2026 7:05',
    'Thu 26 Nov 2026 07:05',
    '26.11.2026 7.05',
    '26/11/2026 0705',
    '26-11-2026 7:05',
    '2026-11-26T07:05',
    '26 nov 7:05',
    'nov 26 7:05',
    '7:05',
  ])
    expect([text, said(text)]).toEqual([text, '2026-11-26T07:05']);
  expect(said('26 Nov 2026, 19:05')).toBe('2026-11-26T19:05');
});

test('3/4 is the fourth of March in the States and the third of April elsewhere', () => {
  expect(readMoment('3/4/2027 9:00', before, true, true)).toBe('2027-04-03T09:00');
  expect(readMoment('3/4/2027 9:00', before, false, true)).toBe('2027-03-04T09:00');
});

test('what is no day or no hour is none', () => {
  for (const text of [
    '',
    'tomorrow',
    '31 Feb 2026, 08:00',
    '26 Nov 2026, 24:00',
    '26 Nov 2026, 8:60',
    '26 Nov 2026',
    '13/13/2026 8:00',
  ])
    expect([text, readMoment(text, before, true, true)]).toEqual([text, null]);
  expect(readMoment('8:00', '', true, true)).toBeNull();
  expect(readMoment('26 Nov 2026', '', true, false)).toBe('2026-11-26');
});

test('what a field writes it reads again, in both orders', () => {
  for (const dayFirst of [true, false])
    for (const kept of ['2026-01-02T03:04', '2026-12-31T23:59'])
      expect(readMoment(writeMoment(kept, dayFirst, true), before, dayFirst, true)).toBe(kept);
  expect(writeMoment('2026-11-26T08:40', true, true)).toBe('26 Nov 2026, 08:40');
  expect(writeMoment('2026-11-26', false, false)).toBe('Nov 26, 2026');
});
