import { fittingName, nameProblem, textProblem } from './names';

// Categories: Unicode Standard, chapter 4, table 4-4; what is drawn as nothing: UAX #44, Default_Ignorable_Code_Point.
test.each([
  ['', 'Name is empty.'],
  ['Jay\u00001', 'Name holds a control character, which nobody can see.'],
  ['\u0000', 'Name holds a control character, which nobody can see.'],
  ['Hollin Fell\r\nEND:VCALENDAR', 'Name must stand on one line.'],
  ['Jay\u20281', 'Name must stand on one line.'],
  ['Jay \ud83c', 'Name holds half of a character.'],
  ['\u200b\u2060', 'Name holds nothing that can be seen.'],
  ['\u3164', 'Name holds nothing that can be seen.'],
])('the name %j is refused: %s', (name, problem) => {
  expect(nameProblem('Name', name)).toBe(problem);
});

test.each(['Jay 1', '七', 'Nußhäher', 'שלום', '👩‍🌾 herd', 'é'])('the name %j is taken', (name) => {
  expect(nameProblem('Name', name)).toBeNull();
});

test('a note may have lines and tabs, but no other control and no half of a character', () => {
  expect(textProblem('Note', 'first\r\n\tsecond')).toBeNull();
  expect(textProblem('Note', 'cut\u0000here')).toBe('Note holds a control character, which nobody can see.');
  expect(textProblem('Note', '\udc00')).toBe('Note holds half of a character.');
});

test('a name made to fit is a name: cut between characters, with its tail whole', () => {
  const long = `${'x'.repeat(52)}👩👩👩👩`;
  const fitted = fittingName(long, ' again');
  expect(fitted).toBe(`${'x'.repeat(52)}👩 again`);
  for (const text of [long, 'a\nb', '\ud800', '\u0000', `${'x'.repeat(59)}👩`])
    expect(fittingName(text) === '' || nameProblem('Name', fittingName(text)) === null).toBe(true);
  expect(fittingName('\u0000')).toBe('');
});
